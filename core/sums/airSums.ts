import { computeAirPressurePa } from "../air/airPressure";
import { computeAir } from "../air/airState";
import { computeDumping } from "../air/dumping";
import { bore, of, type SumBody, t } from "./sum";

/** Air in breathers. */
export const AIR_SUMS = {
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
  airDensity: {
    terms: [t("T", "temperature", -50, 60, 20), t("h", "altitude", -400, 9_000, 0)],
    result: { name: "ρ", quantity: "concentration" },
    standing: "P",
    compute: (v) => computeAir(of(v, "T"), of(v, "h")).density,
    // the standard atmosphere at 2,000 m: 2 °C, 1.0066 kg/m³
    example: { values: { T: 2, h: 2_000 }, result: 1.0066, within: 1e-3 },
  },
} as const satisfies Readonly<Record<string, SumBody>>;
