import { computeClimateDryWeeks } from "../traps/drying";
import { computeSealAfterMm } from "../traps/sealPressure";
import { computeDrivingLossMm, computeDryWeeks } from "../traps/sealRisks";
import { computeSealAfterSiphonMm, computeSealUnderMm } from "../traps/trapRisks";
import { bore, of, type SumBody, t } from "./sum";

/** What a trap keeps of its seal. */
export const TRAP_SUMS = {
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
  sealClimate: {
    terms: [
      t("L", "length", 5, 2_000, 100),
      t("s", "length", 0.1, 200, 25),
      t("T", "temperature", 0, 60, 20),
      t("RH", "ratio", 0, 0.99, 0.5),
    ],
    result: { name: "t", quantity: "weeks" },
    standing: "C",
    compute: (v) => computeClimateDryWeeks(of(v, "L"), of(v, "s"), { airC: of(v, "T"), humidity: of(v, "RH") }),
    // a leg loses 1.28 mm a week through 100 mm of air at 20 °C and half damp; the seal half of that: 0.64 mm, slowing
    example: { values: { L: 100, s: 0.64, T: 20, RH: 0.5 }, result: 1.003, within: 0.02 },
  },
} as const satisfies Readonly<Record<string, SumBody>>;
