import { PIPE_SIZES, toCodeBoreMm } from "../parts/pipes";
import { LIMIT_IDS } from "./limitIds";
import { lookUpLimit } from "./lookUpLimit";
import { PACK_IDS } from "./packIds";
import { PACKS } from "./packs";

test("every pack sets every limit, in bands that rise to the end", () => {
  for (const pack of PACK_IDS) {
    for (const id of LIMIT_IDS) {
      const { bands, standing, source, surePercent } = PACKS[pack][id];
      const tops = bands.map((band) => band.upToBoreMm);
      expect(tops).toEqual([...tops].sort((a, b) => a - b));
      expect(tops[tops.length - 1]).toBe(Infinity);
      expect(standing).not.toBe("own");
      expect(source).not.toBe("own");
      if (standing === "P") expect(surePercent).toBeGreaterThan(0);
      for (const { upToBoreMm, value } of bands) {
        const limit = lookUpLimit({ pack, limits: {} }, id, { boreMm: upToBoreMm });
        expect(limit).toEqual({ id, value, standing, source, surePercent: surePercent ?? null });
      }
    }
  }
});

// Published, all from memory: IPC 704.1, 24 CFR 3280.610, Approved Document H1, DIN 1986-100, AS/NZS 3500.2.
test.each([
  ["usModelCode", 38, 20.83],
  ["usModelCode", 100, 10.42],
  ["usManufacturedHomes", 38, 20.83],
  ["england", 40, 18],
  ["germany", 46, 10],
  ["australiaNewZealand", 40, 25],
  ["australiaNewZealand", 100, 16.5],
  ["builders", 40, 20],
] as const)("least fall, %s, %i mm: %d mm/m", (pack, boreMm, slope) => {
  expect(lookUpLimit({ pack, limits: {} }, "minFall", { boreMm }).value).toBeCloseTo(slope, 2);
});

test("a vented branch in Germany may be flatter", () => {
  expect(lookUpLimit({ pack: "germany", limits: {} }, "minFall", { boreMm: 40, vented: true }).value).toBe(5);
});

test("the builder's own figure goes before the pack's and says whose it is", () => {
  const limit = lookUpLimit({ pack: "england", limits: { minFall: 30 } }, "minFall", { boreMm: 40 });
  expect(limit).toMatchObject({ value: 30, standing: "own", source: "own" });
});

test("trap arms of schedule 40 as the table names them: 5, 6 and 8 ft for 1¼, 1½ and 2 in", () => {
  // IPC 909.1, from memory, 95 %; read through the pipes of the list, whose insides are wider than their names
  for (const [call, feet] of [
    ["1¼ in", 5],
    ["1½ in", 6],
    ["2 in", 8],
  ] as const) {
    const { pipe } = PIPE_SIZES.find((size) => size.family === "schedule40" && size.call === call)!;
    const rules = { pack: "usModelCode" as const, limits: {} };
    expect(lookUpLimit(rules, "trapArm", { boreMm: toCodeBoreMm(pipe) }).value).toBeCloseTo(feet * 304.8, 6);
  }
});

// Approved Document H1, from memory, 70 %: 32 mm up to 1.7 m at 18 to 22 mm/m, 1.1 m at 44, 0.7 m at 87.
test("in England a 32 mm branch may be the shorter the steeper it is; between the points the curve is hollow", () => {
  const rules = { pack: "england" as const, limits: {} };
  const at = (slopeMmPerM: number) => lookUpLimit(rules, "trapArm", { boreMm: 28.4, slopeMmPerM }).value!;
  for (const [slope, mm] of [
    [0, 1700],
    [18, 1700],
    [22, 1700],
    [44, 1100],
    [87, 700],
    [300, 700],
    [Number.POSITIVE_INFINITY, 700],
  ] as const)
    expect(at(slope)).toBeCloseTo(mm, 6);
  for (let slope = 23; slope <= 87; slope++) {
    expect(at(slope)).toBeLessThan(at(slope - 1));
    const isCorner = slope === 44;
    if (slope > 23 && !isCorner) expect(at(slope)).toBeLessThanOrEqual((at(slope - 1) + at(slope + 1)) / 2 + 1e-9);
  }
  // wider pipes have one length, and an own figure goes before the curve
  expect(lookUpLimit(rules, "trapArm", { boreMm: 36.4, slopeMmPerM: 60 }).value).toBe(3000);
  expect(lookUpLimit({ ...rules, limits: { trapArm: 900 } }, "trapArm", { boreMm: 28.4, slopeMmPerM: 20 }).value).toBe(
    900,
  );
});
