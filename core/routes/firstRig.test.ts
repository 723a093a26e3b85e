import "../evaluate/fitted";
import { FIRST_RIGS, toFirst } from "@/tests/firstRigs";
import { listUncounted } from "../days/uncounted";
import { USUAL_MEASURES } from "../design/createDesign";
import type { Design } from "../design/design";
import type { RigKind } from "../design/rig";
import { listUntapped } from "../edits/fitSupply";
import { evaluate } from "../evaluate/evaluate";
import { areApart } from "../geometry/blocks";
import type { ToiletKind } from "../heads/toiletKinds";
import { buildFirstRig } from "./firstRig";
import type { Wanted } from "./fitWanted";
import { findFixtureRoom } from "./floorRoom";

const NAMES = { toilet: "Toilet", urineVessel: "Bottle", restVessel: "Bin", urineUse: "Urine", restUse: "Rest" };

const listAll = (toilet: ToiletKind): Wanted[] => [
  { what: "fixture", kind: "basin", name: "Basin" },
  { what: "fixture", kind: "showerTray", name: "Shower" },
  { what: "toilet", kind: toilet, names: NAMES, school: "tank" },
  { what: "supply" },
];

function build(kind: RigKind, isFull: boolean, wanted: readonly Wanted[]): Design {
  const outcome = buildFirstRig(toFirst(kind, isFull), wanted);
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.faults));
  return outcome.design;
}

test.each(FIRST_RIGS)(
  "a %s, full underneath: %s: whole from the first measures, nothing is left to settle",
  (kind, isFull) => {
    const design = build(kind, isFull, listAll(kind === "boat" ? "handPump" : "gravity"));
    const { findings } = evaluate(design);
    expect(findings.filter(({ severity }) => severity === "must")).toEqual([]);
    // what nobody but the builder knows is asked for
    expect(findings.map(({ code }) => code)).toContain("fixingMissing");
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
    const { fixtures } = build(kind, false, listAll("cassette"));
    const rooms = fixtures.map((one) => findFixtureRoom(one.kind, one.outletMm));
    const pairs = rooms.flatMap((a, i) => rooms.slice(i + 1).map((b) => areApart(a, b)));
    expect(pairs).toEqual(pairs.map(() => true));
  }
});

test("a trap that would end within the floor hangs under it, where it is reached, or is told with what helps", () => {
  const design = build("van", false, [{ what: "fixture", kind: "showerTray", name: "Shower" }]);
  const { findings, drains } = evaluate(design);
  const drain = drains.find(({ fixtureId }) => fixtureId === design.fixtures.at(-1)!.id)!;
  expect(drain.worst.inHandMm).toBeGreaterThan(0);
  expect(findings.find(({ code }) => code === "trapInFloor")?.severity).toBe("note");
  expect(findings.map(({ code }) => code)).not.toContain("trapUnreachable");
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
