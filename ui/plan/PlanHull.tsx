"use client";
import { memo } from "react";
import type { Rig } from "@/core/design/rig";
import type { Vec3 } from "@/core/geometry/vec";
import { listSheer, listWaterline } from "@/core/hull/lines";
import { Outline } from "../drawing/Stroke";
import { listPoints, type View } from "../drawing/view";

/** Her sheer, and her waterline within it. */
export const PlanHull = memo(function PlanHull({ rig, view }: { readonly rig: Rig; readonly view: View }) {
  const { hull, waterlineZMm } = rig;
  if (!hull) return null;
  const toText = (points: readonly Vec3[]) => listPoints(points.map(({ x, y }) => [view.x(x), view.y(y)] as const));
  return (
    <g>
      <Outline points={toText(listSheer(hull))} fill="none" stroke="var(--ink)" strokeWidth={1.4} />
      {waterlineZMm !== null && (
        <Outline
          points={toText(listWaterline(hull, waterlineZMm))}
          fill="none"
          stroke="var(--water)"
          strokeWidth={1.2}
        />
      )}
    </g>
  );
});
