"use client";
import { type PointerEvent, useRef } from "react";
import { clamp } from "@/core/quantity/tolerance";
import type { SectionPoint } from "@/core/section/sectionLayout";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look } from "@/store/workbench";
import * as WORDS from "@/words/panels/drawing/tankLevelHandle";
import { Disc } from "./Stroke";
import { roundPx, type View } from "./view";

type Props = {
  /** The inside as it stands, with the surface now and when full, mm. */
  readonly tank: { readonly outline: readonly SectionPoint[]; readonly waterH: number; readonly fullH: number };
  readonly view: View;
};

/** The water in the tank, pulled up and down between empty and full. It is a way of looking, not an edit. */
export function TankLevelHandle({ tank, view }: Props) {
  const share = useWorkbench((state) => state.fillShare);
  const start = useRef<{ y: number; share: number } | null>(null);
  const { outline, waterH, fullH } = tank;
  const lowH = Math.min(...outline.map((p) => p.h));
  const right = Math.max(...outline.map((p) => p.s));
  const spanPx = Math.max(1, (fullH - lowH) * view.ky);
  const set = (value: number) => look({ fillShare: clamp(value, 0, 1) });
  const [x, y] = [roundPx(view.x(right) - 3), roundPx(view.y(share > 0 ? waterH : lowH))];
  const onPointerMove = (event: PointerEvent<SVGGElement>) => {
    if (start.current) set(start.current.share + (start.current.y - event.clientY) / spanPx);
  };
  const letGo = () => {
    start.current = null;
  };
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={WORDS.waterInTheTank}
      aria-valuemin={0}
      aria-valuemax={100}
      aria-valuenow={Math.round(share * 100)}
      aria-valuetext={WORDS.ofFull(Math.round(share * 100))}
      className="handle"
      onPointerDown={(event) => {
        event.stopPropagation();
        event.currentTarget.setPointerCapture(event.pointerId);
        start.current = { y: event.clientY, share };
      }}
      onPointerMove={onPointerMove}
      onPointerUp={letGo}
      onLostPointerCapture={letGo}
      onKeyDown={(event) => {
        const by = { ArrowUp: 0.02, ArrowDown: -0.02, PageUp: 0.2, PageDown: -0.2, Home: -1, End: 1 }[event.key];
        if (by === undefined) return;
        event.preventDefault();
        set(share + by);
      }}
    >
      <title>{WORDS.waterInTheTankPull}</title>
      <Disc className="halo" x={x - 6} y={y} r={14} />
      <polygon className="grip" points={`${x},${y} ${x - 11},${y - 6} ${x - 11},${y + 6}`} />
    </g>
  );
}
