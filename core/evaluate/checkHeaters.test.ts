import "./fitted";
import fc from "fast-check";
import { readDemo } from "@/tests/demoRigs";
import { findAll } from "@/tests/findingEdges";
import { mustApply } from "@/tests/sharedAir";
import type { Design } from "../design/design";
import type { Gear } from "../design/gear";
import type { Hose } from "../design/plumbing";
import { USUAL_GEAR } from "../gear/usualGear";
import { proposeRemedies } from "../remedies/proposeRemedies";
import { evaluate } from "./evaluate";

const loop = readDemo("kranich-loop");
const at = (gearId: string, port: string) => ({ kind: "gear" as const, gearId, port });

type Heated = {
  readonly bearsKPa: number | null;
  /** Of a relief valve on a tee right before it; null where there is none. */
  readonly setKPa: number | null;
  readonly cutOutKPa: number;
  /** How much higher the heater stands than its relief valve and its pump, mm. */
  readonly upMm?: number;
};

/** The loop's van with a heater, and a relief valve on a tee before it, in the hose to its sink's tap. */
function heated({ bearsKPa, setKPa, cutOutKPa, upMm = 0 }: Heated): Design {
  const z = loop.gear.find(({ id }) => id === "freshpump")!.atMm.z;
  const piece = (id: string, kind: "tee" | "relief" | "heater", x: number, up = 0): Gear => ({
    id,
    name: id,
    ...USUAL_GEAR[kind],
    sizeMm: { x: 50, y: 50, z: 50 },
    atMm: { x, y: 600, z: z + up },
  });
  const heater = piece("heater", "heater", 900, upMm);
  const relief = piece("relief", "relief", 700);
  const hose = loop.lines.find(({ id }) => id === "hose-14") as Hose;
  const like = { ...hose, pointsMm: [] };
  return {
    ...loop,
    gear: [
      ...loop.gear.map((one) =>
        one.spec.kind === "pump" ? { ...one, spec: { ...one.spec, shutOffKPa: 700, cutInKPa: 10, cutOutKPa } } : one,
      ),
      { ...heater, spec: { kind: "heater", dropKPa: 5, atLpm: 10, litres: 10, watts: 500, bearsKPa } },
      ...(setKPa === null ? [] : [piece("rtee", "tee", 800), { ...relief, spec: { kind: "relief" as const, setKPa } }]),
    ],
    lines: [
      ...loop.lines.filter((line) => line !== hose),
      ...(setKPa === null
        ? [{ ...like, to: at("heater", "in") }]
        : [
            { ...like, to: at("rtee", "a") },
            { ...like, id: "to-heater", from: at("rtee", "b"), to: at("heater", "in") },
            { ...like, id: "to-relief", from: at("rtee", "c"), to: at("relief", "in") },
          ]),
      { ...like, id: "hot", from: at("heater", "out"), to: hose.to },
    ],
  };
}

const pressures = fc.integer({ min: 20, max: 700 });

test("what nobody read off a heater's plate is said not to be looked at; read, it is said no more", () => {
  for (const setKPa of [null, 400]) {
    expect(findAll(heated({ bearsKPa: null, setKPa, cutOutKPa: 310 }), "heaterUnrated")).toMatchObject([
      { severity: "note", at: { kind: "gear", id: "heater" } },
    ]);
    expect(findAll(heated({ bearsKPa: 600, setKPa, cutOutKPa: 310 }), "heaterUnrated")).toEqual([]);
  }
  const older = heated({ bearsKPa: null, setKPa: null, cutOutKPa: 310 });
  const gear = older.gear.map((piece) => {
    if (piece.spec.kind !== "heater") return piece;
    const { bearsKPa: _, ...spec } = piece.spec;
    return { ...piece, spec };
  });
  expect(findAll({ ...older, gear }, "heaterUnrated")).toHaveLength(1);
});

test("a relief valve that opens over what the heater bears is a must, by the height between; another valve settles it", () => {
  let told = 0;
  fc.assert(
    fc.property(pressures, pressures, fc.integer({ min: -400, max: 1_200 }), (bearsKPa, setKPa, upMm) => {
      const design = heated({ bearsKPa, setKPa, cutOutKPa: 15, upMm });
      // by hand: 1 m of water is 9.80665 kPa, less of it stands in what is higher
      const standsKPa = setKPa - upMm * 0.00980665;
      if (Math.abs(standsKPa - bearsKPa) < 1) return;
      const [finding] = findAll(design, "heaterPressed");
      expect(finding !== undefined).toBe(standsKPa > bearsKPa);
      if (!finding) return;
      told += 1;
      expect(finding).toMatchObject({ severity: "must", by: "relief", bearsKPa, otherId: "relief" });
      expect(Math.abs(finding.pressKPa - standsKPa)).toBeLessThan(0.5);
      const [remedy] = proposeRemedies(design, evaluate(design), finding);
      // valves are sold in steps of 50 kPa: under the least there is none
      if (!remedy) return expect(bearsKPa + upMm * 0.00980665).toBeLessThan(51);
      expect(findAll(mustApply(design, remedy.edit), "heaterPressed")).toEqual([]);
    }),
    { numRuns: 30 },
  );
  expect(told).toBeGreaterThan(10);
});

test("of two relief valves near a heater the one that opens first counts, whichever stands first", () => {
  const one = heated({ bearsKPa: 300, setKPa: 500, cutOutKPa: 15 });
  const relief = one.gear.find(({ id }) => id === "relief")!;
  const more = (setKPa: number, isFirst: boolean): Design => {
    const second: Gear = { ...relief, id: "second", name: "second", spec: { kind: "relief", setKPa } };
    const like = one.lines.find(({ id }) => id === "to-relief") as Hose;
    const hot = one.lines.find(({ id }) => id === "hot") as Hose;
    const fork = { ...one.gear.find(({ id }) => id === "rtee")!, id: "fork", name: "fork" };
    return {
      ...one,
      gear: isFirst ? [second, fork, ...one.gear] : [...one.gear, fork, second],
      lines: [
        ...one.lines.map((line) => (line === hot ? { ...hot, to: at("fork", "a") } : line)),
        { ...like, id: "on", from: at("fork", "b"), to: hot.to },
        { ...like, id: "to-second", from: at("fork", "c"), to: at("second", "in") },
      ],
    };
  };
  for (const isFirst of [true, false]) {
    expect(findAll(more(250, isFirst), "heaterPressed")).toEqual([]);
    expect(findAll(more(400, isFirst), "heaterPressed")).toMatchObject([{ otherId: "second" }]);
  }
});

test("with no relief valve near it is what pushes that must not be too much; a pump is let stop earlier", () => {
  fc.assert(
    fc.property(pressures, fc.integer({ min: 20, max: 690 }), (bearsKPa, cutOutKPa) => {
      const design = heated({ bearsKPa, setKPa: null, cutOutKPa });
      const [finding] = findAll(design, "heaterPressed");
      // both pumps come to it, one a little higher or lower than the other
      const most = Math.max(
        ...design.gear.flatMap(({ spec, atMm }) =>
          spec.kind === "pump"
            ? cutOutKPa + (atMm.z - design.gear.find(({ id }) => id === "heater")!.atMm.z) * 0.00980665
            : [],
        ),
      );
      if (Math.abs(most - bearsKPa) < 2) return;
      expect(finding !== undefined).toBe(most > bearsKPa);
      if (finding) expect(finding).toMatchObject({ by: "push", severity: "must" });
    }),
    { numRuns: 30 },
  );
});

test("the relief valve that one press fits opens under what the heater bears", () => {
  for (const [bearsKPa, setKPa] of [
    [null, 400],
    [600, 400],
    [330, 300],
  ] as const) {
    const design = heated({ bearsKPa, setKPa: null, cutOutKPa: 200 });
    const [finding] = findAll(design, "heaterUnrelieved");
    const [remedy] = proposeRemedies(design, evaluate(design), finding!);
    const after = mustApply(design, remedy!.edit);
    const fitted = after.gear.find(({ spec }) => spec.kind === "relief")!;
    expect(fitted.spec).toMatchObject({ setKPa });
    expect(findAll(after, "heaterPressed")).toEqual([]);
  }
});
