import fc from "fast-check";
import { readDemo } from "@/tests/demoRigs";
import { findAll, isSaid, placeThing, withLimit } from "@/tests/findingEdges";
import { buildSharedAir } from "@/tests/sharedAir";
import type { Design } from "../design/design";
import { toNodes } from "../design/nodes";
import type { Drain, Tank, Vent } from "../design/plumbing";
import type { ObstacleKind, Rig } from "../design/rig";
import { toTankBlock } from "../fit/obstacleGaps";
import { dot, vec } from "../geometry/vec";
import { listParkedStandings } from "./parkedAttitudes";

// Where what is said of breathers begins: right at the edge nothing is said, a hair beyond it is.

const kranich = readDemo("kranich");
const [tank] = kranich.tanks as [Tank];
const drain = kranich.lines.find((line): line is Drain => line.kind === "drain")!;
const vent = kranich.lines.find((line): line is Vent => line.kind === "vent")!;

test("the end of a breather by a window, an intake or an exhaust: as far as the rule asks", () => {
  const end = vent.pointsMm.at(-1)!;
  const asked = 900;
  const beside = (kind: ObstacleKind, gapMm: number): Design => ({
    ...withLimit(kranich, "ventEndGap", asked),
    obstacles: [{ ...placeThing("near", kind, 0), atMm: vec(end.x + gapMm, end.y - 50, end.z - 50) }],
  });
  for (const kind of ["window", "airIntake", "exhaust"] as const) {
    expect(isSaid(beside(kind, asked), "ventEndNear")).toBe(false);
    expect(findAll(beside(kind, asked - 1), "ventEndNear")).toMatchObject([{ gapMm: expect.closeTo(asked - 1, 6) }]);
    // within it there is no gap at all, never less than none
    expect(findAll(beside(kind, -50), "ventEndNear")).toMatchObject([{ gapMm: 0 }]);
  }
  for (const kind of ["seat", "fuelTank", "cabinet"] as const)
    expect(isSaid(beside(kind, 10), "ventEndNear")).toBe(false);
  // air out of drinking water harms nobody, but an exhaust blows into it as into any other
  for (const kind of ["window", "airIntake", "exhaust"] as const) {
    const by = beside(kind, 10);
    const clean = { ...by, tanks: by.tanks.map((one) => ({ ...one, holds: "fresh" as const })), lines: [vent] };
    expect(isSaid(clean, "ventEndNear")).toBe(kind === "exhaust");
  }
});

test("hose in the room: a hand's breadth round a corner is free, more is not, and fresh air may be anywhere", () => {
  const port = tank.ports.find(({ kind }) => kind === "vent")!;
  const foot = vec(tank.atMm.x + port.atMm.x, tank.atMm.y + port.atMm.y, tank.atMm.z + port.atMm.z);
  const up = (mm: number): Design => {
    const pointsMm = toNodes([vec(foot.x, 0, foot.z + 5), vec(foot.x, 0, mm)]);
    return { ...kranich, obstacles: [], lines: [drain, { ...vent, pointsMm }] };
  };
  expect(isSaid(up(120), "ventInRoom")).toBe(false);
  const [told] = findAll(up(400), "ventInRoom");
  expect(told!.lengthMm).toBeGreaterThan(360);
  expect(told!.lengthMm).toBeLessThan(440);
  const fresh = { ...up(400), lines: [{ ...vent, pointsMm: toNodes([vec(foot.x, 0, 400)]) }] };
  expect(
    isSaid({ ...fresh, tanks: fresh.tanks.map((one) => ({ ...one, holds: "fresh" as const })) }, "ventInRoom"),
  ).toBe(false);
});

test("a breather must end over its tank however the rig is parked, and its dip must be shallower than its bore", () => {
  const rig: Rig = {
    ...kranich.rig,
    standings: [],
    envelope: { noseDownDeg: 0, noseUpDeg: 0, leftLowDeg: 0, rightLowDeg: 0 },
  };
  const { heightMm } = tank.solid as { readonly heightMm: number };
  const topMm = tank.atMm.z + heightMm + tank.wallMm;
  const to = (...points: readonly ReturnType<typeof vec>[]): Design => ({
    ...kranich,
    rig,
    lines: [drain, { ...vent, pointsMm: toNodes(points) }],
  });
  const { x, y } = vent.pointsMm[0]!;
  expect(isSaid(to(vec(x, y, topMm + 0.5)), "ventEndsLow")).toBe(false);
  expect(findAll(to(vec(x, y, topMm)), "ventEndsLow")).toMatchObject([{ endMm: expect.closeTo(topMm, 6) }]);
  const bore = vent.pipe.innerMm;
  const dip = (deepMm: number) => to(vec(x, y, 100), vec(x, y + 50, 100 - deepMm), vec(x, y + 90, 300));
  expect(isSaid(dip(bore - 0.1), "ventDips")).toBe(false);
  expect(findAll(dip(bore), "ventDips")).toMatchObject([{ deepMm: expect.closeTo(bore, 6), boreMm: bore }]);
});

test("a breather that ends low is told at the standing where it ends lowest; fresh air shares with waste neither way", () => {
  const low = { ...kranich, lines: [drain, { ...vent, pointsMm: toNodes([vec(1500, 800, -250)]) }] };
  const [told] = findAll(low, "ventEndsLow");
  const lows = listParkedStandings(kranich.rig).map(({ up, attitude }) => {
    const { min, max } = toTankBlock(tank);
    const corners = [min.x, max.x].flatMap((x) => [min.y, max.y].map((y) => dot(up, vec(x, y, max.z))));
    return { attitude, overMm: dot(up, vec(1500, 800, -250)) - Math.max(...corners) };
  });
  const lowest = lows.reduce((a, b) => (b.overMm < a.overMm ? b : a));
  expect(told!.endMm - told!.topMm).toBeCloseTo(lowest.overMm, 6);
  expect(told!.attitude).toEqual(lowest.attitude);
  const shared = buildSharedAir("grey");
  const company = (first: Tank["holds"], second: Tank["holds"]) =>
    findAll(
      { ...shared, tanks: shared.tanks.map((one, i) => ({ ...one, holds: i === 0 ? first : second })) },
      "ventSharesFresh",
    ).length;
  expect([company("grey", "black"), company("fresh", "fresh")]).toEqual([0, 0]);
  expect([company("grey", "fresh"), company("fresh", "black"), company("loop", "fresh")]).toEqual([1, 1, 1]);
});

test("where two breathers meet: the tee over both tanks at every standing, told at the one where it is lowest", () => {
  const shared = buildSharedAir();
  const [first, second] = shared.tanks as [Tank, Tank];
  const joined = shared.lines.find((line): line is Vent => line.kind === "vent" && line.to.kind === "tee")!;
  const { to } = joined;
  if (to.kind !== "tee") throw new Error("a tee");
  const main = shared.lines.find((line): line is Vent => line.id === to.lineId && line.kind === "vent")!;
  const index = main.pointsMm.findIndex(({ id }) => id === to.node);
  const topOf = (one: Tank, up: ReturnType<typeof vec>) => {
    const { min, max } = toTankBlock(one);
    return Math.max(...[min.x, max.x].flatMap((x) => [min.y, max.y].map((y) => dot(up, vec(x, y, max.z)))));
  };
  fc.assert(
    fc.property(
      fc.integer({ min: -600, max: 900 }),
      fc.integer({ min: -300, max: 300 }),
      fc.integer({ min: -300, max: 300 }),
      (z, dx, raised) => {
        const at = { ...main.pointsMm[index]!, z, x: main.pointsMm[index]!.x + dx };
        const lines = shared.lines.map((line) =>
          line === main ? { ...main, pointsMm: main.pointsMm.map((p, i) => (i === index ? at : p)) } : line,
        );
        const lifted = { ...second, atMm: { ...second.atMm, z: second.atMm.z + raised } };
        const lacks = listParkedStandings(shared.rig).map(({ up, attitude }) => ({
          attitude,
          byMm: Math.max(topOf(first, up), topOf(lifted, up)) - dot(up, at),
        }));
        const worst = lacks.reduce((a, b) => (b.byMm > a.byMm ? b : a));
        const told = findAll({ ...shared, tanks: [first, lifted], lines }, "ventTeeLow").map((f) => [
          f.at,
          f.byMm,
          f.attitude,
        ]);
        expect(told).toEqual(
          worst.byMm >= 0
            ? [[{ kind: "bend", lineId: main.id, index }, expect.closeTo(worst.byMm, 6), worst.attitude]]
            : [],
        );
      },
    ),
    { numRuns: 60 },
  );
});

test("of two breathers that meet only the one with the open end is told of a window beside it", () => {
  const shared = buildSharedAir("grey");
  const main = shared.lines.find((line): line is Vent => line.kind === "vent" && line.to.kind === "openAir")!;
  const joined = shared.lines.find((line): line is Vent => line.kind === "vent" && line.to.kind === "tee")!;
  for (const point of [main.pointsMm.at(-1)!, ...joined.pointsMm]) {
    const near = { ...placeThing("near", "window", 0), atMm: vec(point.x + 20, point.y - 50, point.z - 50) };
    const told = findAll({ ...withLimit(shared, "ventEndGap", 60), obstacles: [near] }, "ventEndNear");
    for (const { at } of told) expect(at).toMatchObject({ kind: "bend", lineId: main.id });
  }
});
