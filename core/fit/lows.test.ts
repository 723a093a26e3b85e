import { readDemo } from "@/tests/demoRigs";
import type { Design } from "../design/design";
import type { Drain, Vent } from "../design/plumbing";
import { buildDrainPath } from "../falls/drainPath";
import { listLows } from "./lows";
import { toTankBlock } from "./obstacleGaps";

const van = readDemo("kranich-loop");
const ground = van.rig.groundZMm;
const pathsOf = (design: Design) =>
  design.lines.flatMap((line) => (line.kind === "drain" ? [buildDrainPath(design, line as Drain)] : []));
const lowsOf = (design: Design, id: string) => listLows(design, pathsOf(design)).filter(({ part }) => part.id === id);
const pipes = (design: Design) => design.lines.filter(({ kind }) => kind !== "drain");

test("a tank under the floor is told at both its ends and its middle, over the ground; one that stands inside is not", () => {
  const grey = van.tanks.find(({ id }) => id === "grey")!;
  const { min, max } = toTankBlock(grey);
  const lows = lowsOf(van, "grey");
  for (const xMm of [min.x, (min.x + max.x) / 2, max.x])
    expect(lows).toContainEqual({ part: { kind: "tank", id: "grey" }, xMm, overGroundMm: min.z - ground });
  const lifted = { ...van, tanks: van.tanks.map((tank) => ({ ...tank, atMm: { ...tank.atMm, z: 200 } })) };
  expect(lowsOf(lifted, "grey")).toEqual([]);
});

test("what stands before an outlet hangs with its tank, at both its ends", () => {
  const tailed = {
    ...van,
    tanks: van.tanks.map((tank) => ({
      ...tank,
      ports: tank.ports.map((port) => (port.kind === "outlet" ? { ...port, fittingMm: 150 } : port)),
    })),
  };
  const plain = lowsOf(
    {
      ...van,
      tanks: van.tanks.map((t) => ({ ...t, ports: t.ports.map((p) => ({ ...p, fittingMm: 0, valve: null })) })),
    },
    "grey",
  );
  const more = lowsOf(tailed, "grey");
  expect(more.length).toBe(plain.length + 2);
  const { min } = toTankBlock(van.tanks.find(({ id }) => id === "grey")!);
  expect(Math.min(...more.map(({ xMm }) => xMm))).toBeLessThan(min.x - 100);
  for (const low of more) expect(low.overGroundMm).toBeGreaterThan(0);
});

test("gear hangs at both its ends where it is under the floor, and nowhere else", () => {
  const hung = (z: number): Design => ({
    ...van,
    gear: van.gear.map((one) => (one.id === "pump" ? { ...one, atMm: { x: 900, y: 0, z } } : one)),
  });
  const { sizeMm } = van.gear.find(({ id }) => id === "pump")!;
  expect(lowsOf(hung(0), "pump")).toEqual([]);
  expect(lowsOf(hung(-300), "pump")).toEqual([
    { part: { kind: "gear", id: "pump" }, xMm: 900, overGroundMm: -300 - ground },
    { part: { kind: "gear", id: "pump" }, xMm: 900 + sizeMm.x, overGroundMm: -300 - ground },
  ]);
});

test("of every pipe each end of each leg that is under the floor counts, its wall with it; hoses and breathers too", () => {
  const vent = van.lines.find((line): line is Vent => line.kind === "vent" && line.id === "grey-vent")!;
  const wallMm = (vent.pipe.outerMm - vent.pipe.innerMm) / 2;
  const [first] = vent.pointsMm;
  expect(lowsOf(van, vent.id)).toContainEqual({
    part: { kind: "line", id: vent.id },
    xMm: first!.x,
    // points of a breather are its middle
    overGroundMm: first!.z - vent.pipe.innerMm / 2 - wallMm - ground,
  });
  expect(lowsOf(van, vent.id).every(({ overGroundMm }) => overGroundMm + ground < 0)).toBe(true);
  const named = new Set(listLows(van, pathsOf(van)).map(({ part }) => part.id));
  expect(
    pipes(van)
      .filter(({ id }) => named.has(id))
      .map(({ kind }) => kind),
  ).toEqual(expect.arrayContaining(["hose", "vent"]));
  // drains come by their ways alone, and each end is told by one and the same part
  expect(listLows(van, []).some(({ part }) => part.id === "sink-drain")).toBe(false);
  const drained = lowsOf(van, "sink-drain");
  expect(drained.length).toBeGreaterThan(2);
  expect(new Set(drained.map(({ part }) => part)).size).toBe(1);
});

test("lower ground lets everything hang higher over it, whatever was remembered", () => {
  const deep = { ...van, rig: { ...van.rig, groundZMm: ground - 100 } };
  const [before, after] = [listLows(van, pathsOf(van)), listLows(deep, pathsOf(deep))];
  expect(after).toHaveLength(before.length);
  for (const [i, { overGroundMm }] of after.entries())
    expect(overGroundMm).toBeCloseTo(before[i]!.overGroundMm + 100, 6);
});
