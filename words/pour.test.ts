import fc from "fast-check";
import { LEVEL } from "@/core/attitude/attitude";
import { computePour } from "@/core/pour/pour";
import { listUsable, toUse } from "@/core/pour/usualUses";
import { networks } from "@/tests/arbitraries";
import { readDemo } from "@/tests/demoRigs";
import { describePour, describeSeconds, describeUse } from "./pour";

test("what came of a pour is told in whole sentences, what went wrong first", () => {
  fc.assert(
    fc.property(networks, fc.constantFrom("metric" as const, "imperial" as const), (design, units) => {
      const uses = listUsable(design).map(toUse);
      const told = describePour(computePour(design, LEVEL, uses), uses, design, units);
      for (const { text } of told) expect(text).toMatch(/^[A-Z\d].*\.$/);
      for (const { text } of told) expect(text).not.toMatch(/NaN|undefined|Infinity/);
      const firstGood = told.findIndex(({ isBad }) => !isBad);
      expect(told.slice(firstGood).every(({ isBad }) => !isBad)).toBe(true);
    }),
    { numRuns: 8 },
  );
});

test("a flood is said as one", () => {
  const kranich = readDemo("kranich");
  const uses = [{ kind: "empty", fixtureId: "sink", litres: 60 }] as const;
  const [first] = describePour(computePour(kranich, LEVEL, uses), uses, kranich, "metric");
  expect(first).toEqual({ text: "Kitchen sink runs over its rim.", isBad: true });
});

test("a use is named with its litres or its time", () => {
  const [sink] = readDemo("kranich").fixtures;
  expect(describeUse(toUse(sink!), sink!, "metric")).toBe("Kitchen sink let go, 8.0\u00a0L");
  const shower = {
    ...sink!,
    kind: "showerTray",
    name: "Shower tray",
    inflowLps: 0.05,
    volumePerUseL: 12,
    hasPlug: false,
    runsAlone: false,
  } as const;
  expect(describeUse(toUse(shower), shower, "metric")).toBe("Shower tray at 3.0\u00a0L/min for 4 min");
  expect(describeSeconds(221)).toBe("3 min 41 s");
});
