import "../evaluate/fitted";
import { FIRST_RIGS, toFirst } from "@/tests/firstRigs";
import { listSteps, orderSteps } from "../build/steps";
import { listUncounted } from "../days/uncounted";
import { USUAL_MEASURES } from "../design/createDesign";
import type { Design } from "../design/design";
import type { RigKind } from "../design/rig";
import { listUntapped } from "../edits/fitSupply";
import { evaluate } from "../evaluate/evaluate";
import { findFixtureRoom, listTrayRooms } from "../fit/floorRoom";
import { toGearBlock } from "../gear/gearBlock";
import { areApart } from "../geometry/blocks";
import type { ToiletKind } from "../heads/toiletKinds";
import { countHoles } from "../through/fittings";
import { listHoles, toTailHoleId } from "../through/holes";
import { buildFirstRig } from "./firstRig";
import type { Wanted } from "./fitWanted";

const NAMES = { toilet: "Toilet", urineVessel: "Bottle", restVessel: "Bin", urineUse: "Urine", restUse: "Rest" };

const listAll = (toilet: ToiletKind): Wanted[] => [
  { what: "fixture", kind: "basin", name: "Basin" },
  { what: "fixture", kind: "showerTray", name: "Shower" },
  { what: "toilet", kind: toilet, names: NAMES, school: "tank" },
  { what: "supply" },
];

/** Afloat a bowl that is pumped, on land one over its tank. */
const listFor = (kind: RigKind): Wanted[] => listAll(kind === "boat" ? "handPump" : "gravity");

const built = new Map<string, Design>();

function build(kind: RigKind, isFull: boolean, wanted: readonly Wanted[]): Design {
  const key = JSON.stringify([kind, isFull, wanted]);
  const before = built.get(key);
  if (before) return before;
  const outcome = buildFirstRig(toFirst(kind, isFull), wanted);
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.faults));
  built.set(key, outcome.design);
  return outcome.design;
}

test.each(FIRST_RIGS)(
  "a %s, full underneath: %s: whole from the first measures, nothing is left to settle",
  (kind, isFull) => {
    const design = build(kind, isFull, listFor(kind));
    const { findings } = evaluate(design);
    // what nobody but the builder knows is asked for, and nothing else is left to regret
    const told = findings.flatMap(({ code, severity }) => (severity === "note" ? [] : [code]));
    expect([...new Set(told)]).toEqual(["fixingMissing"]);
    expect(design.fixtures.map(({ kind: one }) => one)).toEqual(
      kind === "boat"
        ? ["kitchenSink", "basin", "showerTray"]
        : ["kitchenSink", "basin", "showerTray", "gravityToilet"],
    );
    expect(design.tanks.map(({ holds }) => holds).sort()).toEqual(["black", "fresh", "grey"]);
    // water comes to every tap, and all of it is counted in the days
    expect(listUntapped(design)).toEqual([]);
    expect(listUncounted(design)).toEqual([]);
    for (const tank of design.tanks) {
      expect(design.lines.some((line) => line.kind === "vent" && line.fromTank === tank.id)).toBe(true);
    }
  },
);

test("nothing is set where something stands already: no tray under a sink", () => {
  for (const kind of ["van", "bus", "trailer", "boat"] as const) {
    const { fixtures } = build(kind, false, listFor(kind));
    const rooms = fixtures.map((one) => findFixtureRoom(one.kind, one.outletMm));
    const pairs = rooms.flatMap((a, i) => rooms.slice(i + 1).map((b) => areApart(a, b)));
    expect(pairs).toEqual(pairs.map(() => true));
  }
});

test("pump and strainer stand under a sink or basin, and nothing stands in a tray", () => {
  for (const [kind, isFull] of FIRST_RIGS) {
    const { gear, fixtures, lines } = build(kind, isFull, listFor(kind));
    const pump = gear.find(({ name }) => name === "Fresh water pump")!;
    const cabinets = fixtures.filter(({ kind: one }) => one === "kitchenSink" || one === "basin");
    const rooms = cabinets.map((one) => findFixtureRoom(one.kind, one.outletMm));
    expect(rooms.some((room) => !areApart(room, toGearBlock(pump)))).toBe(true);
    const inTrays = gear.filter(
      (piece) =>
        piece.spec.kind !== "tap" && listTrayRooms({ fixtures }).some((tray) => !areApart(tray, toGearBlock(piece))),
    );
    expect(inTrays.map(({ name }) => name)).toEqual([]);
    // the stop valve is where a hand gets at it
    const valve = gear.find(({ spec }) => spec.kind === "valve")!;
    expect(valve.atMm.z).toBeGreaterThanOrEqual(0);
    expect(lines.some((line) => line.kind === "hose" && line.to.kind === "gear" && line.to.gearId === pump.id)).toBe(
      true,
    );
  }
});

test("a trap that would end within the floor hangs under it, where it is reached, or is told with what helps", () => {
  const design = build("van", false, [{ what: "fixture", kind: "showerTray", name: "Shower" }]);
  const { findings, drains } = evaluate(design);
  const drain = drains.find(({ fixtureId }) => fixtureId === design.fixtures.at(-1)!.id)!;
  expect(drain.worst.inHandMm).toBeGreaterThan(0);
  expect(findings.find(({ code }) => code === "trapInFloor")?.severity).toBe("note");
  expect(findings.map(({ code }) => code)).not.toContain("trapUnreachable");
  // its tailpiece is a hole like the others: right under the outlet, round, drilled before the drain is laid
  const evaluation = evaluate(design);
  const holes = listHoles(design, evaluation);
  expect(countHoles(design, evaluation)).toBe(holes.length);
  const hole = holes.find(({ id }) => id === toTailHoleId(drain.lineId))!;
  const { x, y } = design.fixtures.at(-1)!.outletMm;
  expect(hole.facesMm[0]).toEqual({ x, y, z: 0 });
  expect(hole.lengthMm).toBe(hole.widthMm);
  expect(hole.widthMm).toBeGreaterThanOrEqual(40);
  const order = orderSteps(listSteps(design, evaluation));
  if (!order.ok) throw new Error(order.circle.join(", "));
  const at = (id: string) => order.steps.findIndex((step) => step.id === id);
  expect(at(`drillHole:${hole.id}`)).toBeGreaterThanOrEqual(0);
  expect(at(`drillHole:${hole.id}`)).toBeLessThan(at(`layDrain:${drain.lineId}`));
  // the sink's trap hangs over the floor and wants none
  expect(holes.filter(({ id }) => id.endsWith("-trap"))).toHaveLength(1);
});

test("it is told how far it is; the same is built twice; refused measures are refused", () => {
  const shares: number[] = [];
  const wanted = listAll("cassette");
  const first = buildFirstRig(toFirst("van", true), wanted, (share) => shares.push(share));
  expect(shares.length).toBeGreaterThan(4);
  expect(shares.at(-1)).toBeLessThanOrEqual(1);
  expect(buildFirstRig(toFirst("van", true), wanted)).toEqual(first);
  const bad = { ...toFirst("van", false), measures: { ...USUAL_MEASURES.van, floorLengthMm: -5 } };
  expect(buildFirstRig(bad, wanted).ok).toBe(false);
});
