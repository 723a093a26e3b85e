import { readDemo } from "@/tests/demoRigs";
import type { Design } from "../design/design";
import type { Gear, GearSpec, HoseEnd } from "../design/gear";
import type { Hose } from "../design/plumbing";
import { buildGearGraph } from "./gearGraph";
import { listOverfills } from "./overfills";
import { usualSpec } from "./usualGear";

// What has no end fills a tank while nobody is by: the tap outside by itself, the sea by a pump that is no hand's.
// Common practice, no source.

const boat = readDemo("otter-heads");
const tank = boat.tanks.find(({ holds }) => holds === "black")!;
const anyHose = boat.lines.find((line): line is Hose => line.kind === "hose")!;
const at = (gearId: string, port: string): HoseEnd => ({ kind: "gear", gearId, port });
const into: HoseEnd = { kind: "tank", tankId: tank.id, portId: tank.ports[0]!.id };
const lead = (id: string, from: HoseEnd, to: HoseEnd): Hose => ({ ...anyHose, id, name: id, from, to, pointsMm: [] });
const pick = (id: string, change: Partial<GearSpec> = {}): Gear => {
  const piece = boat.gear.find((one) => one.id === id)!;
  return { ...piece, atMm: { ...piece.atMm, z: -100 }, spec: { ...piece.spec, ...change } as GearSpec };
};
const fitOut = (gear: readonly Gear[], lines: readonly Hose[], on: readonly string[] = []): Design => ({
  ...boat,
  fixtures: [],
  tanks: [tank],
  gear: [...gear],
  lines: [...lines],
  states: [{ id: "left", name: "Left", on: [...on], positions: [], openTaps: [] }],
});
const list = (design: Design, isAttended = false) =>
  listOverfills(design, buildGearGraph(design), () => isAttended).map(({ failure, tankId, isDriven }) => [
    failure?.kind ?? null,
    tankId,
    isDriven,
  ]);

const fromSea = (pump: "diaphragm" | "hand", on: readonly string[]) =>
  fitOut(
    [pick("seacock"), pick("sump-pump", { pump, timerS: null } as Partial<GearSpec>)],
    [lead("a", at("seacock", "in"), at("sump-pump", "in")), lead("b", at("sump-pump", "out"), into)],
    on,
  );

test("the sea fills a tank by a pump that runs, or that was left on, and never by a hand that stops", () => {
  expect(list(fromSea("diaphragm", ["sump-pump"]))).toContainEqual([null, tank.id, true]);
  expect(list(fromSea("diaphragm", []))).toEqual([["leftOn", tank.id, true]]);
  expect(list(fromSea("hand", ["sump-pump"]))).toEqual([]);
  expect(list(fromSea("hand", []))).toEqual([]);
  // with somebody by it is turned off
  expect(list(fromSea("diaphragm", ["sump-pump"]), true)).toEqual([]);
});

test("the tap outside fills it by itself as long as its hose is on, and a valve in between that is shut holds it unless it sticks", () => {
  const coupling: Gear = {
    ...pick("seacock"),
    id: "tap",
    spec: { kind: "coupling", supplyKPa: 300 },
    atMm: { x: 500, y: 500, z: 400 },
  };
  const hose = [lead("a", at("tap", "out"), into)];
  expect(list(fitOut([coupling], hose))).toContainEqual([null, tank.id, false]);
  // one that only lets water out has nothing behind it
  expect(list(fitOut([{ ...coupling, spec: { kind: "coupling", supplyKPa: null } }], hose))).toEqual([]);
  const valve: Gear = { ...coupling, id: "valve", spec: usualSpec("valve"), atMm: { x: 700, y: 500, z: 400 } };
  const shut = fitOut(
    [coupling, valve],
    [lead("a", at("tap", "out"), at("valve", "in")), lead("b", at("valve", "out"), into)],
  );
  expect(list(shut)).toEqual([["stuck", tank.id, false]]);
});
