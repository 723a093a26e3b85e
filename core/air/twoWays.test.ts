import fc from "fast-check";
import { attitudes } from "@/tests/arbitraries";
import { readDemo } from "@/tests/demoRigs";
import { buildSharedAir } from "@/tests/sharedAir";
import { computeUp } from "../attitude/attitude";
import { createPort } from "../design/createPort";
import type { Design } from "../design/design";
import { findTrap, withTrap } from "../design/lineItems";
import { toNodes } from "../design/nodes";
import type { Drain, Port, Tank, Vent } from "../design/plumbing";
import { evaluate } from "../evaluate/evaluate";
import { buildNetwork, sumSurgeLps } from "../falls/network";
import { add, dot, measureLength, subtract, type Vec3, vec } from "../geometry/vec";
import { listOpenings } from "../tanks/openings";
import { findOutletWay } from "../tanks/outletWay";
import { computeTankFull } from "../tanks/tankLevels";
import { computeSealAfterMm, computeSealBreakPa } from "../traps/sealPressure";
import { type Airway, computeAirPressurePa, computeAirwayPressurePa } from "./airPressure";
import { readAir } from "./airState";
import { computeDumping, computeLeastBreatherBoreM } from "./dumping";
import { getFrictionTable } from "./frictionTable";
import { computeSharedAir } from "./sharedAir";
import { computeTankAir, type TankAir } from "./tankAir";
import { findVentDip } from "./ventDips";
import { buildVentPath, followVent, listOwnCourse, measureVentLengthMm } from "./ventPath";
import { measureInRoomMm } from "./ventRoom";

// What the breathers of a rig come to, worked out a second time in the plainest way there is.

const point = fc.record({
  x: fc.integer({ min: 0, max: 3000 }),
  y: fc.integer({ min: -900, max: 900 }),
  z: fc.integer({ min: -300, max: 1800 }),
});
const courses = fc.array(point, { minLength: 2, maxLength: 5 });
const base = buildSharedAir();
const [first, second] = base.tanks as [Tank, Tank];
const PIPE = { innerMm: 19, outerMm: 25, manningN: 0.01 };
const portOf = (tank: Tank, kind: Port["kind"]) => tank.ports.find((port) => port.kind === kind)!;

/** Three breathers, the first in the second, that in the third; each with a tank's port to begin at. */
function chainOf(points: readonly (readonly Vec3[])[], tees: readonly number[], hasMesh: boolean): Design {
  const third: Tank = { ...second, id: "third", name: "Third tank", atMm: add(second.atMm, vec(-400, 0, 0)) };
  const tanks = [first, second, third];
  const vents = points.map((course, i): Vent => {
    const next = points[i + 1];
    const tank = tanks[i]!;
    return {
      id: `v${i}`,
      name: `Breather ${i}`,
      kind: "vent",
      fromTank: tank.id,
      fromPort: portOf(tank, "vent").id,
      pipe: { ...PIPE, innerMm: 12 + i * 3 },
      to: next ? { kind: "tee", lineId: `v${i + 1}`, node: `n${tees[i]! + 1}` } : { kind: "openAir", hasMesh },
      pointsMm: toNodes(course),
    };
  });
  return { ...base, tanks, lines: vents };
}

const chains = fc
  .record({ points: fc.tuple(courses, courses, courses), nth: fc.tuple(fc.nat(), fc.nat()), hasMesh: fc.boolean() })
  .map(({ points, nth, hasMesh }) => {
    const tees = nth.map((n, i) => n % points[i + 1]!.length);
    return { points, tees, hasMesh, design: chainOf(points, tees, hasMesh) };
  });

function turn(a: Vec3, b: Vec3, c: Vec3): number {
  const [p, q] = [subtract(b, a), subtract(c, b)];
  const lengths = measureLength(p) * measureLength(q);
  return lengths === 0 ? 0 : (Math.acos(Math.min(1, Math.max(-1, dot(p, q) / lengths))) * 180) / Math.PI;
}

const lengthOf = (points: readonly Vec3[]) =>
  points.slice(1).reduce((sum, p, i) => sum + measureLength(subtract(p, points[i]!)), 0);

test("any chain of breathers: each stretch is its own pipe up to the tee, and every point is the one it says", () => {
  fc.assert(
    fc.property(chains, ({ points, tees, hasMesh, design }) => {
      // two points at one place have no angle between them; how those are taken is told elsewhere
      fc.pre(points.every((course) => course.every((p, i) => i === 0 || lengthOf([course[i - 1]!, p]) > 1)));
      const vents = design.lines as Vent[];
      const path = buildVentPath(design, vents[0]!);
      const port = add(first.atMm, portOf(first, "vent").atMm);
      const runs = [
        [port, ...points[0], points[1][tees[0]!]!],
        [...points[1].slice(tees[0]!), points[2][tees[1]!]!],
        points[2].slice(tees[1]!),
      ];
      const ends = [0.5 + 1, 1, 1 + (hasMesh ? 0.7 : 0)];
      expect(path.chain.map(({ id }) => id)).toEqual(["v0", "v1", "v2"]);
      expect(path.pointsMm.map(({ x, y, z }) => ({ x, y, z }))).toEqual([
        port,
        ...points[0],
        ...points[1].slice(tees[0]!),
        ...points[2].slice(tees[1]!),
      ]);
      expect(path.refs).toEqual([
        { lineId: "v0", point: -1 },
        ...points[0].map((_, i) => ({ lineId: "v0", point: i })),
        ...points[1].slice(tees[0]!).map((_, i) => ({ lineId: "v1", point: tees[0]! + i })),
        ...points[2].slice(tees[1]!).map((_, i) => ({ lineId: "v2", point: tees[1]! + i })),
      ]);
      path.stretches.forEach(({ lineId, pipe }, i) => {
        const run = runs[i]!;
        expect(lineId).toBe(`v${i}`);
        expect(pipe.boreM).toBeCloseTo((12 + i * 3) / 1000, 12);
        expect(pipe.lengthM).toBeCloseTo(lengthOf(run) / 1000, 9);
        const bends = run.slice(2).reduce((sum, c, k) => sum + turn(run[k]!, run[k + 1]!, c), 0);
        // the turn out of one's tee is not told twice, nor is a doubled point one
        if (run.every((p, k) => k === 0 || lengthOf([run[k - 1]!, p]) > 1))
          expect(pipe.lossK).toBeCloseTo(ends[i]! + (bends / 90) * 0.75, 6);
        expect(pipe.air).toEqual(readAir(design.rules));
      });
      expect(listOwnCourse(design, vents[0]!).map(({ x, y, z }) => ({ x, y, z }))).toEqual(runs[0]);
      expect(listOwnCourse(design, vents[2]!)).toHaveLength(points[2].length + 1);
      expect(measureVentLengthMm(design, vents[0]!)).toBeCloseTo(lengthOf(runs[0]!), 6);
      expect(followVent(design, vents[2]!)).toEqual([vents[2]]);
    }),
    { numRuns: 80 },
  );
});

test("any breather: its deepest dip is the point with most over it on both sides, at the standing where that is", () => {
  fc.assert(
    fc.property(chains, fc.array(attitudes, { minLength: 1, maxLength: 4 }), ({ design }, standings) => {
      const path = buildVentPath(design, design.lines[0] as Vent);
      let deepest = 0;
      for (const attitude of standings) {
        const h = path.pointsMm.map((p) => dot(computeUp(attitude), p));
        for (let i = 1; i < h.length - 1; i++) {
          const over = Math.min(Math.max(...h.slice(0, i)), Math.max(...h.slice(i + 1))) - h[i]!;
          deepest = Math.max(deepest, over);
        }
      }
      const dip = findVentDip(path, standings);
      if (deepest <= 0) expect(dip).toBeNull();
      else {
        expect(dip!.deepMm).toBeCloseTo(deepest, 9);
        const at = path.refs.findIndex(({ lineId, point: p }) => lineId === dip!.lineId && p === dip!.point);
        const h = path.pointsMm.map((p) => dot(computeUp(dip!.attitude), p));
        expect(Math.min(Math.max(...h.slice(0, at)), Math.max(...h.slice(at + 1))) - h[at]!).toBeCloseTo(deepest, 9);
      }
    }),
    { numRuns: 80 },
  );
});

const MOST_PA = 250;

/** Kranich with its tank's outlets and breathers given, and what is said of its air. */
const kranich = readDemo("kranich");
const [tank] = kranich.tanks as [Tank];
const vent = kranich.lines.find((line): line is Vent => line.kind === "vent")!;
const outlet = portOf(tank, "outlet");

function withPorts(outlets: readonly Port[], vents: readonly Vent[], more: Partial<Design["rig"]> = {}): Design {
  const ports = [...tank.ports.filter(({ kind }) => kind !== "outlet"), ...outlets];
  return {
    ...kranich,
    rig: { ...kranich.rig, ...more },
    tanks: [{ ...tank, ports }],
    lines: [...kranich.lines.filter(({ kind }) => kind !== "vent"), ...vents],
  };
}

const airOf = (design: Design): TankAir => computeTankAir(design, design.tanks[0]!, MOST_PA)!;

/** What it must be with one outlet and one breather, head and bore given. */
function byHand(design: Design, of: Port, through: Vent, isBottom = false) {
  const up = computeUp(design.rig.dumpAttitude);
  const one = design.tanks[0]!;
  const { surfaceMm } = computeTankFull(one, listOpenings(design, buildNetwork(design), one), up);
  const way = findOutletWay(of, design.rig.dumpHose, null);
  const overMm = surfaceMm - dot(up, add(one.atMm, of.atMm)) - (isBottom ? 0 : of.boreMm / 2);
  const headMm = Math.max(0, overMm) + (overMm > 0 ? way.dropMm : 0);
  const airway: Airway = buildVentPath(design, through).stretches.map(({ pipe }) => pipe);
  const cd = 0.8;
  return {
    headMm,
    airway,
    cd,
    ...computeDumping(headMm / 1000, way.boreMm / 1000, airway, cd),
    boreM: way.boreMm / 1000,
  };
}

test("head, suction and least bore of a tank's air are those of its lowest outlet and its best breather", () => {
  const higher: Port = { ...outlet, id: "high", atMm: vec(outlet.atMm.x, outlet.atMm.y, outlet.atMm.z + 60) };
  const narrow: Vent = { ...vent, id: "narrow", pipe: { ...vent.pipe, innerMm: vent.pipe.innerMm * 0.6 } };
  for (const hose of [null, { lengthMm: 2000, dropMm: 400, innerMm: 38 }]) {
    const rig = { dumpHose: hose };
    const alone = withPorts([outlet], [vent], rig);
    const expected = byHand(alone, outlet, vent);
    const found = airOf(alone);
    expect(found.headMm).toBeCloseTo(expected.headMm, 9);
    expect(found.suctionPa).toBeCloseTo(expected.suctionPa, 6);
    expect(found.dumpFlowLps).toBeCloseTo(expected.flowM3PerS * 1000, 9);
    const rest = {
      lengthM: expected.airway.reduce((sum, { lengthM }) => sum + lengthM, 0),
      lossK: expected.airway.reduce((sum, { lossK }) => sum + lossK, 0),
      air: readAir(alone.rules),
    };
    const leastM = computeLeastBreatherBoreM(expected.headMm / 1000, expected.boreM, MOST_PA, rest, expected.cd);
    expect(found.leastBoreMm).toBeCloseTo(leastM * 1000, 6);
    expect(found.fillPa).toBeCloseTo(
      computeAirwayPressurePa(sumSurgeLps(buildNetwork(alone), tank.id) / 1000, expected.airway),
      9,
    );
    // in either order a higher outlet changes nothing, and the narrower breather is not the one that is told
    for (const outlets of [
      [outlet, higher],
      [higher, outlet],
    ]) {
      expect({ ...airOf(withPorts(outlets, [vent], rig)), outlets: found.outlets }).toEqual(found);
    }
    for (const vents of [
      [vent, narrow],
      [narrow, vent],
    ]) {
      expect(airOf(withPorts([outlet], vents, rig))).toMatchObject({ ventId: vent.id, suctionPa: found.suctionPa });
    }
    expect(airOf(withPorts([outlet], [narrow], rig)).suctionPa).toBeGreaterThan(found.suctionPa);
  }
});

test("an outlet in the bottom has all the depth as its head, one that lies dry none at all, also with a hose", () => {
  const { x, y } = { x: 200, y: 200 };
  const bottom: Port = { ...outlet, id: "bottom", atMm: vec(x, y, 0) };
  const design = withPorts([bottom], [vent]);
  expect(airOf(design).headMm).toBeCloseTo(byHand(design, bottom, vent, true).headMm, 9);
  // as high as the tank itself: the water does not reach it
  const top: Port = createPort({ id: "top", kind: "outlet", atMm: vec(outlet.atMm.x, outlet.atMm.y, 160), boreMm: 38 });
  const dry = airOf(withPorts([top], [vent], { dumpHose: { lengthMm: 2000, dropMm: 400, innerMm: 38 } }));
  expect(dry).toMatchObject({ headMm: 0, suctionPa: 0, dumpFlowLps: 0 });
});

test("the seal that is told is the shallowest that holds water; with none nothing is broken", () => {
  const drain = kranich.lines.find((line): line is Drain => line.kind === "drain")!;
  const branch = (id: string, sealMm: number): Drain => ({ ...withTrap(drain, { ...findTrap(drain)!, sealMm }), id });
  const seals = (...mm: number[]): TankAir => {
    const drains = mm.map((sealMm, i) => branch(`d${i}`, sealMm));
    return airOf({ ...kranich, lines: [...drains, vent] });
  };
  for (const mm of [
    [50, 80],
    [80, 50],
    [0, 50, 80],
  ]) {
    const told = seals(...mm);
    expect(told.weakestSealMm).toBe(50);
    expect(told.sealAfterMm).toBeCloseTo(computeSealAfterMm(50, told.suctionPa), 9);
    expect(told.breaksSeal).toBe(told.suctionPa >= computeSealBreakPa(50));
  }
  expect(seals(0)).toMatchObject({ weakestSealMm: null, sealAfterMm: null, breaksSeal: false });
  expect(airOf({ ...kranich, lines: [vent] })).toMatchObject({
    weakestSealMm: null,
    sealAfterMm: null,
    breaksSeal: false,
  });
  // a seal that the suction of this very tank just lifts is broken, one deeper is not
  const thin = { ...vent, pipe: { ...vent.pipe, innerMm: 6 } };
  const harsh = (sealMm: number) => airOf({ ...kranich, lines: [branch("d", sealMm), thin] });
  expect(harsh(15).breaksSeal).toBe(true);
  expect(harsh(3_000).breaksSeal).toBe(false);
});

test("what is remembered of a breather is of one air, one head and one course: another of them is reckoned anew", () => {
  const at = (rules: Design["rules"], more: Partial<Vent["pipe"]> = {}, dropMm = 0) => {
    const rig = { ...kranich.rig, dumpHose: { lengthMm: 500, dropMm, innerMm: 38 } };
    const lines = kranich.lines.map((line) => (line === vent ? { ...vent, pipe: { ...vent.pipe, ...more } } : line));
    return airOf({ ...kranich, rig, rules, lines });
  };
  const { rules } = kranich;
  const high = { ...rules, limits: { ...rules.limits, altitude: 3000 } };
  const usual = at(rules);
  expect(at(high).suctionPa).not.toBeCloseTo(usual.suctionPa, 3);
  expect(at(rules, {}, 300).suctionPa).toBeGreaterThan(usual.suctionPa);
  expect(at(rules)).toEqual(usual);
  // the very same line in a design with other air, other rules and another head
  const same = (more: Partial<Design>) => airOf({ ...kranich, ...more });
  const plain = same({});
  expect(same({ rules: high }).suctionPa).not.toBeCloseTo(plain.suctionPa, 3);
  const hung = same({ rig: { ...kranich.rig, dumpHose: { lengthMm: 500, dropMm: 600, innerMm: 38 } } });
  expect(hung.suctionPa).toBeGreaterThan(plain.suctionPa);
  expect(computeTankAir(kranich, tank, MOST_PA / 4)!.leastBoreMm).toBeGreaterThan(plain.leastBoreMm);
});

test("of several tanks that share a breather the one that sucks most is told, and one that shares none is not", () => {
  fc.assert(
    fc.property(
      chains,
      fc.tuple(fc.integer({ min: 1, max: 40 }), fc.integer({ min: 1, max: 40 })),
      ({ design }, flows) => {
        const [v0, v1, v2] = design.lines as [Vent, Vent, Vent];
        const airs = new Map(
          [v0, v1].map((line, i) => {
            const { stretches } = buildVentPath(design, line);
            return [line.fromTank, { ventId: line.id, stretches, dumpFlowLps: flows[i]! / 10 } as unknown as TankAir];
          }),
        );
        const shared = computeSharedAir(design, design.tanks[2]!, airs)!;
        // the third one's pipe, from where each comes in to the open end
        const suctions = [v0, v1].map((line, i) => {
          const { pipe } = buildVentPath(design, line).stretches.find(({ lineId }) => lineId === v2.id)!;
          return { fromTankId: line.fromTank, suctionPa: computeAirPressurePa(flows[i]! / 10_000, pipe) };
        });
        const worst = suctions.reduce((a, b) => (b.suctionPa > a.suctionPa ? b : a));
        expect(shared.suctionPa).toBeCloseTo(worst.suctionPa, 9);
        const alone = { ...design, lines: [v0, v1, { ...v2, id: "apart" }] };
        expect(computeSharedAir(alone, design.tanks[2]!, airs)).toBeNull();
      },
    ),
    { numRuns: 40 },
  );
});

test("seats and wheel arches cover a hose as lockers do; a fuel tank or a window does not", () => {
  const { rig } = kranich;
  const middle = vec(rig.lengthMm / 2, 0, 0);
  const course = [vec(middle.x, 0, 0), vec(middle.x, 0, 1000)];
  const over = (kind: Design["obstacles"][number]["kind"]) => {
    const thing = { ...readDemo("kranich-loop").obstacles[0]!, kind, atMm: vec(middle.x - 200, -200, 0) };
    return measureInRoomMm({ rig, obstacles: [{ ...thing, lengthMm: 400, widthMm: 400, heightMm: 400 }] }, course);
  };
  const free = measureInRoomMm({ rig, obstacles: [] }, course);
  for (const kind of ["seat", "wheelArch", "cabinet"] as const) expect(over(kind)).toBeCloseTo(free - 400, -1.5);
  for (const kind of ["fuelTank", "window", "bulkhead"] as const) expect(over(kind)).toBeCloseTo(free, 6);
});

test("no flow asks for no pressure, none of the wrong sign either; a table of a wall is made once", () => {
  const pipe = { boreM: 0.019, lengthM: 2, lossK: 2 };
  expect(computeAirPressurePa(0, pipe)).toBe(0);
  expect(computeAirPressurePa(-0.001, pipe)).toBe(0);
  const table = getFrictionTable(0.000_123);
  expect(getFrictionTable(0.000_123)).toBe(table);
  // many walls later it is made anew and says the same
  for (let i = 0; i < 130; i++) getFrictionTable(0.001 + i * 1e-5);
  expect(getFrictionTable(0.000_123)).not.toBe(table);
  expect(getFrictionTable(0.000_123)).toEqual(table);
});

test("every tank of the samples has the air that is worked out for it alone", () => {
  for (const name of ["kranich", "lesesaal-heads", "otter-heads", "setzkasten"] as const) {
    const design = readDemo(name);
    for (const { tankId, air } of evaluate(design).tanks) {
      const one = design.tanks.find(({ id }) => id === tankId)!;
      const has = design.lines.some((line) => line.kind === "vent" && line.fromTank === tankId);
      expect(air !== null).toBe(has && one.ports.some(({ kind }) => kind === "outlet"));
    }
  }
});
