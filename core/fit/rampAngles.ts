import type { Design } from "../design/design";
import type { Drain, Tank } from "../design/plumbing";
import type { DrainPath, Leg } from "../falls/drainPath";
import { radToDeg } from "../quantity/convert";
import { createRecall } from "../quantity/recall";
import { findFittingBlock } from "./fittingBlock";
import { listLineLegs } from "./lineLegs";
import { toTankBlock } from "./obstacleGaps";

/** Something that hangs under the rig, at one of its lowest corners. */
type Low = {
  readonly part: { readonly kind: "tank"; readonly id: string } | { readonly kind: "line"; readonly id: string };
  readonly xMm: number;
  readonly overGroundMm: number;
};

export type RampAngle = {
  readonly where: "between" | "behind" | "before";
  readonly angleDeg: number;
  /** What touches first. */
  readonly part: Low["part"];
  readonly xMm: number;
  readonly overGroundMm: number;
};

/**
 * Sharpest ridge the rig crosses and steepest ramps it takes before the plumbing touches, degrees; wheels stand at one
 * point each, which is on the safe side. Between axles a and b before and behind: atan(h/a) + atan(h/b); beyond the last
 * axle atan(h/a). Only what hangs below the floor counts; a boat, and a rig without axles, has none.
 * Source: geometry [C]. Example: 180 mm in the middle of 3,640 mm → 11.30°.
 */
export function measureRampAngles(design: Design, paths: readonly DrainPath[]): RampAngle[] {
  const { rig } = design;
  if (rig.kind === "boat" || rig.axles.length === 0) return [];
  const wheels = rig.axles.map(({ xMm }) => xMm).sort((a, b) => a - b);
  const lows = [
    ...design.tanks.flatMap((tank) => listTankLows(tank, rig.groundZMm)),
    ...listPipeLows(paths, rig.groundZMm),
    ...design.lines.flatMap((line) =>
      line.kind === "dumpLine" ? listLegLows(line.id, listLineLegs(design, line), rig.groundZMm) : [],
    ),
  ];
  const worst = new Map<RampAngle["where"], RampAngle>();
  for (const low of lows) {
    const { where, angleDeg } = measureAt(low, wheels);
    const known = worst.get(where);
    if (!known || angleDeg < known.angleDeg) worst.set(where, { where, angleDeg, ...low });
  }
  return (["between", "behind", "before"] as const).flatMap((where) => worst.get(where) ?? []);
}

/** The angle at one point x, h over the ground, mm, for wheels in order from the rear. */
function measureAt({ xMm, overGroundMm: h }: Low, wheels: readonly number[]): Pick<RampAngle, "where" | "angleDeg"> {
  const angle = (distanceMm: number) => radToDeg(Math.atan2(Math.max(0, h), Math.abs(distanceMm)));
  const behind = wheels.findLast((wheel) => wheel <= xMm);
  const before = wheels.find((wheel) => wheel >= xMm);
  if (behind !== undefined && before !== undefined) {
    return { where: "between", angleDeg: angle(xMm - behind) + angle(before - xMm) };
  }
  return behind === undefined
    ? { where: "behind", angleDeg: angle(before! - xMm) }
    : { where: "before", angleDeg: angle(xMm - behind) };
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

const recallLows = createRecall<Drain, Low[]>();

const listPipeLows = (paths: readonly DrainPath[], groundZMm: number): Low[] =>
  paths.flatMap((path) => recallLows(path.drain, [path, groundZMm], () => listLowsOf(path, groundZMm)));

const listLowsOf = ({ drain, ownLegs }: DrainPath, groundZMm: number): Low[] =>
  listLegLows(drain.id, ownLegs, groundZMm);

function listLegLows(lineId: string, legs: readonly Leg[], groundZMm: number): Low[] {
  const part = { kind: "line", id: lineId } as const;
  const lows: Low[] = [];
  for (const { from, to, pipe } of legs) {
    const wallMm = (pipe.outerMm - pipe.innerMm) / 2;
    for (const { x, z } of [from, to]) {
      if (z - wallMm < 0) lows.push({ part, xMm: x, overGroundMm: z - wallMm - groundZMm });
    }
  }
  return lows;
}
