import { type Attitude, computeUp } from "../attitude/attitude";
import type { Design } from "../design/design";
import type { BranchVent, Drain, PortKind, Vent } from "../design/plumbing";
import type { Obstacle } from "../design/rig";
import { USUAL_FIXTURES } from "../design/usualFixtures";
import { buildDrainPath, type DrainPath } from "../falls/drainPath";
import { computePonds } from "../falls/ponding";
import { toBlock } from "../fit/obstacleGaps";
import { measureFloorMm } from "../fit/passages";
import { measurePlanCrossing } from "../geometry/blocks";
import { computeLevelForVolume } from "../geometry/levelForVolume";
import { clipBelow } from "../geometry/polygon";
import { measureExtent } from "../geometry/solid";
import { add, dot, interpolate, measurePlanLength, subtract, type Vec3, vec } from "../geometry/vec";
import { NO_LENGTH_MM } from "../quantity/tolerance";
import { buildTankField, computeTankFull } from "../tanks/tankLevels";
import { type Heading, outlineTank } from "./tankOutline";

/** A point of the long section: station along the drain, mm, and true height over the floor at the fixture, mm. */
export type SectionPoint = { readonly s: number; readonly h: number };

/** A stretch of the section that follows one straight line on the plan. */
type Span = { readonly fromS: number; readonly toS: number; readonly from: Vec3; readonly to: Vec3 };

export type SectionNode = SectionPoint & {
  readonly role: "weir" | "bend" | "inlet";
  /** Bend number, −1 for the ends. */
  readonly bend: number;
};

export type SectionObstacle = { readonly obstacle: Obstacle; readonly corners: readonly SectionPoint[] };

export type LongSection = {
  readonly lineId: string;
  /** Stations the drawing reaches over, mm. */
  readonly fromS: number;
  readonly toS: number;
  /** What must be seen of it: sink, drain and tank, between ground and rim. */
  readonly nearS: number;
  readonly farS: number;
  readonly lowH: number;
  readonly highH: number;
  readonly outlet: SectionPoint;
  readonly sink: readonly SectionPoint[];
  readonly nodes: readonly SectionNode[];
  /** Centre line of the trap's pipe from the outlet to the weir; empty without a trap. */
  readonly trap: readonly SectionPoint[];
  readonly trapSurfaceH: number | null;
  readonly floorTop: readonly SectionPoint[];
  readonly floorUnder: readonly SectionPoint[];
  readonly ground: readonly SectionPoint[];
  readonly sill: readonly SectionPoint[];
  readonly waterline: number | null;
  readonly obstacles: readonly SectionObstacle[];
  readonly ponds: readonly {
    readonly fromS: number;
    readonly toS: number;
    readonly surfaceH: number;
    readonly legIndex: number;
  }[];
  readonly tank: {
    readonly outline: readonly SectionPoint[];
    readonly water: readonly SectionPoint[];
    readonly waterH: number;
    readonly fullH: number;
    readonly fullAt: readonly [number, number];
    readonly ports: readonly (SectionPoint & {
      readonly id: string;
      readonly kind: PortKind;
      readonly boreMm: number;
    })[];
  };
  /** Where air comes to the branch near its trap; null where none does. */
  readonly branchVent: (SectionPoint & { readonly kind: BranchVent["kind"] }) | null;
  readonly vents: readonly { readonly lineId: string; readonly points: readonly SectionPoint[] }[];
};

const MARGIN_MM = 140;

/**
 * One drain unrolled from fixture to tank, as it stands at an attitude, with `tankL` litres in the tank.
 * Heights are true heights, so standing water is level and a leg that rises runs backwards.
 * `beyondMm` is how far the rig is drawn past sink and tank.
 */
export function layOutLongSection(
  design: Design,
  drain: Drain,
  attitude: Attitude,
  tankL: number,
  beyondMm = MARGIN_MM,
): LongSection {
  const path = buildDrainPath(design, drain);
  const up = computeUp(attitude);
  const heading = findHeading(path);
  const spans = layOutSpans(path, heading, beyondMm);
  const datum = dot(up, vec(path.outletMm.x, path.outletMm.y, 0));
  const heightOf = (p: Vec3): number => dot(up, p) - datum;
  const at = (span: Span, s: number, z: number): SectionPoint => {
    const p = placeOnSpan(span, s);
    return { s, h: heightOf(vec(p.x, p.y, z)) };
  };
  const along = (z: number): SectionPoint[] =>
    spans.flatMap((span, i) => [...(i === 0 ? [at(span, span.fromS, z)] : []), at(span, span.toS, z)]);
  const stations = listStations(path);
  const inletS = stations[stations.length - 1]!;
  const nodes = path.nodesMm.map((node, i): SectionNode => {
    const bend = i === 0 || i === path.nodesMm.length - 1 ? -1 : i - 1;
    const role = i === 0 ? "weir" : bend < 0 ? "inlet" : "bend";
    return { s: stations[i]!, h: heightOf(node), role, bend };
  });
  const tank = layOutTank({ design, path, up, inletS, heading, heightOf, tankL });
  const surface = (trueHeight: number) => trueHeight - datum;
  const first = spans[0]!;
  const rimZ = path.outletMm.z + path.fixture.rimMm;
  const half = USUAL_FIXTURES[path.fixture.kind].halfMm;
  const sink = [
    at(first, -half, rimZ),
    at(first, -half + 20, path.outletMm.z + 20),
    at(first, 0, path.outletMm.z),
    at(spans[1] ?? first, half - 20, path.outletMm.z + 20),
    at(spans[1] ?? first, half, rimZ),
  ];
  const ground = along(design.rig.groundZMm);
  const last = spans[spans.length - 1]!;
  const nearS = first.fromS + beyondMm - MARGIN_MM;
  const farS = last.toS - beyondMm + MARGIN_MM;
  const near = [at(first, nearS, design.rig.groundZMm), at(last, farS, design.rig.groundZMm)];
  const sill = design.rig.sillZMm === null ? [] : along(design.rig.sillZMm);
  const all = [...sink, ...nodes, ...near, ...tank.outline];
  return {
    lineId: drain.id,
    fromS: first.fromS,
    toS: last.toS,
    nearS,
    farS,
    lowH: Math.min(...all.map((p) => p.h)),
    highH: Math.max(...all.map((p) => p.h)),
    outlet: { s: 0, h: heightOf(path.outletMm) },
    sink,
    nodes,
    trap: layOutTrap(path, heightOf),
    trapSurfaceH: path.drain.trap && path.drain.trap.sealMm > 0 ? heightOf(path.nodesMm[0]!) : null,
    floorTop: along(0),
    floorUnder: along(-measureFloorMm(design)),
    ground,
    sill,
    waterline: design.rig.waterlineZMm === null ? null : design.rig.waterlineZMm * up.z - datum,
    obstacles: layOutObstacles(design, spans, at),
    ponds: computePonds(path, up).map((pond) => ({
      legIndex: pond.legIndex,
      fromS: stations[pond.legIndex]!,
      toS: stations[pond.legIndex + 1]!,
      surfaceH: surface(pond.surfaceMm),
    })),
    tank,
    branchVent: layOutBranchVent(path, stations, heightOf),
    vents: layOutVents(design, path, heading, inletS, heightOf),
  };
}

// Stations by plan length: 0 at the fixture's outlet, then the weir, the bends and the inlet.
function listStations(path: DrainPath): number[] {
  let s = measurePlanLength(subtract(path.nodesMm[0]!, path.outletMm));
  return [s, ...path.legs.map((leg) => (s += leg.planLengthMm))];
}

// Past the inlet the section goes on along the rig's own axes, toward the dump outlet.
function findHeading(path: DrainPath): Heading {
  const outlet = path.tank.ports.find((port) => port.kind === "outlet");
  const { min, max } = measureExtent(path.tank.solid);
  const aim = outlet ?? { atMm: vec((min.x + max.x) / 2, (min.y + max.y) / 2, 0) };
  const way = subtract(aim.atMm, path.inlet.atMm);
  if (Math.abs(way.x) >= Math.abs(way.y)) return { axis: "x", sense: way.x < 0 ? -1 : 1 };
  return { axis: "y", sense: way.y < 0 ? -1 : 1 };
}

function layOutSpans(path: DrainPath, heading: Heading, beyondMm: number): Span[] {
  const points = [path.outletMm, ...path.nodesMm].filter(
    (p, i, all) => i === 0 || measurePlanLength(subtract(p, all[i - 1]!)) > NO_LENGTH_MM,
  );
  const spans: Span[] = [];
  let s = 0;
  for (let i = 0; i + 1 < points.length; i++) {
    const length = measurePlanLength(subtract(points[i + 1]!, points[i]!));
    spans.push({ fromS: s, toS: s + length, from: points[i]!, to: points[i + 1]! });
    s += length;
  }
  const tip = points[points.length - 1]!;
  const { far } = outlineTank(path.tank, path.inlet, heading);
  const reach = Math.max(far, 0) + beyondMm;
  const end =
    heading.axis === "x" ? vec(tip.x + heading.sense * reach, tip.y, 0) : vec(tip.x, tip.y + heading.sense * reach, 0);
  const first = spans[0];
  const back = USUAL_FIXTURES[path.fixture.kind].halfMm + beyondMm;
  const lead = first
    ? interpolate(first.from, first.to, -back / (first.toS - first.fromS))
    : vec(tip.x - back, tip.y, 0);
  return [
    { fromS: -back, toS: 0, from: lead, to: path.outletMm },
    ...spans,
    { fromS: s, toS: s + reach, from: tip, to: end },
  ];
}

function placeOnSpan(span: Span, s: number): Vec3 {
  const length = span.toS - span.fromS;
  return length === 0 ? span.from : interpolate(span.from, span.to, (s - span.fromS) / length);
}

// Centre line of a U: down from the outlet, under the dip, up to the weir.
function layOutTrap(path: DrainPath, heightOf: (p: Vec3) => number): SectionPoint[] {
  const { trap } = path.drain;
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

function layOutObstacles(
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
  readonly design: Design;
  readonly path: DrainPath;
  readonly up: Vec3;
  readonly inletS: number;
  readonly heading: Heading;
  readonly heightOf: (p: Vec3) => number;
  readonly tankL: number;
};

function layOutTank({ design, path, up, inletS, heading, heightOf, tankL }: TankLayout): LongSection["tank"] {
  const { tank, inlet } = path;
  const origin = add(tank.atMm, inlet.atMm);
  const place = (along: number, localZ: number): SectionPoint => {
    const shift = heading.axis === "x" ? vec(heading.sense * along, 0, 0) : vec(0, heading.sense * along, 0);
    const p = add(origin, shift);
    return { s: inletS + along, h: heightOf(vec(p.x, p.y, tank.atMm.z + localZ)) };
  };
  const { corners } = outlineTank(tank, inlet, heading);
  const outline = corners.map((c) => place(c.u, c.v));
  const field = buildTankField(tank, up);
  const full = computeTankFull(design, tank, up, field);
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

// The point of the drain so far behind the weir, along the pipe; past the inlet there is none to draw.
function layOutBranchVent(
  path: DrainPath,
  stations: readonly number[],
  heightOf: (p: Vec3) => number,
): LongSection["branchVent"] {
  const vent = path.drain.branchVent;
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

function layOutVents(
  design: Design,
  path: DrainPath,
  heading: Heading,
  inletS: number,
  heightOf: (p: Vec3) => number,
): LongSection["vents"] {
  const origin = add(path.tank.atMm, path.inlet.atMm);
  const vents = design.lines.filter((line): line is Vent => line.kind === "vent" && line.fromTank === path.tank.id);
  return vents.map((vent) => {
    const port = path.tank.ports.find((p) => p.id === vent.fromPort)!;
    const points = [add(path.tank.atMm, port.atMm), ...vent.pointsMm].map((p) => ({
      s: inletS + (p[heading.axis] - origin[heading.axis]) * heading.sense,
      h: heightOf(p),
    }));
    return { lineId: vent.id, points };
  });
}
