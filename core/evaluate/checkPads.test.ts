import "./fitted";
import fc from "fast-check";
import { networks } from "@/tests/arbitraries";
import { readDemo } from "@/tests/demoRigs";
import { mustApply } from "@/tests/sharedAir";
import type { Design } from "../design/design";
import type { Tank } from "../design/plumbing";
import { buildFitPad } from "../edits/padEdits";
import { readNight } from "../frost/night";
import { computeTankFrost } from "../frost/tankFrost";
import { proposeRemedies } from "../remedies/proposeRemedies";
import { evaluate } from "./evaluate";

const withPads = (design: Design, of: (tank: Tank) => number): Design => ({
  ...design,
  tanks: design.tanks.map((tank) => ({ ...tank, padW: of(tank) })),
});
const told = (design: Design) => evaluate(design).findings.filter(({ code }) => code === "padWeak");

// Stepped through time with the heat of the pad put in, which the closed sum is not.
test("with a pad on, heat stepped second by second comes to the same hours, and one strong enough keeps it over freezing", () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 80 }),
      fc.integer({ min: 0, max: 150 }),
      fc.integer({ min: -25, max: -1 }),
      (insulationMm, padW, airC) => {
        const tank = { ...readDemo("kranich").tanks[0]!, insulationMm, padW };
        const night = { ...readNight(readDemo("kranich").rules), airC };
        const { massKg, lossWPerK, hoursToFreezing, holdW } = computeTankFrost(tank, 0.5, night);
        const stepS = 20;
        let at = night.startC;
        let seconds = 0;
        while (at > 0 && seconds < 3e6) {
          at += ((padW - lossWPerK * (at - airC)) / (massKg * 4186)) * stepS;
          seconds += stepS;
        }
        if (hoursToFreezing === null) expect(at).toBeGreaterThan(0);
        else if (hoursToFreezing * 3600 < 2e6)
          expect(Math.abs(seconds / 3600 - hoursToFreezing)).toBeLessThan(0.02 * hoursToFreezing + 0.02);
        if (padW >= holdW) expect(hoursToFreezing).toBeNull();
      },
    ),
    { numRuns: 30 },
  );
});

test("a pad is told of as too weak under the floor of a vehicle, just where it does not hold the night, and the remedy settles it", () => {
  let weak = 0;
  fc.assert(
    fc.property(networks, fc.integer({ min: 0, max: 500 }), (drawn, watts) => {
      const design = withPads(drawn, () => watts);
      const night = readNight(design.rules);
      const wanted = design.tanks.filter(
        (tank) =>
          watts > 0 &&
          night.airC < 0 &&
          tank.atMm.z < 0 &&
          design.rig.kind !== "boat" &&
          watts < computeTankFrost(tank, 1, night).holdW,
      );
      expect(told(design).map(({ at }) => "id" in at && at.id)).toEqual(wanted.map(({ id }) => id));
      weak += wanted.length;
    }),
    { numRuns: 40 },
  );
  expect(weak).toBeGreaterThan(5);
  const kranich = withPads(readDemo("kranich"), () => 20);
  const [finding] = told(kranich);
  const [remedy] = proposeRemedies(kranich, evaluate(kranich), finding!);
  expect(remedy?.edit.code).toBe("fitPad");
  expect(told(mustApply(kranich, remedy!.edit))).toEqual([]);
});

test("at the watts the night wants nothing is said, a watt under it is, and afloat or inside it never is", () => {
  const base = readDemo("kranich");
  const holdW = computeTankFrost(base.tanks[0]!, 1, readNight(base.rules)).holdW;
  expect(told(withPads(base, () => Math.ceil(holdW)))).toEqual([]);
  expect(told(withPads(base, () => Math.ceil(holdW) - 1))).toHaveLength(1);
  expect(
    told({ ...base, tanks: base.tanks.map((tank) => ({ ...tank, padW: 1, atMm: { ...tank.atMm, z: 0 } })) }),
  ).toEqual([]);
  expect(told(withPads(readDemo("otter"), () => 1))).toEqual([]);
  // beyond what one pad gives it is lagging that is missing
  expect(buildFitPad(base.tanks[0]!, 1_000)?.ops).toEqual([
    { op: "set", path: ["tanks", "grey", "padW"], value: 1_000 },
  ]);
  expect(buildFitPad(base.tanks[0]!, 1_001)).toBeNull();
});
