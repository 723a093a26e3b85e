import fc from "fast-check";
import { readDemo } from "@/tests/demoRigs";
import type { Design } from "../design/design";
import type { Tank } from "../design/plumbing";
import type { Obstacle } from "../design/rig";
import { stripPlumbing } from "../design/stripPlumbing";
import { listTankBlocks } from "../fit/tankBlocks";
import { lookUpValue } from "../rules/lookUpLimit";
import { buildTankAt, findLargestTanks, measureBetween } from "./largestTanks";
import { findSteppedTanks } from "./steppedTanks";
import { type Found, listTaken } from "./tankPlaces";

// The search for the largest tank, held against trying every place there is on a small floor.

const [LENGTH, WIDTH, CELL] = [750, 450, 25];
const kranich = stripPlumbing(readDemo("kranich"));
const small: Design = { ...kranich, rig: { ...kranich.rig, lengthMm: LENGTH, widthMm: WIDTH }, obstacles: [] };

const floors: fc.Arbitrary<Design> = fc.tuple(fc.boolean(), things()).map(([hasSill, obstacles]) => ({
  ...small,
  rig: hasSill ? small.rig : { ...small.rig, sillZMm: null, groundZMm: -520 },
  obstacles,
}));

function things(): fc.Arbitrary<Obstacle[]> {
  return fc
    .array(
      fc.record({
        x: fc.integer({ min: -100, max: LENGTH }),
        y: fc.integer({ min: -WIDTH / 2 - 50, max: WIDTH / 2 }),
        z: fc.integer({ min: -420, max: -60 }),
        l: fc.integer({ min: 10, max: 260 }),
        w: fc.integer({ min: 10, max: 200 }),
        h: fc.integer({ min: 10, max: 250 }),
        kind: fc.constantFrom("crossMember" as const, "exhaust" as const, "fuelTank" as const, "seat" as const),
      }),
      { maxLength: 4 },
    )
    .map((blocks) =>
      blocks.map(
        ({ x, y, z, l, w, h, kind }, i): Obstacle => ({
          ...kranich.obstacles[0]!,
          id: `o-${i}`,
          name: `Thing ${i}`,
          kind,
          atMm: { x, y, z },
          lengthMm: l,
          widthMm: w,
          heightMm: h,
        }),
      ),
    );
}

const topOf = ({ rig }: Design) => -rig.floorLayers.reduce((sum, { thicknessMm }) => sum + thicknessMm, 0);
// where nobody measured the sill, a hand over the ground
const sillOf = ({ rig }: Design) => rig.sillZMm ?? rig.groundZMm + 150;
const lowestOf = (design: Design) => sillOf(design) + lookUpValue(design.rules, "sillGap");

/** Of all boxes on the grid, at every height and depth, that hit nothing: the most litres, the longest, and of those the most litres. */
function tryEvery(design: Design, from = -Infinity, to = Infinity) {
  const taken = listTaken(design);
  const [columns, rows] = [LENGTH / CELL, WIDTH / CELL];
  const best = { litres: 0, long: 0, longLitres: 0 };
  for (const belowMm of [140, 80, 20])
    for (let heightMm = 80; heightMm <= Math.min(500, topOf(design) - sillOf(design)); heightMm += 20) {
      const z = topOf(design) - belowMm - 6 - heightMm;
      if (z - 6 < lowestOf(design)) continue;
      const isFree = (c: number, r: number) => {
        const [x0, y0] = [c * CELL, r * CELL - WIDTH / 2];
        if (x0 < from || x0 + CELL > to) return false;
        return taken.every(({ block: { min, max }, roomMm }) => {
          const room = roomMm + 6;
          return (
            max.z + room <= z ||
            min.z - room >= z + heightMm ||
            x0 + CELL <= min.x - room ||
            x0 >= max.x + room ||
            y0 + CELL <= min.y - room ||
            y0 >= max.y + room
          );
        });
      };
      const free = Array.from({ length: columns }, (_, c) => Array.from({ length: rows }, (_, r) => isFree(c, r)));
      for (let c0 = 0; c0 < columns; c0++)
        for (let r0 = 0; r0 < rows; r0++) {
          let deepest = rows;
          for (let c = c0; c < columns; c++) {
            let r = r0;
            while (r < deepest && free[c]![r]) r++;
            deepest = r;
            if (deepest === r0) break;
            const [long, wide] = [(c - c0 + 1) * CELL - 112, (deepest - r0) * CELL - 12];
            if (long < 200 || wide < 150) continue;
            const litres = (long * wide * heightMm) / 1e6;
            best.litres = Math.max(best.litres, litres);
            if (long > best.long) [best.long, best.longLitres] = [long, 0];
            if (long === best.long) best.longLitres = Math.max(best.longLitres, litres);
          }
        }
    }
  return best;
}

test("the largest and the longest box found are those of trying every one", () => {
  const met = { none: 0, some: 0 };
  fc.assert(
    fc.property(floors, (design) => {
      const every = tryEvery(design);
      const places = findLargestTanks(design)!;
      const [longest] = findLargestTanks(design, { aim: { most: "length", between: null } })!;
      met[every.litres > 0 ? "some" : "none"] += 1;
      const [best] = places;
      if (!best?.stepped) expect(best?.litres ?? 0).toBeCloseTo(every.litres, 6);
      else expect(best.litres).toBeGreaterThan(every.litres * 1.05);
      expect([longest?.lengthMm ?? 0, longest?.litres ?? 0]).toEqual([every.long, expect.closeTo(every.longLitres, 6)]);
      expect(places.length).toBeLessThanOrEqual(5);
      places.forEach((place, i) => {
        expect(place.litres).toBeLessThanOrEqual(places[i - 1]?.litres ?? Infinity);
        for (const other of places.slice(0, i)) {
          const isNear =
            Math.abs(other.atMm.x - place.atMm.x) < 100 &&
            Math.abs(other.atMm.y - place.atMm.y) < 100 &&
            Math.abs(other.litres - place.litres) < 0.15 * other.litres;
          expect(isNear).toBe(false);
        }
        expect(place.below).toEqual(listUnder(design, place));
      });
    }),
    { numRuns: 60 },
  );
  expect(met.some).toBeGreaterThan(10);
});

/** What stands under any part of a tank. */
function listUnder(design: Design, { atMm, lengthMm, widthMm, heightMm, stepped }: Found): string[] {
  const solid = stepped
    ? { ...stepped, profileMm: [...stepped.profileMm] }
    : ({ shape: "box", lengthMm, widthMm, heightMm } as const);
  const parts = listTankBlocks({ solid, atMm, wallMm: 6, insulationMm: 0 });
  return design.obstacles.flatMap(({ name, atMm: at, lengthMm: l, widthMm: w, heightMm: h }) => {
    const isUnder = parts.some(
      ({ min, max }) => at.z + h <= min.z + 1 && at.x + l > min.x && at.x < max.x && at.y + w > min.y && at.y < max.y,
    );
    return isUnder ? [name] : [];
  });
}

test("between two things the best is that of trying every place between them", () => {
  const beam = (id: string, x: number, lengthMm: number): Obstacle => ({
    ...kranich.obstacles[0]!,
    id,
    name: id,
    kind: "crossMember",
    atMm: { x, y: -100, z: -390 },
    lengthMm,
    widthMm: 200,
    heightMm: 330,
  });
  fc.assert(
    fc.property(
      fc.integer({ min: -50, max: 200 }),
      fc.integer({ min: 420, max: 740 }),
      fc.constantFrom(["a", "b"] as const, ["b", "a"] as const),
      (rear, front, between) => {
        const design: Design = { ...small, obstacles: [beam("a", rear, 30), beam("b", front, 30)] };
        expect(measureBetween(design, between)).toEqual({ x: [rear + 30, front], y: [-Infinity, Infinity] });
        const every = tryEvery(design, rear + 30, front);
        const [longest] = findLargestTanks(design, { aim: { most: "length", between } })!;
        expect([longest?.lengthMm ?? 0, longest?.litres ?? 0]).toEqual([
          every.long,
          expect.closeTo(every.longLitres, 6),
        ]);
        const places = findLargestTanks(design, { aim: { most: "litres", between } })!;
        for (const { atMm, lengthMm } of places)
          expect([atMm.x >= rear + 30, atMm.x + lengthMm <= front]).toEqual([true, true]);
        const [best] = places;
        if (best && !best.stepped) expect(best.litres).toBeCloseTo(every.litres, 6);
      },
    ),
    { numRuns: 25 },
  );
  // two narrow ones by the edge, and something low that asks for a step: a step along the rig stays between them, too
  const narrow = (id: string, x: number) => ({ ...beam(id, x, 30), atMm: { x, y: -225, z: -390 }, widthMm: 40 });
  const low = { ...beam("low", 400, 150), atMm: { x: 400, y: -250, z: -395 }, widthMm: 500, heightMm: 150 };
  const stepped = { ...small, obstacles: [narrow("a", 20), narrow("b", 620), low] };
  const free = findLargestTanks(stepped)!;
  expect(free.some((place) => place.stepped && place.atMm.x + place.lengthMm > 620)).toBe(true);
  const kept = findLargestTanks(stepped, { aim: { most: "litres", between: ["a", "b"] } })!;
  expect(kept.length).toBeGreaterThan(0);
  for (const { atMm, lengthMm } of kept) expect([atMm.x >= 50, atMm.x + lengthMm <= 620]).toEqual([true, true]);
  const side = {
    ...small,
    obstacles: [beam("a", 100, 30), { ...beam("b", 100, 30), atMm: { x: 100, y: 150, z: -390 } }],
  };
  expect(measureBetween(side, ["b", "a"])).toEqual({ x: [-Infinity, Infinity], y: [100, 150] });
  expect(measureBetween(side, ["a", "gone"])).toBeNull();
  expect(findLargestTanks(side, { aim: { most: "litres", between: ["a", "gone"] } })).toEqual([]);
  // across the rig it stays between them as it does along it, also past their ends
  const rail = (id: string, y: number) => ({ ...beam(id, 0, 60), atMm: { x: 0, y, z: -390 }, widthMm: 20 });
  const rails = { ...small, obstacles: [rail("a", -180), rail("b", 120)] };
  const across = findLargestTanks(rails, { aim: { most: "litres", between: ["a", "b"] } })!;
  expect(across.length).toBeGreaterThan(0);
  for (const { atMm, widthMm } of across) expect([atMm.y >= -160, atMm.y + widthMm <= 120]).toEqual([true, true]);
  const inside = {
    ...side,
    obstacles: [beam("a", 100, 300), { ...beam("b", 150, 30), atMm: { x: 150, y: -50, z: -390 } }],
  };
  expect(measureBetween(inside, ["a", "b"])).toBeNull();
});

/** Of one stretch every run of cells and every place of a step, each cell as deep as what is under it lets it be. */
function tryEveryStep(
  design: Design,
  { axis, from, long, topMm }: { axis: "x" | "y"; from: number; long: number; topMm: number },
) {
  const inside = long - 112;
  if (inside < 200) return 0;
  const cell = axis === "x" ? CELL : 2 * CELL;
  const [start, whole] = axis === "x" ? [-WIDTH / 2, WIDTH] : [0, LENGTH];
  const count = Math.floor(whole / cell);
  const other = axis === "x" ? "y" : "x";
  const heights = Array.from({ length: count }, (_, i) => {
    const [a, b] = [start + i * cell, start + (i + 1) * cell];
    let low = lowestOf(design) + 6;
    for (const {
      block: { min, max },
      roomMm,
    } of listTaken(design)) {
      const room = roomMm + 6;
      if (max[axis] + room <= from + 6 || min[axis] - room >= from + long - 6 || min.z - room >= topMm) continue;
      if (b <= min[other] - room || a >= max[other] + room) continue;
      low = Math.max(low, max.z + room);
    }
    return Math.min(500, topMm - low);
  });
  let best = 0;
  for (let first = 0; first < count; first++)
    for (let split = first + 3; split < count; split++)
      for (let last = split + 4; last < count; last++) {
        const left = Math.min(...heights.slice(first, split + 1));
        const right = Math.min(...heights.slice(split + 1, last + 1));
        if (left < 80 || right < 80 || Math.abs(left - right) < 30) continue;
        const wide = (last - first + 1) * cell - 12;
        const at = (split - first + 1) * cell - 6;
        best = Math.max(best, ((left * at + right * (wide - at)) * inside) / 1e6);
      }
  return best;
}

test("a tank with a step, along or across, is the best of trying every run and every step; it hits nothing", () => {
  let met = 0;
  fc.assert(
    fc.property(
      floors,
      fc.integer({ min: 0, max: 200 }),
      fc.integer({ min: 250, max: 700 }),
      fc.integer({ min: -200, max: 0 }),
      fc.integer({ min: 160, max: 440 }),
      fc.option(fc.integer({ min: -3, max: 15 })),
      (design, anyX, lengthMm, y, widthMm, beside) => {
        // now and then one thing ends just where its room ends, or a little nearer
        const [near] = listTaken(design);
        const x = near && beside !== null ? near.block.max.x + near.roomMm + 6 + beside : anyX;
        const topMm = topOf(design) - 26;
        const box: Found = {
          atMm: { x, y, z: topMm - 100 },
          lengthMm,
          widthMm,
          heightMm: 100,
          litres: 1,
          stepped: null,
        };
        const lowestMm = lowestOf(design);
        const places = findSteppedTanks(design, listTaken(design), { found: [box, box], lowestMm });
        const wanted = [
          tryEveryStep(design, { axis: "x", from: x - 6, long: lengthMm + 112, topMm }),
          tryEveryStep(design, { axis: "y", from: y - 6, long: widthMm + 12, topMm }),
        ].filter((litres) => litres > 0);
        expect(places.map(({ litres }) => litres)).toEqual(wanted.map((litres) => expect.closeTo(litres, 6)));
        for (const { atMm, stepped, heightMm, litres } of places) {
          met += 1;
          const parts = listTankBlocks({
            solid: { ...stepped!, profileMm: [...stepped!.profileMm] },
            atMm,
            wallMm: 0,
            insulationMm: 0,
          });
          const sum = parts.reduce((all, { min, max }) => all + (max.x - min.x) * (max.y - min.y) * (max.z - min.z), 0);
          expect(sum / 1e6).toBeCloseTo(litres, 6);
          expect(atMm.z + heightMm).toBeCloseTo(topMm, 9);
          expect(atMm.z - 6).toBeGreaterThanOrEqual(lowestMm - 1e-9);
          for (const { block, roomMm } of listTaken(design))
            for (const part of parts) {
              const isApart = (["x", "y", "z"] as const).some(
                (axis) =>
                  part.max[axis] + roomMm <= block.min[axis] + 1e-9 ||
                  part.min[axis] - roomMm >= block.max[axis] - 1e-9,
              );
              expect(isApart).toBe(true);
            }
        }
      },
    ),
    { numRuns: 80 },
  );
  expect(met).toBeGreaterThan(10);
});

test("two rooms of one size are two places, side by side or one behind the other; what is told grows to the whole", () => {
  const wall = (at: { x: number; y: number }, lengthMm: number, widthMm: number): Design => ({
    ...small,
    rig: { ...small.rig, lengthMm: 1_000, widthMm: 900 },
    obstacles: [
      {
        ...kranich.obstacles[0]!,
        id: "wall",
        name: "Wall",
        kind: "crossMember",
        atMm: { ...at, z: -395 },
        lengthMm,
        widthMm,
        heightMm: 350,
      },
    ],
  });
  const side = findLargestTanks(wall({ x: -50, y: -20 }, 1_100, 40))!;
  const [left, right] = [side.find(({ atMm }) => atMm.y > 0)!, side.find(({ atMm }) => atMm.y < 0)!];
  expect([left.atMm.x, left.litres]).toEqual([right.atMm.x, right.litres]);
  const behind = findLargestTanks(wall({ x: 480, y: -500 }, 40, 1_000))!;
  const [front, rear] = [behind.find(({ atMm }) => atMm.x > 500)!, behind.find(({ atMm }) => atMm.x < 500)!];
  expect([front.atMm.y, front.litres]).toEqual([rear.atMm.y, expect.closeTo(rear.litres, -1)]);
  const shares: number[] = [];
  findLargestTanks(small, { onStep: (share) => shares.push(share) > 0 });
  expect(shares[0]).toBeCloseTo(1 / shares.length, 9);
  expect(shares.at(-1)).toBe(1);
  expect(shares).toEqual([...shares].sort((a, b) => a - b));
  // where they touch there is no room between two things
  const touching = wall({ x: 100, y: 0 }, 50, 50);
  const next = { ...touching.obstacles[0]!, id: "next", atMm: { x: 150, y: 50, z: -395 } };
  expect(measureBetween({ obstacles: [...touching.obstacles, next] }, ["wall", "next"])).toBeNull();
});

test("hung in its place a tank lets out at the bottom of its rear and takes in at the top of its front", () => {
  const [box] = findLargestTanks(small)!.filter(({ stepped }) => !stepped);
  const edit = buildTankAt(small, box!, "Large");
  const insert = edit.ops.find(({ op }) => op === "insert");
  if (insert?.op !== "insert") throw new Error("a tank");
  const { ports } = insert.value as Tank;
  const place = (kind: string) => ports.find((port) => port.kind === kind)!;
  const { lengthMm, widthMm, heightMm } = box!;
  expect(place("outlet").atMm).toEqual({ x: 0, y: widthMm / 2, z: 0 });
  const inlet = place("inlet");
  expect(inlet.atMm).toEqual({ x: lengthMm, y: widthMm / 2, z: heightMm - inlet.boreMm });
});
