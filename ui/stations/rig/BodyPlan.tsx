"use client";
import { type KeyboardEvent, useRef, useState } from "react";
import type { Hull } from "@/core/design/rig";
import type { HalfPoint } from "@/core/hull/loft";
import { useWorkbench } from "@/store/useWorkbench";
import * as WORDS from "@/words/panels/rig/bodyPlan";
import { formatLengthFigure } from "@/words/units";
import { PointHandle } from "../../drawing/PointHandle";
import { Trade } from "../../glossary/Trade";

const SIZE = { width: 300, height: 240, pad: 24 };
/** A point that is pulled takes hold at whole steps of this, mm. */
const GRID_MM = 5;

type BodyPlanProps = {
  readonly hull: Hull;
  readonly index: number;
  readonly waterlineZMm: number | null;
  /** So much deeper with her tanks full; null where it is not reckoned. */
  readonly sinkMm: number | null;
  readonly onChange: (points: readonly HalfPoint[]) => void;
};

/** All half-sections over one another, the picked one to be pulled: from the keel up, half-breadth to the right. */
export function BodyPlan({ hull, index, waterlineZMm, sinkMm, onChange }: BodyPlanProps) {
  const units = useWorkbench((state) => state.units);
  const [pulled, setPulled] = useState<{ readonly at: number; readonly to: HalfPoint } | null>(null);
  const sheet = useRef<SVGSVGElement>(null);
  const all = hull.sections.flatMap(({ pointsMm }) => pointsMm);
  const [low, high] = [Math.min(...all.map(({ z }) => z)), Math.max(...all.map(({ z }) => z))];
  const beam = Math.max(...all.map(({ y }) => y), 1);
  const scale = Math.min((SIZE.width - 2 * SIZE.pad) / beam, (SIZE.height - 2 * SIZE.pad) / Math.max(1, high - low));
  const x = (y: number) => SIZE.pad + y * scale;
  const y = (z: number) => SIZE.height - SIZE.pad - (z - low) * scale;
  const snap = (mm: number) => Math.round(mm / GRID_MM) * GRID_MM;
  const own = hull.sections[index]!.pointsMm;
  const drawn = own.map((p, i) => (pulled?.at === i ? pulled.to : p));
  const toPath = (points: readonly HalfPoint[]) =>
    `M${points.map((p) => `${x(p.y).toFixed(1)} ${y(p.z).toFixed(1)}`).join("L")}`;
  const toPlace = (event: { readonly clientX: number; readonly clientY: number }): HalfPoint => {
    const box = sheet.current!.getBoundingClientRect();
    const k = box.width / SIZE.width;
    return {
      y: Math.max(0, snap(((event.clientX - box.left) / k - SIZE.pad) / scale)),
      z: snap(low + (SIZE.height - SIZE.pad - (event.clientY - box.top) / k) / scale),
    };
  };
  const move = (i: number, to: HalfPoint) => onChange(own.map((p, k) => (k === i ? to : p)));
  const onKey = (event: KeyboardEvent, i: number) => {
    const size = event.shiftKey ? 10 : 1;
    const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[event.key];
    const p = own[i]!;
    if (by) move(i, { y: Math.max(0, p.y + by[0]! * size), z: p.z + by[1]! * size });
    else if (event.key === "Delete" && own.length > 2) onChange(own.filter((_, k) => k !== i));
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const addPoint = (place: HalfPoint) => {
    const after = own.findIndex((p, i) => place.z >= p.z && place.z <= (own[i + 1]?.z ?? Number.NEGATIVE_INFINITY));
    if (after >= 0) onChange([...own.slice(0, after + 1), place, ...own.slice(after + 1)]);
  };
  return (
    <div>
      <svg
        ref={sheet}
        viewBox={`0 0 ${SIZE.width} ${SIZE.height}`}
        role="group"
        aria-label={WORDS.halfSectionsOfTheHull}
        className="my-1.5 w-full touch-none bg-sheet"
        onDoubleClick={(event) => addPoint(toPlace(event))}
      >
        <path
          d={`M${x(0)} ${SIZE.pad - 12}V${SIZE.height - SIZE.pad + 12}`}
          stroke="var(--edge)"
          strokeDasharray="6 3 1 3"
        />
        {waterlineZMm !== null && (
          <path d={`M${x(0) - 8} ${y(waterlineZMm)}H${SIZE.width - 6}`} stroke="var(--water)" strokeWidth={2} />
        )}
        {waterlineZMm !== null && sinkMm !== null && sinkMm > 0 && (
          <path
            d={`M${x(0) - 8} ${y(waterlineZMm + sinkMm)}H${SIZE.width - 6}`}
            stroke="var(--water)"
            strokeDasharray="6 4"
          />
        )}
        {hull.sections.map(({ xMm, pointsMm }, i) =>
          i === index ? null : (
            <path key={xMm} d={toPath(pointsMm)} fill="none" stroke="var(--faint)" strokeWidth={1} />
          ),
        )}
        <path d={toPath(drawn)} fill="none" stroke="var(--ink)" strokeWidth={2.4} strokeLinejoin="round" />
        {drawn.map((p, i) => (
          <PointHandle
            // biome-ignore lint/suspicious/noArrayIndexKey: points are known by their place
            key={i}
            at={[x(p.y), y(p.z)]}
            label={WORDS.movePointOfTheSection(i + 1)}
            text={`${formatLengthFigure(p.y, units)}, ${formatLengthFigure(p.z, units)}`}
            isAtEdge={p.y * scale < 30}
            isTextBelow={false}
            onGrip={() => setPulled({ at: i, to: p })}
            onPull={(event) => setPulled({ at: i, to: toPlace(event) })}
            onDrop={() => {
              if (pulled?.at === i) move(i, pulled.to);
              setPulled(null);
            }}
            onLeave={() => setPulled(null)}
            onKey={(event) => onKey(event, i)}
          />
        ))}
      </svg>
      <p className="text-[12px] leading-snug text-faint">
        <Trade>{WORDS.keelAtTheBottomHalf}</Trade>
      </p>
    </div>
  );
}
