import fc from "fast-check";
import { mirrorDesign, networks } from "@/tests/arbitraries";
import { readDemo } from "@/tests/demoRigs";
import { findTrap } from "../design/lineItems";
import { toNodes } from "../design/nodes";
import { vec } from "../geometry/vec";
import { listParts, type Part } from "./listParts";
import { findPipeSize, findWastePipe, PIPE_SIZES } from "./pipes";
import { BEND_ANGLES, findNearestBend, measureTurnDeg } from "./turns";

const count = (parts: readonly Part[], kind: Part["kind"]): number =>
  parts.reduce((sum, part) => sum + (part.kind === kind && part.kind !== "pipe" ? part.count : 0), 0);

test("every junction, trap and metre drawn is on the list, each kind once, and mirroring changes none", () => {
  fc.assert(
    fc.property(networks, (design) => {
      const parts = listParts(design);
      const drains = design.lines.flatMap((line) => (line.kind === "drain" ? [line] : []));
      const joined = design.lines.filter(({ to }) => to.kind === "junction" || to.kind === "wye");
      expect(count(parts, "junction")).toBe(joined.length);
      expect(count(parts, "trap")).toBe(drains.filter((drain) => findTrap(drain)).length);
      const keys = parts.map((part) => JSON.stringify({ ...part, count: 0, lengthM: 0 }));
      expect(new Set(keys).size).toBe(keys.length);
      const mirrored = listParts(mirrorDesign(design));
      expect(count(mirrored, "bend")).toBe(count(parts, "bend"));
    }),
    { numRuns: 60 },
  );
});

test("Kranich: a trap, pipe with a tenth over, bends of the angles drawn", () => {
  const parts = listParts(readDemo("kranich"));
  expect(parts).toContainEqual(expect.objectContaining({ kind: "trap", trap: "pTrap", count: 1 }));
  const pipe = parts.find((part) => part.kind === "pipe");
  // by hand from the design: 99.6 + 592 + 378.2 mm
  expect(pipe?.kind === "pipe" && pipe.lengthM).toBeCloseTo(1.1 * (0.0996 + 0.592 + 0.3782), 3);
  expect(count(parts, "bend")).toBe(2);
});

test("a breather's bends and the tee it ends in are on the list; a hose bends by itself", () => {
  const kranich = readDemo("kranich");
  const vent = kranich.lines.find((line) => line.kind === "vent")!;
  if (vent.kind !== "vent") throw new Error("no breather");
  const [first] = vent.pointsMm;
  const rigid = { innerMm: 28.4, outerMm: 32, manningN: 0.009 };
  const turned = [
    vec(first!.x, first!.y, 200),
    vec(first!.x + 400, first!.y, 200),
    vec(first!.x + 400, first!.y + 400, 600),
  ];
  const bends = (pipe: typeof rigid) =>
    count(listParts({ ...kranich, lines: [{ ...vent, pipe, pointsMm: toNodes(turned) }] }), "bend");
  const hose = PIPE_SIZES.find((size) => size.family.endsWith("Hose"))!.pipe;
  expect(bends(rigid)).toBeGreaterThanOrEqual(2);
  expect(bends({ ...hose })).toBe(0);
  const joined = { ...vent, id: "second", pipe: rigid, to: { kind: "tee" as const, lineId: vent.id, node: first!.id } };
  expect(listParts({ ...kranich, lines: [vent, joined] })).toContainEqual(
    expect.objectContaining({ kind: "ventTee", branch: rigid, count: 1 }),
  );
});

test("the turn between two legs is its angle, near 0 and near 180 too", () => {
  const along = (deg: number) => vec(Math.cos((deg * Math.PI) / 180), Math.sin((deg * Math.PI) / 180), 0);
  for (const deg of [0, 1e-6, 12, 45, 90, 179.999999, 180]) {
    expect(measureTurnDeg(vec(2, 0, 0), along(deg))).toBeCloseTo(deg, 8);
  }
  expect(measureTurnDeg(vec(0, 0, 0), along(3))).toBeNull();
});

test("the bend bought is the nearest there is", () => {
  fc.assert(
    fc.property(fc.double({ min: 0, max: 120, noNaN: true }), (deg) => {
      const nearest = findNearestBend(deg);
      for (const angle of BEND_ANGLES) expect(Math.abs(nearest - deg)).toBeLessThanOrEqual(Math.abs(angle - deg));
    }),
  );
});

test("every size has a wall, its own name, and is found again by its measures", () => {
  for (const entry of PIPE_SIZES) {
    expect(entry.pipe.outerMm).toBeGreaterThan(entry.pipe.innerMm);
    expect(findPipeSize(entry.pipe)?.id).toBe(entry.id);
  }
  expect(new Set(PIPE_SIZES.map(({ id }) => id)).size).toBe(PIPE_SIZES.length);
  expect(findPipeSize({ innerMm: 33, outerMm: 37, manningN: 0.009 })).toBeNull();
  expect(findWastePipe(30).outerMm).toBe(40);
  expect(findWastePipe(500).outerMm).toBe(75);
});

// Published: schedule 40 of nominal 1½ in measures 1.900 in outside, wall 0.145 in (ASTM D1785, from memory).
test("schedule 40 is 1.900 in outside and 0.145 in of wall at 1½ in", () => {
  const { pipe } = PIPE_SIZES.find(({ call }) => call === "1½ in")!;
  expect(pipe.outerMm / 25.4).toBeCloseTo(1.9, 3);
  expect((pipe.outerMm - pipe.innerMm) / 2 / 25.4).toBeCloseTo(0.145, 3);
});
