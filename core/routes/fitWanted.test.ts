import { readDemo } from "@/tests/demoRigs";
import { FIRST_RIGS, FULL_RIGS } from "@/tests/firstRigs";
import { begin, expectKept, listNew, listNewMusts, listUnsettled, TOILET_NAMES, take } from "@/tests/fitting";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import { FIXTURE_KINDS } from "../design/plumbing";
import { SUMP_GOALS } from "../edits/fitSump";
import { evaluate } from "../evaluate/evaluate";
import { listSumps } from "../heads/sumpFigures";
import { TOILET_KINDS, TOILETS } from "../heads/toiletKinds";
import { fitWanted, type Wanted } from "./fitWanted";

type Kind = (typeof FIRST_RIGS)[number][0];

// a loop's tank is hung with its loop
const TANKS = (["grey", "black", "fresh"] as const).map(
  (holds): Wanted => ({ what: "tank", holds, name: `New ${holds}` }),
);
const listToilets = (rig: Kind): Wanted[] =>
  TOILET_WANTS.filter((wanted) => rig === "boat" || !("kind" in wanted) || wanted.kind !== "vacuum");
// ashore one under vacuum is flushed as one with a pump is, and a macerating one is laid as that
const TOILET_WANTS = (["handPump", "vacuum", "gravity"] as const).map(
  (kind): Wanted => ({ what: "toilet", kind, names: TOILET_NAMES, school: kind === "handPump" ? "tankOrSea" : "tank" }),
);

test.each(FIRST_RIGS)(
  "a %s, full underneath: %s: a tank or a toilet that is fitted whole leaves nothing to settle",
  (kind, isFull) => {
    const design = begin(kind, isFull);
    for (const wanted of isFull ? [...TANKS, ...listToilets(kind)] : [TANKS[1]!, TOILET_WANTS[0]!]) {
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

test.each(FULL_RIGS)(
  "a %s, full underneath: %s: a toilet over a black tank that is there leaves nothing to settle",
  (kind, isFull) => {
    for (const first of [
      { what: "tank", holds: "black", name: "New black" },
      { what: "toilet", kind: "gravity", names: TOILET_NAMES, school: "tank" },
    ] as const) {
      const design = take(begin(kind, isFull), first);
      const after = take(design, { what: "toilet", kind: "gravity", names: TOILET_NAMES, school: "tank" });
      expect([first.what, listUnsettled(design, after).map(({ id }) => id)]).toEqual([first.what, []]);
      expectKept(design, after);
      // it falls straight into the tank that was there
      expect(after.tanks.length).toBe(design.tanks.length);
      const drain = after.lines.at(-1)!;
      expect([drain.kind, drain.to.kind]).toEqual(["drain", "inlet"]);
    }
  },
);

/** Those whose drains have the least height. */
const LOW = ["showerTray", "bath"] as const;

/** What comes of the fixture itself, wherever it stands: a bath holds more than the tank. */
const ITS_OWN = new Set(["useOverfillsTank"]);

test.each(FIRST_RIGS)("a %s, full underneath: %s: fixtures are set where their drains run", (kind, isFull) => {
  const design = begin(kind, isFull);
  for (const fixture of isFull ? FIXTURE_KINDS : LOW) {
    // between the rails of a bus no bath's drain comes to the tank: what is told then is right
    // a basin hangs as a sink does
    if (fixture === "gravityToilet" || fixture === "basin" || (fixture === "bath" && kind === "bus" && isFull))
      continue;
    const after = take(design, { what: "fixture", kind: fixture, name: "New" });
    const musts = listNewMusts(design, after).filter(({ code }) => !ITS_OWN.has(code));
    expect([fixture, musts.map(({ id }) => id)]).toEqual([fixture, []]);
    expectKept(design, after);
  }
});

test.each(FULL_RIGS)(
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

test("afloat a loop's tank behind a fresh one is pumped out at its other end", () => {
  let design = take(begin("boat", true), { what: "supply" });
  design = take(design, { what: "tank", holds: "fresh", name: "More fresh" });
  design = take(design, { what: "fixture", kind: "showerTray", name: "Shower" });
  const fixtureId = design.fixtures.at(-1)!.id;
  const after = take(design, { what: "loop", fixtureId, school: "airGap", cabinetId: null });
  expect(listNewMusts(design, after).map(({ id }) => id)).toEqual([]);
});

test("the school with one motor valve is drawn as it is done, and what it lets happen is told", () => {
  const design = take(begin("van", false), { what: "fixture", kind: "showerTray", name: "Shower" });
  const fixtureId = design.fixtures.at(-1)!.id;
  const after = take(design, { what: "loop", fixtureId, school: "motorValve", cabinetId: null });
  expect(listNewMusts(design, after).map(({ code }) => code)).toContain("waterFouled");
});

test("afloat a toilet with hoses takes sea water over a loop and, where it may go overboard, its valve is secured", () => {
  const design = begin("boat", false);
  const after = take(design, { what: "toilet", kind: "handPump", names: TOILET_NAMES, school: "tankOrSea" });
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
  const after = take(begin("van", false), { what: "toilet", kind: "handPump", names: TOILET_NAMES, school: "tank" });
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

test.each(FULL_RIGS)(
  "a %s, full underneath: %s: what lies too low is pumped up, and its drain falls into the sump",
  (kind, isFull) => {
    for (const fixture of LOW) {
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

test.each(FULL_RIGS)(
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
    const basin = { what: "fixture", kind: "basin", name: "Basin" } as const;
    for (const wanted of [TANKS[0]!, TOILET_WANTS[0]!, TOILET_WANTS[2]!, basin]) {
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

test("what runs into a sump gets no second one", () => {
  const design = begin("van", false);
  const wanted = { what: "sump", fixtureId: design.fixtures[0]!.id, goal: "tank" } as const;
  expect(fitWanted(take(design, wanted), wanted).edit).toBeNull();
});

test("no toilet is led into a sump", () => {
  const design = take(begin("bus", false), { what: "toilet", kind: "gravity", names: TOILET_NAMES, school: "tank" });
  const toilet = design.fixtures.find(({ kind }) => kind === "gravityToilet")!;
  expect(fitWanted(design, { what: "sump", fixtureId: toilet.id, goal: "tank" }).edit).toBeNull();
});

test("a toilet that is carried comes as it is: there is no place to be looked for", () => {
  const design = begin("trailer", false);
  for (const kind of TOILET_KINDS.filter((one) => TOILETS[one].fit.as === "vessel")) {
    const after = take(design, { what: "toilet", kind, names: TOILET_NAMES, school: "tank" });
    expect(after.tanks).toEqual(design.tanks);
    expect(after.habits.vessels.length).toBeGreaterThan(design.habits.vessels.length);
  }
});

test("a loop for a fixture that is not there cannot be laid", () => {
  const wanted: Wanted = { what: "loop", fixtureId: "nothing", school: "airGap", cabinetId: null };
  expect(fitWanted(begin("van", false), wanted)).toEqual({ edit: null, lacks: [] });
});
