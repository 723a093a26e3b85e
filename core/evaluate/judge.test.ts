import fc from "fast-check";
import { networks } from "@/tests/arbitraries";
import { ALL_DEMOS, readDemo } from "@/tests/demoRigs";
import { findAll } from "@/tests/findingEdges";
import { gearDesigns } from "@/tests/gearArbitraries";
import { LEVEL } from "../attitude/attitude";
import type { Design } from "../design/design";
import { findBranchVent, findLineTrap, findTrap } from "../design/lineItems";
import type { Drain } from "../design/plumbing";
import { toCodeBoreMm } from "../parts/pipes";
import { lookUpLimit } from "../rules/lookUpLimit";
import { PACK_IDS } from "../rules/packIds";
import { computeSealAfterMm } from "../traps/sealPressure";
import { computeSealUnderMm } from "../traps/trapRisks";
import { evaluate } from "./evaluate";

// What the judgement puts together out of its parts, put together a second time.

test("any network under any rules: each leg is asked for the fall of its own bore, vented where it has air of its own", () => {
  fc.assert(
    fc.property(networks, fc.constantFrom(...PACK_IDS), (any, pack) => {
      const design: Design = { ...any, rules: { ...any.rules, pack } };
      for (const { lineId, minFalls, parkedFall } of evaluate(design, LEVEL).drains) {
        const drain = design.lines.find((line): line is Drain => line.kind === "drain" && line.id === lineId)!;
        const vented = findBranchVent(drain) !== null;
        const own = toCodeBoreMm(drain.pipe);
        expect(minFalls[0]).toEqual(lookUpLimit(design.rules, "minFall", { boreMm: own, vented }));
        expect(parkedFall).toEqual(lookUpLimit(design.rules, "parkedFall", { boreMm: own }));
      }
    }),
    { numRuns: 40 },
  );
});

test("any network: air of its own takes the tank's suction off a trap, and an open pipe its pressure too", () => {
  fc.assert(
    fc.property(networks, (design) => {
      const { trapAirs, tanks, drains } = evaluate(design, LEVEL);
      for (const { lineId, bend, sealMm, suctionPa, pressurePa, afterSuctionMm, afterPressureMm } of trapAirs) {
        const drain = design.lines.find((line): line is Drain => line.kind === "drain" && line.id === lineId)!;
        const tankId = drains.find((one) => one.lineId === lineId)!.tankId;
        const { air, sharedAir } = tanks.find((one) => one.tankId === tankId)!;
        const vent = bend === null ? findBranchVent(drain) : null;
        const tankPa = Math.max(air?.suctionPa ?? 0, sharedAir?.suctionPa ?? 0);
        expect(suctionPa).toBeCloseTo(vent ? 0 : tankPa, 9);
        expect(pressurePa).toBeCloseTo(vent?.kind === "openPipe" ? 0 : (air?.fillPa ?? 0), 9);
        expect(sealMm).toBe(bend === null ? findTrap(drain)!.sealMm : findLineTrap(drain)!.sealMm);
        expect(afterSuctionMm).toBeCloseTo(computeSealAfterMm(sealMm, suctionPa), 9);
        expect(afterPressureMm).toBeCloseTo(computeSealUnderMm(sealMm, pressurePa), 9);
      }
      // every trap that holds water under a tank with air is among them, once
      const keys = trapAirs.map(({ lineId, bend }) => `${lineId} ${bend}`);
      expect(new Set(keys).size).toBe(keys.length);
    }),
    { numRuns: 40 },
  );
});

test("no finding of any network, pumped side or sample is without a code, a part and its place in the order", () => {
  const ranks = { must: 0, should: 1, note: 2 } as const;
  const expectWhole = (design: Design) => {
    const { findings } = evaluate(design, LEVEL);
    for (const finding of findings) {
      expect(finding.code.length).toBeGreaterThan(3);
      expect(finding.id.startsWith(`${finding.code}@`)).toBe(true);
      expect(finding.at.kind.length).toBeGreaterThan(2);
      expect(ranks[finding.severity]).toBeDefined();
      for (const [key, value] of Object.entries(finding)) expect([key, value === undefined]).toEqual([key, false]);
    }
    expect(findings.map(({ severity }) => ranks[severity])).toEqual(
      findings.map(({ severity }) => ranks[severity]).sort(),
    );
    expect(new Set(findings.map(({ id }) => id)).size).toBe(findings.length);
  };
  for (const design of ALL_DEMOS) expectWhole(design);
  fc.assert(fc.property(networks, expectWhole), { numRuns: 25 });
  fc.assert(
    fc.property(gearDesigns, ({ design }) => expectWhole(design)),
    { numRuns: 25 },
  );
});

test("urine in a grey tank is told of its fixture; in a black one, or in a vessel, it is where it belongs", () => {
  const kranich = readDemo("kranich");
  const diverter = (holds: "grey" | "black"): Design => ({
    ...kranich,
    fixtures: kranich.fixtures.map((fixture) => ({ ...fixture, kind: "urineDiverter" as const })),
    tanks: kranich.tanks.map((tank) => ({ ...tank, holds })),
  });
  expect(findAll(diverter("grey"), "urineInGrey").map(({ at }) => at)).toEqual([{ kind: "fixture", id: "sink" }]);
  expect(findAll(diverter("black"), "urineInGrey")).toEqual([]);
});

test("a stay that a waste tank ends is told with the days the fresh water would have lasted", () => {
  const kranich = readDemo("kranich");
  const more: Design = {
    ...kranich,
    habits: {
      ...kranich.habits,
      vessels: kranich.habits.vessels.map((one) => (one.id === "fresh-water" ? { ...one, litres: 900 } : one)),
    },
  };
  const { stores } = evaluate(more, LEVEL).balance;
  const days = (holds: string) => stores.find((one) => one.holds === holds)!.days.level;
  expect(findAll(more, "wasteEndsStay")).toMatchObject([
    { wasteDays: days("grey"), freshDays: days("fresh"), holds: "grey" },
  ]);
});
