import fc from "fast-check";
import { readDemo } from "@/tests/demoRigs";
import { computeTimesPerDay, countPeople } from "../days/rates";
import type { Design } from "../design/design";
import type { Use } from "../design/habits";
import { computeLoopFigures } from "./loopFigures";
import { comparePlainSchool, computeLoopRhythm, type LoopRhythm } from "./loopRhythm";

const loop = readDemo("kranich-loop");
const mapUses = (design: Design, change: (use: Use) => Use): Design => ({
  ...design,
  habits: { ...design.habits, ways: design.habits.ways.map((way) => ({ ...way, uses: way.uses.map(change) })) },
});
const isShower = ({ kind }: Use) => kind === "shower";
const oftener = (times: number) => mapUses(loop, (use) => (isShower(use) ? { ...use, times } : use));

test("showers a day are those that run back into the loop, in the way the stay begins in", () => {
  const people = countPeople(loop.habits.people);
  const [first] = loop.habits.stretches;
  const way = loop.habits.ways.find(({ id }) => id === first!.wayId)!;
  const told = way.uses.filter(isShower).reduce((sum, use) => sum + computeTimesPerDay(use, people), 0);
  expect(told).toBeGreaterThan(0);
  expect(computeLoopRhythm(loop)!.showersPerDay).toBeCloseTo(told, 9);
  // a sink whose water goes to another tank, and a way nobody begins with, are none
  const away = mapUses(loop, (use) => (isShower(use) ? { ...use, fixtureId: "sink" } : use));
  expect(computeLoopRhythm(away)!.showersPerDay).toBe(0);
  const later: Design = {
    ...loop,
    habits: {
      ...loop.habits,
      ways: [...loop.habits.ways, { id: "dry", name: "Dry", uses: way.uses.filter((use) => !isShower(use)) }],
      stretches: [{ wayId: "dry", days: 2 }, ...loop.habits.stretches],
    },
  };
  expect(computeLoopRhythm(later)!.showersPerDay).toBe(0);
  // other uses in the shower's tray are no showers
  expect(computeLoopRhythm(mapUses(loop, (use) => (isShower(use) ? { ...use, kind: "laundry" } : use)))).toMatchObject({
    showersPerDay: 0,
    everyDays: null,
  });
  expect(computeLoopRhythm(readDemo("kranich"))).toBeNull();
});

test("its water is changed after so many showers, or when it stood its days; current and what it spares go by the shower", () => {
  const figures = computeLoopFigures(loop)!;
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 400 }), (n) => {
      const rhythm = computeLoopRhythm(oftener(n / 20))!;
      const byShowers = figures.showers / rhythm.showersPerDay;
      expect(rhythm.everyDays).toBeCloseTo(Math.min(byShowers, figures.mostDays), 9);
      expect(rhythm.because).toBe(byShowers < figures.mostDays ? figures.because : "standing");
      expect(rhythm.whPerDay).toBeCloseTo((figures.pumpWh + figures.lampWh) * rhythm.showersPerDay, 9);
      expect(rhythm.sparedLPerDay).toBeCloseTo(Math.max(0, figures.freshL - figures.lostL) * rhythm.showersPerDay, 9);
    }),
  );
  expect(figures.freshL).toBeGreaterThan(figures.lostL);
});

// By hand: 20 L a day spared over 10 days are 200 L; less the 25 L the loop holds, 175 kg. Tanks that last 10 days at 10 L a
// day would last 100/30 days with the showers on them: 6.67 gained.
test("without it tanks would have to hold so much more, and the same tanks would last so much less", () => {
  const rhythm = {
    ...computeLoopRhythm(loop)!,
    sparedLPerDay: 20,
    figures: { ...computeLoopFigures(loop)!, loopL: 25 },
  } satisfies LoopRhythm;
  const school = comparePlainSchool(rhythm, 10, 10);
  expect(school).toMatchObject({ days: 10, litres: 200, kg: 175 });
  expect(school.daysGained).toBeCloseTo(10 - 100 / 30, 9);
  expect(comparePlainSchool(rhythm, 1, 10).kg).toBe(0);
  expect(comparePlainSchool(rhythm, 10, 0).daysGained).toBe(0);
});
