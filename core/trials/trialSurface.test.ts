import { ALL_DEMOS, readDemo } from "@/tests/demoRigs";
import { listSteps, orderSteps } from "../build/steps";
import type { Design } from "../design/design";
import { measureBowlMm2 } from "../design/usualFixtures";
import { evaluate } from "../evaluate/evaluate";
import { measureCapacityL, measureExtent } from "../geometry/solid";
import { computeWaterLoss } from "./leakRate";
import { findTrialOf, listTrials } from "./proof";
import { measureTrialSurfaceMm2 } from "./trialSurface";

const trialsOf = (design: Design) => listTrials(listSteps(design, evaluate(design)));

test("the surface of a tank's trial is no smaller than any level in it, so that no leak is told too small", () => {
  for (const design of ALL_DEMOS) {
    for (const step of trialsOf(design)) {
      const mm2 = measureTrialSurfaceMm2(design, step);
      expect(mm2).toBeGreaterThanOrEqual(1_000);
      const tank = design.tanks.find(({ id }) => step.at.kind === "tank" && step.at.id === id);
      if (!tank) continue;
      const { min, max } = measureExtent(tank.solid);
      expect(mm2 * (max.z - min.z)).toBeGreaterThanOrEqual(measureCapacityL(tank.solid) * 1e6 - 1);
    }
  }
});

test("of a tank it is its length by its width, and of tanks that share their level all of them", () => {
  const kranich = readDemo("kranich");
  const [tank] = kranich.tanks;
  const step = trialsOf(kranich).find(({ kind }) => kind === "trialTank")!;
  const wide = { ...tank!, solid: { shape: "box" as const, lengthMm: 800, widthMm: 400, heightMm: 200 } };
  expect(measureTrialSurfaceMm2({ ...kranich, tanks: [wide] }, step)).toBe(320_000);
  const other = { ...wide, id: "other", solid: { ...wide.solid, lengthMm: 500 } };
  expect(measureTrialSurfaceMm2({ ...kranich, tanks: [wide, other] }, step)).toBe(320_000);
  const joined = [{ ...wide, link: { kind: "communicating" as const, toTank: "other" } }, other];
  expect(measureTrialSurfaceMm2({ ...kranich, tanks: joined }, step)).toBe(520_000);
});

test("a drain that others join is filled with them: all their bowls sink together, a drain alone its own", () => {
  const design = readDemo("lesesaal-furnished");
  const areaOf = (id: string) =>
    measureTrialSurfaceMm2(design, trialsOf(design).find((step) => step.id === `trialDrain:${id}`)!);
  const drains = design.lines.filter((line) => line.kind === "drain");
  const [joined] = drains.filter(({ to }) => to.kind === "junction");
  const main = joined!.to.kind === "junction" ? joined!.to.lineId : "";
  expect(areaOf(joined!.id)).toBe(areaOf(main));
  const kinds = [joined!, drains.find(({ id }) => id === main)!].map(
    ({ fromFixture }) => design.fixtures.find(({ id }) => id === fromFixture)!.kind,
  );
  expect(areaOf(main)).toBeGreaterThanOrEqual(kinds.reduce((sum, kind) => sum + measureBowlMm2(kind), 0) - 1e-6);
  const alone = readDemo("kranich");
  expect(measureTrialSurfaceMm2(alone, trialsOf(alone).find(({ kind }) => kind === "trialDrain")!)).toBe(
    measureBowlMm2(alone.fixtures[0]!.kind),
  );
});

// By hand: 800 × 400 mm that sink by 2 mm in 15 min are 0.64 L, 42.7 mL/min; in a pipe of 10.4 cm² the same 2 mm are 0.14.
test("two millimetres in a tank are three hundred times those in a pipe", () => {
  const loss = (areaCm2: number) =>
    computeWaterLoss({ areaCm2, minutes: 15, sankMm: 2, rulerErrorMm: 1, paper: "unseen" })!.mlPerMin;
  expect(loss(3_200) / loss(10.4)).toBeCloseTo(3_200 / 10.4, 6);
});

test("a boat is let go only when every fitting in her skin was bedded, hosed and looked at; on land nobody is asked to", () => {
  for (const design of ALL_DEMOS) {
    const steps = listSteps(design, evaluate(design));
    const launch = steps.find(({ kind }) => kind === "trialLaunch");
    const fittings = design.gear.filter(({ spec }) => spec.kind === "skinFitting");
    expect(launch !== undefined).toBe(design.rig.kind === "boat" && fittings.length > 0);
    if (!launch) continue;
    const order = orderSteps(steps);
    if (!order.ok) throw new Error(order.circle.join(", "));
    const at = (id: string) => order.steps.findIndex((step) => step.id === id);
    for (const { id } of fittings) {
      expect(at(`mountGear:${id}`)).toBeLessThan(at(launch.id));
      expect(findTrialOf(design, { kind: "gear", id })).toBe(launch.id);
    }
    for (const line of design.lines)
      if (line.kind === "hose") expect(at(`layHose:${line.id}`)).toBeLessThan(at(launch.id));
    expect(at(launch.id)).toBeLessThan(at("closeUp:all"));
  }
});

test("bowls of drains that are not joined do not sink along", () => {
  const design = readDemo("lesesaal-furnished");
  const areaOf = (id: string) =>
    measureTrialSurfaceMm2(design, trialsOf(design).find((step) => step.id === `trialDrain:${id}`)!);
  let alone = 0;
  for (const line of design.lines) {
    if (line.kind !== "drain" || line.to.kind === "junction") continue;
    if (design.lines.some(({ to }) => to.kind === "junction" && to.lineId === line.id)) continue;
    const { kind } = design.fixtures.find(({ id }) => id === line.fromFixture)!;
    expect(areaOf(line.id)).toBe(Math.max(1_040, measureBowlMm2(kind)));
    alone += 1;
  }
  expect(alone).toBeGreaterThan(1);
});
