import type { FormulaId } from "../workings/working";
import type { SumId } from "./catalogue";

type Match = { readonly sum: SumId; readonly terms: Readonly<Record<string, string>>; readonly result: string };

/** Which sum of the catalogue a working is, and by what names its terms go there. Only those that are the same sum whole. */
export const SUM_OF_FORMULA: Readonly<Partial<Record<FormulaId, Match>>> = {
  floorHole: { sum: "slopedHole", terms: { d: "d", c: "c", t: "t", θ: "θ" }, result: "l" },
  drainCapacity: { sum: "partFullFlow", terms: { D: "D", S: "S", n: "n", yD: "yD" }, result: "Q" },
  drainVelocity: { sum: "partFullVelocity", terms: { D: "D", S: "S", n: "n", yD: "yD" }, result: "v" },
  sealSuction: { sum: "sealSuction", terms: { H: "H", p: "p" }, result: "H'" },
  sealPressure: { sum: "sealPush", terms: { H: "H", p: "p" }, result: "H'" },
  sealAfterDump: { sum: "sealSuction", terms: { H: "H", p: "p" }, result: "H'" },
  sealDriving: { sum: "sealDriving", terms: { H: "H", s: "s", a: "a" }, result: "H'" },
  sealSiphon: { sum: "sealSiphon", terms: { H: "H", f: "f", D: "D" }, result: "H'" },
  sealDrying: { sum: "sealDrying", terms: { H: "H", e: "e" }, result: "T" },
  trapArm: { sum: "trapArm", terms: { D: "D", s: "S" }, result: "Lmax" },
  breakover: { sum: "breakover", terms: { h: "h", a: "a", b: "b" }, result: "α" },
  rampEnd: { sum: "rampEnd", terms: { h: "h", a: "a" }, result: "α" },
  dumpSuction: { sum: "dumpSuction", terms: { h: "h", D: "D", d: "d", L: "L", K: "K", Cd: "Cd" }, result: "p" },
  fillPressure: { sum: "breather", terms: { Qin: "Q", d: "d", L: "L", K: "K" }, result: "p" },
  boltUse: { sum: "boltUse", terms: { V: "V", VR: "VR", T: "T", TR: "TR" }, result: "u" },
  storeDays: { sum: "storeDays", terms: { V: "V", q: "q" }, result: "T" },
};
