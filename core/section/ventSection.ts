import { computeAirwayPressurePa } from "../air/airPressure";
import type { TankAir } from "../air/tankAir";
import { buildVentPath } from "../air/ventPath";
import { type Attitude, computeUp } from "../attitude/attitude";
import type { Design } from "../design/design";
import { measureFloorMm } from "../design/floor";
import type { Vent } from "../design/plumbing";
import { listParkedStandings } from "../evaluate/parkedAttitudes";
import { buildNetwork } from "../falls/network";
import { add, dot, measureLength, measurePlanLength, subtract, type Vec3, vec } from "../geometry/vec";
import { listOpenings } from "../tanks/openings";
import { computeTankFull } from "../tanks/tankLevels";
import type { SectionPoint } from "./sectionLayout";

export type VentNode = SectionPoint & {
  readonly lineId: string;
  /** Which point of that breather; −1 for the port. */
  readonly point: number;
  readonly role: "port" | "point" | "tee" | "openEnd";
  /** Deepest it stands below what is higher to both sides, over all standings, mm; 0 where it never dips. */
  readonly dipMm: number;
};

export type VentSection = {
  readonly nodes: readonly VentNode[];
  /** Top of the floor and its underside at the port and at the end. */
  readonly floorH: readonly [number, number];
  readonly groundH: number;
  /** Height to which the tank's water may rise as the rig stands, and at the worst of all standings. */
  readonly floodH: number;
  readonly worstFloodH: number;
  /** Pressure along it from the open end back to the tank, Pa, at each node: sucked while dumping, pushed while filling. */
  readonly suctionPa: readonly number[];
  readonly fillPa: readonly number[];
};

/**
 * A breather unrolled from its tank to the open air, as the rig stands. Pressure grows evenly along each breather's own
 * pipe, with its ends and bends in it, as computed for the whole [C].
 */
export function layOutVentSection(
  design: Design,
  vent: Vent,
  attitude: Attitude,
  air: TankAir | null,
  fillLps: number,
): VentSection {
  const path = buildVentPath(design, vent);
  const { tank, pointsMm, refs, chain } = path;
  const up = computeUp(attitude);
  const datum = dot(up, vec(pointsMm[0]!.x, pointsMm[0]!.y, 0));
  const heightOf = (p: Vec3) => dot(up, p) - datum;
  const stations = [0];
  pointsMm.slice(1).forEach((p, i) => {
    stations.push(stations[i]! + measurePlanLength(subtract(p, pointsMm[i]!)));
  });
  const parked = listParkedStandings(design.rig);
  const dips = measureDips(
    pointsMm,
    parked.map((standing) => standing.up),
  );
  const nodes = pointsMm.map((p, i): VentNode => {
    const ref = refs[i]!;
    const isTee = i > 0 && refs[i - 1]!.lineId !== ref.lineId;
    const role = i === 0 ? "port" : i === pointsMm.length - 1 ? "openEnd" : isTee ? "tee" : "point";
    return { s: stations[i]!, h: heightOf(p), ...ref, role, dipMm: dips[i]! };
  });
  const openings = listOpenings(design, buildNetwork(design), tank);
  const port = pointsMm[0]!;
  const flood = (u: Vec3) => computeTankFull(tank, openings, u).surfaceMm;
  // how high it comes over the port itself, at each standing; drawn at the port as the rig stands now
  const overPort = parked.map((standing) => flood(standing.up) - dot(standing.up, port));
  const end = pointsMm.at(-1)!;
  const floorMm = measureFloorMm(design);
  return {
    nodes,
    floorH: [heightOf(vec(port.x, port.y, -floorMm)), heightOf(vec(end.x, end.y, -floorMm))],
    groundH: heightOf(vec(port.x, port.y, design.rig.groundZMm)),
    floodH: flood(up) - datum,
    worstFloodH: heightOf(port) + Math.max(...overPort),
    suctionPa: spread(path, (air?.dumpFlowLps ?? 0) / 1000, chain),
    fillPa: spread(path, fillLps / 1000, chain),
  };
}

// From 0 at the open end up to the whole at the tank.
function spread(
  { stretches, refs, pointsMm }: ReturnType<typeof buildVentPath>,
  flowM3PerS: number,
  chain: readonly Vent[],
): number[] {
  const along = [0];
  pointsMm.slice(1).forEach((p, i) => {
    along.push(along[i]! + measureLength(subtract(p, pointsMm[i]!)));
  });
  const own = chain.map(({ id }) => {
    const at = refs.flatMap((ref, i) => (ref.lineId === id ? [i] : []));
    return { first: Math.max(0, (at[0] ?? 0) - (at[0] === 0 ? 0 : 1)), last: at.at(-1) ?? 0 };
  });
  const sums = stretches.map((_, i) =>
    computeAirwayPressurePa(
      flowM3PerS,
      stretches.slice(i).map(({ pipe }) => pipe),
    ),
  );
  return pointsMm.map((_, i) => {
    const at = own.findIndex(({ last }) => i <= last);
    const { first, last } = own[at]!;
    const [before, after] = [sums[at]!, sums[at + 1] ?? 0];
    const whole = along[last]! - along[first]!;
    const share = whole > 0 ? (along[i]! - along[first]!) / whole : 1;
    return before + (after - before) * share;
  });
}

function measureDips(points: readonly Vec3[], ups: readonly Vec3[]): number[] {
  const dips = points.map(() => 0);
  for (const up of ups) {
    const heights = points.map((p) => dot(up, p));
    for (let i = 1; i + 1 < heights.length; i++) {
      const before = Math.max(...heights.slice(0, i));
      const after = Math.max(...heights.slice(i + 1));
      dips[i] = Math.max(dips[i]!, Math.min(before, after) - heights[i]!);
    }
  }
  return dips;
}

/** What a pull in that drawing means on the rig, mm: along the breather as it comes to the point, and up. */
export function unprojectVentPull(
  design: Design,
  vent: Vent,
  node: Pick<VentNode, "lineId" | "point">,
  attitude: Attitude,
  along: number,
  upMm: number,
): Vec3 {
  const { pointsMm, refs } = buildVentPath(design, vent);
  const i = refs.findIndex(({ lineId, point }) => lineId === node.lineId && point === node.point);
  const here = pointsMm[i]!;
  const way = [pointsMm[i - 1], pointsMm[i + 1]]
    .flatMap((p, k) => (p ? [k === 0 ? subtract(here, p) : subtract(p, here)] : []))
    .find((d) => Math.hypot(d.x, d.y) > 1);
  const length = way ? Math.hypot(way.x, way.y) : 1;
  const shift = way ? vec((way.x / length) * along, (way.y / length) * along, 0) : vec(along, 0, 0);
  const up = computeUp(attitude);
  return add(shift, vec(0, 0, (upMm - dot(up, shift)) / up.z));
}
