import type { Design } from "../design/design";
import type { Drain, DumpLine, Pipe } from "../design/plumbing";
import { buildDrainPath, type Leg } from "../falls/drainPath";
import { TAKE_OFF } from "../falls/fittingRoom";
import { buildNetwork } from "../falls/network";
import { listLineLegs } from "../fit/lineLegs";
import { subtract } from "../geometry/vec";
import { isHose } from "../parts/pipes";
import { findNearestBend, measureTurnDeg } from "../parts/turns";
import { radToDeg } from "../quantity/convert";

/** One straight piece to cut: as drawn from middle to middle, and what is sawn of it. */
export type Cut = {
  readonly mark: string;
  readonly lineId: string;
  readonly leg: number;
  readonly pipe: Pipe;
  readonly centreMm: number;
  readonly cutMm: number;
  /** What it goes into at either end; null for hose, which bends by itself. */
  readonly ends: readonly [CutEnd, CutEnd] | null;
};

/**
 * One end of a piece, sawn square wherever a fitting takes it: the bend it goes into and what of the drawn angle is left over, which
 * the two joints must take up by half each; or what else is there.
 */
export type CutEnd =
  | { readonly kind: "bend"; readonly bendDeg: number; readonly leftDeg: number }
  /** Nearly straight on: a socket, turned a little. */
  | { readonly kind: "straight"; readonly leftDeg: number }
  | { readonly kind: "trap" | "tank" | "branch" | "hose" }
  /** It ends in the open: sawn square, or at this angle against the pipe so that it lies level, degrees. */
  | { readonly kind: "open"; readonly sawDeg: number };

/** Below this two legs are one line with a socket between, degrees [T]. */
const STRAIGHT_DEG = 4;

/** Pipe goes into a socket by so much, as a share of its outside, 25 mm at least [T]. */
const INSERTION = 0.8;
const LEAST_INSERTION_MM = 25;
/** Hose is cut to its run, with so much to spare [T]. */
const HOSE_SPARE_MM = 30;

/**
 * Every piece of pipe, numbered as it stands on the drawing: middle to middle less what the fittings take, and with what
 * goes into their sockets. Hose runs through its bends and is one piece. Source: geometry [C on T]. Never below 0.
 */
export function listCuts(design: Design): Cut[] {
  const network = buildNetwork(design);
  const drains = [...network.drains.values()].flatMap((drain) => {
    const { ownLegs } = buildDrainPath(design, drain, network);
    return ownLegs.map((leg, i) => ({ lineId: drain.id, leg, ends: findEnds(drain, ownLegs, i) }));
  });
  // rigid dump lines are cut leg by leg, like drains; of hose they are one piece
  const dumpLines = design.lines.flatMap((line) => {
    if (line.kind !== "dumpLine" || isHose(line.pipe)) return [];
    const legs = listLineLegs(design, line);
    return legs.map((leg, i) => ({ lineId: line.id, leg, ends: findDumpEnds(line, legs, i) }));
  });
  const rigid = [...drains, ...dumpLines]
    .filter(({ leg }) => leg.lengthMm > 0)
    .map(({ lineId, leg, ends }) => {
      const { outerMm } = leg.pipe;
      const socket = Math.max(LEAST_INSERTION_MM, INSERTION * outerMm);
      const cutMm = Math.max(0, leg.lengthMm - 2 * TAKE_OFF * outerMm + 2 * socket);
      const own = isHose(leg.pipe) ? null : ends;
      return { lineId, leg: leg.index, pipe: leg.pipe, centreMm: leg.lengthMm, cutMm, ends: own };
    });
  const soft = design.lines.flatMap((line) => {
    if (line.kind === "dumpLine" && !isHose(line.pipe)) return [];
    const legs = listLineLegs(design, line);
    const lengthMm = legs.reduce((sum, leg) => sum + leg.lengthMm, 0);
    return lengthMm > 0
      ? [{ lineId: line.id, leg: 0, pipe: line.pipe, centreMm: lengthMm, cutMm: lengthMm + HOSE_SPARE_MM, ends: null }]
      : [];
  });
  return [...rigid, ...soft].map((cut, i) => ({ mark: `P${i + 1}`, ...cut }));
}

function findEnds(drain: Drain, legs: readonly Leg[], i: number): readonly [CutEnd, CutEnd] {
  const [before, leg, after] = [legs[i - 1], legs[i]!, legs[i + 1]];
  const first: CutEnd = before ? findTurn(before, leg) : { kind: "trap" };
  return [first, after ? findTurn(leg, after) : findLast(drain, leg)];
}

// At the end the cap or the coupling goes on, over pipe that is sawn square, or it goes into the branch of the other one.
function findDumpEnds({ to }: DumpLine, legs: readonly Leg[], i: number): readonly [CutEnd, CutEnd] {
  const [before, leg, after] = [legs[i - 1], legs[i]!, legs[i + 1]];
  return [
    before ? findTurn(before, leg) : { kind: "tank" },
    after ? findTurn(leg, after) : to.kind === "wye" ? { kind: "branch" } : { kind: "open", sawDeg: 90 },
  ];
}

function findTurn(a: Leg, b: Leg): CutEnd {
  // hose is pushed on, and bends by itself
  if (isHose(a.pipe) !== isHose(b.pipe)) return { kind: "hose" };
  const turned = measureTurnDeg(subtract(a.to, a.from), subtract(b.to, b.from)) ?? 0;
  if (turned < STRAIGHT_DEG) return { kind: "straight", leftDeg: turned };
  const bendDeg = findNearestBend(turned);
  return { kind: "bend", bendDeg, leftDeg: turned - bendDeg };
}

function findLast({ to }: Drain, leg: Leg): CutEnd {
  switch (to.kind) {
    case "junction":
      return { kind: "branch" };
    case "inlet":
    case "sump":
    case "overboard":
      return { kind: "tank" };
    case "ground":
    case "vessel": {
      const along = subtract(leg.to, leg.from);
      const flat = Math.hypot(along.x, along.y);
      // a pipe that comes down steeply is sawn level, one that lies is sawn square
      const steepDeg = radToDeg(Math.atan2(Math.abs(along.z), flat));
      return { kind: "open", sawDeg: steepDeg > 45 ? steepDeg : 90 };
    }
  }
}

export type Bar = { readonly cuts: readonly Cut[]; readonly restMm: number };
export type BarPlan = {
  readonly pipe: Pipe;
  readonly stockMm: number;
  readonly bars: readonly Bar[];
  readonly tooLong: readonly Cut[];
};

/** A saw takes this much with it, mm [T]. */
const KERF_MM = 3;

/**
 * From which bar each piece is sawn: the longest first into the first bar that still has room. Pieces longer than the stock
 * are named. Stock > 0 mm. Never fewer bars than the sum over the stock asks for [C; first fit is within 22 % of the least,
 * P: Johnson 1973, from memory].
 */
export function planBars(cuts: readonly Cut[], stockMm: number): BarPlan[] {
  const kinds = new Map<string, Cut[]>();
  for (const cut of cuts) {
    // hose comes off a roll, by the metre
    if (isHose(cut.pipe)) continue;
    const key = `${cut.pipe.innerMm}/${cut.pipe.outerMm}/${cut.pipe.manningN}`;
    kinds.set(key, [...(kinds.get(key) ?? []), cut]);
  }
  return [...kinds.values()].map((own) => {
    const sorted = [...own].sort((a, b) => b.cutMm - a.cutMm);
    const bars: { cuts: Cut[]; restMm: number }[] = [];
    const tooLong: Cut[] = [];
    for (const cut of sorted) {
      if (cut.cutMm > stockMm) {
        tooLong.push(cut);
        continue;
      }
      const bar = bars.find(({ restMm }) => restMm >= cut.cutMm + KERF_MM);
      if (bar) {
        bar.cuts.push(cut);
        bar.restMm -= cut.cutMm + KERF_MM;
      } else bars.push({ cuts: [cut], restMm: stockMm - cut.cutMm });
    }
    return { pipe: own[0]!.pipe, stockMm, bars, tooLong };
  });
}
