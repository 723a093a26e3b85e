import "../evaluate/fitted";
import fc from "fast-check";
import { ALL_DEMOS, readDemo } from "@/tests/demoRigs";
import { SAMPLE_FIXING } from "@/tests/sampleFixing";
import { mustApply } from "@/tests/sharedAir";
import type { Design } from "../design/design";
import { measureFloorMm } from "../design/floor";
import type { Gear } from "../design/gear";
import { listPoints } from "../design/linePoints";
import { buildMove } from "../design/moves";
import type { Fixing, Hose, Pipe, Port, Sender } from "../design/plumbing";
import { evaluate } from "../evaluate/evaluate";
import type { FindingCode } from "../evaluate/findings";
import { USUAL_GEAR } from "../gear/usualGear";
import { measureExtent } from "../geometry/solid";
import type { Vec3 } from "../geometry/vec";
import { proposeRemedies } from "./proposeRemedies";
import { proposeBolts, proposeBoltsAside } from "./specRemedies";

const loop = readDemo("kranich-loop");
const boat = readDemo("setzkasten");
const kranich = readDemo("kranich");
const camp = readDemo("lesesaal-loop");

const withSpec = (design: Design, kind: Gear["spec"]["kind"], changes: object): Design => ({
  ...design,
  gear: design.gear.map((piece) =>
    piece.spec.kind === kind ? ({ ...piece, spec: { ...piece.spec, ...changes } } as Gear) : piece,
  ),
});
const withFixing = (design: Design, changes: Partial<Fixing> | null): Design => ({
  ...design,
  tanks: design.tanks.map((tank) => ({ ...tank, fixing: changes && { ...SAMPLE_FIXING, ...tank.fixing, ...changes } })),
});
const sender = { kind: "probes", xMm: 0, yMm: 100, lowMm: 150, highMm: 20 } as const;

const bus = readDemo("lesesaal-heads");
const HOSE_25 = { innerMm: 25, outerMm: 32, manningN: 0.009 };
const WASTE_40 = { innerMm: 36.4, outerMm: 40, manningN: 0.009 };
const withPipe = (design: Design, lineId: string, pipe: Pipe): Design => ({
  ...design,
  lines: design.lines.map((line) => (line.id === lineId ? { ...line, pipe } : line)),
});
const withPorts = (design: Design, change: (port: Port) => Partial<Port>): Design => ({
  ...design,
  tanks: design.tanks.map((tank) => ({
    ...tank,
    ports: tank.ports.map((port) => ({ ...port, ...change(port) }) as Port),
  })),
});
const withSender = (changes: Partial<Sender>): Design => ({
  ...kranich,
  tanks: kranich.tanks.map((tank) => ({ ...tank, sender: { ...sender, ...changes } })),
});
/** The first tank or piece of gear of the loop's van, measured from another edge. */
const moved = (kind: "tank" | "gear", to: Partial<Vec3>): Design => {
  const { id, atMm } = (kind === "tank" ? loop.tanks : loop.gear)[0]!;
  return mustApply(loop, buildMove(loop, { kind, id }, { ...atMm, ...to })!);
};
/** The van's tank, hung lower. */
const lower = (byMm: number): Design => moved("tank", { z: loop.tanks[0]!.atMm.z - byMm });
/** A gauge that no hose leads to, below the sill. */
const hung: Gear = { id: "hung", name: "Hung", atMm: { x: 3_600, y: 500, z: -430 }, ...USUAL_GEAR.gauge };
/** A hose that hangs through in the middle. */
const sagging: Design = {
  ...loop,
  lines: loop.lines.map((line) =>
    line.id === "hose-12" ? ({ ...line, pointsMm: [{ id: "n1", x: 1_800, y: 700, z: -450 }] } as Hose) : line,
  ),
};
const withPiece = (id: string, changes: object): Design => ({
  ...loop,
  gear: loop.gear.map((one) => (one.id === id ? ({ ...one, spec: { ...one.spec, ...changes } } as Gear) : one)),
});
const turnedGuard: Design = {
  ...loop,
  lines: loop.lines.map((line) => {
    if (line.kind !== "hose") return line;
    const turn = (end: Hose["from"]): Hose["from"] =>
      end.kind === "gear" && end.gearId === "guard" ? { ...end, port: end.port === "in" ? "out" : "in" } : end;
    return { ...line, from: turn(line.from), to: turn(line.to) };
  }),
};
const heads = readDemo("otter-heads");
const unsecured: Design = {
  ...heads,
  gear: heads.gear.map(({ isSecured: _, ...piece }) => piece),
};
const sunk: Design = {
  ...boat,
  gear: boat.gear.map((piece) =>
    piece.id === "out-loop" ? { ...piece, atMm: { ...piece.atMm, z: piece.atMm.z - 250 } } : piece,
  ),
};
/** Her intake one hand ahead of where her heads are let out. */
const intakeBeside: Design = {
  ...heads,
  gear: heads.gear.map((piece) => {
    const out = heads.gear.find(({ id }) => id === "seacock")!;
    return piece.id === "intake" ? { ...piece, atMm: { ...out.atMm, x: out.atMm.x + 100 } } : piece;
  }),
};
const narrowHoses: Design = {
  ...loop,
  lines: loop.lines.map((line) =>
    line.kind === "hose" ? { ...line, pipe: { ...line.pipe, innerMm: 3, outerMm: 8 } } : line,
  ),
};
const shortDump: Design = {
  ...bus,
  lines: bus.lines.map((line) => (line.kind === "dumpLine" ? { ...line, pointsMm: line.pointsMm.slice(0, 1) } : line)),
};
/** The loop's van with a heater in the hose to its sink's tap, which may be drawn against the water. */
function heated({ isAgainst }: { readonly isAgainst: boolean }): Design {
  const heater: Gear = { id: "heater", name: "Heater", atMm: { x: 900, y: 600, z: 20 }, ...USUAL_GEAR.heater };
  const corner = loop.lines.find((line): line is Hose => line.kind === "hose" && line.pointsMm.length > 0)!;
  const hose = { ...(loop.lines.find(({ id }) => id === "hose-14") as Hose), pointsMm: corner.pointsMm };
  const at = (port: string) => ({ kind: "gear" as const, gearId: "heater", port });
  const turn = (one: Hose): Hose =>
    isAgainst ? { ...one, from: one.to, to: one.from, pointsMm: one.pointsMm.toReversed() } : one;
  return {
    ...loop,
    gear: [...withSpec(loop, "tap", { use: "washing" }).gear, heater],
    lines: [
      ...loop.lines.filter(({ id }) => id !== "hose-14"),
      turn({ ...hose, to: at("in") }),
      turn({ ...hose, id: "hot", name: "Hot", from: at("out") }),
    ],
  };
}

/** A basin over a sump that cannot take it let go at once. */
const fullBasin: Design = {
  ...readDemo("otter-heads"),
  fixtures: readDemo("otter-heads").fixtures.map((one) => (one.id === "basin" ? { ...one, volumePerUseL: 40 } : one)),
};

const CASES: readonly (readonly [FindingCode, string, Design])[] = [
  ["seacockMissing", "fitSeacock", withSpec(boat, "skinFitting", { hasSeacock: false })],
  ["clampsFew", "fitClamps", withSpec(boat, "skinFitting", { clamps: 1 })],
  ["metalUnfit", "useBronze", withSpec(boat, "skinFitting", { metal: "brass" })],
  ["accumulatorHard", "setCharge", withSpec(loop, "accumulator", { prechargeKPa: 290 })],
  ["pumpNeverStops", "setSwitch", withSpec(loop, "pump", { cutOutKPa: 900 })],
  ["floatReversed", "swapMarks", withSpec(readDemo("otter-heads"), "sump", { onMm: 20, offMm: 90 })],
  ["senderReversed", "swapMarks", { ...kranich, tanks: kranich.tanks.map((tank) => ({ ...tank, sender })) }],
  ["fixingNoPlate", "fitPlates", withFixing(kranich, { fastener: "through", hasPlate: false })],
  ["fixingSlides", "fitEndStops", withFixing(kranich, { kind: "straps", hasEndStop: false })],
  ["fixingScrewed", "throughBolts", withFixing(kranich, { fastener: "selfTapping" })],
  ["fixingTips", "holdTank", withFixing(kranich, { bolts: 1, placesMm: null })],
  ["fixingMissing", "holdTank", withFixing(kranich, null)],
  ["heaterUnrelieved", "fitRelief", heated({ isAgainst: false })],
  ["heaterUnrelieved", "fitRelief", heated({ isAgainst: true })],
  ["heaterUnmixed", "fitMixer", heated({ isAgainst: false })],
  ["heaterUnmixed", "fitMixer", heated({ isAgainst: true })],
  ["partOutside", "moveInside", moved("tank", { x: 12_000 })],
  ["partOutside", "moveInside", moved("tank", { y: -4_000 })],
  ["partOutside", "moveInside", moved("gear", { x: -2_500 })],
  ["partSticksOut", "moveInside", moved("gear", { y: kranich.rig.widthMm / 2 + 300 })],
  ["valveNarrow", "widenValve", withPorts(kranich, ({ valve }) => (valve ? { valve: { ...valve, boreMm: 20 } } : {}))],
  ["sumpSurges", "enlargeSump", fullBasin],
  ["floatOverRim", "setFloat", withSpec(boat, "sump", { onMm: 200 })],
  ["senderLong", "setSender", withSender({ lowMm: 10, highMm: 900 })],
  ["senderBeside", "setSender", withSender({ lowMm: 10, highMm: 100, xMm: -50, yMm: 2_000 })],
  ["toiletNarrow", "widenPipe", withPipe(boat, "h-waste", HOSE_25)],
  ["toiletNarrow", "widenPipe", withPipe(bus, "gravitytoilet-drain", WASTE_40)],
  ["toiletNarrow", "widenPipe", withPorts(bus, () => ({ boreMm: 40 }))],
  ["loopLow", "moveClear", sunk],
  ["dumpEndInside", "addDumpLine", shortDump],
  ["tankBelowSill", "moveClear", lower(120)],
  ["partBelowSill", "moveClear", { ...loop, gear: [...loop.gear, hung] }],
  ["partBelowSill", "moveClear", sagging],
  ["touchesRamp", "moveClear", { ...loop, rules: { ...loop.rules, limits: { breakover: 17.6 } } }],
  [
    "loopUntreated",
    "turnOn",
    { ...loop, states: loop.states.map((one) => ({ ...one, on: one.on.filter((id) => id !== "lamp") })) },
  ],
  ["blackOverboard", "secureValve", unsecured],
  [
    "metalsMeet",
    "useComposite",
    withSpec({ ...boat, rig: { ...boat.rig, hull: { ...boat.rig.hull!, material: "aluminium" } } }, "skinFitting", {
      metal: "bronze",
    }),
  ],
  ["tailUnfit", "fitTail", withSpec(boat, "skinFitting", { tailMm: 60 })],
  ["filterOrder", "swapFilters", withPiece("coarse", { micron: 0.5 })],
  ["nonReturnAgainst", "turnRound", turnedGuard],
  ["endNarrow", "widenInlet", withPorts(boat, ({ id }) => (id === "in" || id === "draw" ? { boreMm: 25 } : {}))],
  ["endNarrow", "widenFitting", withSpec(boat, "skinFitting", { boreMm: 13 })],
  ["fittingDomestic", "useComposite", withSpec(boat, "skinFitting", { metal: "domestic" })],
  ["supplyHard", "fitReducer", withSpec(camp, "coupling", { supplyKPa: 900, reducedToKPa: null })],
  ["supplyHard", "fitReducer", withSpec(camp, "coupling", { supplyKPa: 900, reducedToKPa: 600 })],
  ["supplyUnreduced", "fitReducer", withSpec(camp, "coupling", { supplyKPa: 350, reducedToKPa: null })],
  ["pumpHard", "setSwitch", withSpec(loop, "pump", { shutOffKPa: 900, cutOutKPa: 800 })],
  ["pumpDeadHead", "setSwitch", withSpec(loop, "pump", { cutInKPa: null, cutOutKPa: null })],
  ["gearPortOpen", "removeGear", { ...loop, gear: [...loop.gear, { ...hung, ...USUAL_GEAR.tee, id: "lone" }] }],
  ["sumpCycles", "widenFloat", withSpec(heads, "sump", { onMm: 60, offMm: 52 })],
  ["intakeNearWaste", "moveClear", intakeBeside],
  ["tapWeak", "widenHoses", narrowHoses],
  ["lampCooks", "turnOff", { ...loop, states: loop.states.map((state) => ({ ...state, on: [...state.on, "lamp"] })) }],
];

test.each(CASES)("%s is settled by one press: %s", (code, edit, design) => {
  const evaluation = evaluate(design);
  const finding = evaluation.findings.find((one) => one.code === code);
  expect(finding).toBeDefined();
  const remedy = proposeRemedies(design, evaluation, finding!).find((one) => one.edit.code === edit);
  expect(remedy).toBeDefined();
  expect(evaluate(mustApply(design, remedy!.edit)).findings.map(({ id }) => id)).not.toContain(finding!.id);
});

test("a tank nothing holds yet, on every sample: what is offered holds in every load, and its bolts go into nothing", () => {
  for (const demo of ALL_DEMOS) {
    const bare = withFixing(demo, null);
    const evaluation = evaluate(bare);
    for (const finding of evaluation.findings.filter(({ code }) => code === "fixingMissing")) {
      const [remedy] = proposeRemedies(bare, evaluation, finding);
      expect(remedy).toBeDefined();
      const at = (one: { readonly at: typeof finding.at }) => JSON.stringify(one.at) === JSON.stringify(finding.at);
      const after = evaluate(mustApply(bare, remedy!.edit)).findings.filter(at);
      for (const code of ["fixingWeak", "fixingTips", "boltThroughSkin", "fixingNoPlate"])
        expect(after.map((one) => one.code)).not.toContain(code);
    }
  }
});

test("bolts over a fuel tank are drawn aside by as little as helps, and none of them into something else", () => {
  const [tank] = kranich.tanks;
  const fuel = kranich.obstacles.find(({ kind }) => kind === "fuelTank")!;
  const z = -measureFloorMm(kranich) - 20 - fuel.heightMm;
  // beside the tank's front end, where the front row stands
  const near = { ...fuel, atMm: { x: tank!.atMm.x + 810, y: tank!.atMm.y + 430, z } };
  const design = { ...kranich, obstacles: [near] };
  const evaluation = evaluate(design);
  const finding = evaluation.findings.find(({ code }) => code === "boltHits")!;
  const [remedy] = proposeRemedies(design, evaluation, finding);
  expect(remedy?.edit.code).toBe("moveBolts");
  expect(remedy!.byMm).toBeLessThanOrEqual(50);
  expect(remedy!.way).toBe("inAcross");
  // under brackets no bolt comes over the tank: what holds it does not reach there
  const wide = { ...near, atMm: { ...near.atMm, y: tank!.atMm.y - 180 } };
  const other = { ...kranich, obstacles: [wide] };
  const found = evaluate(other).findings.find(({ code }) => code === "boltHits")!;
  for (const { edit, way } of proposeRemedies(other, evaluate(other), found)) {
    expect(way).not.toBe("inAlong");
    const { placesMm } = mustApply(other, edit).tanks[0]!.fixing!;
    expect(placesMm!.some(({ x, y }) => x > 0 && x < 800 && y > 0 && y < 450)).toBe(false);
  }
  const after = evaluate(mustApply(design, remedy!.edit)).findings.map(({ code }) => code);
  for (const code of ["boltHits", "fixingWeak", "fixingTips"] as const) expect(after).not.toContain(code);
});

test("a heater gets its relief, then its mixer, and nothing of either stands in anything", () => {
  for (const isAgainst of [false, true]) {
    let design = heated({ isAgainst });
    const had = new Set(evaluate(design).findings.map(({ id }) => id));
    for (const code of ["heaterUnrelieved", "heaterUnmixed"] as const) {
      const evaluation = evaluate(design);
      const finding = evaluation.findings.find((one) => one.code === code)!;
      const [remedy] = proposeRemedies(design, evaluation, finding);
      expect(remedy?.newFindings).toBe(0);
      design = mustApply(design, remedy!.edit);
    }
    const fresh = evaluate(design).findings.filter(({ id }) => !had.has(id));
    // no corner a hose was led round is lost
    const countPoints = ({ lines }: Design) => lines.reduce((sum, line) => sum + listPoints(line).length, 0);
    expect(countPoints(design)).toBe(countPoints(heated({ isAgainst })));
    expect(fresh.map(({ code }) => code)).not.toContain("gearClashes");
    expect(fresh.map(({ code }) => code)).not.toContain("gearPortOpen");
    const kinds = design.gear.map(({ spec }) => spec.kind).filter((kind) => kind === "relief" || kind === "mixer");
    expect(kinds.toSorted()).toEqual(["mixer", "relief"]);
  }
});

test("a stop valve at each tank is shut while nobody is by and open else; what is left is a note on the one hose at the tank", () => {
  let design = loop;
  for (const finding of evaluate(loop).findings.filter(({ code }) => code === "hoseComesOff")) {
    expect(finding.severity).toBe("should");
    const [remedy] = proposeRemedies(design, evaluate(design), finding);
    expect(remedy?.edit.code).toBe("fitStopValve");
    expect(remedy!.newFindings).toBe(0);
    design = mustApply(design, remedy!.edit);
    const left = evaluate(design).findings.find(({ id }) => id === finding.id)!;
    expect(left).toMatchObject({ severity: "note", isOnItself: true, hoses: 1 });
  }
  const valves = design.gear.filter(({ name }) => name.endsWith("stop valve"));
  expect(valves).toHaveLength(2);
  for (const { id, on, openTaps, positions } of design.states)
    for (const valve of valves) {
      const at = positions.find(({ gearId }) => gearId === valve.id)?.at;
      expect([id, at]).toEqual([id, on.length === 0 && openTaps.length === 0 ? "shut" : "open"]);
    }
});

test("in the room and afloat a tank is held on the floor, under the floor by brackets", () => {
  const hang = (rig: Design["rig"], z: number) => {
    const [tank] = kranich.tanks;
    return proposeBolts({ ...kranich, rig }, { ...tank!, fixing: null, atMm: { ...tank!.atMm, z } }).map(
      ({ edit }) => edit.ops[0] as { readonly value: Fixing; readonly path: readonly string[] },
    );
  };
  for (const [rig, z, kind] of [
    [kranich.rig, 0, "onFloor"],
    [kranich.rig, -1, "brackets"],
    [boat.rig, -400, "onFloor"],
  ] as const) {
    const offered = hang(rig, z);
    expect(new Set(offered.map(({ value }) => value.kind))).toEqual(new Set([kind]));
    expect(offered[0]!.path).toEqual(["tanks", "grey", "fixing"]);
    expect(offered.every(({ value }) => value.placesMm === null)).toBe(true);
  }
});

test("bolts drawn aside go all by the same, along one axis and away from their middle or to it, and none comes over the tank", () => {
  const [tank] = kranich.tanks;
  const place = fc.record({ x: fc.integer({ min: -100, max: 900 }), y: fc.integer({ min: -100, max: 550 }) });
  let moved = 0;
  fc.assert(
    fc.property(fc.array(place, { minLength: 2, maxLength: 8 }), (placesMm) => {
      const { min, max } = measureExtent(tank!.solid);
      const isOver = ({ x, y }: { x: number; y: number }) => x > min.x && x < max.x && y > min.y && y < max.y;
      const fixing = { ...SAMPLE_FIXING, bolts: placesMm.length, placesMm };
      for (const { edit, byMm, way } of proposeBoltsAside({ ...tank!, fixing })) {
        const after = (edit.ops[0] as unknown as { value: Fixing }).value.placesMm!;
        const [axis, other] = way!.endsWith("Along") ? (["x", "y"] as const) : (["y", "x"] as const);
        const middle = placesMm.reduce((sum, one) => sum + one[axis], 0) / placesMm.length;
        for (const [i, one] of after.entries()) {
          const was = placesMm[i]!;
          expect(one[other]).toBe(was[other]);
          const off = was[axis] - middle;
          const went = (one[axis] - was[axis]) * Math.sign(off) * (way!.startsWith("out") ? 1 : -1);
          expect(went).toBe(Math.abs(off) < 1 ? 0 * went : byMm);
          expect(isOver(one) && !isOver(was)).toBe(false);
          moved++;
        }
      }
    }),
  );
  expect(moved).toBeGreaterThan(100);
});
