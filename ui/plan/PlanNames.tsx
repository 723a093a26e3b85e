"use client";
import { memo } from "react";
import type { Design } from "@/core/design/design";
import { USUAL_FIXTURES } from "@/core/design/usualFixtures";
import { listOwnLegs } from "@/core/fit/lineLegs";
import { toTankBlock } from "@/core/fit/obstacleGaps";
import type { Vec3 } from "@/core/geometry/vec";
import { vec } from "@/core/geometry/vec";
import { HaloText } from "../drawing/HaloText";
import type { View } from "../drawing/view";
import { findNameSpot, type SheetBox, type Taken } from "./nameSpot";
import type { PlanProps } from "./PlanScenery";

/** Names of what is in the way, over all that is drawn, where the fewest pipes run. */
export const PlanNames = memo(function PlanNames({ design, view }: PlanProps) {
  const taken = listTaken(design, view);
  return (
    <g pointerEvents="none">
      {design.obstacles.map(({ id, name, atMm, lengthMm, widthMm }) => {
        const spot = findNameSpot(toBox(view, atMm, vec(atMm.x + lengthMm, atMm.y + widthMm, 0)), name, taken);
        return (
          spot && (
            <HaloText key={id} x={spot.x} y={spot.y + 4} anchor="middle">
              {name}
            </HaloText>
          )
        );
      })}
    </g>
  );
});

const toBox = (view: View, low: Vec3, high: Vec3): SheetBox => ({
  left: view.x(low.x),
  right: view.x(high.x),
  top: view.y(high.y),
  bottom: view.y(low.y),
});

function listTaken(design: Design, view: View): Taken {
  const at = ({ x, y }: Vec3) => ({ x: view.x(x), y: view.y(y) });
  return {
    pieces: design.lines.flatMap((line) =>
      listOwnLegs(design, line).map(({ from, to }) => [at(from), at(to)] as const),
    ),
    boxes: [
      ...design.tanks.map((tank) => {
        const { min, max } = toTankBlock(tank);
        return toBox(view, min, max);
      }),
      ...design.fixtures.map(({ kind, outletMm: { x, y } }) => {
        const { halfMm } = USUAL_FIXTURES[kind];
        return toBox(view, vec(x - halfMm, y - halfMm, 0), vec(x + halfMm, y + halfMm, 0));
      }),
    ],
  };
}
