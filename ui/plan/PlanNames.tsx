"use client";
import { memo } from "react";
import type { Design } from "@/core/design/design";
import { USUAL_FIXTURES } from "@/core/design/usualFixtures";
import { listOwnLegs } from "@/core/fit/lineLegs";
import { toTankBlock } from "@/core/fit/obstacleGaps";
import type { At, Box } from "@/core/geometry/sheetBox";
import { type Vec3, vec } from "@/core/geometry/vec";
import { HaloText } from "../drawing/HaloText";
import type { View } from "../drawing/view";
import { findNameSpot, type Taken } from "./nameSpot";
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
            <HaloText key={id} x={spot[0]} y={spot[1] + 4} anchor="middle">
              {name}
            </HaloText>
          )
        );
      })}
    </g>
  );
});

const toBox = (view: View, low: Vec3, high: Vec3): Box => ({
  x0: view.x(low.x),
  x1: view.x(high.x),
  y0: view.y(high.y),
  y1: view.y(low.y),
});

function listTaken(design: Design, view: View): Taken {
  const at = ({ x, y }: Vec3): At => [view.x(x), view.y(y)];
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
