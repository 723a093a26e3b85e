import { computeAccumulatorDrawL } from "../gear/accumulator";
import { computeHoseLossPa } from "../gear/hoseLoss";
import { computeBuildUp, computeUvDose } from "../gear/waterQuality";
import { computeFloodLps, computeFreeSurfaceMm } from "../through/openHole";
import { computeWallForceKN, computeWarmthKPa } from "../trials/airTrial";
import { bore, of, type SumBody, t } from "./sum";

/** Water that is pushed, what is in it, and trials. */
export const WATER_SUMS = {
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
} as const satisfies Readonly<Record<string, SumBody>>;
