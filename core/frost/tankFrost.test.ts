import fc from "fast-check";
import { ALL_DEMOS, DEMO_NAMES, readDemo } from "@/tests/demoRigs";
import type { Design } from "../design/design";
import type { DumpLine, Tank } from "../design/plumbing";
import { evaluate } from "../evaluate/evaluate";
import { listFrostParts } from "./frostParts";
import { readNight } from "./night";
import { computeTankFrost, computeWallLoss } from "./tankFrost";

const kranich = readDemo("kranich");
const [grey] = kranich.tanks as [Tank];
const night = { ...readNight(kranich.rules), airC: -10, startC: 10, innerFilm: 100, outerFilm: 10, foamK: 0.034 };

// The trade's handbook, computed: films 10 and 100, 5 mm of 0.4, 20 mm of 0.034 are 1.407 W/(m² K).
test("a wall hinders by its own thickness beside its lagging: 1.407 with 5 mm of plastic, less with more", () => {
  expect(computeWallLoss(5, 0.4, 20, night)).toBeCloseTo(1.407, 3);
  expect(computeWallLoss(0, 0.4, 20, night)).toBeCloseTo(1 / (0.01 + 0.02 / 0.034 + 0.1), 9);
  expect(computeWallLoss(20, 0.4, 20, night)).toBeCloseTo(1 / (0.01 + 0.02 / 0.4 + 0.02 / 0.034 + 0.1), 9);
  expect(computeWallLoss(5, 0.4, 0, night)).toBe(10);
});

test("a box of water stepped through the night minute by minute comes to 0 °C in the same hours, pad and lagging and all", () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 200, max: 900 }),
      fc.integer({ min: 100, max: 300 }),
      fc.constantFrom(0, 10, 30),
      fc.constantFrom(0, 20),
      fc.constantFrom(0.3, 1),
      (lengthMm, heightMm, insulationMm, padW, share) => {
        const solid = { shape: "box", lengthMm, widthMm: 300, heightMm } as const;
        const tank: Tank = { ...grey, solid, wallMm: 5, material: "polyethylene", insulationMm, padW };
        const frost = computeTankFrost(tank, share, night);
        const [l, b, h] = [lengthMm, 300, heightMm].map((mm) => (mm + 2 * (5 + insulationMm)) / 1000) as [
          number,
          number,
          number,
        ];
        const perK = 2 * (l * b + b * h + h * l) * computeWallLoss(5, 0.4, insulationMm, night);
        expect(frost.lossWPerK).toBeCloseTo(perK, 6);
        expect(frost.holdW).toBeCloseTo(perK * (night.heldC + 10), 6);
        const kg = share * 0.9982 * ((lengthMm * 300 * heightMm) / 1e6);
        expect(frost.massKg).toBeCloseTo(kg, 6);
        let [water, minutes] = [10, 0];
        while (water > 0 && minutes < 60_000) {
          water += ((padW - perK * (water + 10)) * 60) / (kg * 4186);
          minutes += 1;
        }
        if (frost.hoursToFreezing === null) expect(-10 + padW / perK).toBeGreaterThanOrEqual(-1e-9);
        else if (minutes < 60_000)
          expect(Math.abs(frost.hoursToFreezing - minutes / 60) / (minutes / 60)).toBeLessThan(0.02);
      },
    ),
    { numRuns: 40 },
  );
});

const frozen = (design: Design): Design => ({
  ...design,
  rules: { ...design.rules, limits: { ...design.rules.limits, nightAir: -10 } },
});

test("each tank is on the list with its own litres and its own hours, wherever it stands in the file", () => {
  for (const name of DEMO_NAMES) {
    const base = frozen(readDemo(name));
    const [tank] = base.tanks as [Tank];
    const small: Tank = {
      ...tank,
      id: "small",
      name: "Small",
      solid: { shape: "box", lengthMm: 200, widthMm: 200, heightMm: 100 },
      ports: [],
      link: null,
      padW: 0,
    };
    for (const tanks of [
      [...base.tanks, small],
      [small, ...base.tanks],
    ]) {
      const design = { ...base, tanks };
      const evaluation = evaluate(design);
      const parts = listFrostParts(design, evaluation, 0.5).filter(({ kind }) => kind === "tank");
      for (const one of tanks.filter(({ atMm }) => atMm.z < 0)) {
        const { hoursToFreezing } = computeTankFrost(one, 0.5, readNight(design.rules));
        const full = evaluation.tanks.find(({ tankId }) => tankId === one.id)!.level.litres;
        expect(parts.find(({ at }) => "id" in at && at.id === one.id)).toMatchObject({
          litres: full / 2,
          hours: hoursToFreezing,
        });
      }
    }
  }
});

test("the valve at the end of a line that stands full freezes as a bare one, however well the line is lagged", () => {
  const rigs = ALL_DEMOS.map(frozen);
  const home = rigs.find(({ lines }) => lines.some(({ kind }) => kind === "dumpLine"))!;
  const line = home.lines.find((one): one is DumpLine => one.kind === "dumpLine");
  const lagged = (endValve: DumpLine["endValve"]): Design => ({
    ...home,
    lines: home.lines.map((one) => (one === line ? { ...line!, insulationMm: 30, endValve } : one)),
  });
  const at = { kind: "line", id: line!.id } as const;
  const of = (design: Design) =>
    listFrostParts(design, evaluate(design), 0).filter((part) => "id" in part.at && part.at.id === at.id);
  const parts = of(lagged({ kind: "manual", boreMm: 38 }));
  expect(parts.map(({ kind }) => kind)).toEqual(["valve", "sag"]);
  const night = readNight(home.rules);
  // worked by hand: 38 mm over 95 mm, bare
  expect(parts[0]!.hours).toBeCloseTo(
    ((0.10774 * 4186) / (night.outerFilm * Math.PI * 0.038 * 0.095)) * (Math.log((night.startC + 10) / 10) / 3600),
    2,
  );
  expect(of(lagged(null)).map(({ kind }) => kind)).not.toContain("valve");
});
