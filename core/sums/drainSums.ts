import { computeUp } from "../attitude/attitude";
import { computeManningFlow } from "../falls/manning";
import { computeFloorHole } from "../fit/holeSize";
import { degToRad, MM3_PER_L } from "../quantity/convert";
import { computeFloodLps } from "../through/openHole";
import { computeBoreFallMm } from "../traps/trapArm";
import { bore, of, type SumBody, t } from "./sum";

const GRAVITY = 9.80665;

/** Pipes, holes, volumes and how tanks run out. */
export const DRAIN_SUMS = {
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
  trapArm: {
    terms: [bore(36.4), t("S", "slope", 0.1, 2_000, 20)],
    result: { name: "Lmax", quantity: "length" },
    standing: "P",
    compute: (v) => computeBoreFallMm(of(v, "D"), of(v, "S") / 1000),
    // 1½ in at 1/4 in/ft: 6 ft
    example: { values: { D: 38.1, S: 1000 / 48 }, result: 1_828.8, within: 0.1 },
  },
} as const satisfies Readonly<Record<string, SumBody>>;
