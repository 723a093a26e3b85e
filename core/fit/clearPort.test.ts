import fc from "fast-check";
import { DEMO_NAMES, FURNISHED, readDemo } from "@/tests/demoRigs";
import { mustApply } from "@/tests/sharedAir";
import { FIXTURE_KINDS } from "../design/plumbing";
import { buildAddFixture } from "../edits/fixtureEdits";
import { ADDED_PORTS, buildAddPort } from "../edits/tankEdits";
import { evaluate } from "../evaluate/evaluate";
import { clearPort } from "./clearPort";

const countOverlaps = (design: ReturnType<typeof readDemo>) =>
  evaluate(design).findings.filter(({ code }) => code === "portsOverlap").length;

test("fixtures and ports that are added leave each other's holes alone while the walls have room", () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...DEMO_NAMES),
      fc.array(fc.constantFrom(...FIXTURE_KINDS), { minLength: 2, maxLength: 5 }),
      fc.constantFrom(...ADDED_PORTS),
      (name, kinds, kind) => {
        let design = readDemo(name);
        for (const [i, one] of kinds.entries()) design = mustApply(design, buildAddFixture(design, one, `No. ${i}`));
        design = mustApply(design, buildAddPort(design, design.tanks[0]!, kind));
        expect(countOverlaps(design)).toBe(0);
      },
    ),
    { numRuns: 40 },
  );
});

test("no sample has two holes in one", () => {
  for (const name of [...DEMO_NAMES, FURNISHED] as const) expect(countOverlaps(readDemo(name))).toBe(0);
});

test("a port that is clear stays; one on another moves just past it; where nothing is free it stays", () => {
  const tank = readDemo("kranich").tanks[0]!;
  const inlet = tank.ports.find(({ kind }) => kind === "inlet")!;
  expect(clearPort(tank, inlet)).toBe(inlet);
  const second = clearPort(tank, { ...inlet, id: "second" });
  expect(second.atMm.x).toBe(inlet.atMm.x);
  const apart = Math.abs(second.atMm.y - inlet.atMm.y);
  expect(apart).toBeGreaterThanOrEqual(inlet.boreMm + 16);
  expect(apart).toBeLessThan(inlet.boreMm + 16 + 5);
  const wide = { ...inlet, id: "wide", boreMm: 440 };
  expect(clearPort(tank, wide)).toBe(wide);
});
