import { computeAirPressurePa } from "../air/airPressure";
import { computeDumping } from "../air/dumping";
import { computeUp } from "../attitude/attitude";
import { computeManningFlow } from "../falls/manning";
import { computeFloorHole } from "../fit/holeSize";
import { computeHoursToFreezing } from "../frost/freezing";
import { computeAccumulatorDrawL } from "../gear/accumulator";
import { computeHoseLossPa } from "../gear/hoseLoss";
import { computeBuildUp, computeUvDose } from "../gear/waterQuality";
import { degToRad, MM3_PER_L, radToDeg } from "../quantity/convert";
import type { Standing } from "../rules/packs";
import { computeFloodLps, computeFreeSurfaceMm } from "../through/openHole";
import { computeSealAfterMm } from "../traps/sealPressure";
import { computeDrivingLossMm, computeDryWeeks } from "../traps/sealRisks";
import { computeBoreFallMm } from "../traps/trapArm";
import { computeSealAfterSiphonMm, computeSealUnderMm } from "../traps/trapRisks";
import { computeWallForceKN, computeWarmthKPa } from "../trials/airTrial";
import type { Quantity } from "../workings/working";

/** What is put into a sum: its name, what kind of number it is, from where to where it is meant, and a usual value. */
export type SumTerm = {
  readonly name: string;
  readonly quantity: Quantity;
  readonly least: number;
  readonly most: number;
  readonly usual: number;
};

export type SumValues = Readonly<Record<string, number>>;

/** One formula of the trade, by itself: terms in the unit their quantity is kept in, one result, a worked example. */
export type Sum = {
  readonly id: SumId;
  readonly terms: readonly SumTerm[];
  readonly result: { readonly name: string; readonly quantity: Quantity };
  readonly standing: Standing;
  /** The result; null where the values have none, as a pipe that does not fall. */
  readonly compute: (values: SumValues) => number | null;
  /** Worked by hand or read from a table; `within` is how near the sum must come. */
  readonly example: { readonly values: SumValues; readonly result: number; readonly within: number };
};

export const SUM_IDS = [
  "partFullFlow",
  "partFullVelocity",
  "fallBetween",
  "slopedHole",
  "boxVolume",
  "pipeVolume",
  "waterWeight",
  "openOutlet",
  "runningEmpty",
  "breather",
  "dumpSuction",
  "sealSuction",
  "sealPush",
  "sealDriving",
  "sealSiphon",
  "sealDrying",
  "trapArm",
  "breakover",
  "rampEnd",
  "wheelRamp",
  "storeDays",
  "freezing",
  "boltPull",
  "hoseLoss",
  "accumulator",
  "buildUp",
  "uvDose",
  "flood",
  "freeSurface",
  "airWarmth",
  "wallForce",
] as const;
export type SumId = (typeof SUM_IDS)[number];

const t = (name: string, quantity: Quantity, least: number, most: number, usual: number): SumTerm => ({
  name,
  quantity,
  least,
  most,
  usual,
});
const bore = (usual: number, name = "D") => t(name, "length", 4, 300, usual);
const of = (values: SumValues, name: string): number => values[name]!;

const GRAVITY = 9.80665;

type Body = Omit<Sum, "id">;

const BODIES: Readonly<Record<SumId, Body>> = {
  partFullFlow: {
    terms: [
      bore(36.4),
      t("S", "slope", 0.1, 2_000, 20),
      t("n", "roughness", 0.005, 0.05, 0.009),
      t("yD", "ratio", 0.01, 1, 0.5),
    ],
    result: { name: "Q", quantity: "flow" },
    standing: "P",
    compute: (v) => computeManningFlow(of(v, "D") / 1000, of(v, "yD"), of(v, "S") / 1000, of(v, "n")).flowM3PerS * 1000,
    // half full carries half of full: full 40 mm at 2 %, n 0.009: A 1.2566e-3, R 0.01 → 0.9166 L/s
    example: { values: { D: 40, S: 20, n: 0.009, yD: 0.5 }, result: 0.4583, within: 5e-4 },
  },
  partFullVelocity: {
    terms: [
      bore(36.4),
      t("S", "slope", 0.1, 2_000, 20),
      t("n", "roughness", 0.005, 0.05, 0.009),
      t("yD", "ratio", 0.01, 1, 0.5),
    ],
    result: { name: "v", quantity: "velocity" },
    standing: "P",
    compute: (v) => computeManningFlow(of(v, "D") / 1000, of(v, "yD"), of(v, "S") / 1000, of(v, "n")).velocityMps,
    example: { values: { D: 40, S: 20, n: 0.009, yD: 0.5 }, result: 0.7294, within: 5e-4 },
  },
  fallBetween: {
    terms: [
      t("dx", "length", -20_000, 20_000, 1_000),
      t("dy", "length", -20_000, 20_000, 0),
      t("dz", "length", -5_000, 5_000, 40),
      t("p", "angle", -20, 20, 2),
      t("r", "angle", -20, 20, 0),
    ],
    result: { name: "f", quantity: "length" },
    standing: "C",
    compute: (v) => {
      const up = computeUp({ pitchDeg: of(v, "p"), rollDeg: of(v, "r") });
      return up.x * of(v, "dx") + up.y * of(v, "dy") + up.z * of(v, "dz");
    },
    example: { values: { dx: 1_000, dy: 0, dz: 40, p: 2, r: 0 }, result: 5.076, within: 1e-3 },
  },
  slopedHole: {
    terms: [
      t("d", "length", 5, 200, 40),
      t("t", "length", 0, 500, 40),
      t("θ", "angle", 1, 90, 45),
      t("c", "length", 0, 50, 2),
    ],
    result: { name: "l", quantity: "length" },
    standing: "C",
    compute: (v) => computeFloorHole(of(v, "d"), degToRad(of(v, "θ")), of(v, "t"), of(v, "c")).lengthMm,
    example: { values: { d: 40, t: 40, θ: 45, c: 0 }, result: 96.569, within: 1e-3 },
  },
  boxVolume: {
    terms: [t("L", "length", 20, 10_000, 800), t("W", "length", 20, 4_000, 400), t("h", "length", 0, 3_000, 200)],
    result: { name: "V", quantity: "volume" },
    standing: "C",
    compute: (v) => (of(v, "L") * of(v, "W") * of(v, "h")) / MM3_PER_L,
    example: { values: { L: 800, W: 400, h: 200 }, result: 64, within: 1e-9 },
  },
  pipeVolume: {
    terms: [bore(38), t("L", "length", 1, 50_000, 1_000)],
    result: { name: "V", quantity: "volume" },
    standing: "C",
    compute: (v) => ((Math.PI / 4) * of(v, "D") ** 2 * of(v, "L")) / MM3_PER_L,
    example: { values: { D: 38, L: 1_000 }, result: 1.134, within: 1e-3 },
  },
  waterWeight: {
    terms: [t("V", "volume", 0, 5_000, 64)],
    result: { name: "m", quantity: "weight" },
    standing: "C",
    compute: (v) => of(v, "V") * 0.9982,
    example: { values: { V: 100 }, result: 99.82, within: 1e-9 },
  },
  openOutlet: {
    terms: [t("h", "length", 0, 5_000, 200), bore(38), t("Cd", "losses", 0.4, 1, 0.6)],
    result: { name: "Q", quantity: "flow" },
    standing: "C",
    compute: (v) => computeFloodLps(of(v, "D"), of(v, "h"), of(v, "Cd")),
    example: { values: { h: 200, D: 38, Cd: 0.6 }, result: 1.3477, within: 5e-4 },
  },
  runningEmpty: {
    terms: [
      t("A", "area", 100, 1e8, 320_000),
      t("h", "length", 1, 5_000, 200),
      bore(38),
      t("Cd", "losses", 0.4, 1, 0.6),
    ],
    result: { name: "t", quantity: "seconds" },
    standing: "C",
    compute: (v) =>
      (of(v, "A") / ((Math.PI / 4) * of(v, "D") ** 2 * of(v, "Cd"))) * Math.sqrt((2 * of(v, "h")) / 1000 / GRAVITY),
    example: { values: { A: 500_000, h: 200, D: 38, Cd: 0.6 }, result: 148.4, within: 0.1 },
  },
  breather: {
    terms: [
      t("Q", "flow", 0, 10, 0.8),
      bore(19, "d"),
      t("L", "length", 0, 50_000, 2_000),
      t("K", "losses", 0, 50, 1.5),
    ],
    result: { name: "p", quantity: "pressure" },
    standing: "C",
    compute: (v) =>
      computeAirPressurePa(of(v, "Q") / 1000, {
        boreM: of(v, "d") / 1000,
        lengthM: of(v, "L") / 1000,
        lossK: of(v, "K"),
      }),
    example: { values: { Q: 0.8, d: 12.7, L: 2_000, K: 1.5 }, result: 177, within: 1 },
  },
  dumpSuction: {
    terms: [
      t("h", "length", 0, 5_000, 200),
      bore(38),
      bore(19, "d"),
      t("L", "length", 0, 50_000, 2_000),
      t("K", "losses", 0, 50, 1.5),
      t("Cd", "losses", 0.4, 1, 0.8),
    ],
    result: { name: "p", quantity: "pressure" },
    standing: "C",
    compute: (v) =>
      computeDumping(
        of(v, "h") / 1000,
        of(v, "D") / 1000,
        [{ boreM: of(v, "d") / 1000, lengthM: of(v, "L") / 1000, lossK: of(v, "K") }],
        of(v, "Cd"),
      ).suctionPa,
    example: { values: { h: 200, D: 38, d: 9.5, L: 2_000, K: 1.5, Cd: 0.6 }, result: 942, within: 1 },
  },
  sealSuction: {
    terms: [t("H", "length", 0, 200, 50), t("p", "pressure", 0, 5_000, 300)],
    result: { name: "H'", quantity: "length" },
    standing: "C",
    compute: (v) => computeSealAfterMm(of(v, "H"), of(v, "p")),
    // legs of equal width: p/ρg = 30.65 mm; half of it is lost and the rest comes back
    example: { values: { H: 50, p: 300 }, result: 34.68, within: 0.01 },
  },
  sealPush: {
    terms: [t("H", "length", 0, 200, 50), t("p", "pressure", 0, 5_000, 300)],
    result: { name: "H'", quantity: "length" },
    standing: "C",
    compute: (v) => computeSealUnderMm(of(v, "H"), of(v, "p")),
    example: { values: { H: 50, p: 300 }, result: 34.68, within: 0.01 },
  },
  sealDriving: {
    terms: [t("H", "length", 0, 200, 50), t("s", "length", 0, 1_000, 90), t("a", "ratio", 0, 2, 0.5)],
    result: { name: "H'", quantity: "length" },
    standing: "C",
    compute: (v) => Math.max(0, of(v, "H") - computeDrivingLossMm(of(v, "s"), of(v, "a"), of(v, "H"))),
    // the surface leans by s·a = 45 mm and half of that is spilt
    example: { values: { H: 50, s: 90, a: 0.5 }, result: 27.5, within: 0.01 },
  },
  sealSiphon: {
    terms: [t("H", "length", 0, 200, 50), t("f", "length", 0, 3_000, 60), bore(36)],
    result: { name: "H'", quantity: "length" },
    standing: "C",
    compute: (v) => computeSealAfterSiphonMm(of(v, "H"), of(v, "f"), of(v, "D")),
    example: { values: { H: 50, f: 60, D: 36 }, result: 38, within: 0.01 },
  },
  sealDrying: {
    terms: [t("H", "length", 0, 200, 50), t("e", "length", 0.01, 50, 2.5)],
    result: { name: "T", quantity: "weeks" },
    standing: "T",
    compute: (v) => computeDryWeeks(of(v, "H"), of(v, "e")),
    example: { values: { H: 50, e: 2.5 }, result: 20, within: 1e-9 },
  },
  trapArm: {
    terms: [bore(36.4), t("S", "slope", 0.1, 2_000, 20)],
    result: { name: "Lmax", quantity: "length" },
    standing: "P",
    compute: (v) => computeBoreFallMm(of(v, "D"), of(v, "S") / 1000),
    // 1½ in at 1/4 in/ft: 6 ft
    example: { values: { D: 38.1, S: 1000 / 48 }, result: 1_828.8, within: 0.1 },
  },
  breakover: {
    terms: [t("h", "length", 0, 2_000, 180), t("a", "length", 10, 10_000, 1_820), t("b", "length", 10, 10_000, 1_820)],
    result: { name: "α", quantity: "angle" },
    standing: "C",
    compute: (v) => radToDeg(Math.atan(of(v, "h") / of(v, "a")) + Math.atan(of(v, "h") / of(v, "b"))),
    example: { values: { h: 180, a: 1_820, b: 1_820 }, result: 11.296, within: 1e-3 },
  },
  rampEnd: {
    terms: [t("h", "length", 0, 2_000, 250), t("a", "length", 10, 10_000, 900)],
    result: { name: "α", quantity: "angle" },
    standing: "C",
    compute: (v) => radToDeg(Math.atan(of(v, "h") / of(v, "a"))),
    example: { values: { h: 250, a: 900 }, result: 15.524, within: 1e-3 },
  },
  wheelRamp: {
    terms: [t("B", "length", 100, 10_000, 3_640), t("p", "angle", 0, 20, 2)],
    result: { name: "h", quantity: "length" },
    standing: "C",
    compute: (v) => of(v, "B") * Math.sin(degToRad(of(v, "p"))),
    example: { values: { B: 3_640, p: 2 }, result: 127.03, within: 0.01 },
  },
  storeDays: {
    terms: [t("V", "volume", 0, 5_000, 57), t("q", "volumePerDay", 0.01, 1_000, 15)],
    result: { name: "T", quantity: "days" },
    standing: "C",
    compute: (v) => of(v, "V") / of(v, "q"),
    example: { values: { V: 57, q: 15 }, result: 3.8, within: 1e-9 },
  },
  freezing: {
    terms: [
      t("m", "weight", 0.05, 5_000, 50),
      t("UA", "heatLoss", 0.01, 500, 3),
      t("T0", "temperature", 0, 60, 10),
      t("Ta", "temperature", -40, -0.1, -10),
    ],
    result: { name: "t", quantity: "hours" },
    standing: "C",
    compute: (v) =>
      computeHoursToFreezing({ massKg: of(v, "m"), lossWPerK: of(v, "UA"), startC: of(v, "T0"), airC: of(v, "Ta") }),
    example: { values: { m: 50, UA: 3, T0: 10, Ta: -10 }, result: 13.43, within: 0.01 },
  },
  boltPull: {
    terms: [t("m", "weight", 1, 5_000, 80), t("g", "times", 0.1, 30, 3), t("n", "count", 1, 24, 4)],
    result: { name: "F", quantity: "force" },
    standing: "C",
    compute: (v) => (of(v, "m") * of(v, "g") * GRAVITY) / 1000 / of(v, "n"),
    example: { values: { m: 80, g: 3, n: 4 }, result: 0.5884, within: 1e-4 },
  },
  hoseLoss: {
    terms: [
      t("Q", "flow", 0, 10, 10 / 60),
      bore(12.7, "d"),
      t("L", "length", 0, 100_000, 3_000),
      t("K", "losses", 0, 100, 0),
    ],
    result: { name: "p", quantity: "waterPressure" },
    standing: "C",
    compute: (v) =>
      computeHoseLossPa(of(v, "Q") / 1000, { boreMm: of(v, "d"), lengthMm: of(v, "L"), lossK: of(v, "K") }) / 1000,
    example: { values: { Q: 10 / 60, d: 12.7, L: 3_000, K: 0 }, result: 5.57, within: 0.01 },
  },
  accumulator: {
    terms: [
      t("V", "volume", 0.05, 50, 1),
      t("p0", "waterPressure", 1, 800, 170),
      t("p1", "waterPressure", 1, 1_000, 180),
      t("p2", "waterPressure", 2, 1_500, 310),
    ],
    result: { name: "v", quantity: "volume" },
    standing: "C",
    compute: (v) => computeAccumulatorDrawL(of(v, "V"), of(v, "p0"), of(v, "p1"), of(v, "p2")),
    example: { values: { V: 1, p0: 170, p1: 180, p2: 310 }, result: 0.305, within: 5e-4 },
  },
  buildUp: {
    terms: [
      t("m", "grams", 0, 1_000, 2),
      t("V", "volume", 1, 500, 25),
      t("r", "ratio", 0, 1, 0.1),
      t("n", "count", 0, 1_000, 10),
    ],
    result: { name: "c", quantity: "concentration" },
    standing: "C",
    compute: (v) => computeBuildUp(of(v, "m"), of(v, "V"), of(v, "r"), of(v, "n")),
    example: { values: { m: 2, V: 25, r: 0.1, n: 10 }, result: 0.521, within: 5e-4 },
  },
  uvDose: {
    terms: [
      t("P", "power", 0.1, 500, 5),
      t("e", "ratio", 0.1, 1, 0.75),
      t("f", "ratio", 0, 0.9, 0.1),
      t("T", "ratio", 0.01, 1, 0.75),
      t("d", "length", 5, 200, 24),
      t("D", "length", 10, 500, 64),
      t("Q", "flow", 0.001, 10, 8 / 60),
    ],
    result: { name: "H", quantity: "dose" },
    standing: "C",
    compute: (v) =>
      of(v, "D") <= of(v, "d")
        ? null
        : computeUvDose(
            {
              uvcWatts: of(v, "P"),
              endOfLife: of(v, "e"),
              fouling: of(v, "f"),
              transmittance: of(v, "T"),
              sleeveMm: of(v, "d"),
              chamberMm: of(v, "D"),
            },
            of(v, "Q"),
          ).meanMjPerCm2,
    // 1 W, clear water, a gap of 10 mm, 0.1 L/s: 1 × 10 / 1e5 J/mm² = 10 mJ/cm²
    example: { values: { P: 1, e: 1, f: 0, T: 1, d: 20, D: 40, Q: 0.1 }, result: 10, within: 1e-9 },
  },
  flood: {
    terms: [bore(38), t("h", "length", 0, 5_000, 500), t("Cd", "losses", 0.4, 1, 0.8)],
    result: { name: "Q", quantity: "flow" },
    standing: "C",
    compute: (v) => computeFloodLps(of(v, "D"), of(v, "h"), of(v, "Cd")),
    example: { values: { D: 38, h: 500, Cd: 0.6 }, result: 128 / 60, within: 0.01 },
  },
  freeSurface: {
    terms: [t("L", "length", 20, 10_000, 800), t("b", "length", 20, 4_000, 400), t("m", "weight", 100, 1e6, 4_000)],
    result: { name: "GM", quantity: "length" },
    standing: "C",
    compute: (v) => computeFreeSurfaceMm(of(v, "L"), of(v, "b"), of(v, "m")),
    example: { values: { L: 800, b: 400, m: 4_000 }, result: 1.06, within: 0.01 },
  },
  airWarmth: {
    terms: [
      t("p", "waterPressure", 50, 500, 135.8),
      t("T", "temperature", -40, 60, 20),
      t("ΔT", "temperature", -40, 40, 1),
    ],
    result: { name: "Δp", quantity: "waterPressure" },
    standing: "C",
    compute: (v) => computeWarmthKPa(of(v, "p"), of(v, "T"), of(v, "ΔT")),
    example: { values: { p: 135.8, T: 20, ΔT: 1 }, result: 0.463, within: 5e-4 },
  },
  wallForce: {
    terms: [
      t("p", "waterPressure", 0, 500, 34.5),
      t("L", "length", 10, 10_000, 800),
      t("W", "length", 10, 10_000, 400),
    ],
    result: { name: "F", quantity: "force" },
    standing: "C",
    compute: (v) => computeWallForceKN(of(v, "p"), of(v, "L"), of(v, "W")),
    example: { values: { p: 34.5, L: 800, W: 400 }, result: 11.04, within: 1e-9 },
  },
};

/** Every sum, in the order of the list. */
export const SUMS: readonly Sum[] = SUM_IDS.map((id) => ({ id, ...BODIES[id] }));

export const findSum = (id: string): Sum | null => SUMS.find((sum) => sum.id === id) ?? null;

export type SumFault =
  | { readonly code: "missingTerm"; readonly name: string }
  | { readonly code: "unknownTerm"; readonly name: string }
  | { readonly code: "outOfRange"; readonly name: string; readonly least: number; readonly most: number }
  | { readonly code: "noResult" };

export type SumOutcome =
  | { readonly ok: true; readonly value: number }
  | { readonly ok: false; readonly fault: SumFault };

/** Works a sum out, or says which term is missing, unknown or out of its range. Never NaN. */
export function workOut(sum: Sum, values: SumValues): SumOutcome {
  const unknown = Object.keys(values).find((name) => !sum.terms.some((term) => term.name === name));
  if (unknown !== undefined) return { ok: false, fault: { code: "unknownTerm", name: unknown } };
  for (const { name, least, most } of sum.terms) {
    const value = values[name];
    if (value === undefined) return { ok: false, fault: { code: "missingTerm", name } };
    if (!(value >= least && value <= most)) return { ok: false, fault: { code: "outOfRange", name, least, most } };
  }
  const value = sum.compute(values);
  return value === null || !Number.isFinite(value) ? { ok: false, fault: { code: "noResult" } } : { ok: true, value };
}

const STEPS = 200;

/**
 * The value of one term that brings the result to `wanted`, the others kept; null where none within its range does. The
 * range is gone through in steps for a change of sign, then halved: of several answers the one nearest to the value that
 * is there [C].
 */
export function solveFor(sum: Sum, values: SumValues, name: string, wanted: number): number | null {
  const term = sum.terms.find((one) => one.name === name);
  if (!term) return null;
  const { least, most } = term;
  const off = (value: number): number | null => {
    const result = sum.compute({ ...values, [name]: value });
    return result === null || !Number.isFinite(result) ? null : result - wanted;
  };
  // evenly on a scale of ratios where the range is wide, so that small values are not stepped over
  const isWide = least > 0 && most / least > 100;
  const at = (i: number) => (isWide ? least * (most / least) ** (i / STEPS) : least + ((most - least) * i) / STEPS);
  const now = values[name] ?? term.usual;
  let best: number | null = null;
  for (let i = 0; i < STEPS; i++) {
    const root = halve(off, at(i), at(i + 1));
    if (root !== null && (best === null || Math.abs(root - now) < Math.abs(best - now))) best = root;
  }
  return best;
}

function halve(off: (value: number) => number | null, from: number, to: number): number | null {
  let [low, high] = [from, to];
  const [a, b] = [off(low), off(high)];
  if (a === null || b === null) return null;
  if (a === 0) return low;
  if (b === 0) return high;
  if (a > 0 === b > 0) return null;
  for (let i = 0; i < 80; i++) {
    const middle = (low + high) / 2;
    const here = off(middle);
    if (here === null) return null;
    if (here > 0 === a > 0) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
