import { computeUp, LEVEL } from "../attitude/attitude";
import type { Design } from "../design/design";
import { findBranchVent, findTrap } from "../design/lineItems";
import { roundTenth } from "../design/moves";
import type { Drain, Fixture, Trap } from "../design/plumbing";
import { computeLayToleranceMm } from "../evaluate/layTolerance";
import { listParkedStandings } from "../evaluate/parkedAttitudes";
import { add, measurePlanLength, subtract, type Vec3, vec } from "../geometry/vec";
import { toCodeBoreMm } from "../parts/pipes";
import { MM_PER_M } from "../quantity/convert";
import { lookUpLimit, lookUpValue } from "../rules/lookUpLimit";
import type { Plan } from "./listPlans";
import { findFacing, findUndersideMm, type Task } from "./routeEnds";

/** A point this near to the outlet is under the trap itself, mm. */
const BELOW_MM = 160;
/** Kept in hand on each leg over what the rules ask and a hand is off by, mm. */
const RESERVE_MM = 2;
/** Fall beyond what is asked is used up to this, m/m: more only steepens a small branch [T]. */
const MOST_EXTRA_FALL = 0.03;
type Laid = { readonly bendsMm: readonly Vec3[]; readonly shortMm: number };

/**
 * Heights along a way in plan: each leg gets the fall it needs over all standings, and of what height is left over so much as
 * `share`, in [0, 1], says. What lacks is said; a way that lacks none keeps what is asked [C].
 */
export function layHeights(task: Task, { points, isHigh, bandMm }: Plan, share = 1): Laid {
  const { design, drain, fixture, end } = task;
  const need = buildNeed(design, drain);
  const first = points[0]!;
  const isBelow = measurePlanLength(subtract(first, fixture.outletMm)) < BELOW_MM;
  const underMm = findUndersideMm(design, drain);
  const weir = placeWeir(fixture, findTrap(drain), isBelow ? (points[1] ?? first) : first);
  const way = isBelow ? [vec(weir.x, weir.y, 0), ...points.slice(1)] : points;
  const lengths = way.slice(1).map((p, i) => measurePlanLength(subtract(p, way[i]!)));
  const needs = way.slice(1).map((p, i) => need(way[i]!, p));
  const asideMm = isBelow ? 0 : need(weir, first);
  const aboveMm = weir.z - asideMm;
  const highestMm = Math.min(underMm, aboveMm - RESERVE_MM);
  const spareMm = highestMm - end.atMm.z - needs.reduce((sum, n) => sum + n, 0);
  const turn = isBelow ? [] : [roundTenth(vec(first.x, first.y, aboveMm))];
  const course = { way, needs, lengths };
  const usedMm = spareMm * share;
  const under = isHigh ? layHigh(task, course, { highestMm, spareMm: usedMm, bandMm }) : layLow(task, course, usedMm);
  return { bendsMm: [...turn, ...under], shortMm: -spareMm };
}

type Course = {
  readonly way: readonly Vec3[];
  readonly needs: readonly number[];
  readonly lengths: readonly number[];
};

// From the inlet upward each leg gets the fall it needs; what height is left over is shared out by length, up to a measure.
function layLow({ end }: Task, { way, needs, lengths }: Course, spareMm: number): Vec3[] {
  const wholeMm = lengths.reduce((sum, l) => sum + l, 0);
  const extra = Math.min(MOST_EXTRA_FALL, Math.max(0, spareMm) / Math.max(1, wholeMm));
  const heights = new Array<number>(way.length).fill(end.atMm.z);
  for (let i = way.length - 2; i >= 0; i--) heights[i] = heights[i + 1]! + needs[i]! + extra * lengths[i]!;
  return way.slice(0, -1).map((p, i) => roundTenth(vec(p.x, p.y, heights[i]!)));
}

type Height = { readonly highestMm: number; readonly spareMm: number; readonly bandMm: number };

// From the floor downward each leg gets what it needs, and more as far as the way is free; before the inlet the rest goes in a drop.
function layHigh({ end }: Task, { way, needs, lengths }: Course, { highestMm, spareMm, bandMm }: Height): Vec3[] {
  let z = highestMm;
  const [askedMm, wholeMm] = [needs, lengths].map((list) => list.slice(0, -1).reduce((sum, l) => sum + l, 0)) as [
    number,
    number,
  ];
  const roomMm = Math.max(0, Math.min(spareMm, bandMm - askedMm));
  const extra = Math.min(MOST_EXTRA_FALL, roomMm / Math.max(1, wholeMm));
  const run = way.slice(0, -1).map((p, i) => {
    const at = roundTenth(vec(p.x, p.y, z));
    z -= needs[i]! + extra * lengths[i]!;
    return at;
  });
  const before = run.at(-1)!;
  const isOnTop = end.kind === "inlet" && findFacing(end.tank, end.port) === null;
  // into the top it drops right over the inlet, else one straight leg before it
  const foot = isOnTop ? vec(end.atMm.x, end.atMm.y, z) : vec(before.x, before.y, end.atMm.z + needs.at(-1)!);
  return [...run, roundTenth(foot)];
}

function placeWeir(fixture: Fixture, trap: Trap | null, toward: Vec3): Vec3 {
  const { outletMm } = fixture;
  if (!trap) return outletMm;
  const way = subtract(toward, outletMm);
  const reach = measurePlanLength(way);
  const share = reach > 0 ? Math.min(trap.spanMm, reach) / reach : 0;
  return add(outletMm, vec(way.x * share, way.y * share, -trap.dropMm));
}

// Height, mm on the rig, a straight leg needs so that it has its least fall level and runs at every standing.
function buildNeed(design: Design, drain: Drain): (from: Vec3, to: Vec3) => number {
  const boreMm = toCodeBoreMm(drain.pipe);
  const vented = findBranchVent(drain) !== null;
  const conditions = [
    { up: computeUp(LEVEL), least: lookUpLimit(design.rules, "minFall", { boreMm, vented }).value ?? 0 },
    ...listParkedStandings(design.rig).map(({ up }) => ({
      up,
      least: lookUpValue(design.rules, "parkedFall", { boreMm }),
    })),
  ];
  return (from, to) => {
    const along = subtract(from, to);
    const lengthMm = measurePlanLength(along);
    const asked = conditions.map(
      ({ up, least }) => ((lengthMm * least) / MM_PER_M - up.x * along.x - up.y * along.y) / up.z,
    );
    return Math.max(0, ...asked) + RESERVE_MM + computeLayToleranceMm(design.rules, lengthMm);
  };
}
