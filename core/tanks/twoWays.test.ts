import fc from "fast-check";
import { attitudes, networks } from "@/tests/arbitraries";
import { readDemo } from "@/tests/demoRigs";
import { box, shaped, volumeL } from "@/tests/tankShapes";
import { computeUp, LEVEL } from "../attitude/attitude";
import { createPort } from "../design/createPort";
import { findTrap, withTrap } from "../design/lineItems";
import type { Port, Tank } from "../design/plumbing";
import { evaluate } from "../evaluate/evaluate";
import { buildNetwork } from "../falls/network";
import { measureCapacityL, measureExtent } from "../geometry/solid";
import { add, dot, vec } from "../geometry/vec";
import { lookUpValue } from "../rules/lookUpLimit";
import { computeTankLoads, shareByLever } from "./axleLoads";
import { computeDips, listDepths } from "./dipChart";
import { computeEmptying, isBottomOutlet } from "./emptying";
import { listOpenings } from "./openings";
import { findOutletWay } from "./outletWay";
import { computeRunEmpty } from "./runEmpty";
import { computeEmptyKg, computeFullKg, measureSurfaceM2 } from "./shell";
import { computeLeftBehindL, computeTankFull, listDrownings } from "./tankLevels";

// What is said of tanks, worked out a second time in the plainest way there is.

const level = computeUp(LEVEL);
/* Axles */

const axle = (name: string, xMm: number, spareKg: number | null = null) => ({ name, xMm, spareKg });
const tanksAlong = fc.array(
  fc.record({
    x: fc.integer({ min: 0, max: 5000 }),
    y: fc.integer({ min: -800, max: 400 }),
    lengthMm: fc.integer({ min: 200, max: 1200 }),
    widthMm: fc.integer({ min: 150, max: 500 }),
  }),
  { minLength: 1, maxLength: 4 },
);

test("any tanks: what two axles carry is their weight, with its moment, and the sides are by where they hang", () => {
  fc.assert(
    fc.property(
      tanksAlong,
      fc.integer({ min: 0, max: 1500 }),
      fc.integer({ min: 2500, max: 5000 }),
      (given, rear, front) => {
        const tanks = given.map(({ x, y, lengthMm, widthMm }, i) =>
          shaped(box(lengthMm, widthMm, 200), { id: `t${i}`, atMm: vec(x, y, -300) }),
        );
        const base = readDemo("kranich");
        const rig = { ...base.rig, axles: [axle("Front", front, 120), axle("Rear", rear, 80)] };
        const loads = computeTankLoads({ ...base, rig, tanks })!;
        const weigh = (of: (tank: Tank) => number, arm: (tank: Tank) => number) =>
          tanks.reduce((sum, tank) => sum + of(tank) * arm(tank), 0);
        const middle = (tank: Tank) => tank.atMm.x + measureExtent(tank.solid).max.x / 2;
        const aside = (tank: Tank) => tank.atMm.y + measureExtent(tank.solid).max.y / 2;
        // named from the rear on, whichever way round they stand in the list
        expect(loads.axles.map(({ name, spareKg }) => [name, spareKg])).toEqual([
          ["Rear", 80],
          ["Front", 120],
        ]);
        for (const [key, of] of [
          ["emptyKg", computeEmptyKg],
          ["fullKg", computeFullKg],
        ] as const) {
          const [r, f] = loads.axles.map((one) => one[key]) as [number, number];
          expect(r + f).toBeCloseTo(
            weigh(of, () => 1),
            6,
          );
          expect(r * rear + f * front).toBeCloseTo(weigh(of, middle), 3);
          expect(loads[key]).toBeCloseTo(
            weigh(of, () => 1),
            6,
          );
        }
        // the most and the least are those of some of them, and nothing beyond
        for (const [i, one] of loads.axles.entries()) {
          const sums = Array.from({ length: 2 ** tanks.length }, (_, mask) =>
            tanks.reduce((sum, tank, k) => {
              const kg = (mask >> k) % 2 === 1 ? computeFullKg(tank) : 0;
              return sum + shareByLever(kg, middle(tank), [rear, front])[i]!;
            }, 0),
          );
          expect(one.mostKg).toBeCloseTo(Math.max(...sums), 6);
          expect(one.leastKg).toBeCloseTo(Math.min(...sums), 6);
        }
        // the wheels stand 90 mm in from the edge of the floor: moments about the middle of the rig
        const half = rig.widthMm / 2 - 90;
        expect((loads.leftKg - loads.rightKg) * half).toBeCloseTo(weigh(computeFullKg, aside), 3);
        expect(loads.leftKg + loads.rightKg).toBeCloseTo(loads.fullKg, 6);
      },
    ),
  );
});

test("one axle and its coupling, a pair of axles, axles in one place, and none at all", () => {
  const base = readDemo("puppenwagen");
  const load = (axles: readonly ReturnType<typeof axle>[], couplingXMm: number | null, kind = base.rig.kind) =>
    computeTankLoads({ ...base, rig: { ...base.rig, kind, axles: [...axles], couplingXMm } });
  expect(load([], null)).toBeNull();
  const hitched = load([axle("Axle", 1500, 90)], 5200)!;
  const weight = base.tanks.reduce((sum, tank) => sum + computeFullKg(tank), 0);
  const moment = base.tanks.reduce((sum, tank) => {
    const { min, max } = measureExtent(tank.solid);
    return sum + computeFullKg(tank) * (tank.atMm.x + (min.x + max.x) / 2);
  }, 0);
  expect(hitched.axles[1]!.fullKg).toBeCloseTo((moment - weight * 1500) / (5200 - 1500), 6);
  // not measured it is at the front edge
  expect(load([axle("Axle", 1500)], null)!.axles[1]!.fullKg).toBeCloseTo(
    (moment - weight * 1500) / (base.rig.lengthMm - 1500),
    6,
  );
  const pair = (apartMm: number, spares: readonly (number | null)[] = [200, 150]) =>
    load([axle("A", 1500, spares[0]!), axle("B", 1500 + apartMm, spares[1]!)], 5200)!.axles;
  expect(pair(1500)[0]).toMatchObject({ name: "A and B", spareKg: 300 });
  expect(pair(1500, [null, 150])[0]!.spareKg).toBeNull();
  expect(pair(1500)[0]!.fullKg).toBeCloseTo(weight - (moment - weight * 2250) / (5200 - 2250), 6);
  // further apart each carries by itself, and so does a pair under what drives itself
  expect(pair(1501).map(({ name }) => name)).toEqual(["A", "B"]);
  expect(load([axle("A", 1500), axle("B", 2400)], null, "bus")!.axles.map(({ name }) => name)).toEqual(["A", "B"]);
  expect(shareByLever(60, 900, [1500, 1500])).toEqual([30, 30]);
  expect(shareByLever(60, 900, [1500, 1500.9])).toEqual([30, 30]);
  expect(shareByLever(60, 1500, [1500, 1501])).toEqual([60, 0]);
});

/* Shell */

test("a box's shell, grown by so much on every side, is that of the larger box; each material weighs what it weighs", () => {
  const size = fc.integer({ min: 50, max: 1500 });
  fc.assert(
    fc.property(size, size, size, fc.integer({ min: 0, max: 60 }), (a, b, c, grow) => {
      const [l, w, h] = [a, b, c].map((mm) => mm + 2 * grow) as [number, number, number];
      expect(measureSurfaceM2(box(a, b, c), grow)).toBeCloseTo((2 * (l * w + w * h + h * l)) / 1e6, 9);
    }),
  );
  const square = shaped(box(1000, 1000, 1000), { wallMm: 5 });
  // 6 m² of 5 mm: 0.03 m³
  const weights = { polyethylene: 28.5, stainless: 237, aluminium: 81, grp: 51 } as const;
  for (const material of ["polyethylene", "stainless", "aluminium", "grp"] as const) {
    const tank = { ...square, material };
    expect(computeEmptyKg(tank)).toBeCloseTo(weights[material], 9);
    expect(computeFullKg(tank) - computeEmptyKg(tank)).toBeCloseTo(998.2, 6);
  }
});

/* Openings and levels */

test("any network: a tank is full at its lowest opening or its top, and they drown in the order of their heights", () => {
  fc.assert(
    fc.property(networks, attitudes, (design, attitude) => {
      const network = buildNetwork(design);
      const up = computeUp(attitude);
      for (const tank of design.tanks) {
        const openings = listOpenings(design, network, tank);
        const ports = tank.ports.filter(({ kind }) => kind === "inlet" || kind === "vent");
        const drains = network.drainsByTank.get(tank.id) ?? [];
        expect(openings.map(({ id }) => id).sort()).toEqual(
          [...ports.map(({ id }) => id), ...drains.map(({ fromFixture }) => fromFixture)].sort(),
        );
        const held = Math.max(0, lookUpValue(design.rules, "backHead"));
        const heightOf = (id: string) => {
          const port = ports.find((one) => one.id === id);
          if (port) return dot(up, add(tank.atMm, port.atMm));
          const drain = drains.find(({ fromFixture }) => fromFixture === id)!;
          const { outletMm } = network.fixtures.get(id)!;
          return dot(up, outletMm) + (findTrap(drain)?.kind === "membrane" ? held : 0);
        };
        const { min, max } = measureExtent(tank.solid);
        const corners = [min.x, max.x].flatMap((x) =>
          [min.y, max.y].flatMap((y) => [min.z, max.z].map((z) => vec(x, y, z))),
        );
        const topMm = Math.max(...corners.map((corner) => dot(up, add(tank.atMm, corner))));
        const lowest = Math.min(topMm, ...openings.map(({ id }) => heightOf(id)));
        const full = computeTankFull(tank, openings, up);
        expect(full.surfaceMm).toBeCloseTo(lowest, 6);
        expect(full.litres).toBeCloseTo(volumeL(tank, up, lowest), 6);
        expect(full.openingId === null ? topMm : heightOf(full.openingId)).toBeCloseTo(lowest, 6);
        expect(full.by === "top").toBe(full.openingId === null);
        expect(full.openingOf).toBe(full.openingId === null ? null : tank.id);
        const drownings = listDrownings(tank, openings, up);
        const heights = drownings.map(({ opening }) => heightOf(opening.id));
        heights.slice(1).forEach((height, i) => {
          expect(height).toBeGreaterThanOrEqual(heights[i]! - 1e-6);
        });
        drownings.forEach(({ litres }, i) => {
          if (heights[i]! > topMm + 1e-6) expect(litres).toBeNull();
          else if (heights[i]! < topMm - 1e-6) expect(litres).toBeCloseTo(volumeL(tank, up, heights[i]!), 6);
        });
        // what stays is below the lowest outlet
        const outlets = tank.ports.filter(({ kind }) => kind === "outlet");
        const left = computeLeftBehindL(tank, up);
        if (outlets.length === 0) expect(left).toBeNull();
        else {
          const low = Math.min(...outlets.map(({ atMm }) => dot(up, add(tank.atMm, atMm))));
          expect(left).toBeCloseTo(volumeL(tank, up, low), 6);
        }
      }
    }),
    { numRuns: 50 },
  );
});

test("a membrane valve holds the tank back by its rating, a trap by nothing", () => {
  const kranich = readDemo("kranich");
  const design = { ...kranich, rules: { ...kranich.rules, limits: { ...kranich.rules.limits, backHead: 400 } } };
  const held = (kind: "membrane" | "pTrap") => {
    const lines = design.lines.map((line) =>
      line.kind === "drain" ? withTrap(line, { ...findTrap(line)!, kind, sealMm: kind === "membrane" ? 0 : 50 }) : line,
    );
    const one = { ...design, lines };
    return listOpenings(one, buildNetwork(one), one.tanks[0]!).flatMap(({ by, heldMm }) =>
      by === "fixture" ? [heldMm] : [],
    );
  };
  expect(held("membrane")).toEqual([400]);
  expect(held("pTrap")).toEqual([0]);
});

test("a chart of depths: each at its place in plan, over the tank's own floor, both ends with them", () => {
  expect(listDepths(200, 4)).toEqual([0, 50, 100, 150, 200]);
  fc.assert(
    fc.property(attitudes, fc.integer({ min: 0, max: 800 }), fc.integer({ min: 0, max: 400 }), (attitude, xMm, yMm) => {
      const tank = shaped(box(800, 400, 200));
      const up = computeUp(attitude);
      for (const { depthMm, litres } of computeDips(tank, up, { xMm, yMm }, [0, 37, 200]))
        expect(litres).toBeCloseTo(volumeL(tank, up, dot(up, vec(xMm, yMm, depthMm))), 9);
    }),
  );
});

/* Running empty */

const at = (x: number, y: number, z: number, boreMm: number): Port =>
  createPort({ id: "out", kind: "outlet", atMm: vec(x, y, z), boreMm });

// Euler's way in steps of a tenth of a second; a bore in the wall sums thin slices of itself, each under its own head.
function runOut(areaM2: number, fromM: number, boreM: number, isBottom: boolean, dropM: number, toM: number): number {
  let depth = fromM;
  let seconds = 0;
  const slices = 200;
  while (depth > toM) {
    let flow: number;
    if (isBottom) flow = 0.6 * (Math.PI / 4) * boreM ** 2 * Math.sqrt(2 * 9.80665 * (depth + dropM));
    else {
      const wet = Math.min(depth, boreM);
      let area = 0;
      let moment = 0;
      for (let k = 0; k < slices; k++) {
        const y = ((k + 0.5) / slices) * wet;
        const wide = 2 * Math.sqrt(Math.max(0, (boreM / 2) ** 2 - (y - boreM / 2) ** 2));
        area += (wide * wet) / slices;
        moment += (wide * wet * y) / slices;
      }
      const head = depth - moment / area + (depth >= boreM ? dropM : 0);
      flow = 0.6 * area * Math.sqrt(2 * 9.80665 * head);
    }
    depth -= (flow * 0.1) / areaM2;
    seconds += 0.1;
  }
  return seconds;
}

test("any box runs empty through any outlet in the time small steps take, with a hose that falls or without", () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 400, max: 1200 }),
      fc.integer({ min: 120, max: 400 }),
      fc.integer({ min: 20, max: 60 }),
      fc.boolean(),
      fc.constantFrom(0, 0.3),
      (lengthMm, heightMm, boreMm, isBottom, dropM) => {
        const outlet = at(isBottom ? lengthMm / 2 : 0, 200, 0, boreMm);
        const tank = shaped(box(lengthMm, 400, heightMm), { ports: [outlet] });
        expect(isBottomOutlet(tank, outlet)).toBe(isBottom);
        const { curve } = computeEmptying(tank, outlet, level, measureCapacityL(tank.solid), { dropM });
        const areaM2 = (lengthMm * 400) / 1e6;
        // down to a quarter: nothing trickles yet
        const quarter = curve.find(({ litres }) => litres <= (areaM2 * heightMm) / 4)!;
        const toM = quarter.litres / 1000 / areaM2;
        const expected = runOut(areaM2, heightMm / 1000, boreMm / 1000, isBottom, dropM, toM);
        expect(Math.abs(quarter.second - expected)).toBeLessThan(0.3 + expected * 0.01);
        const { leftL } = computeEmptying(tank, outlet, level, measureCapacityL(tank.solid), { dropM });
        // what no hand waits for runs at less than 1.2 L a minute
        expect(leftL).toBeLessThan(areaM2 * 1000 * Math.max(2, boreMm / 4));
      },
    ),
    { numRuns: 25 },
  );
});

test("where an outlet sits: in the bottom clear of all four walls, else in the wall", () => {
  const tank = shaped(box(800, 400, 200));
  for (const [x, y, z, is] of [
    [400, 200, 0, true],
    [400, 200, 1, true],
    [400, 200, 2, false],
    [1, 200, 0, false],
    [2, 200, 0, true],
    [799, 200, 0, false],
    [798, 200, 0, true],
    [400, 1, 0, false],
    [400, 2, 0, true],
    [400, 399, 0, false],
    [400, 398, 0, true],
  ] as const)
    expect([x, y, z, isBottomOutlet(tank, at(x, y, z, 38))]).toEqual([x, y, z, is]);
});

test("what lies below the outlet stays, and a tank that has only that does not run at all", () => {
  const outlet = at(0, 200, 40, 38);
  const tank = shaped(box(800, 400, 200), { ports: [outlet] });
  const { leftL } = computeEmptying(tank, outlet, level, 64);
  expect(leftL).toBeGreaterThan(12.8);
  // and a film of a quarter of the bore, which only trickles
  expect(leftL).toBeLessThan(12.8 + 800 * 400 * (38 / 4) * 1e-6);
  expect(computeEmptying(tank, outlet, level, 10)).toMatchObject({
    seconds: 0,
    leftL: 10,
    curve: [{ second: 0, litres: 10 }],
  });
});

test("outlet, valves, lines and hose by hand: the narrowest, with the friction of each put on it", () => {
  const leg = (lengthMm: number, innerMm: number) =>
    ({ lengthMm, pipe: { innerMm, outerMm: innerMm + 4, manningN: 0.009 } }) as never;
  const run = {
    wayLegs: [leg(600, 60), leg(0, 60), leg(900, 60), leg(1500, 70)],
    valves: [{ kind: "manual", boreMm: 48 } as const],
    dropMm: 120,
  };
  const hose = { lengthMm: 2500, dropMm: 300, innerMm: 55 };
  const way = findOutletWay({ boreMm: 71, valve: { kind: "manual", boreMm: 65 } }, hose, run);
  const rub = (f: number, l: number, d: number) => f * (l / d) * (48 / d) ** 4;
  // three pieces with two bends between them; the one of no length is none
  const all = rub(0.04, 2500, 55) + rub(0.03, 600, 60) + rub(0.03, 900 + 30 * 60, 60) + rub(0.03, 1500 + 30 * 70, 70);
  expect(way).toMatchObject({ narrowest: "endValve", narrowestMm: 48, dropMm: 420 });
  expect(way.boreMm).toBeCloseTo(48 * (1 + 0.36 * all) ** -0.25, 9);
  // one that rises takes from the hose's fall, and never pulls backwards
  expect(findOutletWay({ boreMm: 71, valve: null }, hose, { ...run, dropMm: -100 }).dropMm).toBe(200);
  expect(findOutletWay({ boreMm: 71, valve: null }, null, { ...run, dropMm: -100 }).dropMm).toBe(0);
  expect(findOutletWay({ boreMm: 30, valve: null }, hose, run).narrowest).toBe("outlet");
  expect(findOutletWay({ boreMm: 71, valve: null }, { ...hose, innerMm: 20 }, run).narrowest).toBe("hose");
  expect(findOutletWay({ boreMm: 71, valve: { kind: "manual", boreMm: 19 } }, hose, run).narrowest).toBe("valve");
});

test("a tank of the design runs empty through its breather, faster with the hatch open, and not at all without an outlet", () => {
  const kranich = readDemo("kranich");
  const [one] = kranich.tanks as [Tank];
  const narrow = {
    ...kranich,
    lines: kranich.lines.map((line) => (line.kind === "vent" ? { ...line, pipe: { ...line.pipe, innerMm: 8 } } : line)),
  };
  const result = (design: typeof kranich) => evaluate(design).tanks[0]!;
  const closed = computeRunEmpty(narrow, one, result(narrow))!;
  const open = computeRunEmpty(narrow, one, result(narrow), true)!;
  expect(closed.seconds).toBeGreaterThan(open.seconds * 1.1);
  expect(computeRunEmpty(kranich, one, result(kranich))!.seconds).toBeLessThan(closed.seconds);
  expect(open.curve[0]!.litres).toBeCloseTo(result(narrow).level.litres, 9);
  // of two at one height the wider is opened, whichever was put in first
  const wide = one.ports.find(({ kind }) => kind === "outlet")!;
  const thin = { ...wide, id: "thin", boreMm: wide.boreMm / 2 };
  const others = one.ports.filter(({ kind }) => kind !== "outlet");
  const seconds = [[thin], [wide], [thin, wide], [wide, thin]].map((outlets) => {
    const design = { ...kranich, tanks: [{ ...one, ports: [...others, ...outlets] }], lines: [] };
    return computeRunEmpty(design, design.tanks[0]!, result(kranich), true)!.seconds;
  });
  expect(seconds[0]).toBeGreaterThan(seconds[1]! * 2);
  expect(seconds.slice(2)).toEqual([seconds[1], seconds[1]]);
  const shut = { ...one, ports: others };
  expect(computeRunEmpty({ ...kranich, tanks: [shut] }, shut, result(kranich))).toBeNull();
});

test("of several outlets the lowest lets the tank run empty, in whatever order they stand, in this tank or one that shares its level", () => {
  const outlets = (...heights: number[]) => heights.map((z, i) => ({ ...at(0, 100 + 60 * i, z, 38), id: `out-${i}` }));
  const tank = (...heights: number[]) => shaped(box(800, 400, 200), { ports: outlets(...heights) });
  expect(computeLeftBehindL(tank(20, 60), level)).toBeCloseTo(6.4, 9);
  expect(computeLeftBehindL(tank(60, 20), level)).toBeCloseTo(6.4, 9);
  const low = { ...tank(10), id: "low" };
  expect(computeLeftBehindL(tank(60), level, [tank(60), low])).toBeCloseTo(3.2, 9);
});
