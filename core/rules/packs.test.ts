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
