import type { Design } from "../design/design";
import type { GearOf } from "../design/gear";
import type { Drain, Fixture } from "../design/plumbing";
import { releaseOf } from "../falls/network";
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
  /** The bowl that fills it most when it is let go; null where none with a plug drains into it. */
  readonly surge: SumpSurge | null;
};

/** A full bowl let go into a sump whose float is about to switch on. */
export type SumpSurge = {
  readonly fixtureId: string;
  readonly bowlL: number;
  readonly flowLps: number;
  /** What the pump does not take meanwhile, L, and the room over its float, L: what is more than that runs over. */
  readonly risesL: number;
  readonly roomL: number;
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
  const inflows = listInflows(design, sump.id);
  const tapsLps = inflows.reduce((sum, { fixture }) => sum + fixture.inflowLps, 0);
  const inflowLpm = Math.max(LEAST_INFLOW_LPM, tapsLps * 60);
  const roomL = Math.max(0, litres - (Math.max(onMm, offMm) * areaCm2) / 10_000);
  const pumpLpm = solveLift(design, hoses, liftMm);
  return {
    sumpId: sump.id,
    bandL,
    drainBackL,
    liftMm,
    pumpLpm,
    inflowLpm,
    cyclesPerHour: countCycles(bandL, drainBackL, inflowLpm, pumpLpm),
    overflowMin: litres > 0 ? roomL / inflowLpm : null,
    surge: findSurge(inflows, (pumpLpm ?? 0) / 60, roomL),
  };
}

type Inflow = { readonly fixture: Fixture; readonly drain: Drain };

function findSurge(inflows: readonly Inflow[], pumpLps: number, roomL: number): SumpSurge | null {
  return inflows.reduce<SumpSurge | null>((worst, { fixture, drain }) => {
    if (!fixture.hasPlug) return worst;
    const { id: fixtureId, volumePerUseL: bowlL, runsAlone } = fixture;
    const others = inflows.filter((one) => one.fixture !== fixture && !one.fixture.runsAlone && !runsAlone);
    const besideLps = others.reduce((sum, one) => sum + one.fixture.inflowLps, 0);
    const flowLps = releaseOf(drain, fixture);
    const risesL = computeSurgeL(bowlL, flowLps, pumpLps - besideLps);
    return worst && worst.risesL >= risesL ? worst : { fixtureId, bowlL, flowLps, risesL, roomL };
  }, null);
}

/**
 * What a bowl let go leaves in a sump beyond what its pump takes, L: its flow falls evenly from q to nothing in 2 V/q, and what comes
 * faster than the pump sends stays: V (1 − p/q)². Bowl V > 0 L, flow q > 0 L/s, pump less what runs in beside it, p, L/s. Source:
 * Torricelli on an upright bowl, a balance [C]. Example: 8 L at 0.8 L/s against 0.45 L/s → 1.53 L.
 */
export const computeSurgeL = (bowlL: number, flowLps: number, pumpLps: number): number =>
  pumpLps >= flowLps ? 0 : bowlL * (1 - Math.max(0, pumpLps) / flowLps) ** 2;

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

// The fixtures that drain into it, also through a drain that joins one.
function listInflows({ lines, fixtures }: Design, sumpId: string): Inflow[] {
  const endsThere = (lineId: string, left = lines.length): boolean => {
    const line = lines.find(({ id }) => id === lineId);
    if (line?.kind !== "drain" || left < 0) return false;
    if (line.to.kind === "junction") return endsThere(line.to.lineId, left - 1);
    return line.to.kind === "sump" && line.to.gearId === sumpId;
  };
  return lines.flatMap((drain): Inflow[] => {
    if (drain.kind !== "drain" || !endsThere(drain.id)) return [];
    const fixture = fixtures.find(({ id }) => id === drain.fromFixture);
    return fixture ? [{ fixture, drain }] : [];
  });
}
