import "../evaluate/fitted";
import fc from "fast-check";
import { networks } from "@/tests/arbitraries";
import { readDemo } from "@/tests/demoRigs";
import { SAMPLE_FIXING } from "@/tests/sampleFixing";
import type { Design } from "../design/design";
import { measureFloorMm } from "../design/floor";
import type { Gear } from "../design/gear";
import type { ObstacleKind } from "../design/rig";
import { evaluate } from "../evaluate/evaluate";
import { listLineLegs } from "../fit/lineLegs";
import { measureExtent } from "../geometry/solid";
import { listBoltHits, listInTheWay, listStruck, measureBoltsOff } from "./boltHits";

const kranich = readDemo("kranich");
const FLOOR_MM = measureFloorMm(kranich);

/** Kranich's tank in the room or under it, a bolt of M10 at one place, and one thing whose top is so far under the floor. */
function build(tankZ: number, kind: ObstacleKind, underMm: number, besideMm = 0, heightMm = 100): Design {
  const [tank] = kranich.tanks;
  const x = tank!.atMm.x + 100;
  const y = tank!.atMm.y + 200;
  return {
    ...kranich,
    tanks: [
      {
        ...tank!,
        atMm: { ...tank!.atMm, z: tankZ },
        fixing: { ...SAMPLE_FIXING, size: "M10", placesMm: [{ x: 100, y: 200 }] },
      },
    ],
    obstacles: [
      {
        id: "thing",
        name: "Thing",
        kind,
        atMm: { x: x + besideMm, y: y - 50, z: -FLOOR_MM - underMm - heightMm },
        lengthMm: 200,
        widthMm: 100,
        heightMm,
      },
    ],
  };
}
const told = (design: Design) => evaluate(design).findings.filter(({ code }) => code === "boltHits");

test("a fuel tank close under the floor is told of where a bolt comes out, farther for a drill from above", () => {
  for (const [tankZ, reachMm] of [
    [0, 60],
    [-290, 40],
  ] as const) {
    expect(told(build(tankZ, "fuelTank", reachMm - 1))).toMatchObject([
      { severity: "must", obstacleName: "Thing", bolts: 1, at: { kind: "tank", id: "grey" } },
    ]);
    expect(told(build(tankZ, "fuelTank", reachMm))).toEqual([]);
  }
  // half a large washer beside it: 15 mm of M10
  expect(told(build(0, "fuelTank", 10, 14))).toHaveLength(1);
  expect(told(build(0, "fuelTank", 10, 15))).toEqual([]);
});

test("a pump that stands over a bolt, or hangs close under one, is told of; one on a shelf or set into a skin is not", () => {
  const [pump] = readDemo("kranich-loop").gear.filter(({ spec }) => spec.kind === "pump");
  const [fitting] = readDemo("otter-heads").gear.filter(({ spec }) => spec.kind === "skinFitting");
  const stand = (piece: Gear | undefined, z: number): Design => {
    const design = build(-290, "cabinet", 0);
    const { x, y } = design.obstacles[0]!.atMm;
    return { ...design, lines: [], gear: [{ ...piece!, atMm: { x: x - 20, y, z } }] };
  };
  const under = -FLOOR_MM - pump!.sizeMm.z;
  for (const [z, isThere] of [
    [0, true],
    [19, true],
    [21, false],
    [under - 39, true],
    [under - 41, false],
  ] as const) {
    const design = stand(pump, z);
    expect(told(design)).toMatchObject(
      isThere ? [{ severity: "must", obstacleName: pump!.name, bolts: 1, isFrame: false }] : [],
    );
    expect(listStruck(design, design.tanks[0]!)).toEqual(isThere ? [0] : []);
  }
  expect(told(stand(fitting, 0))).toEqual([]);
});

test("a frame is a note, a wheel's well none must come into, a cabinet is no matter, and a boat's floor is none", () => {
  const inside = (kind: ObstacleKind) => build(0, kind, -FLOOR_MM - 400, 0, 400);
  expect(told(build(0, "chassisRail", 0))).toMatchObject([{ severity: "note", isFrame: true }]);
  expect(told(inside("wheelArch"))).toMatchObject([{ severity: "must", isFrame: false }]);
  for (const kind of ["cabinet", "seat", "bulkhead", "window"] as const) expect(told(inside(kind))).toEqual([]);
  const van = build(0, "fuelTank", 0);
  expect(told(van)).toHaveLength(1);
  expect(told({ ...van, rig: { ...van.rig, kind: "boat" } })).toEqual([]);
  expect(told({ ...van, tanks: van.tanks.map((tank) => ({ ...tank, fixing: null })) })).toEqual([]);
});

test("what stands higher over the floor than a bolt's head, or deeper than it reaches, is neither drawn nor told of", () => {
  const arch = (overMm: number) => build(0, "wheelArch", -FLOOR_MM - overMm - 300, 0, 300);
  for (const [design, isThere] of [
    [arch(19), true],
    [arch(20), false],
    [build(0, "fuelTank", 59), true],
    [build(0, "fuelTank", 61), false],
  ] as const) {
    const [tank] = design.tanks;
    expect(listInTheWay(design, tank!)).toHaveLength(isThere ? 1 : 0);
    expect(listStruck(design, tank!)).toEqual(isThere ? [0] : []);
  }
});

test("which bolts go into something is told one by one, whatever else stands there", () => {
  const base = build(0, "fuelTank", 10);
  const far = { ...base.obstacles[0]!, id: "far", atMm: { ...base.obstacles[0]!.atMm, x: -900 } };
  const placesMm = [
    { x: 400, y: 200 },
    { x: 150, y: 200 },
    { x: 290, y: 210 },
  ];
  const tanks = base.tanks.map((tank) => ({ ...tank, fixing: { ...tank.fixing!, placesMm } }));
  const design = { ...base, tanks, obstacles: [...base.obstacles, far] };
  expect(listStruck(design, tanks[0]!)).toEqual([1, 2]);
  expect(told(design)).toMatchObject([{ bolts: 2 }]);
});

test("a bolt of a tank in the room comes into another that hangs under it", () => {
  const van = build(0, "seat", 0);
  const [above] = van.tanks;
  const under = { ...kranich.tanks[0]!, id: "under", name: "Under", fixing: null };
  const hits = (topMm: number) => {
    const heightMm = measureExtent(under.solid).max.z;
    const atMm = { ...under.atMm, z: -FLOOR_MM - topMm - under.wallMm - heightMm };
    return listBoltHits({ ...van, tanks: [above!, { ...under, atMm }] }, above!, []);
  };
  expect(hits(59)).toMatchObject([{ obstacleId: "under", bolts: 1 }]);
  expect(hits(61)).toEqual([]);
});

test("a pipe under the floor is in the way of a bolt that comes out within its wall, and of none beside it", () => {
  const van = build(0, "seat", 0);
  const [tank] = van.tanks;
  const bolt = { x: tank!.atMm.x + 100, y: tank!.atMm.y + 200 };
  const line = kranich.lines.find(({ kind }) => kind === "vent")!;
  const { outerMm, innerMm } = line.pipe;
  // the middle of a breather that runs under the floor along the rig, so far aside of the bolt
  const told2 = (asideMm: number, underMm: number) => {
    const z = -FLOOR_MM - underMm - outerMm / 2;
    const points = [-300, 300].map((dx, i) => ({ id: `n${i + 1}`, x: bolt.x + dx, y: bolt.y + asideMm, z }));
    const legs = listLineLegs({ ...van, lines: [{ ...line, pointsMm: points } as typeof line] }, {
      ...line,
      pointsMm: points,
    } as typeof line);
    return listBoltHits(van, tank!, [{ id: line.id, name: line.name, legs: legs.slice(1, 2) }]);
  };
  expect(innerMm).toBeLessThan(outerMm);
  expect(told2(0, 59)).toMatchObject([{ obstacleId: line.id, bolts: 1, isFrame: false }]);
  expect(told2(0, 61)).toEqual([]);
  // half a washer of M10, 15 mm, and half the pipe
  expect(told2(14.9 + outerMm / 2, 10)).toHaveLength(1);
  expect(told2(15.1 + outerMm / 2, 10)).toEqual([]);
});

test("what hangs on a drawbar is bolted to it, and beside it to nothing", () => {
  const bar = (besideMm: number): Design => {
    const design = build(-290, "chassisRail", 0);
    const [tank] = design.tanks;
    const placesMm = [{ x: -tank!.atMm.x - 300, y: 200 }];
    const [rail] = design.obstacles;
    const atMm = { x: -900, y: tank!.atMm.y + 200 + besideMm, z: -400 };
    return {
      ...design,
      tanks: [{ ...tank!, fixing: { ...tank!.fixing!, placesMm } }],
      obstacles: [{ ...rail!, atMm, lengthMm: 2_000, widthMm: 80 }],
    };
  };
  const off = (design: Design) => measureBoltsOff(design, design.tanks[0]!);
  expect(off(bar(-40))).toEqual({ bolts: 0, byMm: 0 });
  expect(off(bar(14))).toEqual({ bolts: 0, byMm: 0 });
  expect(off(bar(16))).toEqual({ bolts: 1, byMm: 300 });
});

// By the plan's corners: what stands outside is what a rectangle of the floor does not hold.
test("bolts outside the floor are counted, whatever the pattern", () => {
  let off = 0;
  fc.assert(
    fc.property(
      networks,
      fc.array(fc.record({ x: fc.integer({ min: -600, max: 900 }), y: fc.integer({ min: -400, max: 900 }) }), {
        minLength: 1,
        maxLength: 6,
      }),
      (design, placesMm) => {
        const tank = { ...design.tanks[0]!, fixing: { ...SAMPLE_FIXING, placesMm } };
        const { lengthMm, widthMm } = design.rig;
        const outside = placesMm.filter(({ x, y }) => {
          const [atX, atY] = [tank.atMm.x + x, tank.atMm.y + y];
          // a drawbar that reaches out of the floor bears them
          const washerMm = (Number(SAMPLE_FIXING.size.slice(1)) * 3) / 2;
          const isOnFrame = design.obstacles.some(
            ({ kind, atMm, lengthMm: long, widthMm: wide }) =>
              (kind === "chassisRail" || kind === "crossMember") &&
              atX > atMm.x - washerMm &&
              atX < atMm.x + long + washerMm &&
              atY > atMm.y - washerMm &&
              atY < atMm.y + wide + washerMm,
          );
          if (isOnFrame) return false;
          return !(atX >= 0 && atX <= lengthMm && atY >= -widthMm / 2 && atY <= widthMm / 2);
        });
        const { bolts, byMm } = measureBoltsOff(design, tank);
        expect(bolts).toBe(outside.length);
        expect(byMm > 0).toBe(bolts > 0);
        off += bolts;
        const findings = evaluate({ ...design, tanks: [tank, ...design.tanks.slice(1)] }).findings;
        expect(findings.some(({ code, at }) => code === "boltOffFloor" && "id" in at && at.id === tank.id)).toBe(
          bolts > 0 && design.rig.kind !== "boat",
        );
      },
    ),
    { numRuns: 40 },
  );
  expect(off).toBeGreaterThan(5);
});
