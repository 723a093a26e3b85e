import fc from "fast-check";
import { ALL_DEMOS } from "@/tests/demoRigs";
import type { Gear, GearKind, GearSpec, Position, WorkingState } from "../design/gear";
import { ALL_OPEN, type Failure, findPassing, listFailures, RESTING, toSetting } from "./settings";
import { USUAL_GEAR, usualSpec } from "./usualGear";

const piece = (id: string, spec: GearSpec): Gear => ({
  id,
  name: id,
  atMm: { x: 0, y: 0, z: 0 },
  sizeMm: { x: 100, y: 100, z: 100 },
  openBelowMm: 0,
  spec,
});
const KINDS = Object.keys(USUAL_GEAR) as GearKind[];
const state = (change: Partial<WorkingState> = {}): WorkingState => ({
  id: "run",
  name: "Run",
  on: [],
  positions: [],
  openTaps: [],
  ...change,
});

const DRIVES = ["hand", "motor"] as const;
const valves = DRIVES.flatMap((drive) =>
  (["stays", "opens", "shuts"] as const).map((atRest) => piece("v", usualSpec("valve", { drive, atRest }))),
);
const diverters = DRIVES.flatMap((drive) =>
  (["stays", "a", "b"] as const).map((atRest) => piece("d", usualSpec("diverter", { drive, atRest }))),
);

/** Where a piece stands, said once more: what sticks stays; without power a motor goes where it rests, a hand's valve where it was left. */
function standsAgain({ id, spec }: Gear, positions: WorkingState["positions"], failure: Failure | null): Position {
  const said = positions.find(({ gearId }) => gearId === id)?.at;
  if (failure?.kind === "stuck" && failure.gearId === id) return failure.at;
  const rests = spec.kind === "valve" || spec.kind === "diverter" ? spec.atRest : "stays";
  const isMoved = failure?.kind === "powerLost" && "drive" in spec && spec.drive === "motor" && rests !== "stays";
  if (isMoved) return ({ opens: "open", shuts: "shut", a: "a", b: "b" } as const)[rests as "opens"];
  return said ?? (spec.kind === "diverter" ? "a" : "shut");
}

const failures: fc.Arbitrary<Failure | null> = fc.oneof(
  fc.constant(null),
  fc.constant<Failure>({ kind: "powerLost" }),
  fc.constantFrom<Failure>(
    { kind: "stuck", gearId: "v", at: "open" },
    { kind: "stuck", gearId: "v", at: "shut" },
    { kind: "stuck", gearId: "d", at: "b" },
    { kind: "halfWay", gearId: "d" },
    { kind: "leftOn", gearId: "p" },
    { kind: "leftOpen", gearId: "t" },
    { kind: "leaksBack", gearId: "p" },
    { kind: "airShut", gearId: "l" },
  ),
);

test("where valves stand, what is on and open, in every state and with every failure, said a second time", () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...valves),
      fc.constantFrom(...diverters),
      fc.constantFrom<Position | null>("open", "shut", null),
      fc.constantFrom<Position | null>("a", "b", null),
      fc.boolean(),
      fc.boolean(),
      failures,
      (valve, diverter, valveAt, diverterAt, isOn, isOpen, failure) => {
        const positions = [
          ...(valveAt ? [{ gearId: "v", at: valveAt }] : []),
          ...(diverterAt ? [{ gearId: "d", at: diverterAt }] : []),
        ];
        const now = state({ on: isOn ? ["p"] : [], openTaps: isOpen ? ["t"] : [], positions });
        const setting = toSetting(now, failure);
        expect(setting.positionOf(valve)).toBe(standsAgain(valve, positions, failure));
        expect(setting.positionOf(diverter)).toBe(standsAgain(diverter, positions, failure));
        // without power nothing pumps, whatever was left on
        expect(setting.isOn("p")).toBe(failure?.kind !== "powerLost" && (isOn || failure?.kind === "leftOn"));
        expect(setting.isTapOpen("t")).toBe(isOpen || failure?.kind === "leftOpen");
        expect(setting.isHalfWay("d")).toBe(failure?.kind === "halfWay");
        expect(setting.leaksBack("p")).toBe(failure?.kind === "leaksBack");
        expect(setting.isAirShut("l")).toBe(failure?.kind === "airShut");
        // what fails is one piece, and no other
        for (const ask of [setting.isOn, setting.isTapOpen, setting.isHalfWay, setting.leaksBack, setting.isAirShut])
          expect(ask("another")).toBe(false);
      },
    ),
  );
});

test("with no state at all everything is off and shut, and stands at its first way", () => {
  const setting = toSetting(null);
  expect([setting.isOn("p"), setting.isTapOpen("t")]).toEqual([false, false]);
  expect(setting.positionOf(valves[0]!)).toBe(RESTING.valve);
  expect(setting.positionOf(diverters[0]!)).toBe(RESTING.diverter);
});

/** How many ways a piece of a kind can fail by itself. */
const FAILS: Readonly<Partial<Record<GearKind, number>>> = {
  valve: 2,
  diverter: 3,
  nonReturn: 1,
  pump: 2,
  coupling: 1,
  tap: 1,
  ventedLoop: 1,
};

test("every kind of gear fails in the ways it can; a timer stops a pump that was forgotten; a motor makes power one thing more", () => {
  for (const kind of KINDS) {
    const spec = { ...USUAL_GEAR[kind].spec, timerS: null } as unknown as GearSpec;
    const found = listFailures([piece("x", spec)]);
    const isMotor = "drive" in spec && spec.drive === "motor";
    expect([kind, found.length]).toEqual([kind, (FAILS[kind] ?? 0) + (isMotor ? 1 : 0)]);
    for (const one of found) if (one.kind !== "powerLost" && "gearId" in one) expect(one.gearId).toBe("x");
  }
  const timed = listFailures([piece("p", usualSpec("pump", { timerS: 300 }))]);
  expect(timed).toEqual([{ kind: "leaksBack", gearId: "p" }]);
  expect(listFailures(valves.slice(3)).filter(({ kind }) => kind === "powerLost")).toHaveLength(1);
  expect(listFailures([piece("t", usualSpec("tap"))])).toEqual([{ kind: "leftOpen", gearId: "t" }]);
  for (const { gear } of ALL_DEMOS) {
    const keys = listFailures(gear).map((failure) => JSON.stringify(failure));
    expect(new Set(keys).size).toBe(keys.length);
  }
});

const inside = (gear: Gear, branch: "a" | "b" | null = null) =>
  ({ kind: "inside", id: gear.id, from: "1", to: "2", gear, branch }) as unknown as Parameters<typeof findPassing>[0];

test("what a piece lets through: a valve what it stands at, a non-return and an air gap one way, a standing pump by its kind", () => {
  const passes = (gear: Gear, failure: Failure | null = null, now = state(), branch: "a" | "b" | null = null) => {
    const { forward, back, isDriven } = findPassing(inside(gear, branch), toSetting(now, failure));
    return `${forward ? "f" : "-"}${back ? "b" : "-"}${isDriven ? "!" : ""}`;
  };
  const valve = valves[0]!;
  expect(passes(valve)).toBe("--");
  expect(passes(valve, { kind: "stuck", gearId: "v", at: "open" })).toBe("fb");
  expect(passes(diverters[0]!, null, state(), "a")).toBe("fb");
  expect(passes(diverters[0]!, null, state(), "b")).toBe("--");
  expect(passes(diverters[0]!, { kind: "halfWay", gearId: "d" }, state(), "b")).toBe("fb");
  const flap = piece("n", usualSpec("nonReturn"));
  expect(passes(flap)).toBe("f-");
  expect(passes(flap, { kind: "leaksBack", gearId: "n" })).toBe("fb");
  expect(passes(piece("g", usualSpec("airGap")))).toBe("f-");
  const on = state({ on: ["p"] });
  const membrane = piece("p", usualSpec("pump", { pump: "diaphragm" }));
  const wheel = piece("p", usualSpec("pump", { pump: "centrifugal" }));
  expect([passes(membrane), passes(membrane, null, on), passes(membrane, { kind: "leaksBack", gearId: "p" })]).toEqual([
    "f-",
    "f-!",
    "fb",
  ]);
  expect([passes(wheel), passes(wheel, null, on)]).toEqual(["fb", "fb!"]);
  expect(passes(piece("c", usualSpec("coupling")))).toBe("fb");
  // everything open lets through all that anything could, and nothing leaks back
  expect(ALL_OPEN.isOn("p") && ALL_OPEN.isTapOpen("t") && ALL_OPEN.isHalfWay("d")).toBe(true);
  expect([ALL_OPEN.leaksBack("n"), ALL_OPEN.isAirShut("l"), ALL_OPEN.positionOf(valve)]).toEqual([
    false,
    false,
    "open",
  ]);
});
