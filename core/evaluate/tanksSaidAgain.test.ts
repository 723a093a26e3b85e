import fc from "fast-check";
import { networks } from "@/tests/arbitraries";
import { ALL_DEMOS } from "@/tests/demoRigs";
import { placeThing } from "@/tests/findingEdges";
import { buildSharedAir } from "@/tests/sharedAir";
import { LEVEL } from "../attitude/attitude";
import type { Design } from "../design/design";
import type { Gear } from "../design/gear";
import {
  type DumpLine,
  HELD_WATERS,
  type Hose,
  LINK_KINDS,
  type Sender,
  type Tank,
  type Valve,
} from "../design/plumbing";
import { measureSillGapMm } from "../fit/obstacleGaps";
import { findRole } from "../fit/roles";
import { USUAL_GEAR } from "../gear/usualGear";
import { lookUpLimit, lookUpValue } from "../rules/lookUpLimit";
import { computeTankLoads } from "../tanks/axleLoads";
import { buildDumpRun, lookUpDumpFall } from "../tanks/dumpRun";
import { evaluate } from "./evaluate";
import type { Evaluation } from "./evaluation";
import type { Finding, FindingCode } from "./findings";

// What is said of tanks, dump lines and the rig as a whole, told a second time from their figures.

type Told = { readonly code: FindingCode; readonly at: object } & Record<string, unknown>;

const SENDER: Sender = { kind: "float", xMm: 50, yMm: 50, lowMm: 60, highMm: 100 };
const valve: Valve = { kind: "manual", boreMm: 50 };

/** Two tanks of any two waters, their dump lines with and without valves, and what else a tank can be told of. */
const tankDesigns: fc.Arbitrary<Design> = fc
  .record({
    design: fc.oneof(networks, fc.constantFrom(...ALL_DEMOS), fc.constant(buildSharedAir("grey"))),
    holds: fc.tuple(fc.constantFrom(...HELD_WATERS), fc.constantFrom(...HELD_WATERS)),
    keepsWaters: fc.boolean(),
    valves: fc.array(fc.boolean(), { minLength: 6, maxLength: 6 }),
    dump: fc.record({ pitchDeg: fc.integer({ min: -8, max: 8 }), rollDeg: fc.integer({ min: -8, max: 8 }) }),
    ventSuction: fc.constantFrom(null, 5, 100),
    sillGap: fc.constantFrom(null, 0, 300),
    sender: fc.option(fc.integer({ min: 20, max: 400 })),
    noOutlet: fc.nat({ max: 5 }),
    endY: fc.option(fc.integer({ min: -1200, max: 1200 })),
    spareKg: fc.option(fc.integer({ min: 1, max: 200 })),
    blocks: fc.array(fc.record({ dx: fc.integer({ min: 0, max: 120 }), lengthMm: fc.constantFrom(100, 150, 201) }), {
      maxLength: 3,
    }),
    toGround: fc.boolean(),
    pumpLpm: fc.constantFrom(null, null, 5, 60, 900),
    link: fc.constantFrom(null, null, ...LINK_KINDS),
    drained: fc.constantFrom("all" as const, "all" as const, "all" as const, "none" as const, "noFixtures" as const),
  })
  .map(({ design, holds, keepsWaters, valves, dump, ventSuction, sillGap, sender, noOutlet, endY, ...more }) => ({
    ...design,
    rig: {
      ...design.rig,
      dumpAttitude: dump,
      axles: design.rig.axles.map((axle) => ({ ...axle, spareKg: more.spareKg })),
    },
    fixtures: more.drained === "noFixtures" ? [] : design.fixtures,
    obstacles: [
      ...design.obstacles,
      ...more.blocks.map(({ dx, lengthMm }, i) => ({
        ...placeThing(`block-${i}`, "crossMember", 9_000 + dx, lengthMm),
        name: `Block ${i}`,
      })),
    ],
    habits: {
      ...design.habits,
      ways: design.habits.ways.map((way) => ({
        ...way,
        uses: way.uses.map((use) =>
          more.toGround || more.drained === "noFixtures" ? { ...use, fixtureId: null, vesselId: null } : use,
        ),
      })),
    },
    rules: {
      ...design.rules,
      limits: {
        ...design.rules.limits,
        ...(ventSuction === null ? {} : { ventSuction }),
        ...(sillGap === null ? {} : { sillGap }),
      },
    },
    tanks: design.tanks.map(
      (tank, i): Tank => ({
        ...tank,
        holds: keepsWaters ? tank.holds : holds[i % 2]!,
        link: more.link && i === 1 ? { kind: more.link, toTank: design.tanks[0]!.id } : tank.link,
        // one that reads high is typed from another corner too
        sender: sender === null ? tank.sender : { ...SENDER, highMm: sender, yMm: sender > 180 ? -sender : 50 },
        ports: tank.ports
          .filter(({ kind }) => kind !== "outlet" || i !== noOutlet || isUsed(design, tank.id))
          .map((port) => (port.kind === "outlet" ? { ...port, valve: valves[i % 3] ? valve : null } : port)),
      }),
    ),
    gear: more.pumpLpm === null ? design.gear : [...design.gear, createPump(more.pumpLpm)],
    lines: [...design.lines, ...(more.pumpLpm === null ? [] : drawFrom(design.tanks))]
      .filter(({ kind }) => more.drained === "all" || kind !== "drain")
      .map((line, i) => {
        if (line.kind !== "dumpLine") return line;
        const last = line.pointsMm.length - 1;
        const pointsMm = line.pointsMm.map((p, k) => (k === last && endY !== null ? { ...p, y: endY } : p));
        return { ...line, pointsMm, endValve: valves[3 + (i % 3)] ? valve : null };
      }),
  }));

const createPump = (freeLpm: number): Gear => ({
  id: "own-pump",
  name: "Own pump",
  atMm: { x: 9_000, y: 0, z: 100 },
  ...USUAL_GEAR.pump,
  spec: { ...USUAL_GEAR.pump.spec, freeLpm } as Gear["spec"],
});

// A hose from the first tank to the pump's inlet.
function drawFrom([tank]: readonly Tank[]): Hose[] {
  const port = tank?.ports[0];
  if (!tank || !port) return [];
  const pipe = { innerMm: 25, outerMm: 31, manningN: 0.011 };
  const to = { kind: "gear", gearId: "own-pump", port: "in" } as const;
  const from = { kind: "tank", tankId: tank.id, portId: port.id } as const;
  return [{ kind: "hose", id: "own-hose", name: "Own hose", from, to, pointsMm: [], pipe }];
}

const isUsed = ({ lines }: Design, tankId: string): boolean =>
  lines.some(
    (line) =>
      (line.kind === "dumpLine" && line.fromTank === tankId) ||
      (line.kind === "hose" && [line.from, line.to].some((end) => end.kind === "tank" && end.tankId === tankId)),
  );

const isLess = (value: number, limit: number): boolean => value < limit - 1e-9 * Math.max(1, Math.abs(limit));
const isMore = (value: number, limit: number): boolean => isLess(-value, -limit);

function tellDumpLine(design: Design, line: DumpLine): Told[] {
  const told: Told[] = [];
  const at = { kind: "line", id: line.id };
  const run = buildDumpRun(design, line);
  const { tank, outlet } = run;
  const least = lookUpDumpFall(design, line).value ?? 0;
  const slopes = run.legs.flatMap(({ slopeMmPerM, index }) => (slopeMmPerM === null ? [] : [{ slopeMmPerM, index }]));
  const flattest = slopes.filter(({ slopeMmPerM }) => isLess(slopeMmPerM, least));
  if (run.humpMm > 0.01) told.push({ code: "dumpLineHigh", at, byMm: run.humpMm });
  else if (flattest.length > 0) {
    const slopeMmPerM = Math.min(...flattest.map((leg) => leg.slopeMmPerM));
    const { index } = flattest.find((leg) => leg.slopeMmPerM === slopeMmPerM)!;
    const litres = run.staysL > 0.02 ? run.staysL : 0;
    told.push({ code: "dumpLineFlat", at: { kind: "leg", lineId: line.id, index }, slopeMmPerM, litres });
  }
  const mains: DumpLine[] = [];
  for (let { to } = line; to.kind === "wye"; ) {
    const { lineId } = to;
    const main = design.lines.find((one): one is DumpLine => one.id === lineId && one.kind === "dumpLine")!;
    mains.push(main);
    to = main.to;
  }
  const after = [line, ...mains].filter(({ endValve }) => endValve);
  if (!outlet.valve && after.length === 0) told.push({ code: "dumpLineOpen", at });
  if (!outlet.valve && after.length > 0) {
    const all = run.wayLegs.reduce((sum, leg) => sum + (Math.PI / 4) * leg.pipe.innerMm ** 2 * leg.lengthMm, 0) / 1e6;
    told.push({
      code: "dumpLineFull",
      at,
      severity: tank.holds === "black" ? "should" : "note",
      litres: line.endValve ? run.boreL : all,
      holds: tank.holds,
    });
  }
  const { x, y } = line.pointsMm.at(-1) ?? { x: 0, y: 0 };
  const insideMm = Math.min(design.rig.widthMm / 2 - Math.abs(y), x, design.rig.lengthMm - x);
  if (line.to.kind === "coupling" && insideMm > 200) told.push({ code: "dumpEndInside", at, insideMm });
  if (line.to.kind === "wye") told.push(...tellWye(run));
  // all that comes to the same coupling
  const rootOf = (one: DumpLine): string => {
    const { to } = one;
    if (to.kind !== "wye") return one.id;
    return rootOf(
      design.lines.find((other): other is DumpLine => other.id === to.lineId && other.kind === "dumpLine")!,
    );
  };
  const beside = design.lines.filter(
    (one): one is DumpLine => one.kind === "dumpLine" && one.fromTank !== line.fromTank && rootOf(one) === rootOf(line),
  );
  const others = beside.map((one) => design.tanks.find(({ id }) => id === one.fromTank)!);
  const foreign = others.find(({ holds }) => holds !== tank.holds);
  const isJoined = design.lines.some(({ to }) => to.kind === "wye" && to.lineId === line.id);
  if (tank.holds === "fresh" && foreign)
    told.push({ code: "dumpLineDirtiesFresh", at, tankName: tank.name, otherName: foreign.name });
  else if (others.length > 0 && !outlet.valve && (!line.endValve || isJoined)) {
    const other = foreign ?? others[0]!;
    told.push({
      code: "dumpLinesMix",
      at,
      severity: foreign ? "must" : "should",
      tankName: tank.name,
      otherName: other.name,
      other: other.holds,
    });
  }
  return told;
}

function tellWye({ line, legs, wayLegs }: ReturnType<typeof buildDumpRun>): Told[] {
  const last = legs.filter(({ lengthMm }) => lengthMm > 0).at(-1);
  const next = wayLegs.slice(legs.length).find(({ lengthMm }) => lengthMm > 0);
  const lies = (leg: typeof last) => leg && leg.kind === "run" && leg.planLengthMm > 0;
  if (!last || !next || !lies(last) || !lies(next)) return [];
  const heading = ({ from, to }: typeof last) => Math.atan2(to.y - from.y, to.x - from.x);
  const turn = Math.abs(heading(last) - heading(next));
  const angleDeg = (Math.min(turn, 2 * Math.PI - turn) * 180) / Math.PI;
  const at = { kind: "leg", lineId: line.id, index: last.index };
  return angleDeg > 91 ? [{ code: "branchAgainstFlow", at, angleDeg }] : [];
}

function tellTanks(design: Design, { tanks }: Evaluation): Told[] {
  const mostPa = lookUpValue(design.rules, "ventSuction");
  return design.tanks.flatMap((tank): Told[] => {
    const result = tanks.find(({ tankId }) => tankId === tank.id)!;
    const { air, sharedAir, draws } = result;
    const station = draws.find(({ pumps }) => pumps.length === 0);
    const own = draws.find(({ pumps }) => pumps.length > 0);
    const at = { kind: "tank", id: tank.id };
    const told: Told[] = [];
    // those that share a level have one outlet between them; what is pumped needs none
    const joined = new Set([tank.id]);
    for (let before = 0; before !== joined.size; ) {
      before = joined.size;
      for (const { id, link } of design.tanks)
        if (link?.kind === "communicating" && (joined.has(id) || joined.has(link.toTank)))
          joined.add(id).add(link.toTank);
    }
    const hasOutlet = design.tanks.some(
      ({ id, ports }) => joined.has(id) && ports.some(({ kind }) => kind === "outlet"),
    );
    if (!hasOutlet && tank.link?.kind !== "pumped" && !station && !isToDeck(design, tank.id))
      told.push({ code: "tankNoOutlet", at });
    const { solid, sender } = tank;
    const heightMm = measureHeightMm(solid);
    if (sender && sender.highMm <= sender.lowMm) told.push({ code: "senderReversed", at });
    if (sender) {
      const { xs, ys } = spanPlan(solid);
      const besideMm = Math.max(
        ...[Math.min(...xs) - sender.xMm, sender.xMm - Math.max(...xs)],
        ...[Math.min(...ys) - sender.yMm, sender.yMm - Math.max(...ys)],
      );
      if (besideMm > 1e-6) told.push({ code: "senderBeside", at, besideMm });
    }
    if (sender && sender.highMm > heightMm) told.push({ code: "senderLong", at, highMm: sender.highMm, heightMm });
    if (sharedAir && isMore(sharedAir.suctionPa, mostPa)) {
      const otherName = design.tanks.find(({ id }) => id === sharedAir.fromTankId)!.name;
      told.push({ code: "sharedAirSucks", at, suctionPa: sharedAir.suctionPa, otherName });
    }
    for (const [code, sucks] of [
      ["ventThrottles", air],
      ["pumpOutSucks", station],
      ["pumpSucks", own],
    ] as const) {
      if (!sucks || !(sucks.breaksSeal || isMore(sucks.suctionPa, mostPa))) continue;
      const { suctionPa, breaksSeal, weakestSealMm, leastBoreMm, ventId } = sucks;
      told.push({
        code,
        at: { kind: "line", id: ventId },
        severity: breaksSeal ? "must" : "should",
        suctionPa,
        breaksSeal,
        sealMm: weakestSealMm ?? 0,
        leastBoreMm,
        ...(sucks === own ? { pumpNames: own.pumps.map(({ name }) => name).join(", "), flowLps: own.flowLps } : {}),
      });
    }
    const gapMm = measureSillGapMm(design, tank);
    const wanted = lookUpLimit(design.rules, "sillGap").value ?? 0;
    if (gapMm !== null && isLess(gapMm, wanted)) told.push({ code: "tankBelowSill", at, byMm: wanted - gapMm });
    return told;
  });
}

function measureHeightMm(solid: Tank["solid"]): number {
  if (solid.shape === "box") return solid.heightMm;
  if (solid.axis === "z") return solid.lengthMm;
  if (solid.shape === "cylinder") return solid.diameterMm;
  const heights = solid.profileMm.map(({ v }) => v);
  return Math.max(...heights) - Math.min(...heights);
}

// A hose goes from it to the deck, straight or by whatever stands between.
function isToDeck({ lines, gear }: Design, tankId: string): boolean {
  const deck = new Set(gear.flatMap(({ id, spec }) => (spec.kind === "deckFitting" ? [id] : [])));
  return lines.some(
    (line) =>
      line.kind === "hose" &&
      [line.from, line.to].some((end) => end.kind === "tank" && end.tankId === tankId) &&
      [line.from, line.to].some((end) => end.kind === "gear" && deck.has(end.gearId)),
  );
}

function tellWhole(design: Design, { balance }: Evaluation): Told[] {
  const told: Told[] = [];
  const rig = { kind: "rig" };
  const drains = design.lines.flatMap((line) => (line.kind === "drain" ? [line] : []));
  const hasWaste = design.tanks.some(({ holds }) => holds !== "fresh");
  const isFree = drains.some(({ to }) => to.kind !== "inlet" && to.kind !== "junction");
  if (!hasWaste && !isFree) told.push({ code: "noTankYet", at: rig });
  if (design.fixtures.length === 0) told.push({ code: "noFixtureYet", at: rig });
  for (const { id } of design.fixtures)
    if (!drains.some(({ fromFixture }) => fromFixture === id))
      told.push({ code: "fixtureUndrained", at: { kind: "fixture", id } });
  const inOpen = drains.some(({ to }) => to.kind === "ground" || to.kind === "vessel");
  if (balance.groundLPerDay > 0 && design.fixtures.length > 0 && (hasWaste || inOpen))
    told.push({ code: "ontoGround", at: { kind: "habits" }, litresPerDay: balance.groundLPerDay });
  for (const { name, mostKg, spareKg } of computeTankLoads(design)?.axles ?? [])
    if (spareKg !== null && mostKg > spareKg)
      told.push({ code: "axleOverloaded", at: rig, axleName: name, fullKg: mostKg, spareKg });
  const solids = design.obstacles.filter(({ kind }) => findRole(kind) === "solid");
  solids.forEach((one, i) => {
    const volume = (o: typeof one) => o.lengthMm * o.widthMm * o.heightMm;
    const share = (other: typeof one) => {
      const span = (axis: "x" | "y" | "z", size: "lengthMm" | "widthMm" | "heightMm") => {
        const low = Math.max(one.atMm[axis], other.atMm[axis]);
        return Math.max(0, Math.min(one.atMm[axis] + one[size], other.atMm[axis] + other[size]) - low);
      };
      const both = span("x", "lengthMm") * span("y", "widthMm") * span("z", "heightMm");
      return both / Math.min(volume(one), volume(other));
    };
    const other = solids.slice(0, i).find((before) => share(before) > 0.5);
    if (other) told.push({ code: "obstaclesOverlap", at: { kind: "obstacle", id: one.id }, otherName: other.name });
  });
  return told;
}

const DUMP = ["dumpLineHigh", "dumpLineFlat", "dumpLineOpen", "dumpLineFull", "dumpEndInside"] as const;
const SHARED = ["dumpLinesMix", "dumpLineDirtiesFresh", "branchAgainstFlow", "sharedAirSucks"] as const;
const TANKS = [
  "tankNoOutlet",
  "senderReversed",
  "senderLong",
  "senderBeside",
  "ventThrottles",
  "pumpOutSucks",
  "pumpSucks",
  "tankBelowSill",
] as const;
const WHOLE = ["noTankYet", "fixtureUndrained", "ontoGround", "axleOverloaded", "obstaclesOverlap"] as const;
const CODES = new Set<FindingCode>([...DUMP, ...SHARED, ...TANKS, ...WHOLE, "noFixtureYet"]);

const toKey = (told: { readonly code: string; readonly at: object }): string => {
  const { code, at } = told;
  return `${code} ${JSON.stringify(at)} ${"axleName" in told ? told.axleName : ""}`;
};
const nearly = (told: Told): object =>
  Object.fromEntries(
    Object.entries(told).map(([key, value]) => [key, typeof value === "number" ? expect.closeTo(value, 6) : value]),
  );

test("of any tanks, dump lines and rig everything is said that the figures say, once, and with those figures", () => {
  const met = new Map<string, number>();
  fc.assert(
    fc.property(tankDesigns, (design) => {
      const evaluation = evaluate(design, LEVEL);
      const again = [
        ...design.lines.flatMap((line) => (line.kind === "dumpLine" ? tellDumpLine(design, line) : [])),
        ...tellTanks(design, evaluation),
        ...tellWhole(design, evaluation),
      ];
      const isOther = ({ code, at }: Finding) =>
        code === "branchAgainstFlow" &&
        "lineId" in at &&
        design.lines.find(({ id }) => id === at.lineId)?.kind !== "dumpLine";
      const said = evaluation.findings.filter((finding) => CODES.has(finding.code) && !isOther(finding));
      expect(said.map(toKey).sort()).toEqual(again.map(toKey).sort());
      const byKey = new Map(said.map((finding) => [toKey(finding), finding]));
      for (const told of again) {
        expect(byKey.get(toKey(told))).toMatchObject(nearly(told));
        met.set(told.code, (met.get(told.code) ?? 0) + 1);
      }
    }),
    { numRuns: 150 },
  );
  expect([...CODES].filter((code) => !met.has(code))).toEqual([]);
});

// Every corner of a solid in plan, by its shape.
function spanPlan(solid: Tank["solid"]): { readonly xs: readonly number[]; readonly ys: readonly number[] } {
  if (solid.shape === "box") return { xs: [0, solid.lengthMm], ys: [0, solid.widthMm] };
  if (solid.shape === "cylinder") {
    const across = [0, solid.diameterMm];
    const along = [0, solid.lengthMm];
    return { xs: solid.axis === "x" ? along : across, ys: solid.axis === "y" ? along : across };
  }
  const along = [0, solid.lengthMm];
  const [us, vs] = [solid.profileMm.map(({ u }) => u), solid.profileMm.map(({ v }) => v)];
  if (solid.axis === "x") return { xs: along, ys: us };
  return solid.axis === "y" ? { xs: us, ys: along } : { xs: us, ys: vs };
}
