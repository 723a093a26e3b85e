import fc from "fast-check";
import { attitudes, prisms } from "@/tests/arbitraries";
import { readDemo } from "@/tests/demoRigs";
import { box, senders, shaped, volumeL } from "@/tests/tankShapes";
import { computeUp, type LEVEL } from "../attitude/attitude";
import type { Design } from "../design/design";
import type { Sender } from "../design/plumbing";
import { toBlock } from "../fit/obstacleBlock";
import { toTankBlock } from "../fit/obstacleGaps";
import { listTankHinders } from "../fit/tankHinders";
import { measureCapacityL, measureExtent } from "../geometry/solid";
import { add, dot, vec } from "../geometry/vec";
import { findLargestTanks } from "./largestTanks";
import { listSenderMarks, measureDeadBands } from "./senderMarks";
import { computeSenderError, computeShownL, findBestPlace, SENDER_STEPS } from "./senders";
import { computeFullKg } from "./shell";
import { listTaken, ROOM_MM, WALL_MM } from "./tankPlaces";
import { weighSizes } from "./weighSizes";

// What senders show, and where a tank may hang, worked out a second time in the plainest way there is.

/* Senders */

test("any sender: what it shows is the step its own place is wet to, read as if the rig stood level", () => {
  const tank = shaped(box(800, 400, 200));
  fc.assert(
    fc.property(senders, attitudes, fc.double({ min: 0, max: 64, noNaN: true }), (sender, attitude, litres) => {
      const { kind, xMm, yMm, lowMm, highMm } = sender;
      const up = computeUp(attitude);
      // the surface by halving
      let [low, high] = [-1000, 1000];
      for (let i = 0; i < 60; i++) {
        const middle = (low + high) / 2;
        if (volumeL(tank, up, middle) < litres) low = middle;
        else high = middle;
      }
      const depth = (low - up.x * xMm - up.y * yMm) / up.z;
      const steps = SENDER_STEPS[kind];
      const points =
        steps === null
          ? [Math.min(highMm, Math.max(lowMm, depth))]
          : Array.from({ length: steps }, (_, i) => lowMm + (steps > 1 ? (i * (highMm - lowMm)) / (steps - 1) : 0));
      fc.pre(Math.abs(depth - lowMm) > 0.01 && points.every((p) => steps === null || Math.abs(depth - p) > 0.01));
      const wet = depth < lowMm ? null : points.filter((p) => p <= depth + 1e-6 || steps === null).at(-1)!;
      const expected = wet === null ? 0 : (wet * 800 * 400) / 1e6;
      expect(computeShownL(tank, sender, attitude, litres)).toBeCloseTo(expected, 4);
    }),
  );
});

test("any sender: its worst error is the worst of thirteen fillings at each standing, and no place on the grid is better", () => {
  const tank = shaped(box(800, 400, 200));
  fc.assert(
    fc.property(senders, fc.array(attitudes, { minLength: 1, maxLength: 3 }), (sender, standings) => {
      const outs = standings.flatMap((attitude) =>
        Array.from({ length: 13 }, (_, i) => ({
          attitude,
          out: computeShownL(tank, sender, attitude, (60 * i) / 12) - (60 * i) / 12,
        })),
      );
      const error = computeSenderError(tank, sender, standings, 60);
      const over = Math.max(0, ...outs.map(({ out }) => out));
      const under = Math.max(0, ...outs.map(({ out }) => -out));
      expect(error.mostOverL).toBeCloseTo(over, 9);
      expect(error.mostUnderL).toBeCloseTo(under, 9);
      const isAt = (wanted: typeof LEVEL, most: number, sign: number) =>
        most === 0 || outs.some(({ attitude, out }) => attitude === wanted && Math.abs(sign * out - most) < 1e-9);
      expect(isAt(error.overAt, over, 1)).toBe(true);
      expect(isAt(error.underAt, under, -1)).toBe(true);
      const worst = (one: Sender) => {
        const { mostOverL, mostUnderL } = computeSenderError(tank, one, standings, 60);
        return Math.max(mostOverL, mostUnderL);
      };
      const best = findBestPlace(tank, sender, standings, 60);
      expect(best).toMatchObject({ kind: sender.kind, lowMm: sender.lowMm, highMm: sender.highMm });
      if (best.xMm !== sender.xMm || best.yMm !== sender.yMm)
        expect([best.xMm / 80, best.yMm / 40].map((tenths) => tenths % 2)).toEqual([1, 1]);
      for (const share of [0.1, 0.3, 0.5, 0.7, 0.9]) {
        for (const other of [0.1, 0.3, 0.5, 0.7, 0.9]) {
          const there = { ...sender, xMm: Math.round(800 * share), yMm: Math.round(400 * other) };
          expect(worst(best)).toBeLessThanOrEqual(worst(there) + 2e-9);
        }
      }
      expect(worst(best)).toBeLessThanOrEqual(worst(sender) + 2e-9);
    }),
    { numRuns: 20 },
  );
});

test("any sender: the marks are its own depths, and what it tells nothing of is below and above them", () => {
  const tank = shaped(box(800, 400, 200));
  fc.assert(
    fc.property(senders, attitudes, (sender, attitude) => {
      const { kind, lowMm, highMm, xMm, yMm } = sender;
      const up = computeUp(attitude);
      const marks = listSenderMarks(tank, sender, attitude);
      const count = SENDER_STEPS[kind] ?? 5;
      expect(marks).toHaveLength(count);
      marks.forEach((mark, i) => {
        const share = count > 1 ? i / (count - 1) : 0;
        expect(mark.depthMm).toBeCloseTo(lowMm + share * (highMm - lowMm), 9);
        expect(mark.levelL).toBeCloseTo((mark.depthMm * 800 * 400) / 1e6, 9);
        expect(mark.hereL).toBeCloseTo(volumeL(tank, up, dot(up, vec(xMm, yMm, mark.depthMm))), 9);
        if (kind !== "float") expect(mark.ohms).toBeNull();
        else {
          expect(mark.ohms!.rising).toBeCloseTo(190 * share, 9);
          expect(mark.ohms!.falling).toBeCloseTo(240 - 207 * share, 9);
        }
      });
      const { belowL, aboveL } = measureDeadBands(tank, sender);
      expect(belowL).toBeCloseTo((lowMm * 800 * 400) / 1e6, 9);
      expect(aboveL).toBeCloseTo(((200 - (count === 1 ? lowMm : highMm)) * 800 * 400) / 1e6, 9);
    }),
  );
});

/* Sizes and places */

test("sizes weighed up: from half to twice in twentieths, each as heavy as it is full", () => {
  const design = readDemo("kranich");
  const tank = design.tanks[0]!;
  const sizes = weighSizes(design, tank);
  const lengths = sizes.map(({ lengthMm }) => lengthMm);
  const steps = Array.from({ length: 31 }, (_, i) => Math.round(tank.solid.lengthMm * (0.5 + i * 0.05)));
  // those that fit the rig at all
  expect(lengths).toEqual(steps.filter((lengthMm) => lengths.includes(lengthMm)));
  expect(lengths.slice(0, 11)).toEqual(steps.slice(0, 11));
  const room = { ...design, obstacles: [], rig: { ...design.rig, lengthMm: 9000 } };
  expect(weighSizes(room, tank).map(({ lengthMm }) => lengthMm)).toEqual(steps);
  expect(new Set(lengths).size).toBe(lengths.length);
  for (const { lengthMm, capacityL, fullKg } of sizes) {
    const sized = { ...tank, solid: { ...tank.solid, lengthMm } };
    expect(capacityL).toBeCloseTo(measureCapacityL(sized.solid), 6);
    expect(fullKg).toBeCloseTo(computeFullKg(sized), 6);
  }
});

test("every place that is found keeps its distance from all that is there, hangs over the sill and under the floor", () => {
  for (const name of ["kranich", "lesesaal", "lesesaal-furnished"] as const) {
    const design = readDemo(name);
    const places = findLargestTanks(design)!;
    expect(places.length).toBeGreaterThan(0);
    expect(listTaken(design)).toHaveLength(listTankHinders(design).length + design.tanks.length);
    for (const { atMm, lengthMm, widthMm, heightMm, stepped, litres, below } of places) {
      const blocks = stepped ? [] : [{ min: atMm, max: add(atMm, vec(lengthMm, widthMm, heightMm)) }];
      for (const { min, max } of blocks) {
        for (const { block, roomMm } of listTaken(design)) {
          const room = roomMm + WALL_MM;
          const gap = Math.max(
            ...(["x", "y", "z"] as const).map((axis) =>
              Math.max(block.min[axis] - max[axis], min[axis] - block.max[axis]),
            ),
          );
          expect(gap).toBeGreaterThanOrEqual(room - 1e-6);
        }
        const under = listTankHinders(design).filter((one) => {
          const other = toBlock(one);
          return (
            other.max.z <= min.z &&
            other.max.x > min.x - WALL_MM &&
            other.min.x < max.x + WALL_MM &&
            other.max.y > min.y - WALL_MM &&
            other.min.y < max.y + WALL_MM
          );
        });
        expect(below).toEqual(under.map((one) => one.name));
      }
      if (!stepped) expect(litres).toBeCloseTo((lengthMm * widthMm * heightMm) / 1e6, 9);
      else expect(litres).toBeCloseTo(measureCapacityL({ ...stepped, profileMm: [...stepped.profileMm] }), 6);
      expect(atMm.z + heightMm + WALL_MM + ROOM_MM).toBeLessThanOrEqual(1e-6);
    }
  }
});

test("a stepped profile of any kind weighs as much as its outline swept along, and a tank's block holds its walls", () => {
  fc.assert(
    fc.property(prisms, (solid) => {
      const tank = shaped(solid);
      expect(computeFullKg(tank)).toBeGreaterThan((measureCapacityL(solid) * 998.2) / 1000);
      const { min, max } = measureExtent(solid);
      const block = toTankBlock(tank);
      for (const axis of ["x", "y", "z"] as const) {
        expect(block.min[axis]).toBeLessThanOrEqual(min[axis] - tank.wallMm + 1e-9);
        expect(block.max[axis]).toBeGreaterThanOrEqual(max[axis] + tank.wallMm - 1e-9);
      }
    }),
    { numRuns: 40 },
  );
});

test("a tank that hangs between two that are named is found between them; those that overlap leave no room", () => {
  const design: Design = readDemo("lesesaal");
  const [a, b] = design.obstacles.filter(({ kind }) => kind === "chassisRail");
  const between = findLargestTanks(design, { aim: { most: "length", between: [a!.id, b!.id] } })!;
  const [p, q] = [toBlock(a!), toBlock(b!)];
  const [low, high] = p.min.y < q.min.y ? [p.max.y, q.min.y] : [q.max.y, p.min.y];
  for (const { atMm, widthMm } of between) {
    expect(atMm.y).toBeGreaterThanOrEqual(low);
    expect(atMm.y + widthMm).toBeLessThanOrEqual(high);
  }
  expect(findLargestTanks(design, { aim: { most: "litres", between: [a!.id, a!.id] } })).toEqual([]);
  expect(findLargestTanks(design, { aim: { most: "litres", between: [a!.id, "gone"] } })).toEqual([]);
});
