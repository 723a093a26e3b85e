import fc from "fast-check";
import { readDemo } from "@/tests/demoRigs";
import { findAll, isSaid } from "@/tests/findingEdges";
import { buildSharedAir, mustApply } from "@/tests/sharedAir";
import { LEVEL } from "../attitude/attitude";
import { createPort } from "../design/createPort";
import type { Design } from "../design/design";
import type { Fixture, Vent } from "../design/plumbing";
import { buildJoinVent } from "../edits/ventEdits";
import { evaluate } from "../evaluate/evaluate";
import { buildNetwork, sumSurgeLps } from "../falls/network";
import { lookUpValue } from "../rules/lookUpLimit";
import { computeSealBreakPa } from "../traps/sealPressure";
import { type AirPipe, computeAirPressurePa } from "./airPressure";
import { computeAirs } from "./airs";
import { computeDumping, computeOutletFlow } from "./dumping";
import { listPortions } from "./portions";
import { computeTogether, type Drawn, solveSuctionsPa } from "./together";
import type { VentStretch } from "./ventPath";

const CD = 0.8;
const pipes = fc.record({
  boreM: fc.double({ min: 0.008, max: 0.04, noNaN: true }),
  lengthM: fc.double({ min: 0.1, max: 4, noNaN: true }),
  lossK: fc.double({ min: 1, max: 5, noNaN: true }),
});
const toStretch = (lineId: string, pipe: AirPipe): VentStretch => ({ lineId, pipe, portK: 0 });
const outlets = fc.array(
  fc.record({ headMm: fc.integer({ min: 10, max: 400 }), boreMm: fc.integer({ min: 15, max: 80 }) }),
  { maxLength: 2 },
);
const drawn = fc.record({ outlets, pumpLps: fc.constantFrom(0, 0, 0.2, 0.8), own: pipes });

/** Tanks whose breathers end in one main, each at a share of its length; the first tank's breather is the main. */
const rigs = fc
  .record({
    main: pipes,
    tanks: fc.array(fc.tuple(drawn, fc.double({ min: 0.05, max: 0.95, noNaN: true })), { minLength: 1, maxLength: 3 }),
  })
  .map(({ main, tanks }): Drawn[] =>
    tanks.map(([{ own, ...rest }, at], i) => ({
      tankId: `t${i}`,
      ...rest,
      stretches:
        i === 0
          ? [toStretch("main", main)]
          : [
              toStretch(`own${i}`, own),
              toStretch("main", { ...main, lengthM: main.lengthM * at, lossK: main.lossK * at }),
            ],
    })),
  );

const flowAt = ({ outlets: those, pumpLps }: Drawn, pa: number): number =>
  those.reduce(
    (sum, { headMm, boreMm }) => sum + computeOutletFlow(headMm / 1000, boreMm / 1000, pa, CD),
    pumpLps / 1000,
  );

test("each suction is what friction takes at the flows that it leaves, whoever comes in where", () => {
  fc.assert(
    fc.property(rigs, (tanks) => {
      const solved = solveSuctionsPa(tanks, CD);
      const flows = tanks.map((tank) => flowAt(tank, solved.get(tank.tankId)!));
      // the main from its end inwards: between two tees it carries all that has come in before
      const mains = tanks.map(({ stretches }) => stretches.at(-1)!.pipe);
      for (const [i, tank] of tanks.entries()) {
        const cuts = [...new Set(mains.map(({ lengthM }) => lengthM))]
          .filter((l) => l <= mains[i]!.lengthM)
          .sort((a, b) => a - b);
        let pa = 0;
        let from = { lengthM: 0, lossK: 0 };
        for (const cut of cuts) {
          const to = mains.find(({ lengthM }) => lengthM === cut)!;
          const flow = flows.reduce((sum, one, k) => sum + (mains[k]!.lengthM >= cut ? one : 0), 0);
          pa += computeAirPressurePa(flow, { ...to, lengthM: to.lengthM - from.lengthM, lossK: to.lossK - from.lossK });
          from = to;
        }
        if (i > 0) pa += computeAirPressurePa(flows[i]!, tank.stretches[0]!.pipe);
        const found = solved.get(tank.tankId)!;
        expect(Math.abs(found - pa)).toBeLessThan(0.01 * pa + 2);
      }
    }),
    { numRuns: 200 },
  );
});

test("one outlet on one breather sucks as it does alone, and every further one sucks no less", () => {
  fc.assert(
    fc.property(rigs, (tanks) => {
      const all = solveSuctionsPa(tanks, CD);
      for (const tank of tanks) {
        const airway = tank.stretches.map(({ pipe }) => pipe);
        for (const { headMm, boreMm } of tank.outlets) {
          const alone = computeDumping(headMm / 1000, boreMm / 1000, airway, CD).suctionPa;
          const one = solveSuctionsPa([{ ...tank, outlets: [{ headMm, boreMm }], pumpLps: 0 }], CD);
          expect(one.get(tank.tankId)).toBeCloseTo(alone, 0);
          expect(all.get(tank.tankId)!).toBeGreaterThan(alone - 0.2);
        }
      }
    }),
    { numRuns: 100 },
  );
});

test("nothing is said of a tank on which one thing draws, or none; a pump and an outlet are two", () => {
  const main = toStretch("main", { boreM: 0.019, lengthM: 2, lossK: 3 });
  const one = { headMm: 200, boreMm: 38 };
  const of = (...tanks: readonly [outlets: number, pumpLps: number][]) =>
    computeTogether(
      tanks.map(([count, pumpLps], i) => ({
        tankId: `t${i}`,
        stretches: [main],
        outlets: Array.from({ length: count }, () => one),
        pumpLps,
      })),
      CD,
      () => 50,
    );
  const drawn = (...tanks: readonly [number, number][]) => [...of(...tanks)].map(([id, { tankIds }]) => [id, tankIds]);
  expect(drawn([1, 0])).toEqual([]);
  expect(drawn([0, 0.5])).toEqual([]);
  expect(drawn([1, 0], [0, 0])).toEqual([]);
  expect(drawn([0, 0.5], [0, 0])).toEqual([]);
  expect(drawn([1, 0.5])).toEqual([["t0", ["t0"]]]);
  expect(drawn([2, 0], [0, 0])).toEqual([
    ["t0", ["t0"]],
    ["t1", ["t0"]],
  ]);
  expect(drawn([1, 0], [0, 0.5])).toEqual([
    ["t0", ["t0", "t1"]],
    ["t1", ["t1", "t0"]],
  ]);
  // 489 Pa break through 50 mm, and half of the suction's column is what it takes of less
  for (const { suctionPa, sealAfterMm, breaksSeal } of of([2, 0]).values()) {
    expect(breaksSeal).toBe(suctionPa >= 489.46);
    if (!breaksSeal) expect(sealAfterMm).toBeCloseTo(50 - suctionPa / 9.789 / 2, 1);
  }
});

test("the portions of a way are as long as it, lose as much, and the tank's own air goes through each", () => {
  fc.assert(
    fc.property(rigs, (tanks) => {
      for (const tank of tanks) {
        const portions = listPortions(tank, tanks);
        const sum = (of: (pipe: AirPipe) => number, those: readonly AirPipe[]) =>
          those.reduce((all, pipe) => all + of(pipe), 0);
        const [parts, whole] = [portions.map(({ pipe }) => pipe), tank.stretches.map(({ pipe }) => pipe)];
        expect(sum(({ lengthM }) => lengthM, parts)).toBeCloseTo(
          sum(({ lengthM }) => lengthM, whole),
          9,
        );
        expect(sum(({ lossK }) => lossK, parts)).toBeCloseTo(
          sum(({ lossK }) => lossK, whole),
          9,
        );
        for (const { tankIds } of portions) expect(tankIds).toContain(tank.tankId);
        // nobody leaves before the open air
        const main = portions.filter(({ tankIds }) => tankIds.length > 1).map(({ tankIds }) => tankIds.length);
        expect(main).toEqual(main.toSorted((a, b) => a - b));
      }
    }),
    { numRuns: 100 },
  );
});

const shared = buildSharedAir("grey");
const withBore = (design: Design, innerMm: number): Design => ({
  ...design,
  lines: design.lines.map((line) =>
    line.kind === "vent" ? { ...line, pipe: { ...line.pipe, innerMm, outerMm: innerMm + 5 } } : line,
  ),
});
const mostPa = lookUpValue(shared.rules, "ventSuction");
const BORES = [6, 8, 10, 12, 14, 16, 18, 20, 22, 25, 28, 32, 38];

test("two tanks on one breather suck harder opened together than either alone, and it is told where only that is too much", () => {
  for (const bore of BORES) {
    const design = withBore(shared, bore);
    const { tanks, findings } = evaluate(design, LEVEL);
    for (const { tankId, together, air, sharedAir } of tanks) {
      const alone = Math.max(air!.suctionPa, sharedAir!.suctionPa);
      expect(together!.tankIds.toSorted()).toEqual(["grey", "second"]);
      expect(together!.suctionPa).toBeGreaterThan(alone);
      const told = findings.filter(({ code, at }) => code === "airTogether" && "id" in at && at.id === tankId);
      const seal = together!.weakestSealMm;
      const breaks = seal === null ? Infinity : computeSealBreakPa(seal);
      const isTold =
        (together!.suctionPa > mostPa && alone <= mostPa) || (together!.suctionPa >= breaks && alone < breaks);
      expect([bore, told.length]).toEqual([bore, isTold ? 1 : 0]);
      for (const { severity } of told) expect(severity).toBe(together!.suctionPa >= breaks ? "should" : "note");
    }
  }
  expect(BORES.some((bore) => isSaid(withBore(shared, bore), "airTogether"))).toBe(true);
});

test("a tank with two outlets is told of both at once, where one alone is within the limit", () => {
  const kranich = readDemo("kranich");
  const [tank] = kranich.tanks as [Design["tanks"][number]];
  const own = tank.ports.find(({ kind }) => kind === "outlet")!;
  const second = createPort({
    id: "second",
    kind: "outlet",
    atMm: { ...own.atMm, y: own.atMm.y + 120 },
    boreMm: own.boreMm,
  });
  const two: Design = { ...kranich, tanks: [{ ...tank, ports: [...tank.ports, second] }] };
  expect(evaluate(kranich, LEVEL).tanks[0]!.together).toBeNull();
  const said = BORES.filter((bore) => isSaid(withBore(two, bore), "airTogether"));
  expect(said.length).toBeGreaterThan(0);
  for (const bore of said) {
    expect(findAll(withBore(two, bore), "airTogether")).toMatchObject([{ isAlone: true, tankNames: [tank.name] }]);
    expect(isSaid(withBore(kranich, bore), "airTogether")).toBe(false);
  }
});

test("a station pumps out one tank at a time: it is not counted with what else is open", () => {
  const boat = readDemo("setzkasten");
  const vents = boat.lines.filter((line): line is Vent => line.kind === "vent");
  const joined = mustApply(boat, buildJoinVent(boat, vents[0]!.id, vents[1]!.id));
  const isByStation = (id: string) =>
    computeAirs(joined, buildNetwork(joined))
      .draws.get(id)
      ?.every(({ pumps }) => pumps.length === 0) ?? false;
  const [tank] = joined.tanks.filter(({ id }) => isByStation(id));
  const shut: Design = {
    ...joined,
    tanks: joined.tanks.map((one) =>
      one === tank ? { ...one, ports: one.ports.filter(({ kind }) => kind !== "outlet") } : one,
    ),
  };
  const { draws, together } = computeAirs(shut, buildNetwork(shut));
  expect(draws.get(tank!.id)).toMatchObject([{ pumps: [] }]);
  for (const { tankIds } of together.values()) expect(tankIds).not.toContain(tank!.id);
  // beside its own outlet it is not a second way out either
  const one: Design = {
    ...joined,
    lines: joined.lines.filter((line) => line.kind !== "vent" || line.fromTank === tank!.id),
  };
  const alone = {
    ...one,
    lines: one.lines.map((line) =>
      line.kind === "vent" ? ({ ...line, to: { kind: "openAir", hasMesh: true } } as Vent) : line,
    ),
  };
  expect(computeAirs(alone, buildNetwork(alone)).together.has(tank!.id)).toBe(false);
});

test("tanks that breathe through one pipe fill together: its flow is that of all fixtures on both", () => {
  const [grey] = shared.fixtures as [Fixture];
  const drain = shared.lines.find((line) => line.kind === "drain" && line.fromFixture === grey.id)!;
  const inlet = createPort({ id: "in", kind: "inlet", atMm: { x: 200, y: 0, z: 150 }, boreMm: 38 });
  const second = { ...grey, id: "two", name: "Second sink" };
  const design: Design = {
    ...shared,
    fixtures: [...shared.fixtures, second],
    tanks: shared.tanks.map((tank) => (tank.id === "second" ? { ...tank, ports: [...tank.ports, inlet] } : tank)),
    lines: [
      ...shared.lines,
      {
        ...drain,
        id: "two-drain",
        fromFixture: "two",
        to: { kind: "inlet", tankId: "second", portId: "in" },
      } as Design["lines"][number],
    ],
  };
  const network = buildNetwork(design);
  const { fills, own } = computeAirs(design, network);
  for (const [id, other] of [
    ["grey", "second"],
    ["second", "grey"],
  ] as const) {
    const { pa, otherIds } = fills.get(id)!;
    expect(otherIds).toEqual([other]);
    expect(pa).toBeGreaterThan(own.get(id)!.fillPa);
    const all = sumSurgeLps(network, "grey", "second");
    expect(all).toBeLessThanOrEqual(sumSurgeLps(network, "grey") + sumSurgeLps(network, "second") + 1e-12);
    expect(all).toBeGreaterThan(Math.max(sumSurgeLps(network, "grey"), sumSurgeLps(network, "second")));
  }
  // apart again each fills as it does alone
  const apart: Design = {
    ...design,
    lines: design.lines.map((line) =>
      line.kind === "vent" ? ({ ...line, to: { kind: "openAir", hasMesh: true } } as Vent) : line,
    ),
  };
  const alone = computeAirs(apart, buildNetwork(apart));
  for (const [id, { pa, otherIds }] of alone.fills) expect([pa, otherIds]).toEqual([alone.own.get(id)!.fillPa, []]);
});
