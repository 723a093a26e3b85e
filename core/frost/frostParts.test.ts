import { DEMO_NAMES, FURNISHED, HEADS_NAME, HEADS_NAMES, LOOP_NAMES, readDemo } from "@/tests/demoRigs";
import { mustApply } from "@/tests/sharedAir";
import type { Design } from "../design/design";
import { findSealMm } from "../design/lineItems";
import { evaluate } from "../evaluate/evaluate";
import { measureTrapL } from "../traps/trapVolume";
import { listDrainDown } from "./drainDown";
import { listFrostParts } from "./frostParts";
import { computeHeatCarriers } from "./heatCarriers";
import { listSpringUp } from "./springUp";

const colder = (design: Design, nightAir: number): Design => ({
  ...design,
  rules: { ...design.rules, limits: { ...design.rules.limits, nightAir } },
});
const partsOf = (design: Design, share = 0.5) => listFrostParts(design, evaluate(design), share);

test("on every rig the thin valve freezes before the tank, and the list stands in that order", () => {
  for (const name of [...DEMO_NAMES, FURNISHED] as const) {
    const parts = partsOf(colder(readDemo(name), -10));
    const hours = parts.map((part) => Number(part.hours.toFixed(6)));
    expect(hours).toEqual([...hours].sort((a, b) => a - b));
    expect(hours.every((h) => h > 0 && Number.isFinite(h))).toBe(true);
    const first = (kind: string) => parts.find((part) => part.kind === kind)!.hours;
    expect(first("valve")).toBeLessThan(first("tank"));
  }
});

// Computed from physics (the trade's handbook): a valve of 0.2 kg and 0.15 W/K from 10 °C at −10 °C takes 1.07 h; that
// of a 38 mm outlet holds half as much and loses two thirds as much.
test("Kranich's valve of 38 mm: 0.108 L, and 0.86 h until it is at freezing point", () => {
  const valve = partsOf(colder(readDemo("kranich"), -10)).find(({ kind }) => kind === "valve")!;
  expect(valve.litres).toBeCloseTo(0.1077, 3);
  expect(valve.hours).toBeCloseTo((0.1077 * 4186 * Math.LN2) / (9 * Math.PI * 0.038 * 0.095) / 3600, 2);
});

test("a colder night is quicker, a mild one freezes nothing, an empty tank is not on the list", () => {
  const design = readDemo("kranich");
  const hours = (airC: number) => partsOf(colder(design, airC)).map((part) => part.hours);
  hours(-20).forEach((h, i) => {
    expect(h).toBeLessThan(hours(-5)[i]!);
  });
  expect(hours(2)).toEqual([]);
  expect(partsOf(colder(design, -10), 0).some(({ kind }) => kind === "tank")).toBe(false);
});

test("draining down: outlets first, then what stays, then sags and traps; the valves are left open at the end", () => {
  for (const name of [...DEMO_NAMES, FURNISHED] as const) {
    const design = readDemo(name);
    const steps = listDrainDown(design, evaluate(design));
    const order = [
      "pumpOver",
      "openOutlet",
      "openTaps",
      "drainGear",
      "emptyHose",
      "mopTank",
      "emptySag",
      "treatTrap",
      "leaveOpen",
    ];
    const places = steps.map(({ kind }) => order.indexOf(kind));
    expect(places).toEqual([...places].sort((a, b) => a - b));
    expect(steps.filter(({ kind }) => kind === "openOutlet")).toHaveLength(design.tanks.length);
    expect(steps.at(-1)).toEqual({ kind: "leaveOpen" });
    const sealed = design.lines.filter((line) => line.kind === "drain" && findSealMm(line) !== null);
    expect(steps.filter(({ kind }) => kind === "treatTrap").length).toBeGreaterThanOrEqual(sealed.length);
  }
});

test("water that stays behind or lies in a sag is on the list with its litres", () => {
  const base = readDemo("kranich");
  const dumpAttitude = { pitchDeg: 4, rollDeg: 0 };
  const leaning = { ...base, rig: { ...base.rig, dumpAttitude } };
  const { leftL } = evaluate(leaning).tanks[0]!;
  expect(leftL).toBeGreaterThan(1);
  expect(listDrainDown(leaning, evaluate(leaning))).toContainEqual({ kind: "mopTank", tankId: "grey", litres: leftL });
  const drain = base.lines[0]!;
  const sagging = mustApply(base, {
    code: "change",
    at: { kind: "rig" },
    ops: [{ op: "set", path: ["lines", drain.id, "bendsMm", 1, "z"], value: -170 }],
  });
  expect(listDrainDown(sagging, evaluate(sagging)).some(({ kind }) => kind === "emptySag")).toBe(true);
  expect(partsOf(colder(sagging, -10)).some(({ kind }) => kind === "sag")).toBe(true);
});

// Worked by hand: 100 W over 1210 · 30 J/m³ are 2.755 L of air a second; over 3600 · 10 J/L they are 2.8 mL of glycol.
test("100 W come with 9.9 m³ of warm air an hour, or 0.17 L of glycol a minute; twice the watts, twice the flow", () => {
  const { airM3PerH, glycolLpm } = computeHeatCarriers(100);
  expect(airM3PerH).toBeCloseTo(9.92, 2);
  expect(glycolLpm).toBeCloseTo(0.167, 3);
  expect(computeHeatCarriers(200).airM3PerH).toBeCloseTo(2 * airM3PerH, 9);
});

test("what is pumped is emptied piece by piece, with its litres", () => {
  for (const name of [...LOOP_NAMES, HEADS_NAME, ...HEADS_NAMES] as const) {
    const design = readDemo(name);
    const steps = listDrainDown(design, evaluate(design));
    const drained = steps.flatMap((step) => (step.kind === "drainGear" ? [step.gearId] : []));
    const holding = design.gear.filter(({ spec }) =>
      ["filter", "accumulator", "pump", "uvLamp", "strainer", "heater", "sump", "bowl"].includes(spec.kind),
    );
    expect(drained).toEqual(holding.map(({ id }) => id));
    for (const step of steps) if ("litres" in step) expect(step.litres).toBeGreaterThan(0);
  }
});

test("the way back: closed before it is filled, every trap that was treated is filled, every outlet gets its bucket", () => {
  for (const name of [...DEMO_NAMES, FURNISHED, ...LOOP_NAMES, HEADS_NAME, ...HEADS_NAMES] as const) {
    const design = readDemo(name);
    const evaluation = evaluate(design);
    const [down, up] = [listDrainDown(design, evaluation), listSpringUp(design, evaluation)];
    const order = [
      "closeGear",
      "openSeacock",
      "turnBack",
      "shutTaps",
      "shutOutlet",
      "fuseIn",
      "sanitise",
      "heatLast",
      "fillTrap",
      "pourTrial",
      "dumpFirst",
    ];
    const places = up.map(({ kind }) => order.indexOf(kind));
    expect(places).toEqual([...places].sort((a, b) => a - b));
    const treated = down.flatMap((step) => (step.kind === "treatTrap" ? [step] : []));
    const filled = up.flatMap((step) => (step.kind === "fillTrap" ? [step] : []));
    expect(filled.map(({ lineId, inLine }) => [lineId, inLine])).toEqual(
      treated.map(({ lineId, inLine }) => [lineId, inLine]),
    );
    // what pushes it out is more than what stands in it
    for (const [i, { litres }] of filled.entries()) expect(treated[i]!.litres).toBeGreaterThan(litres);
    expect(down.flatMap((step) => (step.kind === "drainGear" ? [step.gearId] : []))).toEqual(
      up.flatMap((step) => (step.kind === "closeGear" ? [step.gearId] : [])),
    );
    expect(up.filter(({ kind }) => kind === "pourTrial")).toHaveLength(design.fixtures.length);
  }
});

// Worked by hand: a bore of 40 mm, 2 · 50 + 90 + 40 mm of it, is 0.289 L.
test("a trap of 40 mm with 50 mm of seal holds 0.29 L; one without water none", () => {
  expect(measureTrapL({ sealMm: 50, spanMm: 90 }, 40)).toBeCloseTo(0.289, 3);
  expect(measureTrapL({ sealMm: 0, spanMm: 90 }, 40)).toBe(0);
});

test("a tank over the floor, and its valve, stay as warm as the room", () => {
  const design = readDemo("kranich");
  const raised = { ...design, tanks: design.tanks.map((tank) => ({ ...tank, atMm: { ...tank.atMm, z: 20 } })) };
  const kinds = (of: Design) => partsOf(of).map(({ kind }) => kind);
  expect(kinds(design)).toEqual(expect.arrayContaining(["tank", "valve"]));
  expect(kinds(raised).filter((kind) => kind === "tank" || kind === "valve")).toEqual([]);
});
