import fc from "fast-check";
import { readDemo } from "@/tests/demoRigs";
import { findAll, isSaid } from "@/tests/findingEdges";
import { mustApply } from "@/tests/sharedAir";
import { LEVEL } from "../attitude/attitude";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { Gear } from "../design/gear";
import { toNodes } from "../design/nodes";
import type { Hose, Line, Tank } from "../design/plumbing";
import { buildInsertStrainer } from "../edits/insertPiece";
import { proveInterlock } from "../gear/interlock";
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

test("what no working state starts or opens is told, each by itself; a sump's float needs none, and without states it is said once", () => {
  let offered = 0;
  for (const design of [boat, van, readDemo("lesesaal-loop"), readDemo("setzkasten")]) {
    expect(isSaid(design, "neverUsed")).toBe(false);
    expect(isSaid({ ...design, states: [] }, "neverUsed")).toBe(false);
    for (const { id, spec } of design.gear) {
      const without: Design = {
        ...design,
        states: design.states.map(({ on, openTaps, positions, ...state }) => ({
          ...state,
          on: on.filter((one) => one !== id),
          openTaps: openTaps.filter((one) => one !== id),
          positions: positions.filter(({ gearId }) => gearId !== id),
        })),
      };
      const told = findAll(without, "neverUsed").filter(({ at }) => "id" in at && at.id === id);
      const isFloat = id === "sump-pump";
      if ((spec.kind === "pump" && !isFloat) || spec.kind === "tap") {
        expect(told).toMatchObject([{ severity: "should", how: spec.kind === "pump" ? "on" : "open" }]);
        const [remedy] = proposeRemedies(without, evaluate(without), told[0]!);
        // where running it lets something bad happen nothing is offered, for a state like that is the builder's to make
        if (!remedy) continue;
        offered += 1;
        expect(remedy.edit.code).toBe("addState");
        const after = mustApply(without, remedy.edit);
        expect(after.states).toHaveLength(design.states.length + 1);
        expect(findAll(after, "neverUsed").some(({ at }) => "id" in at && at.id === id)).toBe(false);
      } else if (spec.kind === "valve") expect(told).toMatchObject([{ severity: "note", how: "open" }]);
      else expect(told).toEqual([]);
    }
  }
  expect(offered).toBeGreaterThan(2);
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

test("the tap outside, from which others drink, is kept from used water by air alone; an own tap is judged with the states", () => {
  const camp = readDemo("lesesaal-loop");
  const ends = (id: string) => (end: Hose["from"]) => end.kind === "gear" && end.gearId === id;
  expect(isSaid(camp, "joinedWithoutGap")).toBe(false);
  // the gap's two hoses made one
  const [a, b] = camp.lines.filter(isHose).filter(({ from, to }) => [from, to].some(ends("gap")));
  const far = ({ from, to }: Hose) => (ends("gap")(from) ? to : from);
  const direct: Hose = { ...a!, from: far(a!), to: far(b!), pointsMm: [] };
  const joined: Design = {
    ...camp,
    gear: camp.gear.filter(({ id }) => id !== "gap"),
    lines: [...camp.lines.filter((line) => line !== a && line !== b), direct],
  };
  const told = findAll(joined, "joinedWithoutGap");
  expect(told.map(({ at, water }) => [at, water])).toEqual([[{ kind: "gear", id: "camp" }, "loop"]]);
  expect(told[0]!.keptApartBy).toContain(camp.gear.find(({ id }) => id === "fillvalve")!.name);
  // by two ways the one with less between is told, whichever comes first in the file
  for (const isFirst of [true, false]) {
    const bare: Hose = { ...direct, id: "bare", from: { kind: "gear", gearId: "camp", port: "out" } };
    const lines = isFirst ? [bare, ...joined.lines] : [...joined.lines, bare];
    expect(findAll({ ...joined, lines }, "joinedWithoutGap").map(({ keptApartBy }) => keptApartBy)).toEqual([[]]);
  }
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
    { numRuns: 50 },
  );
});

test("a float that switches on over its box's lid never does", () => {
  const { sizeMm } = boat.gear.find(({ id }) => id === "sump")!;
  const told = (onMm: number, litres = 100) => findAll(withSpec(boat, "sump", { onMm, litres }), "floatOverRim");
  expect(told(sizeMm.z)[0]!.at).toEqual({ kind: "gear", id: "sump" });
  expect(told(sizeMm.z - 20)).toEqual([]);
  expect(told(sizeMm.z - 19)).toMatchObject([{ severity: "must", onMm: sizeMm.z - 19, highMm: sizeMm.z }]);
  // 7 L over a floor of 700 cm² stand 100 mm deep
  expect(told(80, 7)).toEqual([]);
  expect(told(81, 7)).toMatchObject([{ onMm: 81, highMm: expect.closeTo(100, 9) }]);
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

test("a breather whose end goes under where she heels lets the sea in, and one press lifts it; a dump line has its valve", () => {
  const at = (z: number): Design => ({
    ...boat,
    lines: boat.lines.map((line) =>
      line.id === "black-vent" && line.kind === "vent"
        ? { ...line, pointsMm: line.pointsMm.map((p, i, all) => (i === all.length - 1 ? { ...p, z } : p)) }
        : line,
    ),
  });
  const graded = (design: Design) => findAll(design, "seaAtEnd").map((f) => [f.at, f.severity]);
  const line = boat.rig.waterlineZMm!;
  const vent = { kind: "line", id: "black-vent" };
  expect(graded(boat)).toEqual([]);
  expect(graded(at(line + 20))).toEqual([[vent, "must"]]);
  expect(graded(at(line + 200))).toEqual([[vent, "should"]]);
  const low = at(line + 20);
  const [found] = findAll(low, "seaAtEnd");
  expect(found!.overMm).toBeLessThan(0);
  const [remedy] = proposeRemedies(low, evaluate(low, LEVEL), found!);
  const lifted = applyEdit(low, remedy!.edit);
  expect(lifted.ok && graded(lifted.design)).toEqual([]);
  // on land there is no sea
  expect(graded({ ...low, rig: { ...low.rig, waterlineZMm: null } })).toEqual([]);
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

test("a deck fitting that is not on deck is a must: in the cabin, or under the sole", () => {
  const deck = boat.gear.find(({ spec }) => spec.kind === "deckFitting")!;
  const put = (y: number, z: number): Design => ({
    ...boat,
    gear: boat.gear.map((one) => (one.id === deck.id ? { ...one, atMm: { ...one.atMm, y, z } } : one)),
  });
  for (const design of [boat, readDemo("setzkasten"), readDemo("otter")])
    expect(isSaid(design, "deckFittingBelow")).toBe(false);
  expect(findAll(put(0, 400), "deckFittingBelow")).toMatchObject([
    { severity: "must", at: { kind: "gear", id: deck.id } },
  ]);
  expect(isSaid(put(deck.atMm.y, -300), "deckFittingBelow")).toBe(true);
});

test("a boat with skin fittings and no sections is told that her skin is not known", () => {
  const fittings = boat.gear.filter(({ spec }) => spec.kind === "skinFitting").length;
  expect(findAll(boat, "hullUnknown")).toMatchObject([{ severity: "note", fittings }]);
  const { hull } = readDemo("setzkasten").rig;
  expect(isSaid({ ...boat, rig: { ...boat.rig, hull } }, "hullUnknown")).toBe(false);
  expect(isSaid(readDemo("otter"), "hullUnknown")).toBe(false);
});
