import { GRAVITY, WATER_DENSITY } from "../air/dumping";
import type { Design } from "../design/design";
import type { HoseEnd } from "../design/gear";
import type { Hose } from "../design/plumbing";
import { listHoseCourse } from "../fit/lineLegs";
import { computeHoseLossPa } from "../gear/hoseLoss";
import { computeGearLossPa, computePumpPa } from "../gear/linkLoss";
import type { Vec3 } from "../geometry/vec";
import { measureHoseRun } from "./hoseRun";

const touches = (end: HoseEnd, id: string): boolean => end.kind === "gear" && end.gearId === id;

/** The hoses from a piece of gear on, up to a tank, a skin fitting or an open end. */
export function listOutHoses(design: Design, gearId: string): Hose[] {
  const hoses = design.lines.filter((line): line is Hose => line.kind === "hose");
  const found: Hose[] = [];
  const open = [gearId];
  const seen = new Set(open);
  for (let id = open.shift(); id !== undefined; id = open.shift()) {
    for (const hose of hoses) {
      if (found.includes(hose) || !(touches(hose.from, id) || touches(hose.to, id))) continue;
      found.push(hose);
      const next = touches(hose.from, id) ? hose.to : hose.from;
      if (next.kind === "gear" && !seen.has(next.gearId)) {
        seen.add(next.gearId);
        open.push(next.gearId);
      }
    }
  }
  return found;
}

/** A hose on a way out, with its points in the order the water takes, whichever end it was drawn from. */
export type OutHose = { readonly hose: Hose; readonly course: readonly Vec3[] };

/** Ways that are told apart at the most; more than that no heads have. */
const MOST_WAYS = 64;

/**
 * The ways from a piece of gear out, hose by hose, each up to a tank, an end, or the first non-return, behind which what
 * was sent stays [C].
 */
export function listOutWays(design: Design, gearId: string): OutHose[][] {
  const hoses = design.lines.filter((line): line is Hose => line.kind === "hose");
  const isHeldAt = (id: string) => design.gear.find((piece) => piece.id === id)?.spec.kind === "nonReturn";
  const ways: OutHose[][] = [];
  const follow = (id: string, way: readonly OutHose[], seen: ReadonlySet<string>): void => {
    const next = hoses.flatMap((hose) => {
      const isForward = touches(hose.from, id);
      const end = isForward ? hose.to : hose.from;
      if (!(isForward || touches(hose.to, id)) || (end.kind === "gear" && seen.has(end.gearId))) return [];
      const course = listHoseCourse(design, hose);
      return [{ end, step: { hose, course: isForward ? course : course.toReversed() } }];
    });
    if (next.length === 0 && way.length > 0) ways.push([...way]);
    for (const { end, step } of next) {
      if (ways.length >= MOST_WAYS) return;
      if (end.kind === "tank" || isHeldAt(end.gearId)) ways.push([...way, step]);
      else follow(end.gearId, [...way, step], new Set([...seen, end.gearId]));
    }
  };
  follow(gearId, [], new Set([gearId]));
  return ways;
}

/**
 * What the pump on these hoses sends at a lift, mm, L/min: its curve against the lift and what the hoses and the pieces in them take,
 * all of them one after the other, by halving; 0 where it cannot lift so high, null without a pump. Source: Darcy and Weisbach [C].
 */
export function solveLift(design: Design, hoses: readonly Hose[], liftMm: number): number | null {
  const ids = new Set(
    hoses.flatMap(({ from, to }) => [from, to]).flatMap((end) => (end.kind === "gear" ? [end.gearId] : [])),
  );
  const spec = design.gear.find(({ id, spec: { kind } }) => ids.has(id) && kind === "pump")?.spec;
  if (spec?.kind !== "pump") return null;
  const liftPa = (WATER_DENSITY * GRAVITY * liftMm) / 1000;
  const pipes = hoses.map((hose) => ({
    boreMm: hose.pipe.innerMm,
    lengthMm: measureHoseRun(design, hose).lengthMm,
    lossK: 1.5,
  }));
  const pieces = design.gear.flatMap((piece) => (ids.has(piece.id) && "dropKPa" in piece.spec ? [piece.spec] : []));
  const crackPa = pieces.reduce((sum, one) => sum + (one.kind === "nonReturn" ? one.crackKPa * 1000 : 0), 0);
  const spare = (lpm: number) => {
    const flow = lpm / 60_000;
    const inHoses = pipes.reduce((sum, pipe) => sum + computeHoseLossPa(flow, pipe), 0);
    const inPieces = pieces.reduce((sum, one) => sum + computeGearLossPa(one, flow), 0);
    return computePumpPa(spec, flow) - liftPa - crackPa - inHoses - inPieces;
  };
  if (spare(0) <= 0) return 0;
  let [low, high] = [0, spec.freeLpm];
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (spare(middle) > 0) low = middle;
    else high = middle;
  }
  return low;
}
