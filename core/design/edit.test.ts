import fc from "fast-check";
import { designs } from "@/tests/arbitraries";
import { readDemo } from "@/tests/demoRigs";
import { add, type Vec3, vec } from "../geometry/vec";
import { buildTankField, measureTankVolumeL } from "../tanks/tankLevels";
import { createDesign, USUAL_MEASURES } from "./createDesign";
import { applyEdit } from "./edit";
import type { Edit } from "./editOps";
import { measureFloorMm } from "./floor";
import { buildPutItems, findTrap } from "./lineItems";
import { buildMove, findPlaceMm, type Movable } from "./moves";
import { toNodes } from "./nodes";
import { parseDesign } from "./parseDesign";
import type { Drain } from "./plumbing";
import { buildResize } from "./resizeTank";
import { RIG_KINDS } from "./rig";

const kranich = readDemo("kranich");
const at = { kind: "rig" } as const;

function apply(design: typeof kranich, edit: Edit | null) {
  if (!edit) throw new Error("no edit");
  const outcome = applyEdit(design, edit);
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.faults));
  return outcome.design;
}

test("an edit changes what it names and shares the rest", () => {
  const edit: Edit = { code: "change", at, ops: [{ op: "set", path: ["tanks", "grey", "wallMm"], value: 8 }] };
  const next = apply(kranich, edit);
  expect(next.tanks[0]!.wallMm).toBe(8);
  expect(kranich.tanks[0]!.wallMm).toBe(6);
  expect(next.lines).toBe(kranich.lines);
  expect(next.tanks[0]!.ports).toBe(kranich.tanks[0]!.ports);
});

test("lists are entered by id or by number; insert and remove keep their order", () => {
  const extra = { name: "Felt", thicknessMm: 5 };
  const next = apply(kranich, {
    code: "change",
    at,
    ops: [
      { op: "insert", path: ["rig", "floorLayers"], index: 1, value: extra },
      { op: "remove", path: ["rig", "floorLayers", 0] },
      { op: "remove", path: ["obstacles", "fuel"] },
    ],
  });
  expect(next.rig.floorLayers.map((layer) => layer.name)).toEqual([
    "Felt",
    ...kranich.rig.floorLayers.slice(1).map((l) => l.name),
  ]);
  expect(next.obstacles.some((o) => o.id === "fuel")).toBe(false);
});

test("an edit that breaks the design is refused and says where", () => {
  const outcome = applyEdit(kranich, {
    code: "change",
    at,
    ops: [{ op: "set", path: ["habits", "people", "adults", "count"], value: 0 }],
  });
  expect(outcome).toMatchObject({ ok: false, faults: [{ code: "tooSmall", path: ["habits", "people", 0, "count"] }] });
  const nowhere = applyEdit(kranich, {
    code: "change",
    at,
    ops: [{ op: "set", path: ["tanks", "gone", "wallMm"], value: 2 }],
  });
  expect(nowhere.ok).toBe(false);
});

// Every place of the design an edit can name, and whole parts as well.
function listPlaces(value: unknown, path: readonly (string | number)[] = []): (readonly (string | number)[])[] {
  if (typeof value !== "object" || value === null) return [path];
  return [
    ...(path.length > 0 ? [path] : []),
    ...Object.entries(value).flatMap(([key, child]) =>
      listPlaces(child, [...path, Array.isArray(value) ? Number(key) : key]),
    ),
  ];
}

const JUNK = [Number.NaN, -5, 1e9, "x", null, {}, [], true, undefined, JSON.parse('{"__proto__":{"a":1}}')] as const;

test("an edit is refused exactly where the whole file would be, and for the same reason", () => {
  // an edit need not say the ids of points: those that are missing are given
  const isNodeId = (path: readonly unknown[]) => path.at(-1) === "id" && path[0] === "lines" && path.length === 5;
  const places = listPlaces(kranich).filter((path) => !isNodeId(path));
  // whole lines and lists of them are rare among so many places
  for (const value of JUNK) {
    for (const path of [["lines"], ["lines", 0], ["lines", 1], ["lines", 0, "bendsMm"], ["lines", 0, "bendsMm", 0]]) {
      const op = { op: "set", path, value } as const;
      expect(() => applyEdit(kranich, { code: "change", at, ops: [op] })).not.toThrow();
    }
  }
  fc.assert(
    fc.property(fc.constantFrom(...places), fc.constantFrom(...JUNK), fc.boolean(), (path, value, isTakenOut) => {
      const op = isTakenOut ? ({ op: "remove", path } as const) : ({ op: "set", path, value } as const);
      const outcome = applyEdit(kranich, { code: "change", at, ops: [op] });
      const next = JSON.parse(JSON.stringify(kranich));
      const parent = path.slice(0, -1).reduce((part, key) => part[key], next);
      const key = path.at(-1)!;
      if (!isTakenOut) parent[key] = value;
      else if (Array.isArray(parent)) parent.splice(Number(key), 1);
      else delete parent[key];
      const whole = parseDesign(next);
      expect(outcome.ok).toBe(whole.ok);
      if (!outcome.ok && !whole.ok) expect(outcome.faults[0]).toEqual(whole.faults[0]);
    }),
    { numRuns: 800 },
  );
});

const shift = fc.record({
  x: fc.integer({ min: -80, max: 80 }),
  y: fc.integer({ min: -80, max: 80 }),
  z: fc.integer({ min: -15, max: 15 }),
});
const movables: Movable[] = [
  { kind: "fixture", id: "sink" },
  { kind: "tank", id: "grey" },
  { kind: "bend", lineId: "sink-drain", index: 0 },
  { kind: "bend", lineId: "grey-vent", index: 0 },
];

test("a part moved there and back is where it was, and so is everything else", () => {
  fc.assert(
    fc.property(designs, fc.constantFrom(...movables), shift, (random, part, by) => {
      // on whole tenths first: a move always lands on them
      const settled = apply(random, buildMove(random, part, vec(1, 2, 30)) ?? null);
      const from = findPlaceMm(settled, part)!;
      const there = buildMove(settled, part, vec(from.x + by.x, from.y + by.y, from.z + by.z));
      if (!there) return;
      const moved = applyEdit(settled, there);
      if (!moved.ok) return;
      const back = apply(moved.design, buildMove(moved.design, part, from));
      expect(findPlaceMm(back, part)).toEqual(from);
    }),
  );
});

test("a trap that hangs under the floor stays there when its fixture goes up or down; one over it goes along", () => {
  const floorMm = measureFloorMm(kranich);
  const drain = kranich.lines.find((line): line is Drain => line.id === "sink-drain" && line.kind === "drain")!;
  const { z } = kranich.fixtures[0]!.outletMm;
  const dropAfter = (from: number, dropMm: number, by: number) => {
    const low = apply(kranich, buildMove(kranich, { kind: "fixture", id: "sink" }, vec(2300, 380, from)));
    const trap = { kind: "running", sealMm: 50, dropMm, spanMm: 95, hasCleanout: true } as const;
    const hung = apply(low, { code: "hangTrap", at, ops: [buildPutItems(drain, { trap })] });
    const moved = apply(hung, buildMove(hung, { kind: "fixture", id: "sink" }, vec(2300, 380, from + by)));
    return findTrap(moved.lines.find((line): line is Drain => line.id === "sink-drain" && line.kind === "drain")!)
      ?.dropMm;
  };
  const hungMm = Math.ceil(60 + floorMm + drain.pipe.innerMm);
  for (const by of [-40, -5, 30, 120]) {
    expect(dropAfter(60, hungMm, by)).toBe(hungMm + by);
    // a trap within the floor is lifted out of it with its fixture
    expect(dropAfter(60, 70, by)).toBe(70);
    expect(dropAfter(z, 90, by)).toBe(90);
  }
  // no longer than a tailpiece may be
  expect(dropAfter(60, hungMm, 480 - hungMm + 60)).toBe(hungMm);
});

test("what goes up a wall stays at it when its tank is moved, and goes along it", () => {
  const { widthMm, lengthMm } = kranich.rig;
  const side = [vec(900, 200, -60), vec(900, widthMm / 2 - 30, -40), vec(900, widthMm / 2 - 30, 600)];
  // one up the front keeps to that
  const front = side.map(({ z }, i) => vec(i === 0 ? 900 : lengthMm - 30, 200, z));
  const move = (points: readonly Vec3[]) => {
    const laid: Edit = {
      code: "move",
      at,
      ops: [{ op: "set", path: ["lines", "grey-vent", "pointsMm"], value: toNodes(points) }],
    };
    const design = apply(kranich, laid);
    const to = add(design.tanks[0]!.atMm, vec(100, -250, 0));
    const moved = apply(design, buildMove(design, { kind: "tank", id: "grey" }, to));
    return moved.lines.flatMap((line) => (line.id === "grey-vent" && line.kind === "vent" ? line.pointsMm : []));
  };
  expect(move(side)).toMatchObject([vec(1000, -50, -60), ...side.slice(1).map((p) => add(p, vec(100, 0, 0)))]);
  expect(move(front)).toMatchObject([vec(1000, -50, -60), ...front.slice(1).map((p) => add(p, vec(0, -250, 0)))]);
});

test("a tank takes its breather along; a port never leaves its tank", () => {
  const moved = apply(kranich, buildMove(kranich, { kind: "tank", id: "grey" }, vec(1160, -50, -290)));
  const before = findPlaceMm(kranich, { kind: "bend", lineId: "grey-vent", index: 1 })!;
  expect(findPlaceMm(moved, { kind: "bend", lineId: "grey-vent", index: 1 })).toMatchObject(
    vec(before.x + 10, before.y, before.z),
  );
  const port = apply(kranich, buildMove(kranich, { kind: "port", tankId: "grey", id: "inlet" }, vec(9000, 9000, 9000)));
  expect(port.tanks[0]!.ports[0]!.atMm).toEqual(vec(800, 450, 190));
});

test("a floor passage moves both ends of its drop and keeps their heights", () => {
  const moved = apply(
    kranich,
    buildMove(kranich, { kind: "passage", lineId: "sink-drain", index: 1 }, vec(2250, 380, 0)),
  );
  expect(findPlaceMm(moved, { kind: "bend", lineId: "sink-drain", index: 0 })).toMatchObject(vec(2250, 380, 500));
  expect(findPlaceMm(moved, { kind: "bend", lineId: "sink-drain", index: 1 })).toMatchObject(vec(2250, 380, -92));
});

test("a tank made shorter keeps its ports on their walls", () => {
  const smaller = apply(kranich, buildResize(kranich.tanks[0]!, { lengthMm: 600, heightMm: 150 }));
  const [inlet, vent] = smaller.tanks[0]!.ports;
  expect(inlet!.atMm).toEqual(vec(600, 300, 110));
  expect(vent!.atMm).toEqual(vec(400, 225, 150));
  const tank = smaller.tanks[0]!;
  const up = vec(0, 0, 1);
  expect(measureTankVolumeL(tank, buildTankField(tank, up), up, 0)).toBeCloseTo(0.6 * 0.45 * 0.15 * 1000, 6);
});

test.each(RIG_KINDS)("a first %s from the usual measures is a sound design", (kind) => {
  const design = createDesign("first", "First", kind, USUAL_MEASURES[kind]);
  expect(parseDesign(design)).toMatchObject({ ok: true });
});
