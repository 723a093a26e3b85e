import { readDemo } from "@/tests/demoRigs";
import { FIRST_RIGS, toFirst } from "@/tests/firstRigs";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import { FIXTURE_KINDS } from "../design/plumbing";
import type { RIG_KINDS } from "../design/rig";
import { findColdSource } from "../edits/fitHotWater";
import { SUMP_GOALS } from "../edits/fitSump";
import { listUntapped } from "../edits/fitSupply";
import { evaluate } from "../evaluate/evaluate";
import type { Finding } from "../evaluate/findings";
import { listHoseCourse } from "../fit/lineLegs";
import { computeTapFlows } from "../gear/tapFlows";
import { listSumps } from "../heads/sumpFigures";
import { TOILET_KINDS, TOILETS } from "../heads/toiletKinds";
import { buildFirstDesign } from "./firstDesign";
import { fitWanted, type Wanted } from "./fitWanted";
import { isAskew } from "./laySquare";

type Kind = (typeof RIG_KINDS)[number];

const begun = new Map<string, Design>();

function begin(kind: Kind, isFull: boolean): Design {
  const known = begun.get(`${kind} ${isFull}`);
  if (known) return known;
  const outcome = buildFirstDesign(toFirst(kind, isFull));
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.faults));
  begun.set(`${kind} ${isFull}`, outcome.design);
  return outcome.design;
}

function take(design: Design, wanted: Wanted): Design {
  const { edit } = fitWanted(design, wanted);
  const outcome = edit && applyEdit(design, edit);
  if (!outcome?.ok) throw new Error(JSON.stringify(outcome));
  return outcome.design;
}

const listNew = (before: Design, after: Design): Finding[] => {
  const known = new Set(evaluate(before).findings.map(({ id }) => id));
  return evaluate(after).findings.filter(({ id }) => !known.has(id));
};
const listNewMusts = (before: Design, after: Design): Finding[] =>
  listNew(before, after).filter(({ severity }) => severity === "must");
const listUnsettled = (before: Design, after: Design): Finding[] =>
  listNew(before, after).filter(({ severity }) => severity !== "note");

// What was there is as it was, but for what a tank is drilled for.
function expectKept(before: Design, after: Design): void {
  expect(after.lines.slice(0, before.lines.length)).toEqual(before.lines);
  expect(after.gear.slice(0, before.gear.length)).toEqual(before.gear);
  expect(after.fixtures.slice(0, before.fixtures.length)).toEqual(before.fixtures);
  for (const [i, tank] of before.tanks.entries()) {
    expect({ ...after.tanks[i]!, ports: after.tanks[i]!.ports.slice(0, tank.ports.length) }).toEqual(tank);
  }
}

const TEE_PORTS: Readonly<Record<string, string>> = { in: "a", hot: "a", out: "b", cold: "c" };

/** Hoses as they join a tee that stands where a piece stood. */
const throughTee = (lines: Design["lines"], gearId: string): Design["lines"] =>
  lines.map((line) => {
    if (line.kind !== "hose") return line;
    const swap = (end: typeof line.from) =>
      end.kind === "gear" && end.gearId === gearId ? { ...end, port: TEE_PORTS[end.port]! } : end;
    return { ...line, from: swap(line.from), to: swap(line.to) };
  });

const NAMES = { toilet: "Toilet", urineVessel: "Bottle", restVessel: "Bin", urineUse: "Urine", restUse: "Rest" };
const RIGS = FIRST_RIGS;

// a loop's tank is hung with its loop
const TANKS = (["grey", "black", "fresh"] as const).map(
  (holds): Wanted => ({ what: "tank", holds, name: `New ${holds}` }),
);
const listToilets = (rig: Kind): Wanted[] =>
  TOILET_WANTS.filter((wanted) => rig === "boat" || !("kind" in wanted) || wanted.kind !== "vacuum");
// ashore one under vacuum is flushed as one with a pump is, and a macerating one is laid as that
const TOILET_WANTS = (["handPump", "vacuum", "gravity"] as const).map(
  (kind): Wanted => ({ what: "toilet", kind, names: NAMES, school: kind === "handPump" ? "tankOrSea" : "tank" }),
);

test.each(RIGS)(
  "a %s, full underneath: %s: a tank or a toilet that is fitted whole leaves nothing to settle",
  (kind, isFull) => {
    const design = begin(kind, isFull);
    for (const wanted of [...TANKS, ...listToilets(kind)]) {
      const after = take(design, wanted);
      expect([wanted, listNewMusts(design, after).map(({ id }) => id)]).toEqual([wanted, []]);
      expectKept(design, after);
      // a black, grey or loop tank can breathe and be let go
      for (const tank of after.tanks.slice(design.tanks.length)) {
        expect(after.lines.some((line) => line.kind === "vent" && line.fromTank === tank.id)).toBe(true);
        expect(tank.ports.some(({ kind: port }) => port === "outlet" || port === "draw")).toBe(true);
      }
    }
  },
);

/** What comes of the fixture itself, wherever it stands: a bath holds more than the tank. */
const ITS_OWN = new Set(["useOverfillsTank"]);

test.each(RIGS)("a %s, full underneath: %s: fixtures are set where their drains run", (kind, isFull) => {
  const design = begin(kind, isFull);
  for (const fixture of FIXTURE_KINDS) {
    // between the rails of a bus no bath's drain comes to the tank: what is told then is right
    if (fixture === "gravityToilet" || (fixture === "bath" && kind === "bus" && isFull)) continue;
    const after = take(design, { what: "fixture", kind: fixture, name: "New" });
    const musts = listNewMusts(design, after).filter(({ code }) => !ITS_OWN.has(code));
    expect([fixture, musts.map(({ id }) => id)]).toEqual([fixture, []]);
    expectKept(design, after);
  }
});

test.each(RIGS)(
  "a %s, full underneath: %s: a loop refilled through an air gap leaves nothing to settle",
  (kind, isFull) => {
    const design = take(begin(kind, isFull), { what: "fixture", kind: "showerTray", name: "Shower" });
    const fixtureId = design.fixtures.at(-1)!.id;
    const after = take(design, { what: "loop", fixtureId, school: "airGap", cabinetId: null });
    expect(listNewMusts(design, after).map(({ id }) => id)).toEqual([]);
    // each piece stands by itself and can be opened
    const told = evaluate(after).findings.filter(({ code }) => code === "gearClashes" || code === "gearShutIn");
    expect(told.map(({ id }) => id)).toEqual([]);
  },
);

test("the school with one motor valve is drawn as it is done, and what it lets happen is told", () => {
  const design = take(begin("van", false), { what: "fixture", kind: "showerTray", name: "Shower" });
  const fixtureId = design.fixtures.at(-1)!.id;
  const after = take(design, { what: "loop", fixtureId, school: "motorValve", cabinetId: null });
  expect(listNewMusts(design, after).map(({ code }) => code)).toContain("waterFouled");
});

test("afloat a toilet with hoses takes sea water over a loop and, where it may go overboard, its valve is secured", () => {
  const design = begin("boat", false);
  const after = take(design, { what: "toilet", kind: "handPump", names: NAMES, school: "tankOrSea" });
  const kinds = after.gear.map(({ spec }) => spec.kind).sort();
  expect(kinds).toEqual(
    expect.arrayContaining([
      "bowl",
      "deckFitting",
      "diverter",
      "skinFitting",
      "skinFitting",
      "strainer",
      "ventedLoop",
      "ventedLoop",
    ]),
  );
  expect(after.gear.find(({ spec }) => spec.kind === "diverter")?.isSecured).toBe(true);
  // inland it goes into the tank
  const valve = after.gear.find(({ spec }) => spec.kind === "diverter")!;
  const atHome = after.states.filter(({ place }) => place !== "offshore");
  expect(atHome.length).toBeGreaterThan(0);
  expect(atHome.every(({ positions }) => positions.some(({ gearId, at }) => gearId === valve.id && at === "a"))).toBe(
    true,
  );
});

test("ashore the water for a bowl falls through an air gap, and the valve at the tank is shut while nothing is on", () => {
  const after = take(begin("van", false), { what: "toilet", kind: "handPump", names: NAMES, school: "tank" });
  const [fresh, black] = (["fresh", "black"] as const).map(
    (holds) => after.tanks.find((tank) => tank.holds === holds)!,
  );
  expect(after.gear.some(({ spec }) => spec.kind === "airGap")).toBe(true);
  const valve = after.gear.find(({ spec }) => spec.kind === "valve")!;
  expect(
    after.states.map(({ on, positions }) => [on.length > 0, positions.find((one) => one.gearId === valve.id)?.at]),
  ).toEqual([
    [false, "shut"],
    [true, "open"],
  ]);
  expect(after.lines.some((line) => line.kind === "dumpLine" && line.fromTank === black!.id)).toBe(true);
  expect(fresh!.ports.some(({ kind }) => kind === "draw")).toBe(true);
});

const SUMPED = ["showerTray", "bath"] as const;

test.each(RIGS.filter(([, isFull]) => isFull))(
  "a %s, full underneath: %s: what lies too low is pumped up, and its drain falls into the sump",
  (kind, isFull) => {
    for (const fixture of SUMPED) {
      const design = take(begin(kind, isFull), { what: "fixture", kind: fixture, name: "Low" });
      const fixtureId = design.fixtures.at(-1)!.id;
      for (const goal of SUMP_GOALS) {
        const { edit } = fitWanted(design, { what: "sump", fixtureId, goal });
        if (goal === "overboard" && kind !== "boat") {
          expect(edit).toBeNull();
          continue;
        }
        const outcome = applyEdit(design, edit!);
        if (!outcome.ok) throw new Error(JSON.stringify(outcome.faults));
        const after = outcome.design;
        const musts = listNewMusts(design, after).map(({ id }) => id);
        expect([fixture, goal, musts]).toEqual([fixture, goal, []]);
        const drain = after.lines.find((line) => line.kind === "drain" && line.fromFixture === fixtureId);
        expect(drain?.to.kind).toBe("sump");
        // the hole its drain came in by is gone
        const codes = listNew(design, after).map(({ code }) => code);
        expect([fixture, goal, codes.includes("portFree")]).toEqual([fixture, goal, false]);
        const result = evaluate(after).drains.find(({ lineId }) => lineId === drain?.id)!;
        expect(result.worst.inHandMm).toBeGreaterThanOrEqual(0);
        // the pump lifts it there, and the float does not start it again for what runs back
        const [sump] = listSumps(after);
        expect(sump!.pumpLpm).toBeGreaterThan(0);
        expect(sump!.bandL).toBeGreaterThan(sump!.drainBackL);
      }
    }
  },
);

test.each(RIGS)(
  "a %s, full underneath: %s: where the only drain goes into a sump, no hole is left open in the tank",
  (kind, isFull) => {
    const design = begin(kind, isFull);
    const after = take(design, { what: "sump", fixtureId: design.fixtures[0]!.id, goal: "tank" });
    expect(listNew(design, after).filter(({ code }) => code === "portFree" || code === "tankUnfed")).toEqual([]);
  },
);

test("a bath pumped up into a tank that cannot hold it is told as one that runs there by itself", () => {
  const design = take(begin("van", false), { what: "fixture", kind: "bath", name: "Bath" });
  const fixtureId = design.fixtures.at(-1)!.id;
  const after = take(design, { what: "sump", fixtureId, goal: "tank" });
  const told = (of: Design) =>
    evaluate(of).findings.filter(({ code, at }) => code === "useOverfillsTank" && "id" in at && at.id === fixtureId);
  expect(told(design)).toHaveLength(1);
  expect(told(after)).toHaveLength(1);
  // a litre of it is no fault
  const larger = { ...after, fixtures: after.fixtures.map((one) => ({ ...one, volumePerUseL: 1 })) };
  expect(told(larger)).toHaveLength(0);
});

test.each(["lesesaal-furnished", "puppenwagen", "otter"] as const)(
  "%s, which is laid out already, takes more of everything",
  (name) => {
    const design = readDemo(name);
    for (const wanted of [...TANKS, ...TOILET_WANTS, { what: "fixture", kind: "basin", name: "Basin" } as const]) {
      const after = take(design, wanted);
      expect([wanted, listNewMusts(design, after).map(({ id }) => id)]).toEqual([wanted, []]);
      expectKept(design, after);
    }
  },
);

test("a drain that others join is not led into a sump: they would go along", () => {
  const design = readDemo("lesesaal-furnished");
  const main = design.lines.find(
    (line) =>
      line.kind === "drain" &&
      design.lines.some(
        (other) => other.kind === "drain" && other.to.kind === "junction" && other.to.lineId === line.id,
      ),
  );
  if (main?.kind !== "drain") throw new Error("no drain is joined");
  expect(fitWanted(design, { what: "sump", fixtureId: main.fromFixture, goal: "tank" }).edit).toBeNull();
});

test.each(RIGS)(
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

test.each(RIGS)(
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

test("a tap that names no fixture is taken for the one over a fixture of its use", () => {
  // its drinking tap stands by itself, its shower has the loop's head
  const design = readDemo("kranich-loop");
  expect(listUntapped(design)).toEqual([]);
  expect(fitWanted(design, { what: "supply" }).edit).toBeNull();
  const without = { ...design, gear: design.gear.filter(({ spec }) => spec.kind !== "tap" || spec.use !== "drinking") };
  expect(listUntapped(without).map(({ kind }) => kind)).toEqual(["kitchenSink"]);
});

test("no toilet is led into a sump", () => {
  const design = take(begin("bus", false), { what: "toilet", kind: "gravity", names: NAMES, school: "tank" });
  const toilet = design.fixtures.find(({ kind }) => kind === "gravityToilet")!;
  expect(fitWanted(design, { what: "sump", fixtureId: toilet.id, goal: "tank" }).edit).toBeNull();
});

test("a toilet that is carried comes as it is: there is no place to be looked for", () => {
  const design = begin("trailer", false);
  for (const kind of TOILET_KINDS.filter((one) => TOILETS[one].fit.as === "vessel")) {
    const after = take(design, { what: "toilet", kind, names: NAMES, school: "tank" });
    expect(after.tanks).toEqual(design.tanks);
    expect(after.habits.vessels.length).toBeGreaterThan(design.habits.vessels.length);
  }
});

test("a loop for a fixture that is not there cannot be laid", () => {
  const wanted: Wanted = { what: "loop", fixtureId: "nothing", school: "airGap", cabinetId: null };
  expect(fitWanted(begin("van", false), wanted)).toEqual({ edit: null, lacks: [] });
});
