import "../evaluate/fitted";
import fc from "fast-check";
import { ALL_DEMOS, readDemo } from "@/tests/demoRigs";
import { listGoods } from "../build/goods";
import { listSteps } from "../build/steps";
import type { Design } from "../design/design";
import { toNodes } from "../design/nodes";
import type { Drain, DumpLine, HeldWater, Vent } from "../design/plumbing";
import type { Obstacle } from "../design/rig";
import { evaluate } from "../evaluate/evaluate";
import { sumLengthMm } from "../falls/drainPath";
import { listLineLegs } from "../fit/lineLegs";
import { type Vec3, vec } from "../geometry/vec";
import { listExits } from "./exits";
import { listHoles } from "./holes";

const van = readDemo("kranich");
const boat = readDemo("otter");
const HALF = van.rig.widthMm / 2;
const LENGTH = van.rig.lengthMm;

const led = (design: Design, points: readonly Vec3[], holds: HeldWater = "grey"): Design => ({
  ...design,
  tanks: design.tanks.map((tank) => ({ ...tank, holds })),
  lines: design.lines.map((line) => (line.kind === "vent" ? { ...line, pointsMm: toNodes(points) } : line)),
});
const find = (design: Design) => listExits(design, evaluate(design));
const tell = (design: Design) => find(design).map(({ side, atMm: { x, y, z } }) => ({ side, x, y, z }));

test("beside a wall a breather goes out through that side, over the headroom through the roof; inside or below the floor through nothing", () => {
  expect(tell(led(van, [vec(1500, 800, 900)]))).toEqual([{ side: "left", x: 1500, y: HALF, z: 900 }]);
  expect(tell(led(van, [vec(1500, -800, 900)]))).toEqual([{ side: "right", x: 1500, y: -HALF, z: 900 }]);
  expect(tell(led(van, [vec(40, 0, 900)]))).toEqual([{ side: "rear", x: 0, y: 0, z: 900 }]);
  expect(tell(led(van, [vec(LENGTH - 40, 0, 900)]))).toEqual([{ side: "front", x: LENGTH, y: 0, z: 900 }]);
  expect(tell(led(van, [vec(1500, 800, 2_000)]))).toEqual([{ side: null, x: 1500, y: 800, z: 2_000 }]);
  expect(tell(led(van, [vec(1500, 100, 1_900)]))).toEqual([{ side: null, x: 1500, y: 100, z: 1_900 }]);
  // inside it is told of as that, and under the floor it is outside
  expect(tell(led(van, [vec(1500, 100, 900)]))).toEqual([]);
  expect(tell(led(van, [vec(1500, 800, -60)]))).toEqual([]);
  // a boat's deck is lower than any headroom
  expect(tell(led(boat, [vec(1500, 700, 950)]))).toMatchObject([{ side: null }]);
  expect(tell(led(boat, [vec(1500, 700, 850)]))).toMatchObject([{ side: "left" }]);
  // and under her sole is her bilge: beside her side it goes out there, further in it is told to end inside
  expect(tell(led(boat, [vec(1500, 700, -60)]))).toMatchObject([{ side: "left" }]);
  expect(tell(led(boat, [vec(1500, 100, -60)]))).toEqual([]);
  const isInside = (design: Design) => evaluate(design).findings.some(({ code }) => code === "ventEndsInside");
  expect(isInside(led(boat, [vec(1500, 100, -60)]))).toBe(true);
  expect(isInside(led(van, [vec(1500, 100, -60)]))).toBe(false);
});

test("drawn out through a side it is told where it crosses; below the floor it crosses nothing", () => {
  const across = [vec(1500, HALF - 200, 500), vec(1500, HALF + 100, 800)];
  expect(tell(led(van, across))).toEqual([{ side: "left", x: 1500, y: HALF, z: 700 }]);
  expect(tell(led(van, [vec(1500, 0, -60), vec(1500, HALF + 50, -60), vec(1500, HALF + 50, 900)]))).toEqual([]);
  // out at a corner: the side that is come to first
  expect(tell(led(van, [vec(100, 0, 500), vec(-100, 2 * HALF, 500)]))).toMatchObject([
    { side: "left", x: 0 + 0, z: 500 },
  ]);
  expect(tell(led(van, across, "fresh"))).toHaveLength(1);
});

test("a wall that is drawn there is drilled once", () => {
  const wall: Obstacle = {
    ...van.obstacles[0]!,
    id: "skin",
    name: "Van's side",
    kind: "bulkhead",
    atMm: vec(1_000, HALF - 20, 0),
    lengthMm: 1_000,
    widthMm: 20,
    heightMm: 1_800,
  };
  const out = [vec(1500, HALF - 200, 500), vec(1500, HALF + 50, 500)];
  const design = { ...led(van, out), obstacles: [wall] };
  const through = ({ obstacles }: Pick<Design, "obstacles">) =>
    listHoles({ ...design, obstacles }, evaluate({ ...design, obstacles })).filter(
      ({ lineId }) => lineId === "grey-vent",
    );
  expect(through({ obstacles: [] }).filter(({ through }) => through === "side")).toHaveLength(1);
  expect(through(design).map(({ through, panelName }) => [through, panelName])).toContainEqual(["panel", "Van's side"]);
  expect(through(design).map((hole) => hole.through)).not.toContain("side");
  // a cabinet that stands against the side is drilled as well as the side, and so is a bulkhead across the rig
  const cabinet = { ...wall, kind: "cabinet" as const };
  expect(through({ obstacles: [cabinet] }).map((hole) => hole.through)).toContain("side");
  const slanted = led(van, [vec(1400, HALF - 200, 500), vec(1600, HALF + 50, 500)]);
  const across: Obstacle = { ...wall, atMm: vec(1_540, HALF - 200, 0), lengthMm: 20, widthMm: 200 };
  const crossed = { ...slanted, obstacles: [across] };
  const kinds = listHoles(crossed, evaluate(crossed)).map((hole) => hole.through);
  expect(kinds).toContain("panel");
  expect(kinds).toContain("side");
});

test("a drain that joins one which goes out is not said to go out itself, nor a breather that joins another", () => {
  for (const design of ALL_DEMOS) {
    for (const { line } of find(design)) {
      expect(line.to.kind).not.toBe("tee");
      expect(line.to.kind).not.toBe("junction");
    }
  }
  const family = readDemo("lesesaal-furnished");
  const joined = family.lines.find((line): line is Drain => line.kind === "drain" && line.to.kind === "junction")!;
  const mainId = joined.to.kind === "junction" ? joined.to.lineId : "";
  const half = family.rig.widthMm / 2;
  const out: Design = {
    ...family,
    lines: family.lines.map((line) =>
      line.id === mainId && line.kind === "drain"
        ? {
            ...line,
            to: { kind: "ground", atMm: vec(3_000, half + 200, 40) },
            bendsMm: [...line.bendsMm, { id: "out", x: 3_000, y: half + 100, z: 60 }],
          }
        : line,
    ),
  };
  const ids = find(out).map(({ line }) => line.id);
  expect(ids).toContain(mainId);
  expect(ids).not.toContain(joined.id);
});

test("wherever a breather of waste ends over the floor, it is led out through something that is told, or told to end inside", () => {
  const place = fc.record({
    x: fc.integer({ min: -200, max: LENGTH + 200 }),
    y: fc.integer({ min: -HALF - 200, max: HALF + 200 }),
    z: fc.integer({ min: 1, max: 2_400 }),
  });
  const seen = new Set<string>();
  fc.assert(
    fc.property(place, (end) => {
      const from = vec(1500, 0, 200);
      const design = led(van, [from, end]);
      const evaluation = evaluate(design);
      const isInside = evaluation.findings.some(({ code }) => code === "ventEndsInside");
      const holes = listHoles(design, evaluation).filter(({ through }) => through === "side" || through === "roof");
      expect(holes).toHaveLength(isInside ? 0 : 1);
      for (const hole of holes) {
        const [{ x, y, z }] = hole.facesMm;
        expect(z).toBeGreaterThan(0);
        // on the very side it is said to be
        const off = { left: y - HALF, right: y + HALF, rear: x, front: x - LENGTH };
        if (hole.side) expect(Math.abs(off[hole.side])).toBeLessThan(1e-6);
        else expect({ x, y, z }).toEqual(end);
        expect(hole.widthMm).toBeGreaterThan((design.lines.find(({ id }) => id === hole.lineId) as Vent).pipe.outerMm);
      }
      seen.add(isInside ? "inside" : (holes[0]!.side ?? "roof"));
    }),
    { numRuns: 150 },
  );
  expect([...seen].sort()).toEqual(["front", "inside", "left", "rear", "right", "roof"]);
});

test("a drain or a dump line that runs out through the side over the floor is drilled for there, aslant where it runs aslant", () => {
  const drain = van.lines.find((line): line is Drain => line.kind === "drain")!;
  const out: Design = {
    ...van,
    lines: van.lines.flatMap((line): Design["lines"][number][] => {
      if (line !== drain) return line.kind === "drain" ? [] : [line];
      const bendsMm = toNodes([vec(2300, 500, 300), vec(2300, HALF + 100, 290)]);
      return [
        {
          ...drain,
          items: drain.items.filter(({ node }) => node === null),
          bendsMm,
          to: { kind: "ground", atMm: vec(2300, HALF + 100, -600) },
        },
      ];
    }),
  };
  const exit = find(out).find(({ line }) => line.id === drain.id)!;
  expect(exit).toMatchObject({ through: "side", side: "left", atMm: { x: 2300, y: HALF } });
  // its invert falls 10 mm over 475 mm: at the side by 375 of them, and the middle half a bore over it
  expect(exit.atMm.z).toBeCloseTo(300 - (10 * 375) / 475 + drain.pipe.innerMm / 2, 6);
  expect(exit.slantRad).toBeCloseTo(Math.atan2(10, 475), 6);
  const hole = listHoles(out, evaluate(out)).find(({ id }) => id === `${drain.id}-out`)!;
  expect(hole.lengthMm).toBeGreaterThan(hole.widthMm);
  expect(listSteps(out, evaluate(out)).find(({ id }) => id === `layDrain:${drain.id}`)!.after).toContain(
    `drillHole:${hole.id}`,
  );
  // a dump line's coupling is in the side as far in as a hand reaches, and further in it is told
  const dump = (inMm: number): Design => {
    const tanks = van.tanks.map((tank) => ({ ...tank, atMm: vec(1_000, -200, 60) }));
    const line: DumpLine = {
      id: "dump-line",
      name: "Dump line",
      kind: "dumpLine",
      fromTank: tanks[0]!.id,
      fromPort: tanks[0]!.ports.find(({ kind }) => kind === "outlet")!.id,
      to: { kind: "coupling" },
      pipe: drain.pipe,
      pointsMm: toNodes([vec(900, HALF - inMm, 40)]),
      endValve: null,
    };
    return { ...van, obstacles: [], tanks, lines: [...van.lines, line] };
  };
  for (const inMm of [60, 199, 201]) {
    const isOut = find(dump(inMm)).some(({ line }) => line.id === "dump-line");
    const isTold = evaluate(dump(inMm)).findings.some(({ code }) => code === "dumpEndInside");
    expect([inMm, isOut, isTold]).toEqual([inMm, inMm < 200, inMm > 200]);
  }
  // only a breather takes a cowl
  const cowls = listGoods(out, evaluate(out)).filter(({ ware }) => ware.kind === "cowl");
  expect(cowls.map(({ assembly }) => "id" in assembly && assembly.id)).not.toContain(drain.id);
});

test("it is drilled before the breather is laid, and its cowl is bought", () => {
  for (const design of ALL_DEMOS) {
    const evaluation = evaluate(design);
    const steps = listSteps(design, evaluation);
    const exits = listExits(design, evaluation);
    for (const { line } of exits)
      expect(steps.find(({ id }) => id === `layVent:${line.id}`)!.after).toContain(`drillHole:${line.id}-out`);
    const cowls = listGoods(design, evaluation).filter(({ ware }) => ware.kind === "cowl");
    expect(cowls.map(({ assembly }) => "id" in assembly && assembly.id)).toEqual(exits.map(({ line }) => line.id));
    // and its pipe reaches through: to the wall, and a hand's breadth on
    for (const { line, atMm } of exits) {
      const end = line.kind === "vent" ? line.pointsMm.at(-1)! : atMm;
      const onM = (Math.hypot(atMm.x - end.x, atMm.y - end.y, atMm.z - end.z) + 100) / 1000;
      const drawnM = sumLengthMm(listLineLegs(design, line)) / 1000;
      const boughtM = listGoods(design, evaluation).reduce(
        (sum, { ware, amount, assembly }) =>
          ware.kind === "part" && ware.part.kind === "pipe" && "id" in assembly && assembly.id === line.id
            ? sum + amount
            : sum,
        0,
      );
      expect(boughtM).toBeCloseTo(1.1 * (drawnM + onM), 6);
    }
  }
});
