import { readDemo } from "@/tests/demoRigs";
import { FULL_RIGS } from "@/tests/firstRigs";
import { begin, expectKept, listNew, listNewMusts, listUnsettled, take } from "@/tests/fitting";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { Edit } from "../design/editOps";
import { type Gear, MOST_STATES } from "../design/gear";
import { toNodes } from "../design/nodes";
import type { Hose, Line } from "../design/plumbing";
import { findColdSource } from "../edits/fitHotWater";
import { listFitSupply, listUntapped } from "../edits/fitSupply";
import { findHoseAt } from "../edits/putPiece";
import { evaluate } from "../evaluate/evaluate";
import { listHoseCourse } from "../fit/lineLegs";
import { placeGearPort } from "../gear/gearPorts";
import { computeTapFlows } from "../gear/tapFlows";
import { listTapRuns } from "../gear/tapRuns";
import { USUAL_GEAR } from "../gear/usualGear";
import { vec } from "../geometry/vec";
import { fitWanted } from "./fitWanted";
import { isAskew } from "./laySquare";

const TEE_PORTS: Readonly<Record<string, string>> = { in: "a", hot: "a", out: "b", cold: "c" };

/** Hoses as they join a tee that stands where a piece stood. */
const throughTee = (lines: Design["lines"], gearId: string): Design["lines"] =>
  lines.map((line) => {
    if (line.kind !== "hose") return line;
    const swap = (end: typeof line.from) =>
      end.kind === "gear" && end.gearId === gearId ? { ...end, port: TEE_PORTS[end.port]! } : end;
    return { ...line, from: swap(line.from), to: swap(line.to) };
  });

test.each(FULL_RIGS)(
  "a %s, full underneath: %s: water is laid to every tap, over a valve that is shut at rest",
  (kind, isFull) => {
    let design = begin(kind, isFull);
    for (const fixture of ["basin", "showerTray"] as const)
      design = take(design, { what: "fixture", kind: fixture, name: fixture });
    const after = take(design, { what: "supply" });
    expect(listNewMusts(design, after).map(({ id }) => id)).toEqual([]);
    expectKept(design, after);
    const taps = after.gear.flatMap(({ spec }) => (spec.kind === "tap" ? [spec.fixtureId] : []));
    expect(taps.sort()).toEqual(design.fixtures.map(({ id }) => id).sort());
    // its hoses are as long as they will be on walls and floor
    const hoses = after.lines.slice(design.lines.length).flatMap((line) => (line.kind === "hose" ? [line] : []));
    expect(hoses.filter((hose) => isAskew(listHoseCourse(after, hose))).map(({ name }) => name)).toEqual([]);
    // each tap runs in a state of its own, and all of them give water
    const opened = after.states.flatMap(({ openTaps }) => openTaps);
    expect(new Set(opened).size).toBe(taps.length);
    const flows = computeTapFlows(after);
    expect(flows.length).toBe(taps.length);
    for (const { aloneLpm } of flows) expect(aloneLpm).toBeGreaterThan(3);
    const valve = after.gear.find(({ spec }) => spec.kind === "valve")!;
    const at = (isOn: boolean) =>
      after.states
        .filter(({ on }) => on.length > 0 === isOn)
        .map(({ positions }) => positions.find(({ gearId }) => gearId === valve.id)?.at);
    expect(new Set(at(false))).toEqual(new Set(["shut"]));
    expect(new Set(at(true))).toEqual(new Set(["open"]));
    // nothing is left to be laid
    expect(fitWanted(after, { what: "supply" }).edit).toBeNull();
  },
);

test.each(FULL_RIGS)(
  "a %s, full underneath: %s: hot water comes to a warm tap beside each cold one, relieved and mixed",
  (kind, isFull) => {
    let design = begin(kind, isFull);
    // what is cold only has nothing to be heated yet
    expect(fitWanted(design, { what: "hotWater" }).edit).toBeNull();
    for (const fixture of ["basin", "showerTray", "washingMachine"] as const)
      design = take(design, { what: "fixture", kind: fixture, name: fixture });
    design = take(design, { what: "supply" });
    const after = take(design, { what: "hotWater" });
    expect(listUnsettled(design, after).map(({ id }) => id)).toEqual([]);
    // what its plate says is asked for
    expect(evaluate(after).findings.map(({ code }) => code)).toContain("heaterUnrated");
    const fresh = after.gear.slice(design.gear.length);
    expect(after.gear.slice(0, design.gear.length)).toEqual(design.gear);
    expect(after.tanks).toEqual(design.tanks);
    const warm = fresh.flatMap(({ id, spec }) => (spec.kind === "tap" ? [{ id, fixtureId: spec.fixtureId }] : []));
    const wants = design.fixtures.filter(({ kind: of }) => of !== "washingMachine").map(({ id }) => id);
    expect(warm.map(({ fixtureId }) => fixtureId).sort()).toEqual(wants.sort());
    // each in one state of its own, in which it runs and the valve at the tank is open
    const flows = new Map(computeTapFlows(after).map((flow) => [flow.tapId, flow]));
    for (const { id } of warm) {
      const open = after.states.filter(({ openTaps }) => openTaps.includes(id));
      expect([id, open.length, open[0]?.openTaps.length]).toEqual([id, 1, 1]);
      expect(open[0]!.positions.map(({ at }) => at)).toEqual(["open"]);
      expect(flows.get(id)!.aloneLpm).toBeGreaterThan(3);
    }
    // a hair of what is fitted left out is told: it does what it is there for
    for (const kindOut of ["relief", "mixer"] as const) {
      const piece = fresh.find(({ spec }) => spec.kind === kindOut)!;
      const gear = after.gear.map((one) => (one === piece ? { ...one, spec: { kind: "tee" as const } } : one));
      const codes = evaluate({ ...after, gear, lines: throughTee(after.lines, piece.id) }).findings.map(
        ({ code }) => code,
      );
      expect(codes).toContain(kindOut === "relief" ? "heaterUnrelieved" : "heaterUnmixed");
    }
    expect(fitWanted(after, { what: "hotWater" }).edit).toBeNull();
    expect(listUntapped(after)).toEqual([]);
  },
);

const countOf = (design: Design, kind: Gear["spec"]["kind"]): number =>
  design.gear.filter(({ spec }) => spec.kind === kind).length;

test.each(FULL_RIGS.filter(([kind]) => kind === "van" || kind === "boat"))(
  "a %s, full underneath: %s: taps of what is set down later come from the pump and the heater that are there",
  (kind, isFull) => {
    let design = take(begin(kind, isFull), { what: "supply" });
    const first = design.fixtures.length;
    for (const fixture of ["showerTray", "basin"] as const)
      design = take(design, { what: "fixture", kind: fixture, name: fixture });
    const later = design.fixtures.slice(first).map(({ id }) => id);
    const cold = take(design, { what: "supply" });
    expect(listUnsettled(design, cold).map(({ id }) => id)).toEqual([]);
    for (const piece of ["pump", "strainer", "valve"] as const)
      expect([piece, countOf(cold, piece)]).toEqual([piece, countOf(design, piece)]);
    expectGiven(design, cold, later);
    expect(fitWanted(cold, { what: "supply" }).edit).toBeNull();
    // hot water was fitted before the shower came, and comes to it later as well
    const warm = take(cold, { what: "hotWater" });
    const bath = take(warm, { what: "fixture", kind: "outsideShower", name: "Outside" });
    const coldToo = take(bath, { what: "supply" });
    const after = take(coldToo, { what: "hotWater" });
    expect(listUnsettled(coldToo, after).map(({ id }) => id)).toEqual([]);
    for (const piece of ["heater", "relief", "mixer"] as const)
      expect([piece, countOf(after, piece)]).toEqual([piece, 1]);
    expectGiven(coldToo, after, [bath.fixtures.at(-1)!.id]);
    expect(fitWanted(after, { what: "hotWater" }).edit).toBeNull();
  },
);

test("a fresh tank that comes with the water hangs where nothing is touched, as one that is fitted by itself", () => {
  const { rig, ...rest } = begin("trailer", true);
  // lower than usual, its axle far behind: in the first place there is, a ramp would be touched
  const axles = [{ name: "Axle", xMm: rig.lengthMm * 0.25, spareKg: null }];
  const design: Design = { ...rest, rig: { ...rig, groundZMm: rig.groundZMm + 100, axles } };
  const after = take(design, { what: "supply" });
  expect(after.tanks.filter(({ holds }) => holds === "fresh")).toHaveLength(1);
  expect(listNew(design, after).map(({ code }) => code)).not.toContain("touchesRamp");
  const [build] = listFitSupply(design);
  const first = applyEdit(design, build!());
  expect(first.ok && listNew(design, first.design).map(({ code }) => code)).toContain("touchesRamp");
});

test("the hose to a tap is cut where it turns up to it, whichever way it was drawn, and comes from under the floor as it did", () => {
  const loop = readDemo("kranich-loop");
  const tap = loop.gear.find(({ spec }) => spec.kind === "tap" && spec.use === "drinking")!;
  const withBasin = take(loop, { what: "fixture", kind: "basin", name: "Basin" });
  const { x, y } = placeGearPort(tap, "in");
  const under = [vec(x - 600, y, -80), vec(x - 100, y, -80), vec(x - 100, y, 60), vec(x, y, 700)];
  const over = [vec(x - 600, y, 60), vec(x - 100, y, 60), vec(x, y, 700)];
  for (const [points, kept] of [
    [over, 1],
    [over.slice(0, 1), 0],
    [under, 2],
    [under.slice(0, 2), 2],
    [under.slice(3), 0],
  ] as const)
    for (const isBack of [false, true]) {
      const lines = withBasin.lines.map((line): Line => {
        if (line.kind !== "hose" || !isAt(line.to, tap.id)) return line;
        const pointsMm = toNodes(isBack ? [...points].reverse() : points);
        return isBack ? { ...line, from: line.to, to: line.from, pointsMm } : { ...line, pointsMm };
      });
      const design = { ...withBasin, lines };
      const { design: after } = applied(design, listFitSupply(design)[0]!());
      const tee = after.gear[design.gear.length + 1]!;
      expect([tee.spec.kind, tee.atMm.z >= 0]).toEqual(["tee", true]);
      // the way up to the tap is not left in what comes to the tee
      const into = findHoseAt(after, { kind: "gear", gearId: tee.id, port: "a" })!;
      const rest = into.pointsMm.map(({ x: px, y: py, z }) => vec(px, py, z));
      expect([isBack, isBack ? rest.reverse() : rest]).toEqual([isBack, points.slice(0, kept)]);
      // and the tap is fed from its other side
      const up = findHoseAt(after, { kind: "gear", gearId: tee.id, port: "b" })!;
      expect(isAt(up.to, tap.id) || isAt(up.from, tap.id)).toBe(true);
    }
});

const isAt = (end: Hose["to"], gearId: string): boolean => end.kind === "gear" && end.gearId === gearId;

function applied(design: Design, edit: Edit): { readonly design: Design } {
  const outcome = applyEdit(design, edit);
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.faults));
  return outcome;
}

test("with no room for a state more taps stand open with the tap they are led from", () => {
  const design = take(readDemo("kranich-loop"), { what: "fixture", kind: "basin", name: "Basin" });
  const [like] = design.states.filter(({ on }) => on.length > 0);
  const states = Array.from({ length: MOST_STATES }, (_, i) => ({
    ...like!,
    id: `s${i}`,
    name: `S${i}`,
    openTaps: [],
  }));
  for (const isOpen of [true, false]) {
    const source = listTapRuns(design).cold[0]!;
    const on = [source.push.id];
    const full = {
      ...design,
      states: states.map((state, i) => ({ ...state, on, openTaps: isOpen && i === 3 ? [source.taps[0]!.id] : [] })),
    };
    const after = take(full, { what: "supply" });
    const tap = after.gear.slice(full.gear.length).find(({ spec }) => spec.kind === "tap")!;
    const open = after.states.filter(({ openTaps }) => openTaps.includes(tap.id)).map(({ id }) => id);
    expect(open).toEqual([isOpen ? "s3" : "s0"]);
  }
});

/** A new tap over each of some fixtures, that runs in one new state, the valve at the tank open in it. */
function expectGiven(before: Design, after: Design, fixtureIds: readonly string[]): void {
  const taps = after.gear.slice(before.gear.length).filter(({ spec }) => spec.kind === "tap");
  expect(taps.map(({ spec }) => "fixtureId" in spec && spec.fixtureId).sort()).toEqual([...fixtureIds].sort());
  const flows = new Map(computeTapFlows(after).map((flow) => [flow.tapId, flow]));
  for (const { id } of taps) {
    const open = after.states.filter(({ openTaps }) => openTaps.includes(id));
    expect([id, open.length, open[0]?.positions.map(({ at }) => at)]).toEqual([id, 1, ["open"]]);
    expect(before.states.some((state) => state.id === open[0]!.id)).toBe(false);
    expect(flows.get(id)!.aloneLpm).toBeGreaterThan(3);
  }
}

test("where there is no room for a state for each, all warm taps stand open in one", () => {
  const design = take(readDemo("lesesaal-furnished"), { what: "supply" });
  const after = take(design, { what: "hotWater" });
  const warm = after.gear.flatMap(({ id, spec }) =>
    spec.kind === "tap" && !design.gear.some((one) => one.id === id) ? [id] : [],
  );
  expect(warm.length).toBe(findColdSource(design)!.taps.length);
  const more = after.states.slice(design.states.length);
  expect(more.map(({ openTaps }) => [...openTaps].sort())).toEqual([warm.sort()]);
  expect(listUnsettled(design, after).map(({ id }) => id)).toEqual([]);
});

test("water of a loop is not heated, and a tap behind a valve waits for its own", () => {
  const loop = readDemo("kranich-loop");
  const source = findColdSource(loop)!;
  // the shower draws from its loop, over a valve
  expect([source.pushId, source.taps.map(({ fixture }) => fixture.kind)]).toEqual(["freshpump", ["kitchenSink"]]);
  const grey = {
    ...loop,
    tanks: loop.tanks.map((tank) => (tank.holds === "fresh" ? { ...tank, holds: "grey" as const } : tank)),
  };
  expect(findColdSource(grey)).toBeNull();
  const deckWash = loop.gear.map((one) =>
    one.spec.kind === "tap" ? { ...one, spec: { ...one.spec, use: "deckWash" as const } } : one,
  );
  expect(findColdSource({ ...loop, gear: deckWash })).toBeNull();
  const after = take(loop, { what: "hotWater" });
  // in the drain-down, where no pump runs, the warm tap stands open with the cold one
  const winter = after.states.find(({ name }) => name === "Winter")!;
  const warm = after.gear.slice(loop.gear.length).find(({ spec }) => spec.kind === "tap")!;
  expect(winter.openTaps).toContain(warm.id);
  // what this school lets happen at the cold tap comes to the warm one too, and is told of it
  const musts = listNewMusts(loop, after);
  expect(musts.length).toBeGreaterThan(0);
  expect(musts.filter(({ code, at }) => code !== "waterFouled" || !("id" in at) || at.id !== warm.id)).toEqual([]);
  expect(findColdSource(after)).toBeNull();
});

test("water of a tap outside is heated as well: its warm tap has a state of its own, with nothing on", () => {
  const loop = readDemo("kranich-loop");
  const like = loop.lines.find((line): line is Hose => line.kind === "hose")!;
  const piece = (id: string, kind: "coupling" | "tap", z: number): Gear => ({
    id,
    name: id,
    ...USUAL_GEAR[kind],
    atMm: { x: 1_500, y: 300, z },
  });
  const camp: Design = {
    ...loop,
    gear: [piece("camp", "coupling", 100), piece("cold", "tap", 900)],
    lines: [
      ...loop.lines.filter(({ kind }) => kind !== "hose"),
      {
        ...like,
        from: { kind: "gear", gearId: "camp", port: "out" },
        to: { kind: "gear", gearId: "cold", port: "in" },
        pointsMm: [],
      },
    ],
    states: [{ id: "sink", name: "Sink", on: [], positions: [], openTaps: ["cold"] }],
  };
  const sink = camp.fixtures.find(({ kind }) => kind === "kitchenSink")!.id;
  const over = camp.gear.map((one) =>
    one.spec.kind === "tap" ? { ...one, spec: { ...one.spec, use: "drinking" as const, fixtureId: sink } } : one,
  );
  const design = { ...camp, gear: over };
  expect(findColdSource(design)?.pushId).toBe("camp");
  const after = take(design, { what: "hotWater" });
  const warm = after.gear.slice(2).find(({ spec }) => spec.kind === "tap")!;
  expect(after.states.map(({ on, openTaps }) => [on, openTaps])).toEqual([
    [[], ["cold"]],
    [[], [warm.id]],
  ]);
  // nothing comes out of one that only lets water out
  const outlet = over.map((one) =>
    one.spec.kind === "coupling" ? { ...one, spec: { ...one.spec, supplyKPa: null } } : one,
  );
  expect(findColdSource({ ...design, gear: outlet })).toBeNull();
});

test("a tap that names no fixture is taken for the one over a fixture of its use", () => {
  // its drinking tap stands by itself, its shower has the loop's head
  const design = readDemo("kranich-loop");
  expect(listUntapped(design)).toEqual([]);
  expect(fitWanted(design, { what: "supply" }).edit).toBeNull();
  const without = { ...design, gear: design.gear.filter(({ spec }) => spec.kind !== "tap" || spec.use !== "drinking") };
  expect(listUntapped(without).map(({ kind }) => kind)).toEqual(["kitchenSink"]);
});
