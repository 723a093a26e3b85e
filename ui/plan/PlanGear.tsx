"use client";
import { memo } from "react";
import type { Design } from "@/core/design/design";
import { HoseStrokes } from "../drawing/HoseStrokes";
import type { View } from "../drawing/view";

type PlanGearProps = { readonly design: Design; readonly view: View };

/** Gear to scale and the hoses that join it, from above: what stands on the floor and what lies along it. */
export const PlanGear = memo(function PlanGear({ design, view }: PlanGearProps) {
  return (
    <g data-testid="plan-gear">
      <HoseStrokes design={design} view={view} at={({ x, y }) => [x, y]} isToScale />
      {design.gear.map(({ id, name, atMm, sizeMm }) => (
        <rect
          key={id}
          data-part={`gear:${id}`}
          x={view.x(atMm.x)}
          y={view.y(atMm.y + sizeMm.y)}
          width={Math.max(3, sizeMm.x * view.kx)}
          height={Math.max(3, sizeMm.y * view.ky)}
          fill="var(--sheet)"
          stroke="var(--ink)"
          strokeWidth={1.2}
        >
          <title>{name}</title>
        </rect>
      ))}
    </g>
  );
});
