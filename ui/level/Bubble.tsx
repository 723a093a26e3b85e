"use client";
import { type KeyboardEvent, type PointerEvent, useRef } from "react";
import type { Attitude } from "@/core/attitude/attitude";
import type { StandingMap } from "@/core/evaluate/standingMap";
import { useWorkbench } from "@/store/useWorkbench";
import { tilt } from "@/store/workbench";
import { describeAttitude } from "@/words/attitudes";
import * as WORDS from "@/words/panels/level/bubble";
import { useSay } from "../kit/useSay";
import { StandingField } from "./StandingField";

type BubbleProps = {
  readonly map: StandingMap | null;
  readonly rangeDeg: number;
  /** Side of the field in pixels of the map; the field itself takes the width it is given. */
  readonly pixels: number;
};

/**
 * A square level over the standing map: the bubble floats to the high side, and the ground under it says whether the
 * drains run there. Pull it, click, or use the arrow keys.
 */
export function Bubble({ map, rangeDeg, pixels }: BubbleProps) {
  const say = useSay();
  const attitude = useWorkbench((state) => state.attitude);
  const design = useWorkbench((state) => state.history?.design);
  const field = useRef<HTMLDivElement>(null);
  if (!design) return null;
  const { envelope, standings, kind } = design.rig;
  const left = (pitchDeg: number) => 50 - (pitchDeg / rangeDeg) * 50;
  const top = (rollDeg: number) => 50 - (rollDeg / rangeDeg) * 50;
  const clampPercent = (value: number) => Math.min(98, Math.max(2, value));

  const tiltTo = (event: PointerEvent) => {
    const box = field.current!.getBoundingClientRect();
    const across = (event.clientX - box.left) / box.width;
    const down = (event.clientY - box.top) / box.height;
    tilt({ pitchDeg: snap((0.5 - across) * 2 * rangeDeg), rollDeg: snap((0.5 - down) * 2 * rangeDeg) });
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const step = event.shiftKey ? 1 : 0.2;
    const by: Readonly<Record<string, Attitude>> = {
      ArrowLeft: { pitchDeg: step, rollDeg: 0 },
      ArrowRight: { pitchDeg: -step, rollDeg: 0 },
      ArrowUp: { pitchDeg: 0, rollDeg: step },
      ArrowDown: { pitchDeg: 0, rollDeg: -step },
    };
    const move = by[event.key];
    if (!move) return;
    event.preventDefault();
    event.stopPropagation();
    tilt({ pitchDeg: attitude.pitchDeg + move.pitchDeg, rollDeg: attitude.rollDeg + move.rollDeg });
  };

  return (
    <div
      ref={field}
      role="slider"
      tabIndex={0}
      id="bubble"
      aria-label={say(WORDS.tiltOfTheRig)}
      aria-valuemin={-20}
      aria-valuemax={20}
      aria-valuenow={attitude.pitchDeg}
      aria-valuetext={describeAttitude(attitude, kind)}
      className="relative aspect-square w-full touch-none overflow-hidden border-[1.5px] border-ink bg-sheet"
      onPointerDown={(event) => {
        if (event.button !== 0) return;
        event.currentTarget.setPointerCapture(event.pointerId);
        tiltTo(event);
      }}
      onPointerMove={(event) => {
        if (event.currentTarget.hasPointerCapture(event.pointerId)) tiltTo(event);
      }}
      onKeyDown={onKeyDown}
    >
      <StandingField map={map} pixels={pixels} />
      <svg className="absolute inset-0 size-full" viewBox="0 0 100 100" preserveAspectRatio="none" aria-hidden>
        <path d="M50 0v100M0 50h100" stroke="var(--edge)" strokeWidth="0.5" vectorEffect="non-scaling-stroke" />
        <rect
          x={left(envelope.noseDownDeg)}
          y={top(envelope.rightLowDeg)}
          width={((envelope.noseDownDeg + envelope.noseUpDeg) / rangeDeg) * 50}
          height={((envelope.leftLowDeg + envelope.rightLowDeg) / rangeDeg) * 50}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="1.4"
          strokeDasharray="4 3"
          vectorEffect="non-scaling-stroke"
        />
      </svg>
      {standings.map((standing, i) => (
        <span
          key={standing.id}
          title={standing.name}
          className="plate absolute flex size-[15px] -translate-x-1/2 -translate-y-1/2 items-center justify-center bg-enamel text-[11px] leading-none text-on-enamel"
          style={{
            left: `${clampPercent(left(standing.attitude.pitchDeg))}%`,
            top: `${clampPercent(top(standing.attitude.rollDeg))}%`,
          }}
        >
          {toLetter(i)}
        </span>
      ))}
      <span
        data-testid="bubble"
        className="absolute size-[22px] -translate-x-1/2 -translate-y-1/2 rounded-full border-[2.5px] border-ink bg-sheet/70 shadow-[inset_0_0_0_2px_var(--sheet)]"
        style={{ left: `${clampPercent(left(attitude.pitchDeg))}%`, top: `${clampPercent(top(attitude.rollDeg))}%` }}
      />
    </div>
  );
}

/** Standing places are lettered, on the field and in the list. */
export const toLetter = (index: number): string => String.fromCharCode(65 + index);

const snap = (angle: number): number => Math.round(angle * 5) / 5;
