import fc from "fast-check";
import { DEMO_NAMES, type DemoName, FURNISHED, readDemo } from "@/tests/demoRigs";
import { mustApply } from "@/tests/sharedAir";
import type { Obstacle } from "../design/rig";
import { stripPlumbing } from "../design/stripPlumbing";
import { evaluate } from "../evaluate/evaluate";
import { listTankBlocks } from "../fit/tankBlocks";
import { measureCapacityL } from "../geometry/solid";
import { findFace } from "../templates/tankFaces";
import { buildTankAt, findLargestTanks, measureBetween } from "./largestTanks";

test.each<DemoName>([...DEMO_NAMES, FURNISHED])(
  "%s: every place found is clear of what is there, above the sills, and inside the floor",
  (name) => {
    const design = stripPlumbing(readDemo(name));
    const places = findLargestTanks(design)!;
    expect(places.length).toBeGreaterThan(0);
    places.forEach((place, i) => {
      const hung = mustApply(design, buildTankAt(design, place, "Large"));
      const codes = evaluate(hung).findings.map(({ code }) => code);
      expect(codes).not.toContain("tankHitsObstacle");
      expect(codes).not.toContain("tankBelowSill");
      expect(evaluate(hung).tanks[0]!.capacityL).toBeCloseTo(place.litres, 6);
      expect(place.litres).toBeLessThanOrEqual(places[i - 1]?.litres ?? Infinity);
      expect(place.atMm.x + place.lengthMm).toBeLessThanOrEqual(design.rig.lengthMm);
    });
  },
);

test("under an empty floor the best is the whole floor, less walls, fittings and the grid", () => {
  const bare = { ...stripPlumbing(readDemo("kranich")), obstacles: [] };
  const [best] = findLargestTanks(bare)!;
  const { lengthMm, widthMm } = bare.rig;
  expect(best!.lengthMm).toBeGreaterThan(lengthMm - 100 - 2 * 6 - 2 * 25);
  expect(best!.widthMm).toBeGreaterThan(widthMm - 2 * 6 - 2 * 25);
});

const block = fc.record({
  x: fc.integer({ min: 0, max: 1700 }),
  y: fc.integer({ min: -500, max: 450 }),
  l: fc.integer({ min: 50, max: 600 }),
  w: fc.integer({ min: 50, max: 350 }),
});

test("one more thing in the way never makes the largest larger, and it never hits it", () => {
  const kranich = stripPlumbing(readDemo("kranich"));
  const rig = { ...kranich.rig, lengthMm: 1_800, widthMm: 1_000 };
  const bare = { ...kranich, rig, obstacles: [] as Obstacle[] };
  fc.assert(
    fc.property(fc.array(block, { minLength: 1, maxLength: 6 }), (blocks) => {
      const obstacles = blocks.map(
        ({ x, y, l, w }, i): Obstacle => ({
          id: `o-${i}`,
          name: "Box",
          kind: "crossMember",
          atMm: { x, y, z: -300 },
          lengthMm: l,
          widthMm: w,
          heightMm: 260,
        }),
      );
      const most = (count: number) =>
        findLargestTanks({ ...bare, obstacles: obstacles.slice(0, count) })![0]?.litres ?? 0;
      expect(most(obstacles.length)).toBeLessThanOrEqual(most(obstacles.length - 1) + 1e-9);
    }),
    { numRuns: 25 },
  );
});

test("stopped, it gives no answer", () => {
  expect(findLargestTanks(stripPlumbing(readDemo("kranich")), { onStep: () => false })).toBeNull();
});

test("a profile is cut into blocks as large as itself where it has steps only; a slope counts with its whole slab", () => {
  const steps = [
    { u: 0, v: 0 },
    { u: 200, v: 0 },
    { u: 200, v: 60 },
    { u: 500, v: 60 },
    { u: 500, v: 190 },
    { u: 0, v: 190 },
  ];
  const volumeOf = (profileMm: typeof steps) =>
    listTankBlocks({
      solid: { shape: "prism", axis: "x", lengthMm: 800, profileMm },
      atMm: { x: 0, y: 0, z: 0 },
      wallMm: 0,
      insulationMm: 0,
    }).reduce((sum, { min, max }) => sum + (max.x - min.x) * (max.y - min.y) * (max.z - min.z), 0);
  expect(volumeOf(steps)).toBeCloseTo((200 * 190 + 300 * 130) * 800, 3);
  const sloped = steps.map((p) => (p.u === 200 && p.v === 60 ? { ...p, u: 300 } : p));
  expect(volumeOf(sloped)).toBeGreaterThan(
    measureCapacityL({ shape: "prism", axis: "x", lengthMm: 800, profileMm: sloped }) * 1e6,
  );
});

test("a beam under one side of the floor: the best has a step over it, holds more than any box, and hits nothing", () => {
  const bare = { ...stripPlumbing(readDemo("kranich")), obstacles: [] as Obstacle[] };
  const beam: Obstacle = {
    id: "beam",
    name: "Beam",
    kind: "crossMember",
    atMm: { x: 0, y: 100, z: -400 },
    lengthMm: bare.rig.lengthMm,
    widthMm: 500,
    heightMm: 150,
  };
  const design = { ...bare, obstacles: [beam] };
  const places = findLargestTanks(design)!;
  const [best] = places;
  expect(best!.stepped).not.toBeNull();
  const boxes = places.filter(({ stepped }) => !stepped);
  for (const box of boxes) expect(best!.litres).toBeGreaterThan(box.litres);
  const hung = mustApply(design, buildTankAt(design, best!, "Large"));
  expect(measureCapacityL(hung.tanks[0]!.solid)).toBeCloseTo(best!.litres, 6);
  expect(evaluate(hung).findings.map(({ code }) => code)).not.toContain("tankHitsObstacle");
  // it lies over the beam, which must come off before it can be dropped
  expect(best!.below).toEqual(["Beam"]);
  expect(hung.tanks[0]!.ports.every((port) => findFace(hung.tanks[0]!.solid, port).behindMm < 1)).toBe(true);
});

test("between two things: the tank lies between them, and the longest is the longest there is", () => {
  const bare = { ...stripPlumbing(readDemo("kranich")), obstacles: [] as Obstacle[] };
  const beam = (id: string, x: number): Obstacle => ({
    id,
    name: id,
    kind: "crossMember",
    atMm: { x, y: -500, z: -300 },
    lengthMm: 60,
    widthMm: 1000,
    heightMm: 250,
  });
  const design = { ...bare, obstacles: [beam("rear", 800), beam("front", 2000)] };
  const between = ["front", "rear"] as const;
  expect(measureBetween(design, between)).toMatchObject({ x: [860, 2000] });
  for (const most of ["litres", "length"] as const) {
    const places = findLargestTanks(design, { aim: { most, between } })!;
    expect(places.length).toBeGreaterThan(0);
    for (const { atMm, lengthMm } of places) {
      expect(atMm.x).toBeGreaterThanOrEqual(860);
      expect(atMm.x + lengthMm).toBeLessThanOrEqual(2000);
    }
  }
  // 1,140 mm less room to both, walls, fittings and what the grid gives away
  const [longest] = findLargestTanks(design, { aim: { most: "length", between } })!;
  expect(longest!.lengthMm).toBeGreaterThan(1140 - 20 - 12 - 100 - 50);
  const anywhere = findLargestTanks(design)!;
  expect(anywhere[0]!.litres).toBeGreaterThanOrEqual(
    findLargestTanks(design, { aim: { most: "litres", between } })![0]!.litres,
  );
  expect(measureBetween(design, ["front", "front"])).toBeNull();
});
