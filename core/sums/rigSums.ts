import { computeUtilisation } from "../fixing/fixing";
import { computeHoursToFreezing } from "../frost/freezing";
import { computeOuterFilm } from "../frost/night";
import { computePipeLoss } from "../frost/pipeLoss";
import { computeWallLoss } from "../frost/tankFrost";
import { degToRad, radToDeg } from "../quantity/convert";
import { of, type SumBody, t } from "./sum";

const GRAVITY = 9.80665;

/** The rig: ramps, days, cold and bolts. */
export const RIG_SUMS = {
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
  wallLoss: {
    terms: [
      t("s", "length", 0, 50, 5),
      t("k", "conductivity", 0.01, 400, 0.4),
      t("f", "length", 1, 200, 20),
      t("kf", "conductivity", 0.01, 1, 0.034),
      t("hi", "film", 1, 1_000, 100),
      t("v", "velocity", 0, 40, 0),
    ],
    result: { name: "U", quantity: "film" },
    standing: "P",
    compute: (v) =>
      computeWallLoss(of(v, "s"), of(v, "k"), of(v, "f"), {
        innerFilm: of(v, "hi"),
        outerFilm: computeOuterFilm(of(v, "v")),
        foamK: of(v, "kf"),
      }),
    // 1/100 + 0.0125 + 0.5882 + 1/10, for a film of 10 outside: a wind of a quarter metre a second
    example: { values: { s: 5, k: 0.4, f: 20, kf: 0.034, hi: 100, v: 0.25 }, result: 1.407, within: 1e-3 },
  },
  pipeLoss: {
    terms: [
      t("d", "length", 7, 180, 40),
      t("f", "length", 0, 100, 13),
      t("kf", "conductivity", 0.01, 1, 0.034),
      t("v", "velocity", 0, 40, 2.25),
    ],
    result: { name: "U", quantity: "conductivity" },
    standing: "P",
    compute: (v) =>
      computePipeLoss(of(v, "d"), of(v, "f"), { outerFilm: computeOuterFilm(of(v, "v")), foamK: of(v, "kf") }),
    // bare 18 π 0.04 = 2.262; through the foam 1/(ln(66/40)/(2 π 0.034) + 1/(18 π 0.066)) = 0.383; a tenth of one and the rest of the other
    example: { values: { d: 40, f: 13, kf: 0.034, v: 2.25 }, result: 0.571, within: 1e-3 },
  },
  boltUse: {
    terms: [
      t("V", "force", 0, 200, 5),
      t("VR", "force", 0.1, 200, 14.05),
      t("T", "force", 0, 200, 4),
      t("TR", "force", 0.1, 200, 21.08),
    ],
    result: { name: "u", quantity: "ratio" },
    standing: "P",
    compute: (v) => computeUtilisation({ shearKN: of(v, "VR"), tensionKN: of(v, "TR") }, of(v, "V"), of(v, "T")),
    example: { values: { V: 5, VR: 14.05, T: 4, TR: 21.08 }, result: 0.491, within: 1e-3 },
  },
} as const satisfies Readonly<Record<string, SumBody>>;
