import fc from "fast-check";
import { attitudes, designs } from "@/tests/arbitraries";
import { readDemo } from "@/tests/demoRigs";
import { evaluate } from "../evaluate/evaluate";
import { computeUp, LEVEL } from "./attitude";
import { computeRamps, findRunningAttitude } from "./ramps";

const kranich = readDemo("kranich").rig;
const small = fc.record({
  pitchDeg: fc.integer({ min: -80, max: 80 }).map((n) => n / 10),
  rollDeg: fc.integer({ min: -80, max: 80 }).map((n) => n / 10),
});

test("wheels 2 m apart, left low 2°: 70 mm under both left wheels", () => {
  const ramps = computeRamps({ ...kranich, widthMm: 2000 }, { pitchDeg: 0, rollDeg: -2 });
  expect(ramps.map(({ side, heightMm }) => [side, Math.round(heightMm)])).toEqual([
    ["left", 70],
    ["right", 0],
    ["left", 70],
    ["right", 0],
  ]);
});

test("nose down 3° on Kranich's wheelbase: the front wheels go up by its share of the wheelbase", () => {
  const base = kranich.axles[1]!.xMm - kranich.axles[0]!.xMm;
  const ramps = computeRamps(kranich, { pitchDeg: 3, rollDeg: 0 });
  const front = ramps.filter((r) => r.axle === 1).map((r) => r.heightMm);
  for (const heightMm of front) expect(heightMm).toBeCloseTo(base * Math.sin((3 * Math.PI) / 180), 6);
  expect(ramps.filter((r) => r.axle === 0).every((r) => r.heightMm < 1e-9)).toBe(true);
});

test("one wheel always stays on the ground, none goes below it, and what stands level needs none", () => {
  fc.assert(
    fc.property(small, small, (from, to) => {
      const heights = computeRamps(kranich, from, to).map((r) => r.heightMm);
      expect(Math.min(...heights)).toBeCloseTo(0, 9);
      expect(Math.max(...computeRamps(kranich, from, from).map((r) => r.heightMm))).toBeLessThan(1e-9);
    }),
  );
});

test("with the ramps under them the wheels lie in one plane: that of the attitude asked for", () => {
  fc.assert(
    fc.property(small, (from) => {
      const up = computeUp(from);
      const raised = computeRamps(kranich, from).map(({ axle, side, heightMm }) => {
        const y = ((side === "left" ? 1 : -1) * kranich.widthMm) / 2;
        return up.x * kranich.axles[axle]!.xMm + up.y * y + heightMm;
      });
      for (const height of raised) expect(height).toBeCloseTo(raised[0]!, 6);
    }),
  );
});

test("a mirrored lean asks for mirrored ramps; a boat has none; one axle is set sideways only", () => {
  const left = computeRamps(kranich, { pitchDeg: 1, rollDeg: -2 });
  const right = computeRamps(kranich, { pitchDeg: 1, rollDeg: 2 });
  const of = (ramps: typeof left, axle: number, side: string) =>
    ramps.find((r) => r.axle === axle && r.side === side)!.heightMm;
  for (const axle of [0, 1]) expect(of(left, axle, "left")).toBeCloseTo(of(right, axle, "right"), 9);
  expect(computeRamps(readDemo("otter").rig, { pitchDeg: 2, rollDeg: 3 })).toEqual([]);
  const trailer = readDemo("puppenwagen").rig;
  expect(Math.max(...computeRamps(trailer, { pitchDeg: 6, rollDeg: 0 }).map((r) => r.heightMm))).toBeLessThan(1e-9);
});

test("the nearest running attitude runs, and a hair further out does not", () => {
  fc.assert(
    fc.property(designs, attitudes, (design, from) => {
      const found = findRunningAttitude(design, from);
      const inHand = (attitude: typeof from) => evaluate(design, attitude).drains[0]!;
      const isRunning = (attitude: typeof from) =>
        inHand(attitude).here.legs.every((leg, i) => inHand(attitude).legs[i]!.kind === "drop" || leg.fallMm > -1e-6);
      if (found === null) {
        expect(isRunning(LEVEL)).toBe(false);
        return;
      }
      expect(isRunning(found)).toBe(true);
      if (found === from) return;
      const further = { pitchDeg: found.pitchDeg * 1.001, rollDeg: found.rollDeg * 1.001 };
      expect(isRunning(further)).toBe(false);
    }),
  );
});

test("Lesesaal at its worst: a few millimetres under the left wheels make it run", () => {
  const design = readDemo("lesesaal");
  const worst = { pitchDeg: 3, rollDeg: -2 };
  const found = findRunningAttitude(design, worst)!;
  expect(found.pitchDeg).toBeLessThan(3);
  const toRun = Math.max(...computeRamps(design.rig, worst, found).map((r) => r.heightMm));
  const toLevel = Math.max(...computeRamps(design.rig, worst).map((r) => r.heightMm));
  expect(toRun).toBeGreaterThan(5);
  expect(toRun).toBeLessThan(toLevel / 2);
});
