import type { Design } from "../design/design";
import type { GearOf } from "../design/gear";
import { listHoseCourse } from "../fit/lineLegs";
import { measureLength, subtract } from "../geometry/vec";
import { MM3_PER_L } from "../quantity/convert";
import { listOutHoses, listOutWays, solveLift } from "./lift";

export type Sump = GearOf<"sump">;

/** A sump box in use. */
export type SumpFigures = {
  readonly sumpId: string;
  /** Water between float on and float off, L. */
  readonly bandL: number;
  /** What runs back out of the hose when the pump stops, L. */
  readonly drainBackL: number;
  /** How high the pump must lift the last of it, from float off to the highest point of its hoses, mm. */
  readonly liftMm: number;
  /** What the pump sends at that lift, L/min; 0 where it cannot, null without a pump. */
  readonly pumpLpm: number | null;
  /** With all its taps, L/min: starts an hour, and minutes until it runs over without power, from as full as it ever stands. */
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
  const drainBackL = measureDrainBack(design, sump.id);
  const startZ = sump.atMm.z + Math.min(onMm, offMm);
  const topZ = Math.max(startZ, ...hoses.flatMap((hose) => listHoseCourse(design, hose).map(({ z }) => z)));
  const liftMm = topZ - startZ;
  const inflowLpm = Math.max(LEAST_INFLOW_LPM, sumTaps(design, sump.id) * 60);
  const pumpLpm = solveLift(design, hoses, liftMm);
  return {
    sumpId: sump.id,
    bandL,
    drainBackL,
    liftMm,
    pumpLpm,
    inflowLpm,
    cyclesPerHour: countCycles(bandL, drainBackL, inflowLpm, pumpLpm),
    overflowMin: litres > 0 ? Math.max(0, litres - (Math.max(onMm, offMm) * areaCm2) / 10_000) / inflowLpm : null,
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

// When the pump stops, all that stands before the highest point of its way runs back, up to the first non-return.
function measureDrainBack(design: Design, sumpId: string): number {
  const litresOf = new Map<string, number>();
  for (const way of listOutWays(design, sumpId)) {
    const points = way.flatMap(({ course }) => course);
    const topZ = Math.max(...points.map(({ z }) => z));
    for (const { hose, course } of way) {
      const top = course.findIndex(({ z }) => z >= topZ);
      const before = top < 0 ? course : course.slice(0, top + 1);
      const lengthMm = before.slice(1).reduce((sum, p, i) => sum + measureLength(subtract(p, before[i]!)), 0);
      const litres = ((Math.PI / 4) * hose.pipe.innerMm ** 2 * lengthMm) / MM3_PER_L;
      litresOf.set(hose.id, Math.max(litresOf.get(hose.id) ?? 0, litres));
      if (top >= 0) break;
    }
  }
  return [...litresOf.values()].reduce((sum, litres) => sum + litres, 0);
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
