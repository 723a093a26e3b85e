import fc from "fast-check";
import { readDemo } from "@/tests/demoRigs";
import { findAll } from "@/tests/findingEdges";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { Obstacle } from "../design/rig";
import { evaluate } from "../evaluate/evaluate";
import { buildLeg, type Leg } from "../falls/drainPath";
import { toGearBlock } from "../gear/gearBlock";
import type { Block } from "../geometry/blocks";
import { interpolate, type Vec3, vec } from "../geometry/vec";
import { proposeRemedies } from "../remedies/proposeRemedies";
import { toAxis } from "./clashes";
import { listCollisions } from "./collisions";
import { listLineLegs } from "./lineLegs";
import { toBlock } from "./obstacleBlock";
import { toTankBlock } from "./obstacleGaps";
import { listSides, measureAlongSides, measureThroughSides } from "./sides";

const PIPE = { innerMm: 36, outerMm: 40, manningN: 0.01 };
const legOf = (from: Vec3, to: Vec3): Leg =>
  buildLeg(from, to, { lineId: "any", index: 0, pipe: PIPE, inflowLps: 0, surgeLps: 0 });

const CABINET: Obstacle = {
  id: "it",
  name: "Galley",
  kind: "cabinet",
  atMm: vec(1_000, 0, 0),
  lengthMm: 600,
  widthMm: 500,
  heightMm: 800,
};
const WALL: Obstacle = { ...CABINET, kind: "bulkhead", lengthMm: 20 };

test("an upright pipe lies in the side of a cabinet so deep as it overlaps, and beside it, or through it, in none", () => {
  const at = (x: number) => measureAlongSides(legOf(vec(x, 250, 50), vec(x, 250, 600)), CABINET, 2);
  // half of 16 mm and half of 40 mm reach to one another
  expect(at(1_000)).toBeCloseTo(-28, 9);
  expect(at(1_010)).toBeCloseTo(-18, 9);
  expect(at(990)).toBeCloseTo(-18, 9);
  expect(at(1_590)).toBeCloseTo(-18, 9);
  expect([at(1_300), at(960), at(1_025.1), at(1_640)]).toEqual([null, null, null, null]);
  const across = (from: Vec3, to: Vec3) => measureAlongSides(legOf(from, to), CABINET, 2);
  expect(across(vec(900, 250, 300), vec(1_200, 250, 290))).toBe(null);
  expect(across(vec(900, 100, 300), vec(1_200, 400, 290))).toBe(null);
  // so flat that the hole would be a slot
  expect(across(vec(985, 50, 300), vec(1_020, 450, 290))).toBeCloseTo(-28, 9);
  // beside the face, or over it
  expect(across(vec(1_000, 540, 50), vec(1_000, 540, 700))).toBe(null);
  expect(across(vec(1_000, 250, 820), vec(1_000, 250, 1_400))).toBe(null);
});

test("along a wall the same, by its own thickness; a solid has no sides", () => {
  const at = (x: number, obstacle: Obstacle) =>
    measureAlongSides(legOf(vec(x, 250, 50), vec(x, 250, 600)), obstacle, 2);
  expect(at(1_010, WALL)).toBeCloseTo(-30, 9);
  expect(at(1_030, WALL)).toBeCloseTo(-10, 9);
  expect(at(1_040, WALL)).toBe(null);
  expect(at(1_010, { ...CABINET, kind: "seat" })).toBe(null);
});

const places = fc.tuple(
  fc.integer({ min: 800, max: 1_800 }),
  fc.integer({ min: -200, max: 700 }),
  fc.integer({ min: -100, max: 900 }),
);
const points = places.map(([x, y, z]) => vec(x, y, z));

test("of any leg: what is told is what walking along it in small steps tells, for any length a hole may have", () => {
  const STEPS = 4_000;
  let told = 0;
  fc.assert(
    fc.property(
      points,
      points,
      fc.constantFrom(CABINET, WALL),
      fc.integer({ min: 1, max: 6 }),
      (from, to, obstacle, times) => {
        fc.pre(Math.hypot(from.x - to.x, from.y - to.y, from.z - to.z) > 50);
        const leg = legOf(from, to);
        const { min, max } = toBlock(obstacle);
        const axis = toAxis(leg);
        const walked = listSides(obstacle).map((side) => {
          const others = (["x", "y", "z"] as const).filter((one) => one !== side.axis);
          let alongMm = 0;
          let last: Vec3 | null = null;
          for (let i = 0; i <= STEPS; i++) {
            const p = interpolate(axis.from, axis.to, i / STEPS);
            const isIn =
              others.every((one) => p[one] >= min[one] && p[one] <= max[one]) &&
              Math.abs(p[side.axis] - side.atMm) <= (side.thicknessMm + leg.outsideMm) / 2 - 3;
            if (isIn && last) alongMm += Math.hypot(...others.map((one) => p[one] - last![one]));
            last = isIn ? p : null;
          }
          return alongMm;
        });
        const most = times * leg.pipe.outerMm;
        // a hair's breadth of the steps on either side is left undecided
        fc.pre(walked.every((mm) => Math.abs(mm - most) > 2));
        const gapMm = measureAlongSides(leg, obstacle, times);
        expect(gapMm !== null).toBe(walked.some((mm) => mm > most));
        if (gapMm === null) return;
        told += 1;
        expect(gapMm).toBeLessThanOrEqual(-3);
      },
    ),
    { numRuns: 400 },
  );
  expect(told).toBeGreaterThan(10);
});

test("of any block: it stands through a cabinet's side exactly where it is on both sides of it, and moved so far it is not", () => {
  const blocks = fc
    .tuple(points, fc.integer({ min: 20, max: 500 }), fc.integer({ min: 20, max: 500 }))
    .map(([min, long, high]): Block => ({ min, max: vec(min.x + long, min.y + 120, min.z + high) }));
  const { min, max } = toBlock(CABINET);
  fc.assert(
    fc.property(blocks, (block) => {
      const isOver = block.min.z < max.z - 3 && block.max.z > min.z + 3;
      const past = (["x", "y"] as const).flatMap((axis) => {
        const beside = axis === "x" ? "y" : "x";
        const meets = isOver && block.min[beside] < max[beside] - 3 && block.max[beside] > min[beside] + 3;
        return [min[axis], max[axis]].flatMap((face) => {
          const mm = Math.min(face - block.min[axis], block.max[axis] - face);
          return meets && mm > 3 ? [mm] : [];
        });
      });
      const gapMm = measureThroughSides(block, CABINET);
      expect(gapMm).toBe(past.length === 0 ? null : -Math.max(...past));
    }),
    { numRuns: 400 },
  );
  expect(measureThroughSides({ min: vec(900, 100, 0), max: vec(1_200, 300, 200) }, WALL)).toBe(null);
});

const withCabinet = (design: Design, box: Block, kind: Obstacle["kind"] = "cabinet"): Design => ({
  ...design,
  obstacles: [
    ...design.obstacles,
    {
      id: "galley",
      name: "Galley",
      kind,
      atMm: box.min,
      lengthMm: box.max.x - box.min.x,
      widthMm: box.max.y - box.min.y,
      heightMm: box.max.z - box.min.z,
    },
  ],
});
const grow = ({ min, max }: Block, mm: number): Block => ({
  min: vec(min.x - mm, min.y - mm, min.z - mm),
  max: vec(max.x + mm, max.y + mm, max.z + mm),
});

/** What is told of a cabinet, once, with its mark, and that the first press that is offered settles it. */
function expectTold(
  design: Design,
  code: "legHitsObstacle" | "tankHitsObstacle" | "gearClashes",
  within: string | null,
): number {
  const told = findAll(design, code).filter((one) => ("obstacleId" in one ? one.obstacleId : one.otherId) === "galley");
  expect(told).toMatchObject([{ within, severity: "must" }]);
  const evaluation = evaluate(design);
  expect(listCollisions(design, evaluation.findings).map(({ id }) => id)).toContain(told[0]!.id);
  const [remedy] = proposeRemedies(design, evaluation, told[0]!);
  const after = applyEdit(design, remedy!.edit);
  expect(after.ok && evaluate(after.design).findings.some(({ id }) => id === told[0]!.id)).toBe(false);
  return told[0]!.gapMm;
}

test("a tank or a pump half in a cabinet is told, by how far it is to go, and a press puts it right; wholly in it, nothing", () => {
  const van = readDemo("kranich-loop");
  const tank = van.tanks.find(({ atMm }) => atMm.z >= 0) ?? van.tanks[0]!;
  const room = toTankBlock(tank);
  const whole = grow(room, 40);
  expect(findAll(withCabinet(van, whole), "tankHitsObstacle")).toEqual([]);
  const half = { ...whole, max: { ...whole.max, x: room.max.x - 30 } };
  expect(expectTold(withCabinet(van, half), "tankHitsObstacle", "side")).toBeCloseTo(-30, 6);
  const pump = van.gear.find(({ spec }) => spec.kind === "pump")!;
  const body = toGearBlock(pump);
  const split = { ...grow(body, 40), max: { ...grow(body, 40).max, y: body.max.y - 20 } };
  expect(expectTold(withCabinet(van, split), "gearClashes", "side")).toBeCloseTo(-20, 6);
  // through a wall it is told as what stands in anything else
  const middle = (body.min.x + body.max.x) / 2;
  const wall = { min: { ...body.min, x: middle - 8 }, max: { ...body.max, x: middle + 8 } };
  expectTold(withCabinet(van, wall, "bulkhead"), "gearClashes", null);
});

test("a breather that goes up in the side of a cabinet is told and led beside it; a hose there is led by hand", () => {
  const bus = readDemo("lesesaal");
  const up = bus.lines
    .filter(({ kind }) => kind === "vent")
    .flatMap((line) => listLineLegs(bus, line))
    .find(({ from, to }) => Math.abs(to.z - from.z) > 600 && Math.max(from.z, to.z) > 400)!;
  const box = { min: vec(up.from.x + 5, up.from.y - 300, 20), max: vec(up.from.x + 505, up.from.y + 300, 380) };
  expect(expectTold(withCabinet(bus, box), "legHitsObstacle", "side")).toBeLessThan(-3);
  const clear = { ...box, min: { ...box.min, x: up.from.x + 60 } };
  expect(findAll(withCabinet(bus, clear), "legHitsObstacle")).toEqual([]);
});
