import type { Design } from "../design/design";
import type { Gear } from "../design/gear";
import type { Line, Tank } from "../design/plumbing";
import type { DrainPath, Leg } from "../falls/drainPath";
import { createRecall } from "../quantity/recall";
import { findFittingBlock } from "./fittingBlock";
import { listLineLegs } from "./lineLegs";
import { toTankBlock } from "./obstacleGaps";

/** Something that hangs under the rig, at one of its lowest corners. */
export type Low = {
  readonly part: { readonly kind: "tank" | "line" | "gear"; readonly id: string };
  readonly xMm: number;
  readonly overGroundMm: number;
};

/** All that hangs below the finished floor: tanks with what is screwed to them, pipes, hoses and gear [C]. */
export function listLows(design: Design, paths: readonly DrainPath[]): Low[] {
  const { groundZMm } = design.rig;
  return [
    ...design.tanks.flatMap((tank) => listTankLows(tank, groundZMm)),
    ...listPipeLows(paths, groundZMm),
    ...design.lines.flatMap((line) => {
      if (line.kind === "drain") return [];
      const legs = listLineLegs(design, line);
      return recallLows(line, [legs, groundZMm], () => listLegLows(line.id, legs, groundZMm));
    }),
    ...design.gear.flatMap((piece) => listGearLows(piece, groundZMm)),
  ];
}

const listTankLows = (tank: Tank, groundZMm: number): Low[] => {
  const { min, max } = toTankBlock(tank);
  if (min.z >= 0) return [];
  const overGroundMm = min.z - groundZMm;
  const part = { kind: "tank", id: tank.id } as const;
  // what stands before its ports is screwed to it and touches with it
  const fittings = tank.ports.flatMap((port): Low[] => {
    const block = findFittingBlock(tank, port);
    if (!block || block.min.z >= 0) return [];
    const low = block.min.z - groundZMm;
    return [block.min.x, block.max.x].map((xMm) => ({ part, xMm, overGroundMm: low }));
  });
  return [...[min.x, (min.x + max.x) / 2, max.x].map((xMm) => ({ part, xMm, overGroundMm })), ...fittings];
};

const recallLows = createRecall<Line, Low[]>();

const listPipeLows = (paths: readonly DrainPath[], groundZMm: number): Low[] =>
  paths.flatMap((path) =>
    recallLows(path.drain, [path, groundZMm], () => listLegLows(path.drain.id, path.ownLegs, groundZMm)),
  );

// Of a piece that hangs under the floor both its ends count, as of a tank.
function listGearLows({ id, atMm, sizeMm }: Gear, groundZMm: number): Low[] {
  if (atMm.z >= 0) return [];
  const part = { kind: "gear", id } as const;
  return [atMm.x, atMm.x + sizeMm.x].map((xMm) => ({ part, xMm, overGroundMm: atMm.z - groundZMm }));
}

function listLegLows(lineId: string, legs: readonly Leg[], groundZMm: number): Low[] {
  const part = { kind: "line", id: lineId } as const;
  const lows: Low[] = [];
  for (const { from, to, pipe, outsideMm } of legs) {
    // under the bore: the wall and what it is lagged with
    const wallMm = (outsideMm - pipe.innerMm) / 2;
    for (const { x, z } of [from, to]) {
      if (z - wallMm < 0) lows.push({ part, xMm: x, overGroundMm: z - wallMm - groundZMm });
    }
  }
  return lows;
}
