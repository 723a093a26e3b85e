import type { Design } from "../design/design";
import type { Gear, HoseEnd } from "../design/gear";
import type { HeldWater, Pipe, Tank } from "../design/plumbing";
import { listHoseCourse, placeHoseEnd } from "../fit/lineLegs";
import { measureExtent } from "../geometry/solid";
import { measureLength, subtract, type Vec3 } from "../geometry/vec";
import { measureWorstOverWater } from "../hull/overWater";
import { createRecall } from "../quantity/recall";
import { listGearPorts } from "./gearPorts";
import { readSupplyKPa } from "./supply";

/** A place where water has one pressure: a port, or the middle of a tee. */
export type GearNode = {
  readonly id: string;
  readonly atMm: Vec3;
  /** Its least height over the sea at any heel and trim, mm; of a vented loop that of its top. Infinity without a waterline. */
  readonly overSeaMm: number;
};

/** What joins two nodes: a hose, or the inside of a piece of gear. Water may go both ways unless the piece forbids it. */
export type GearLink =
  | {
      readonly kind: "hose";
      readonly id: string;
      readonly from: string;
      readonly to: string;
      readonly pipe: Pipe;
      readonly lengthMm: number;
      /** Bends on the way, in right angles. */
      readonly turns: number;
    }
  | {
      readonly kind: "inside";
      readonly id: string;
      readonly from: string;
      readonly to: string;
      readonly gear: Gear;
      /** The branch of a diverter or mixer it is. */
      readonly branch: "a" | "b" | null;
    };

/** Where water comes from or may end: tanks, the sea, a tap outside, and every opening to the air. */
export type GearEnd = {
  readonly node: string;
  readonly kind: "tank" | "sea" | "supply" | "air";
  /** What is behind it; null for air. */
  readonly holds: HeldWater | "sea" | null;
  readonly tankId: string | null;
  readonly gearId: string | null;
  /** Height at which the water stands there, mm over the floor; for air the height of the opening. */
  readonly headMm: number;
  /** What stands over that, kPa: the pressure of a supply, or what holds a relief valve shut. */
  readonly overKPa: number;
  /** It lies over the water as that usually stands, so that nothing can be drawn there. */
  readonly isDry: boolean;
  /** Water stands over it at some level or heel: a full tank, or the sea when she lies over. */
  readonly isEverWet: boolean;
  /** As high as what is behind it may come, mm over the floor: a full tank, and tilt. */
  readonly highMm: number;
  /** As of its node. */
  readonly overSeaMm: number;
};

export type GearGraph = {
  readonly nodes: ReadonlyMap<string, GearNode>;
  readonly links: readonly GearLink[];
  /** Where water falls through open air: it goes on there and never comes back, and no pressure passes. */
  readonly drops: readonly GearLink[];
  readonly ends: readonly GearEnd[];
};

export const toPortNode = (gearId: string, port: string): string => `${gearId}:${port}`;
export const toTankNode = (tankId: string, portId: string): string => `tank:${tankId}:${portId}`;
/** The node a hose ends at. */
export const toEndNode = (end: HoseEnd): string =>
  end.kind === "gear" ? toPortNode(end.gearId, end.port) : toTankNode(end.tankId, end.portId);

/** Tilt and a full tank against one that is half full change what stands higher by as much, mm [T]. */
const MARGIN_MM = 400;
/** Water of so many mm presses with 1 kPa, a little more than it does: on the safe side. */
const MM_PER_KPA = 102;
/** So full a tank is taken to be where nothing else is said. */
const USUAL_FILL = 0.5;

const recallGraph = createRecall<Design["gear"], GearGraph>(2);

/** The pumped side as nodes and links, tanks so full as `fill`, a share of their height in [0, 1], says. */
export function buildGearGraph(design: Design, fill = USUAL_FILL): GearGraph {
  const hoses = design.lines.filter(({ kind }) => kind === "hose");
  return recallGraph(design.gear, [design.tanks, design.rig, fill, ...hoses], () => joinUp(design, fill));
}

function joinUp(design: Design, fill: number): GearGraph {
  const nodes = new Map<string, GearNode>();
  const links: GearLink[] = [];
  const drops: GearLink[] = [];
  const put = (id: string, atMm: Vec3, piece?: Gear) => {
    const top = piece?.spec.kind === "ventedLoop" ? { ...atMm, z: piece.atMm.z + piece.sizeMm.z } : atMm;
    nodes.set(id, { id, atMm, overSeaMm: measureWorstOverWater(design, top).overMm });
  };
  for (const piece of design.gear) {
    for (const port of listGearPorts(piece.spec.kind)) {
      const id = toPortNode(piece.id, port);
      put(id, placeHoseEnd(design, { kind: "gear", gearId: piece.id, port }), piece);
    }
    links.push(...listInside(piece));
    if (piece.spec.kind === "airGap") drops.push(linkInside(piece, "in", "out"));
  }
  for (const line of design.lines) {
    if (line.kind !== "hose") continue;
    for (const end of [line.from, line.to]) {
      const id = toEndNode(end);
      if (!nodes.has(id)) put(id, placeHoseEnd(design, end));
    }
    const course = listHoseCourse(design, line);
    const lengthMm = course.slice(1).reduce((sum, p, i) => sum + measureLength(subtract(p, course[i]!)), 0);
    links.push({
      kind: "hose",
      id: line.id,
      from: toEndNode(line.from),
      to: toEndNode(line.to),
      pipe: line.pipe,
      lengthMm,
      turns: line.pointsMm.length,
    });
  }
  return { nodes, links, drops, ends: listEnds(design, nodes, fill) };
}

const linkInside = (gear: Gear, from: string, to: string, branch: "a" | "b" | null = null): GearLink => ({
  kind: "inside",
  id: branch ? `${gear.id}.${branch}` : gear.id,
  from: toPortNode(gear.id, from),
  to: toPortNode(gear.id, to),
  gear,
  branch,
});

function listInside(gear: Gear): GearLink[] {
  const link = (from: string, to: string, branch: "a" | "b" | null = null) => linkInside(gear, from, to, branch);
  switch (gear.spec.kind) {
    case "diverter":
      return [link("common", "a", "a"), link("common", "b", "b")];
    case "mixer":
      return [link("hot", "out", "a"), link("cold", "out", "b")];
    case "tee":
      return [link("a", "b", "a"), link("b", "c", "b")];
    case "bowl":
      return [link("flush", "waste")];
    // these have one port, or let nothing through but air
    case "accumulator":
    case "coupling":
    case "gauge":
    case "relief":
    case "tap":
    case "skinFitting":
    case "sump":
    case "deckFitting":
    case "airGap":
      return [];
    default:
      return [link("in", "out")];
  }
}

function listEnds(design: Design, nodes: ReadonlyMap<string, GearNode>, fill: number): GearEnd[] {
  const seaMm = design.rig.waterlineZMm;
  const common = { overKPa: 0, isDry: false, isEverWet: true, tankId: null, gearId: null };
  const tanks = design.tanks.flatMap((tank) =>
    tank.ports.flatMap((port): GearEnd[] => {
      const node = toTankNode(tank.id, port.id);
      const at = nodes.get(node);
      if (!at) return [];
      const surfaceMm = measureSurfaceMm(tank, fill);
      const isDry = at.atMm.z > surfaceMm;
      const isEverWet = at.atMm.z < measureSurfaceMm(tank, 1);
      const headMm = Math.max(surfaceMm, at.atMm.z);
      const highMm = headMm + MARGIN_MM;
      const { overSeaMm } = at;
      const own = { ...common, node, headMm, highMm, overSeaMm, isDry, isEverWet };
      return [{ ...own, kind: "tank", holds: tank.holds, tankId: tank.id }];
    }),
  );
  const gear = design.gear.flatMap(({ id, spec }): GearEnd[] => {
    const at = (port: string) => {
      const node = toPortNode(id, port);
      const { atMm, overSeaMm } = nodes.get(node)!;
      return { ...common, node, gearId: id, headMm: atMm.z, highMm: atMm.z + MARGIN_MM, overSeaMm };
    };
    switch (spec.kind) {
      case "tap":
        return [{ ...at("in"), kind: "air", holds: null }];
      case "airGap":
        return [{ ...at("in"), kind: "air", holds: null }];
      case "relief":
        return [toPressed({ ...at("in"), kind: "air", holds: null, overKPa: spec.setKPa })];
      case "coupling": {
        const overKPa = readSupplyKPa(spec);
        return [
          overKPa === null
            ? { ...at("out"), kind: "air", holds: null }
            : toPressed({ ...at("out"), kind: "supply", holds: "fresh", overKPa }),
        ];
      }
      case "skinFitting": {
        const end = at("in");
        const isUnder = seaMm !== null && end.headMm < seaMm;
        const headMm = isUnder ? seaMm : end.headMm;
        const own = { ...end, headMm, highMm: headMm + MARGIN_MM, isDry: !isUnder, isEverWet: end.overSeaMm < 0 };
        return [{ ...own, kind: "sea", holds: "sea" }];
      }
      case "sump":
        return [{ ...at("out"), kind: "tank", holds: "grey" }];
      default:
        return [];
    }
  });
  return [...tanks, ...gear];
}

const toPressed = (end: GearEnd): GearEnd => ({ ...end, highMm: end.highMm + end.overKPa * MM_PER_KPA });

function measureSurfaceMm({ atMm, solid }: Tank, fill: number): number {
  const { min, max } = measureExtent(solid);
  return atMm.z + min.z + (max.z - min.z) * fill;
}
