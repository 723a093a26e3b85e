import fc from "fast-check";
import { prisms } from "@/tests/arbitraries";
import { DEMO_NAMES, readDemo } from "@/tests/demoRigs";
import { type Tank, THREADS, type Thread } from "../design/plumbing";
import { measureSignedArea } from "../geometry/polygon";
import { measureCapacityL } from "../geometry/solid";
import { offsetOutward } from "./offsetOutward";
import { findPortHoleMm } from "./portHole";
import { type FACES, listTankFaces } from "./tankFaces";
import { OVERLAP_MM, PAPERS, RIM_MM, tileSheet } from "./tileSheet";

const kranich = readDemo("kranich").tanks[0]!;

test("Kranich's tank: 800 × 450 × 190 inside, 6 mm of wall, its holes where they are measured", () => {
  const faces = new Map(listTankFaces(kranich).map((drawing) => [drawing.face, drawing]));
  const front = faces.get("front")!;
  expect([front.widthMm, front.heightMm]).toEqual([462, 202]);
  expect(faces.get("top")).toMatchObject({ widthMm: 812, heightMm: 462 });
  // the inlet: 300 mm from the right wall, invert 150 mm over the bottom; the middle half a bore higher, behind 6 mm of wall
  const inlet = kranich.ports.find(({ kind }) => kind === "inlet")!;
  expect(front.holes).toEqual([
    {
      portId: "inlet",
      kind: "inlet",
      at: { u: 306, v: 156 + inlet.boreMm / 2 },
      boreMm: inlet.boreMm,
      thread: null,
      // a plain fitting has a hole of its own
      cutMm: null,
      // the tank is 190 high inside
      toEdgeMm: expect.closeTo(190 - 150 - inlet.boreMm, 9),
      behindMm: 0,
    },
  ]);
  // from behind left and right change places
  const outlet = faces.get("rear")!.holes[0]!;
  expect(outlet.at.u).toBe(450 - 225 + 6);
});

test("every port is on one face of the tank, on every rig", () => {
  for (const name of DEMO_NAMES) {
    for (const tank of readDemo(name).tanks) {
      const holes = listTankFaces(tank).flatMap((drawing) => drawing.holes.map((hole) => hole.portId));
      expect(holes.sort()).toEqual(tank.ports.map(({ id }) => id).sort());
    }
  }
});

test("opposite faces are each other's mirror image, and the ends of a prism hold its volume", () => {
  fc.assert(
    fc.property(prisms, (solid) => {
      const tank: Tank = { ...kranich, solid: { ...solid, profileMm: [...solid.profileMm] }, ports: [] };
      const faces = listTankFaces(tank);
      const areaOf = (face: (typeof FACES)[number]) =>
        Math.abs(measureSignedArea(faces.find((one) => one.face === face)!.inside));
      for (const [one, other] of [
        ["front", "rear"],
        ["left", "right"],
        ["top", "bottom"],
      ] as const) {
        expect(areaOf(one)).toBeCloseTo(areaOf(other), 3);
      }
      const end = { x: "front", y: "left", z: "top" } as const;
      expect((areaOf(end[solid.axis]) * solid.lengthMm) / 1e6).toBeCloseTo(measureCapacityL(solid), 6);
    }),
  );
});

test("walls put on the outside of a rectangle make it wider by two walls each way, whichever way it is drawn", () => {
  const outline = [
    { u: 0, v: 0 },
    { u: 100, v: 0 },
    { u: 100, v: 40 },
    { u: 0, v: 40 },
  ];
  for (const drawn of [outline, [...outline].reverse()]) {
    expect(Math.abs(measureSignedArea(offsetOutward(drawn, 5)))).toBeCloseTo(110 * 50, 6);
  }
});

test("tiles: every place of the drawing is on a page, neighbours share the overlap, and fewer pages are taken", () => {
  fc.assert(
    fc.property(
      fc.record({ widthMm: fc.integer({ min: 20, max: 1500 }), heightMm: fc.integer({ min: 20, max: 900 }) }),
      fc.constantFrom("a4" as const, "letter" as const),
      fc.tuple(fc.double({ min: 0, max: 1, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true })),
      (size, paper, [p, q]) => {
        const { tiles, isLying } = tileSheet(size, paper);
        const [x, y] = [p * size.widthMm, q * size.heightMm];
        const holds = tiles.filter(
          (t) =>
            x >= t.leftMm - 1e-9 &&
            x <= t.leftMm + t.fieldWidthMm + 1e-9 &&
            y >= t.lowMm - 1e-9 &&
            y <= t.lowMm + t.fieldHeightMm + 1e-9,
        );
        expect(holds.length).toBeGreaterThan(0);
        const [first] = tiles;
        const page = PAPERS[paper];
        expect(first!.fieldWidthMm).toBeCloseTo((isLying ? page.heightMm : page.widthMm) - 2 * RIM_MM, 9);
        const right = tiles.find((t) => t.row === 0 && t.column === 1);
        if (right) expect(first!.leftMm + first!.fieldWidthMm - right.leftMm).toBeCloseTo(OVERLAP_MM, 6);
        const below = tiles.find((t) => t.row === 1 && t.column === 0);
        if (below) expect(below.lowMm + below.fieldHeightMm - first!.lowMm).toBeCloseTo(OVERLAP_MM, 6);
        expect(new Set(tiles.map((t) => t.name)).size).toBe(tiles.length);
      },
    ),
  );
});

test("a thread asks for a hole as wide as its outside, never as its bore", () => {
  // Source: major diameters of ISO 228-1 and pipe outsides of ASME B1.20.1, from memory
  const published: Readonly<Record<Thread, number>> = {
    ...{ g12: 20.96, g34: 26.44, g1: 33.25, g114: 41.91, g112: 47.8, g2: 59.61 },
    ...{ npt12: 21.34, npt34: 26.67, npt1: 33.4, npt114: 42.16, npt112: 48.26, npt2: 60.33 },
  };
  for (const thread of THREADS) {
    const cutMm = findPortHoleMm({ thread })!;
    expect(cutMm - published[thread]).toBeCloseTo(1, 1);
    const at = (z: number) => ({
      ...kranich,
      ports: kranich.ports.map((port) => ({
        ...port,
        thread,
        atMm: port.kind === "vent" ? port.atMm : { ...port.atMm, z },
      })),
    });
    for (const { holes } of listTankFaces(at(70)))
      for (const hole of holes) expect(hole).toMatchObject({ thread, cutMm });
    // in a corner no nut turns: what is welded in there has an outside of its own
    for (const { holes } of listTankFaces(at(0)))
      for (const hole of holes) expect(hole.cutMm).toBe(hole.kind === "vent" ? cutMm : null);
  }
  expect(findPortHoleMm({ thread: null })).toBeNull();
});
