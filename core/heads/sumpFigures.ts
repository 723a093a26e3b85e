import { GRAVITY, WATER_DENSITY } from "../air/dumping";
import type { Design } from "../design/design";
import type { GearOf, HoseEnd } from "../design/gear";
import type { Hose } from "../design/plumbing";
import { listHoseCourse } from "../fit/lineLegs";
import { computeHoseLossPa } from "../gear/hoseLoss";
import { computePumpPa } from "../gear/linkLoss";
import { measureHoseRun } from "./hoseRun";

export type Sump = GearOf<"sump">;

/** A sump box in use. */
export type SumpFigures = {
  readonly sumpId: string;
  /** Water between float on and float off, L. */
  readonly bandL: number;
  /** What runs back out of the hose when the pump stops, L. */
  readonly drainBackL: number;
  /** How high the pump must lift it, from float on to the highest point of its hoses, mm. */
  readonly liftMm: number;
  /** What the pump sends at that lift, L/min; 0 where it cannot, null without a pump. */
  readonly pumpLpm: number | null;
  /** With the tap that runs longest, L/min: starts an hour, and minutes until it runs over without power. */
  readonly inflowLpm: number;
  readonly cyclesPerHour: number | null;
  readonly overflowMin: number | null;
};

/** Washing up, tap running, L/min [T]: what a sump must keep up with where nothing larger drains into it. */
const LEAST_INFLOW_LPM = 6;

/** Every sump of a design. Source: a balance, the pump's curve at its lift, hose friction [C on T]. */
export const listSumps = (design: Design): SumpFigures[] =>
  design.gear.flatMap((piece) => (piece.spec.kind === "sump" ? [measureSump(design, piece as Sump)] : []));

function measureSump(design: Design, sump: Sump): SumpFigures {
  const { litres, onMm, offMm, areaCm2 } = sump.spec;
  const hoses = listOutHoses(design, sump.id);
  const bandL = Math.max(0, ((onMm - offMm) * areaCm2) / 10_000);
  const drainBackL = measureDrainBack(design, hoses);
  const startZ = sump.atMm.z + onMm;
  const topZ = Math.max(startZ, ...hoses.flatMap((hose) => listHoseCourse(design, hose).map(({ z }) => z)));
  const liftMm = topZ - startZ;
  const inflowLpm = Math.max(LEAST_INFLOW_LPM, sumTaps(design, sump.id) * 60);
  const pumpLpm = solvePump(design, hoses, liftMm);
  return {
    sumpId: sump.id,
    bandL,
    drainBackL,
    liftMm,
    pumpLpm,
    inflowLpm,
    cyclesPerHour: countCycles(bandL, drainBackL, inflowLpm, pumpLpm),
    overflowMin: litres > 0 ? Math.max(0, litres - (offMm * areaCm2) / 10_000) / inflowLpm : null,
  };
}

/**
 * Starts an hour of a float pump: it fills band less what runs back at the inflow, empties it at pump less inflow [C].
 * Volumes L ≥ 0, flows L/min > 0; null where the pump never gets it down.
 */
export function countCycles(
  bandL: number,
  drainBackL: number,
  inflowLpm: number,
  pumpLpm: number | null,
): number | null {
  if (pumpLpm === null || pumpLpm <= inflowLpm || bandL <= 0) return null;
  const fillMin = Math.max(0, bandL - drainBackL) / inflowLpm;
  const emptyMin = bandL / (pumpLpm - inflowLpm);
  return 60 / Math.max(1e-6, fillMin + emptyMin);
}

const touches = (end: HoseEnd, id: string): boolean => end.kind === "gear" && end.gearId === id;

// The hoses from the sump on, up to a tank, a skin fitting or an open end.
function listOutHoses(design: Design, sumpId: string): Hose[] {
  const hoses = design.lines.filter((line): line is Hose => line.kind === "hose");
  const found: Hose[] = [];
  const open = [sumpId];
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

// Up to the first non-return on the way everything below the highest point comes back.
function measureDrainBack(design: Design, hoses: readonly Hose[]): number {
  let volumeL = 0;
  for (const hose of hoses) {
    const run = measureHoseRun(design, hose);
    volumeL +=
      run.riseMm > 0 && run.lengthMm > 0
        ? run.volumeL * Math.min(1, run.riseMm / Math.max(1, run.riseMm + run.dropMm))
        : 0;
    const isHeld = [hose.from, hose.to].some(
      (end) => end.kind === "gear" && design.gear.find(({ id }) => id === end.gearId)?.spec.kind === "nonReturn",
    );
    if (isHeld) break;
  }
  return volumeL;
}

// The flow at which the pump gives what lift and hoses take, L/min, by halving; both sides are monotone.
function solvePump(design: Design, hoses: readonly Hose[], liftMm: number): number | null {
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
  const spare = (lpm: number) =>
    computePumpPa(spec, lpm / 60_000) -
    liftPa -
    pipes.reduce((sum, pipe) => sum + computeHoseLossPa(lpm / 60_000, pipe), 0);
  if (spare(0) <= 0) return 0;
  let [low, high] = [0, spec.freeLpm];
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (spare(middle) > 0) low = middle;
    else high = middle;
  }
  return low;
}

// Taps of the fixtures that drain into it, L/s.
function sumTaps({ lines, fixtures }: Design, sumpId: string): number {
  // also what comes through a drain that joins one
  const endsThere = (lineId: string, left = lines.length): boolean => {
    const line = lines.find(({ id }) => id === lineId);
    if (line?.kind !== "drain" || left < 0) return false;
    if (line.to.kind === "junction") return endsThere(line.to.lineId, left - 1);
    return line.to.kind === "sump" && line.to.gearId === sumpId;
  };
  return lines.reduce((sum, line) => {
    if (line.kind !== "drain" || !endsThere(line.id)) return sum;
    return sum + (fixtures.find(({ id }) => id === line.fromFixture)?.inflowLps ?? 0);
  }, 0);
}
