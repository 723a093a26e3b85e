import { GRAVITY, WATER_DENSITY } from "../air/dumping";
import { buildVentPath, listVents } from "../air/ventPath";
import type { Design } from "../design/design";
import type { Gear } from "../design/gear";
import type { Tank, Vent } from "../design/plumbing";
import { measureExtent } from "../geometry/solid";
import { mmToM } from "../quantity/convert";
import { listLevelGroup } from "../tanks/linkedTanks";
import { buildGearGraph, type GearGraph } from "./gearGraph";
import { computeHoseLossPa } from "./hoseLoss";
import { listPushes } from "./pushes";
import { buildArcs } from "./reach";
import { ALL_OPEN, type Setting } from "./settings";
import { solveFlows } from "./solveFlows";

/** What stands in a full tank while something goes on filling it, and all of it leaves by the breather. */
export type FillPressure = {
  readonly by: Gear;
  readonly vent: Vent;
  /** Up the breather, L/min. */
  readonly flowLpm: number;
  /** On the tank's top, kPa. */
  readonly pressureKPa: number;
  /** Bore of a breather that keeps it to what the tank bears, mm; null where none does. */
  readonly leastBoreMm: number | null;
};

/** Every valve open and every tap shut: all that is sent goes into tanks. */
const FILLING: Setting = { ...ALL_OPEN, isTapOpen: () => false };
const LPM_PER_M3S = 60_000;
const STEPS = 18;
const WIDEST_MM = 110;

/**
 * Pressure on the top of a full tank that a tap outside or a pump goes on filling, where it is more than the tank bears, kPa > 0:
 * what comes at that pressure rises through the best of its breathers as water. Every valve is open, every tap shut; other ways
 * out (fillers, drains) are not counted, and a tank with drains is passed over: its water comes up there. Null where less stands
 * in it, or nothing fills it. Source: the flow solver, Darcy and Weisbach, hydrostatics [C].
 */
export function computeFillPressure(design: Design, tank: Tank, bearsKPa: number): FillPressure | null {
  const group = listLevelGroup(design, tank).map(({ id }) => id);
  const vents = group.flatMap((id) => listVents(design, id));
  const isDrained = design.lines.some(
    ({ kind, to }) => kind === "drain" && to.kind === "inlet" && group.includes(to.tankId),
  );
  if (vents.length === 0 || isDrained) return null;
  const graph = buildGearGraph(design);
  const nodes = new Set(graph.ends.flatMap(({ node, tankId }) => (tankId === tank.id ? [node] : [])));
  const [hardest] = listPushes(design.gear, buildArcs(graph, FILLING))
    .filter(({ reached }) => [...nodes].some((node) => reached.has(node)))
    .sort((a, b) => b.kPa - a.kPa);
  // what pushes no harder than the tank bears need not be reckoned
  if (!hardest || hardest.kPa <= bearsKPa) return null;
  const topMm = tank.atMm.z + measureExtent(tank.solid).max.z;
  const comes = (kPa: number) => computeInflow(design, pressUp(graph, tank.id, topMm, kPa), nodes);
  const atMost = comes(bearsKPa);
  if (atMost <= 0) return null;
  const ways = vents.map((vent) => ({ vent, toKPa: toVentLaw(design, vent, topMm) }));
  const best = ways.reduce((a, b) => (b.toKPa(atMost, null) < a.toKPa(atMost, null) ? b : a));
  if (best.toKPa(atMost, null) <= bearsKPa) return null;
  // between what comes against nothing and nothing: the flow at which what comes is what leaves
  let [low, high] = [0, atMost];
  for (let i = 0; i < STEPS; i++) {
    const flow = (low + high) / 2;
    if (comes(best.toKPa(flow, null)) > flow) low = flow;
    else high = flow;
  }
  const bores = Array.from({ length: WIDEST_MM }, (_, i) => i + 1);
  return {
    by: hardest.piece,
    vent: best.vent,
    flowLpm: high * LPM_PER_M3S,
    pressureKPa: best.toKPa(high, null),
    leastBoreMm: bores.find((boreMm) => best.toKPa(atMost, boreMm) <= bearsKPa) ?? null,
  };
}

// The tank as full to its top, with so much over that.
const pressUp = (graph: GearGraph, tankId: string, topMm: number, overKPa: number): GearGraph => ({
  ...graph,
  ends: graph.ends.map((end) => (end.tankId === tankId ? { ...end, headMm: topMm, overKPa, isDry: false } : end)),
});

// Into the tank by all its ports, less what is drawn out of it, m³/s.
function computeInflow(design: Design, graph: GearGraph, nodes: ReadonlySet<string>): number {
  const { ends } = solveFlows(design, graph, FILLING);
  const lpm = ends.reduce((sum, end) => sum + (nodes.has(end.node) ? end.lpm : 0), 0);
  return lpm / LPM_PER_M3S;
}

// Pressure on the tank's top at a flow of water, m³/s, through a breather over its highest point, as it is or all of one bore.
function toVentLaw(design: Design, vent: Vent, topMm: number): (flow: number, boreMm: number | null) => number {
  const { stretches, pointsMm } = buildVentPath(design, vent);
  const riseMm = Math.max(0, ...pointsMm.map(({ z }) => z - topMm));
  return (flow, boreMm) =>
    (stretches.reduce(
      (sum, { pipe: { boreM, lengthM, lossK }, portK }) =>
        sum +
        computeHoseLossPa(flow, {
          boreMm: boreMm ?? boreM * 1000,
          lengthMm: lengthM * 1000,
          lossK: boreMm === null ? lossK : lossK - portK,
        }),
      0,
    ) +
      WATER_DENSITY * GRAVITY * mmToM(riseMm)) /
    1000;
}
