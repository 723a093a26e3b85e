import { buildVentPath, listVents } from "../air/ventPath";
import type { Design } from "../design/design";
import { findBranchVent, findTrap } from "../design/lineItems";
import type { DrainPath } from "../falls/drainPath";
import { toBlock } from "../fit/obstacleBlock";
import { measurePlanCrossing } from "../geometry/blocks";
import { computeLevelForVolume } from "../geometry/levelForVolume";
import { clipBelow } from "../geometry/polygon";
import { add, dot, interpolate, measurePlanLength, subtract, type Vec3, vec } from "../geometry/vec";
import type { Opening } from "../tanks/openings";
import { buildTankField, computeTankFull } from "../tanks/tankLevels";
import type { LongSection, SectionObstacle, SectionPoint } from "./sectionLayout";
import type { Span } from "./spans";
import { type Heading, outlineTank } from "./tankOutline";

/** Centre line of a U: down from the outlet, under the dip, up to the weir. */
export function layOutTrap(path: DrainPath, heightOf: (p: Vec3) => number): SectionPoint[] {
  const trap = findTrap(path.drain);
  if (!trap) return [];
  const weir = path.nodesMm[0]!;
  const width = measurePlanLength(subtract(weir, path.outletMm));
  const radius = path.pipe.innerMm / 2;
  const point = (share: number, z: number): SectionPoint => {
    const p = interpolate(path.outletMm, weir, share);
    return { s: share * width, h: heightOf(vec(p.x, p.y, z)) };
  };
  if (trap.sealMm === 0) return [point(0, path.outletMm.z), point(0, weir.z + radius), point(1, weir.z + radius)];
  const bottom = weir.z - trap.sealMm - radius;
  const riser = 0.72;
  return [
    point(0, path.outletMm.z),
    point(0, bottom),
    point(riser, bottom),
    point(riser, weir.z + radius),
    point(1, weir.z + radius),
  ];
}

/** What the section cuts of the obstacles, each where the drain passes over or under it. */
export function layOutObstacles(
  design: Design,
  spans: readonly Span[],
  at: (span: Span, s: number, z: number) => SectionPoint,
): SectionObstacle[] {
  return design.obstacles.flatMap((obstacle) => {
    const block = toBlock(obstacle);
    return spans.flatMap((span): SectionObstacle[] => {
      const crossing = measurePlanCrossing(span.from, span.to, block);
      if (!crossing) return [];
      const [s0, s1] = crossing.map((t) => span.fromS + (span.toS - span.fromS) * t) as [number, number];
      const { min, max } = block;
      return [
        { obstacle, corners: [at(span, s0, min.z), at(span, s1, min.z), at(span, s1, max.z), at(span, s0, max.z)] },
      ];
    });
  });
}

type TankLayout = {
  /** Of the tank it ends in; none without one. */
  readonly openings: readonly Opening[];
  readonly path: DrainPath;
  readonly up: Vec3;
  readonly inletS: number;
  readonly heading: Heading;
  readonly heightOf: (p: Vec3) => number;
  readonly tankL: number;
};

/** The tank across its heading, with its water, the line at which it is full, and its ports. */
export function layOutTank({ openings, path, up, inletS, heading, heightOf, tankL }: TankLayout): LongSection["tank"] {
  const { tank, inlet } = path;
  if (!tank || !inlet) return null;
  const origin = add(tank.atMm, inlet.atMm);
  const place = (along: number, localZ: number): SectionPoint => {
    const shift = heading.axis === "x" ? vec(heading.sense * along, 0, 0) : vec(0, heading.sense * along, 0);
    const p = add(origin, shift);
    return { s: inletS + along, h: heightOf(vec(p.x, p.y, tank.atMm.z + localZ)) };
  };
  const { corners } = outlineTank(tank, inlet, heading);
  const outline = corners.map((c) => place(c.u, c.v));
  const field = buildTankField(tank, up);
  const full = computeTankFull(tank, openings, up, field);
  const base = heightOf(tank.atMm);
  const waterH = base + computeLevelForVolume(field, tankL);
  const fullH = full.surfaceMm - dot(up, tank.atMm) + base;
  const clip = (level: number) =>
    clipBelow(
      outline.map((p) => ({ u: p.s, v: p.h })),
      (p) => p.v,
      level,
    ).map((p) => ({ s: p.u, h: p.v }));
  const atFull = clip(fullH).filter((p) => Math.abs(p.h - fullH) < 0.5);
  return {
    id: tank.id,
    inletId: inlet.id,
    outline,
    water: tankL > 0 ? clip(waterH) : [],
    waterH,
    fullH,
    fullAt:
      atFull.length > 1 ? [Math.min(...atFull.map((p) => p.s)), Math.max(...atFull.map((p) => p.s))] : [inletS, inletS],
    ports: tank.ports.map((port) => {
      const along = (port.atMm[heading.axis] - inlet.atMm[heading.axis]) * heading.sense;
      return { ...place(along, port.atMm.z), id: port.id, kind: port.kind, boreMm: port.boreMm };
    }),
  };
}

/** The point of the drain so far behind the weir, along the pipe, where air comes in; past the inlet there is none. */
export function layOutBranchVent(
  path: DrainPath,
  stations: readonly number[],
  heightOf: (p: Vec3) => number,
): LongSection["branchVent"] {
  const vent = findBranchVent(path.drain);
  if (!vent) return null;
  let rest = vent.fromWeirMm;
  for (let i = 0; i < path.legs.length; i++) {
    const { from, to, lengthMm } = path.legs[i]!;
    if (rest <= lengthMm && lengthMm > 0) {
      const share = rest / lengthMm;
      const s = stations[i]! + (stations[i + 1]! - stations[i]!) * share;
      return { s, h: heightOf(interpolate(from, to, share)), kind: vent.kind };
    }
    rest -= lengthMm;
  }
  return null;
}

/** The tank's breathers, brought into the section along its heading. */
export function layOutVents(
  design: Design,
  path: DrainPath,
  heading: Heading,
  inletS: number,
  heightOf: (p: Vec3) => number,
): LongSection["vents"] {
  if (!path.tank || !path.inlet) return [];
  const origin = add(path.tank.atMm, path.inlet.atMm);
  return listVents(design, path.tank.id).map((vent) => {
    const points = buildVentPath(design, vent).pointsMm.map((p) => ({
      s: inletS + (p[heading.axis] - origin[heading.axis]) * heading.sense,
      h: heightOf(p),
    }));
    return { lineId: vent.id, points };
  });
}
