import fc from "fast-check";
import { designs } from "@/tests/arbitraries";
import { readDemo } from "@/tests/demoRigs";
import { measureFloorMm } from "../design/floor";
import type { Drain } from "../design/plumbing";
import { buildDrainPath } from "../falls/drainPath";
import { vec } from "../geometry/vec";
import { toBlock } from "./obstacleBlock";
import { findClearance, measureLegGaps, measureSillGapMm, measureTankGaps, toTankBlock } from "./obstacleGaps";
import { listPassages } from "./passages";

const kranich = readDemo("kranich");
const tank = kranich.tanks[0]!;

test("the floor of Kranich is 44 mm: boards, cork, aluminium", () => {
  expect(measureFloorMm(kranich)).toBe(14 + 20 + 10);
});

test("a drain goes through the floor once, where its drop crosses the finished floor", () => {
  const drain = kranich.lines.find((line) => line.kind === "drain") as Drain;
  const passages = listPassages(kranich, buildDrainPath(kranich, drain), 2);
  expect(passages).toHaveLength(1);
  expect(passages[0]!.atMm.z).toBeCloseTo(0, 9);
  // straight down: the pipe and 2 mm all round
  expect(passages[0]!.hole.lengthMm).toBeCloseTo(drain.pipe.outerMm + 4, 6);
});

test("a drain passes the floor an odd number of times from above it to below it", () => {
  fc.assert(
    fc.property(designs, (design) => {
      const drain = design.lines.find((line) => line.kind === "drain") as Drain;
      const path = buildDrainPath(design, drain);
      const starts = path.nodesMm[0]!.z > 0;
      const ends = path.nodesMm[path.nodesMm.length - 1]!.z > 0;
      const passages = listPassages(design, path, 2);
      expect(passages.length % 2 === 1).toBe(starts !== ends);
      for (const { atMm } of passages) expect(Math.abs(atMm.z)).toBeLessThan(1e-6);
    }),
  );
});

test("a block beside the tank is as far as the tape says, from the outside of its wall", () => {
  const outside = toTankBlock(tank);
  const block = { ...kranich.obstacles[0]!, lengthMm: 50, widthMm: 50, heightMm: 50 };
  const beside = { ...block, atMm: vec(outside.max.x + 32, outside.min.y, outside.min.z) };
  const gaps = measureTankGaps({ ...kranich, obstacles: [beside] }, tank);
  expect(gaps[0]!.gapMm).toBeCloseTo(32, 9);
  const inside = { ...block, atMm: vec(outside.max.x - 7, outside.min.y, outside.min.z) };
  expect(measureTankGaps({ ...kranich, obstacles: [inside] }, tank)[0]!.gapMm).toBeCloseTo(-7, 9);
});

test("the gap of a leg counts from the outside of the pipe", () => {
  const drain = kranich.lines.find((line) => line.kind === "drain") as Drain;
  const path = buildDrainPath(kranich, drain);
  const drop = path.legs.findIndex((leg) => leg.kind === "drop" && leg.planLengthMm < 1);
  const { from } = path.legs[drop]!;
  const block = { ...kranich.obstacles[0]!, lengthMm: 50, widthMm: 50, heightMm: 5 };
  const beside = { ...block, atMm: vec(from.x + 100, from.y - 25, from.z - 100) };
  const [gap] = measureLegGaps({ ...kranich, obstacles: [beside] }, path, drop);
  expect(gap!.gapMm).toBeCloseTo(100 - drain.pipe.outerMm / 2, 6);
});

test("the sill gap is what is left below the tank's wall; a boat has none", () => {
  const bottom = tank.atMm.z - tank.wallMm;
  expect(measureSillGapMm(kranich, tank)).toBeCloseTo(bottom - kranich.rig.sillZMm!, 9);
  const otter = readDemo("otter");
  expect(measureSillGapMm(otter, otter.tanks[0]!)).toBeNull();
  expect(toBlock(kranich.obstacles[0]!).min).toEqual(kranich.obstacles[0]!.atMm);
});

// Common practice, no source: heat softens plastic, a shield with an air gap keeps most of it off.
test("a bare exhaust wants more room than a shielded one, of tank and pipe, and nothing else has a shield", () => {
  const design = readDemo("kranich");
  const exhaust = design.obstacles.find(({ kind }) => kind === "exhaust")!;
  const room = (bare: boolean) => findClearance(design.rules, bare ? { ...exhaust, bare: true } : exhaust);
  expect(room(true).id).toBe("exhaustBareGap");
  expect(room(true).value!).toBeGreaterThan(room(false).value!);
  expect(findClearance(design.rules, { kind: "fuelTank", bare: true }).id).toBe("obstacleGap");
});
