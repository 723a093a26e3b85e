import fc from "fast-check";
import { readDemo } from "@/tests/demoRigs";
import { findAll, isSaid } from "@/tests/findingEdges";
import { LEVEL } from "../attitude/attitude";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { Gear, GearKind, WorkingState } from "../design/gear";
import { toNodes } from "../design/nodes";
import type { Hose, Line, Tank } from "../design/plumbing";
import { buildInsertStrainer } from "../edits/insertPiece";
import { proveInterlock } from "../gear/interlock";
import { computeLoopFigures } from "../gear/loopFigures";
import { USUAL_GEAR } from "../gear/usualGear";
import { vec } from "../geometry/vec";
import { computeStability } from "../heads/stability";
import { TOILETS } from "../heads/toiletKinds";
import { proposeRemedies } from "../remedies/proposeRemedies";
import { evaluate } from "./evaluate";

// What was passed over in silence because something else was not said: states, strainers, hoses of a bowl, a boat's papers.

const boat = readDemo("otter-heads");
const van = readDemo("kranich-loop");
const isHose = (line: Design["lines"][number]): line is Hose => line.kind === "hose";
const withSpec = (design: Design, gearId: string, spec: object): Design => ({
  ...design,
  gear: design.gear.map((one) => (one.id === gearId ? ({ ...one, spec: { ...one.spec, ...spec } } as Gear) : one)),
});

test("gear that is opened, turned or switched on wants a working state; what only stands there does not", () => {
  for (const design of [boat, van, readDemo("lesesaal-loop")]) {
    expect(isSaid(design, "noState")).toBe(false);
    const moving = design.gear.filter(({ spec }) =>
      ["pump", "valve", "diverter", "tap", "coupling"].includes(spec.kind),
    );
    expect(findAll({ ...design, states: [] }, "noState")).toMatchObject([
      { severity: "should", pieces: moving.length },
    ]);
  }
  const still = boat.gear.filter(({ spec }) => spec.kind === "skinFitting" || spec.kind === "deckFitting");
  expect(isSaid({ ...boat, fixtures: [], gear: still, lines: [], states: [] }, "noState")).toBe(false);
});

test("without a state nothing of what can fail is left out: it is proven at rest, as it is in a state where all is at rest", () => {
  const strip = (design: Design) => proveInterlock(design).map(({ stateId: _, ...rest }) => JSON.stringify(rest));
  const idle = { id: "idle", name: "Idle", on: [], positions: [], openTaps: [] };
  for (const design of [boat, van, readDemo("setzkasten"), readDemo("lesesaal-loop")]) {
    const none = strip({ ...design, states: [] });
    expect(new Set(none)).toEqual(new Set(strip({ ...design, states: [idle] })));
    expect(none.length).toBeGreaterThan(0);
  }
});

test("waters that only valves keep apart are told, with what stands between; air between is enough", () => {
  const [told] = findAll(van, "joinedWithoutGap");
  expect(told).toMatchObject({ severity: "should", water: "loop", at: { kind: "tank" } });
  for (const name of told!.keptApartBy) expect(van.gear.map((piece) => piece.name)).toContain(name);
  expect(isSaid(boat, "joinedWithoutGap")).toBe(false);
  // the funnel gone, the sea stands at a valve and a pump
  const direct = boat.lines
    .filter(({ id }) => id !== "h-funnel")
    .map((line) =>
      line.id === "h-fresh"
        ? { ...(line as Hose), to: { kind: "gear" as const, gearId: "sea-fresh", port: "b" } }
        : line,
    );
  const joined = { ...boat, gear: boat.gear.filter(({ id }) => id !== "flush-gap"), lines: direct };
  expect(findAll(joined, "joinedWithoutGap").map((f) => f.at)).toEqual([{ kind: "tank", id: "fresh" }]);
});

test("a pump by membranes wants a strainer or filter between it and what it draws from, whichever way hoses were drawn", () => {
  const told = (design: Design) => findAll(design, "pumpUnstrained").map(({ at }) => at);
  expect(told(boat)).toEqual([{ kind: "gear", id: "flush-pump" }]);
  const strainer: Gear = { ...boat.gear.find(({ id }) => id === "strainer")!, id: "own" };
  const draw = boat.lines.find((line): line is Hose => line.id === "h-draw")!;
  const at = (port: string) => ({ kind: "gear" as const, gearId: "own", port });
  const cut = (isTurned: boolean): Design => ({
    ...boat,
    gear: [...boat.gear, strainer],
    lines: boat.lines.flatMap((line) => {
      if (line !== draw) return [line];
      const on: Hose = { ...draw, id: "on", from: at("out") };
      return [{ ...draw, to: at("in") }, isTurned ? { ...on, from: on.to, to: on.from } : on];
    }),
  });
  expect(told(cut(false))).toEqual([]);
  expect(told(cut(true))).toEqual([]);
  const [found] = findAll(boat, "pumpUnstrained");
  const [remedy] = proposeRemedies(boat, evaluate(boat, LEVEL), found!);
  expect(remedy!.edit.code).toBe("fitStrainer");
  // its outlet towards the pump, whichever way the hose was drawn
  for (const line of [draw, { ...draw, from: draw.to, to: draw.from }]) {
    const design = { ...boat, lines: boat.lines.map((one) => (one === draw ? line : one)) };
    const fitted = applyEdit(design, buildInsertStrainer(design, draw.id, "Own")!);
    if (!fitted.ok) throw new Error(JSON.stringify(fitted.faults));
    const put = fitted.design.gear.at(-1)!.id;
    const ends = fitted.design.lines.filter(isHose).flatMap(
      ({ from, to }) =>
        [
          [from, to],
          [to, from],
        ] as const,
    );
    const beside = (port: string) => ends.find(([a]) => a.kind === "gear" && a.gearId === put && a.port === port)![1];
    expect(beside("out")).toEqual({ kind: "gear", gearId: "flush-pump", port: "in" });
    expect(beside("in")).toMatchObject({ kind: "tank", tankId: "fresh" });
  }
  // one behind it holds nothing back
  const after: Design = {
    ...boat,
    gear: [...boat.gear, strainer],
    lines: boat.lines.flatMap((line) => {
      if (line.id !== "h-fresh" || !isHose(line)) return [line];
      return [
        { ...line, to: at("in") },
        { ...line, id: "on", from: at("out") },
      ];
    }),
  };
  expect(told(after)).toHaveLength(1);
  expect(told(withSpec(boat, "flush-pump", { pump: "centrifugal" }))).toEqual([]);
});

test("every hose that a toilet sends through is as wide as its kind wants, and one that it does not send through may be less", () => {
  const waste = new Set(["h-waste", "h-loop", "h-over", "h-tank"]);
  fc.assert(
    fc.property(
      fc.constantFrom(...boat.lines.filter(isHose)),
      fc.integer({ min: 13, max: 60 }),
      fc.constantFrom("handPump" as const, "macerating" as const, "vacuum" as const),
      (hose, innerMm, bowl) => {
        const design = withSpec(boat, "bowl", { bowl });
        const narrowed: Design = {
          ...design,
          lines: design.lines.map((line) =>
            line === hose ? { ...hose, pipe: { ...hose.pipe, innerMm, outerMm: innerMm + 8 } } : line,
          ),
        };
        const wantedMm = TOILETS[bowl].outMm!;
        const isNarrow = waste.has(hose.id) && innerMm < wantedMm - 1;
        const told = findAll(narrowed, "toiletNarrow").map(({ at, boreMm, isPumped }) => [at, boreMm, isPumped]);
        expect(told).toEqual(isNarrow ? [[{ kind: "line", id: hose.id }, innerMm, true]] : []);
      },
    ),
    { numRuns: 80 },
  );
});

test("a float that switches on over its box's lid never does", () => {
  const { sizeMm } = boat.gear.find(({ id }) => id === "sump")!;
  const told = (onMm: number) => findAll(withSpec(boat, "sump", { onMm }), "floatOverRim");
  expect(told(sizeMm.z)[0]!.at).toEqual({ kind: "gear", id: "sump" });
  expect(told(sizeMm.z - 20)).toEqual([]);
  expect(told(sizeMm.z - 19)).toMatchObject([{ severity: "must", onMm: sizeMm.z - 19, highMm: sizeMm.z }]);
});

test("what loose water does to a boat is said not to be known where her weight or her GM is not", () => {
  const wants = (rig: object) =>
    findAll({ ...boat, rig: { ...boat.rig, ...rig } }, "stabilityUnknown").map((f) => f.wants);
  expect(wants({})).toEqual([]);
  expect(wants({ gmMm: null })).toEqual(["gm"]);
  expect(findAll({ ...boat, rig: { ...boat.rig, gmMm: null } }, "stabilityUnknown")[0]!.at).toEqual({ kind: "rig" });
  expect(wants({ displacementKg: null, gmMm: null })).toEqual(["weight"]);
  expect(isSaid(van, "stabilityUnknown")).toBe(false);
  expect(
    isSaid(
      { ...boat, rig: { ...boat.rig, gmMm: null }, tanks: [], lines: [], gear: [], states: [] },
      "stabilityUnknown",
    ),
  ).toBe(false);
});

test("a boat's tank with an outlet and nothing on it empties into the bilge; a pump-out is one press, and a van may have it so", () => {
  const bare = readDemo("otter");
  const dry: Design = { ...bare, gear: [], lines: bare.lines.filter((line) => !isHose(line)) };
  const [found] = findAll(dry, "outletIntoBilge");
  expect(found).toMatchObject({ severity: "must", at: { kind: "tank", id: "grey" } });
  const [remedy] = proposeRemedies(dry, evaluate(dry, LEVEL), found!);
  const fitted = applyEdit(dry, remedy!.edit);
  if (!fitted.ok) throw new Error(JSON.stringify(fitted.faults));
  expect(isSaid(fitted.design, "outletIntoBilge")).toBe(false);
  const before = new Set(evaluate(dry, LEVEL).findings.map(({ id }) => id));
  const added = evaluate(fitted.design, LEVEL).findings.filter(({ id }) => !before.has(id));
  expect(added.filter(({ severity }) => severity === "must").map(({ id }) => id)).toEqual([]);
  // a line leads it elsewhere, from the outlet and from no other hole
  const line = (fromPort: string): Line => ({
    kind: "dumpLine",
    id: "d",
    name: "D",
    pipe: dry.lines[0]!.pipe,
    fromTank: "grey",
    fromPort,
    to: { kind: "coupling" },
    pointsMm: toNodes([vec(2_600, -700, -520)]),
    endValve: null,
  });
  expect(isSaid({ ...dry, lines: [...dry.lines, line("dump")] }, "outletIntoBilge")).toBe(false);
  expect(isSaid({ ...dry, lines: [...dry.lines, line("inlet")] }, "outletIntoBilge")).toBe(true);
  const holeless = dry.tanks.map((tank) => ({ ...tank, ports: tank.ports.filter(({ kind }) => kind !== "outlet") }));
  expect(isSaid({ ...dry, tanks: holeless }, "outletIntoBilge")).toBe(false);
  expect(isSaid({ ...dry, tanks: holeless }, "tankNoOutlet")).toBe(true);
  // fresh water does no harm there
  expect(
    isSaid({ ...dry, tanks: dry.tanks.map((tank): Tank => ({ ...tank, holds: "fresh" })) }, "outletIntoBilge"),
  ).toBe(false);
  expect(isSaid({ ...dry, rig: { ...dry.rig, kind: "van" } }, "outletIntoBilge")).toBe(false);
});

test("the sea that stands in a sink or comes over its rim is told by how deep, and only of what drains overboard", () => {
  const sink = boat.fixtures.find(({ id }) => id === "sink")!;
  const at = (z: number): Design => ({
    ...boat,
    fixtures: boat.fixtures.map((one) => (one === sink ? { ...one, outletMm: { ...one.outletMm, z } } : one)),
  });
  const graded = (z: number) => findAll(at(z), "seaInFixture").map(({ severity, isOverRim }) => [severity, isOverRim]);
  const line = boat.rig.waterlineZMm!;
  expect(graded(sink.outletMm.z)).toEqual([]);
  expect(graded(line - sink.rimMm - 1)).toEqual([["must", true]]);
  expect(graded(line - 1)).toEqual([["should", false]]);
  const [told] = findAll(at(line - 1), "seaInFixture");
  // she heels: deeper than at rest
  expect(told!.underMm).toBeGreaterThan(1);
  const basin = boat.fixtures.find(({ id }) => id === "basin")!;
  const low = {
    ...boat,
    fixtures: boat.fixtures.map((one) =>
      one === basin ? { ...one, outletMm: { ...one.outletMm, z: line - 300 } } : one,
    ),
  };
  // into a sump: no sea behind it
  expect(findAll(low, "seaInFixture")).toEqual([]);
});

test("an intake within a metre of a discharge on the same side draws in what that lets go", () => {
  const put = (x: number, y: number): Design => ({
    ...boat,
    gear: boat.gear.map((one) => (one.id === "intake" ? { ...one, atMm: { ...one.atMm, x, y } } : one)),
  });
  const seacock = boat.gear.find(({ id }) => id === "seacock")!;
  expect(isSaid(boat, "intakeNearWaste")).toBe(false);
  expect(findAll(put(seacock.atMm.x + 300, 700), "intakeNearWaste")).toMatchObject([
    { severity: "should", at: { kind: "gear", id: "intake" }, otherId: "seacock" },
  ]);
  expect(isSaid(put(seacock.atMm.x + 300, -1_400), "intakeNearWaste")).toBe(false);
  // the nearest of all is named; one on her other side, or exactly a metre off, is none
  const near = (x: number) => {
    const twin: Gear = { ...seacock, id: "twin", name: "Twin", atMm: { ...seacock.atMm, x } };
    const design = put(seacock.atMm.x + 300, seacock.atMm.y);
    return findAll({ ...design, gear: [...design.gear, twin] }, "intakeNearWaste").map(({ otherName }) => otherName);
  };
  expect(near(seacock.atMm.x + 200)).toEqual(["Twin"]);
  expect(near(seacock.atMm.x - 200)).toEqual([seacock.name]);
});

const loop = readDemo("lesesaal-loop");
const SHOWER = "shower-from-the-loop";
const inShower = (design: Design, change: (state: WorkingState) => WorkingState): Design => ({
  ...design,
  states: design.states.map((state) => (state.id === SHOWER ? change(state) : state)),
});
const graded = (design: Design) => findAll(design, "loopUntreated").map(({ severity, lacks }) => [severity, lacks]);

test("used water comes out of a shower only past a lamp that is lit and a filter that is fine", () => {
  expect(graded(loop)).toEqual([]);
  const dark = inShower(loop, (state) => ({ ...state, on: state.on.filter((id) => id !== "lamp") }));
  expect(graded(dark)).toEqual([["must", "lamp"]]);
  const coarse = loop.gear.reduce(
    (design, { id, spec }) => (spec.kind === "filter" ? withSpec(design, id, { micron: 5.1 }) : design),
    loop,
  );
  expect(graded(coarse)).toEqual([["should", "filter"]]);
  expect(graded(withSpec(coarse, "fine", { micron: 5 }))).toEqual([]);
  // with the pump off it runs while pipes are emptied, and nobody showers
  expect(graded(inShower(dark, (state) => ({ ...state, on: [] })))).toEqual([]);
  // water that is not used before
  const clean = {
    ...dark,
    tanks: dark.tanks.map((tank): Tank => (tank.holds === "loop" ? { ...tank, holds: "fresh" } : tank)),
  };
  expect(graded(clean)).toEqual([]);
});

test("a way round the lamp is a way past no lamp", () => {
  const at = (gearId: string, port: string) => ({ kind: "gear" as const, gearId, port });
  const own = loop.lines.filter(isHose);
  const after = own.find(({ from, to }) =>
    [from, to].some((end) => end.kind === "gear" && end.gearId === "lamp" && end.port === "out"),
  )!;
  const tee = (id: string): Gear => ({ ...loop.gear.find(({ spec }) => spec.kind === "tee")!, id });
  const isFrom = after.from.kind === "gear" && after.from.gearId === "lamp";
  const far = isFrom ? after.to : after.from;
  const before = own.find(({ from, to }) =>
    [from, to].some((end) => end.kind === "gear" && end.gearId === "lamp" && end.port === "in"),
  )!;
  const nearEnd = before.to.kind === "gear" && before.to.gearId === "lamp" ? before.from : before.to;
  const hose = (id: string, from: Hose["from"], to: Hose["to"]): Hose => ({
    ...after,
    id,
    name: id,
    from,
    to,
    pointsMm: [],
  });
  const round: Design = {
    ...loop,
    gear: [...loop.gear, tee("t1"), tee("t2")],
    lines: [
      ...loop.lines.filter((line) => line !== after && line !== before),
      hose("r1", nearEnd, at("t1", "a")),
      hose("r2", at("t1", "b"), at("lamp", "in")),
      hose("r3", at("lamp", "out"), at("t2", "a")),
      hose("r4", at("t2", "b"), far),
      hose("r5", at("t1", "c"), at("t2", "c")),
    ],
  };
  expect(graded(round)).toEqual([["must", "lamp"]]);
});

test("a lamp is too dim below three log steps of Cryptosporidium, and cooks what stands", () => {
  const { leastMjPerCm2 } = computeLoopFigures(loop)!.dose!;
  const watts = (times: number) => {
    const { spec } = loop.gear.find(({ id }) => id === "lamp")!;
    if (spec.kind !== "uvLamp") throw new Error("no lamp");
    return withSpec(loop, "lamp", { uvcWatts: spec.uvcWatts * times });
  };
  // 12 mJ/cm² at the far wall [P: US EPA UVDGM 2006, table 1.4, from memory]; dose goes with the lamp's power
  expect(isSaid(watts((12 / leastMjPerCm2) * 1.001), "uvWeak")).toBe(false);
  const [weak] = findAll(watts((12 / leastMjPerCm2) * 0.99), "uvWeak");
  expect(weak!.doseMjPerCm2).toBeCloseTo(12 * 0.99, 6);
  const still = inShower(loop, (state) => ({ ...state, on: ["lamp"], openTaps: [] }));
  expect(findAll(still, "lampCooks")).toMatchObject([{ severity: "should", at: { kind: "gear", id: "lamp" } }]);
  expect(isSaid(loop, "lampCooks")).toBe(false);
});

test("a heater wants a relief with nothing that shuts between, and a mixer before skin", () => {
  const at = (gearId: string, port: string) => ({ kind: "gear" as const, gearId, port });
  const piece = (id: string, kind: GearKind): Gear => ({ ...loop.gear[0]!, id, name: id, ...USUAL_GEAR[kind] });
  const any = loop.lines.find(isHose)!;
  const hose = (from: Hose["from"], to: Hose["to"], i: number): Hose => ({
    ...any,
    id: `x${i}`,
    from,
    to,
    pointsMm: [],
  });
  const chain = (kinds: readonly GearKind[], more: readonly Gear[] = []): Design => {
    const ports: Partial<Record<GearKind, readonly [string, string]>> = { mixer: ["hot", "out"], tee: ["a", "b"] };
    const gear = kinds.map((kind, i) => piece(`${kind}${i}`, kind));
    return {
      ...loop,
      gear: [...gear, ...more],
      fixtures: [],
      tanks: [],
      states: [],
      lines: gear.slice(1).map((next, i) => {
        const [now, kind, then] = [gear[i]!, kinds[i]!, kinds[i + 1]!];
        return hose(at(now.id, ports[kind]?.[1] ?? "out"), at(next.id, ports[then]?.[0] ?? "in"), i);
      }),
    };
  };
  const told = (design: Design) =>
    evaluate(design, LEVEL).findings.flatMap(({ code }) => (code.startsWith("heater") ? [code] : []));
  expect(told(chain(["heater", "tap"]))).toEqual(["heaterUnrelieved", "heaterUnmixed"]);
  expect(told(chain(["heater", "mixer", "tap"]))).toEqual(["heaterUnrelieved"]);
  expect(told(chain(["heater", "relief"]))).toEqual([]);
  expect(told(chain(["heater", "valve", "relief"]))).toEqual(["heaterUnrelieved"]);
  expect(told(chain(["relief"]))).toEqual([]);
  // one that holds nothing has nothing that grows
  expect(told(withSpec(chain(["heater", "mixer", "tap"]), "heater0", { litres: 0 }))).toEqual([]);
  const drunk = withSpec(chain(["heater", "relief"]), "heater0", { litres: 5 });
  expect(told(drunk)).toEqual([]);
});

test("tanks that heel her further than she is judged are told, all of one side full", () => {
  const aside = (y: number, leftLowDeg: number): Design => ({
    ...boat,
    rig: { ...boat.rig, envelope: { ...boat.rig.envelope, leftLowDeg, rightLowDeg: 45 } },
    tanks: boat.tanks.map((tank): Tank => ({ ...tank, atMm: { ...tank.atMm, y } })),
  });
  const heels = computeStability(aside(500, 5))!.tanks.map(({ heelDeg }) => heelDeg!);
  const sum = heels.reduce((a, b) => a + b, 0);
  expect(Math.min(...heels)).toBeGreaterThan(0);
  expect(isSaid(aside(500, sum), "tanksHeel")).toBe(false);
  expect(findAll(aside(500, sum - 0.01), "tanksHeel")).toMatchObject([
    { severity: "should", at: { kind: "rig" }, side: "left", heelDeg: sum },
  ]);
});

test("what stands outside her skin is told by how far; what stands in her is not", () => {
  const hulled = readDemo("setzkasten");
  expect(isSaid(hulled, "partOffHull")).toBe(false);
  const out = (y: number): Design => ({
    ...hulled,
    gear: hulled.gear.map((one) => (one.id === "sump" ? { ...one, atMm: { ...one.atMm, y } } : one)),
  });
  const [a] = findAll(out(-1_500), "partOffHull");
  const [b] = findAll(out(-1_510), "partOffHull");
  expect(a).toMatchObject({ severity: "must", at: { kind: "gear", id: "sump" } });
  expect(b!.byMm - a!.byMm).toBeCloseTo(10, 6);
});
