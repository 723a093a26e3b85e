import "./fitted";
import fc from "fast-check";
import { readDemo } from "@/tests/demoRigs";
import { findAll } from "@/tests/findingEdges";
import { mustApply } from "@/tests/sharedAir";
import { listGoods } from "../build/goods";
import type { Design } from "../design/design";
import type { Gear } from "../design/gear";
import type { Hose } from "../design/plumbing";
import { USUAL_GEAR } from "../gear/usualGear";
import { proposeRemedies } from "../remedies/proposeRemedies";
import { DRIPS_AT } from "./checkReliefs";
import { evaluate } from "./evaluate";

const loop = readDemo("kranich-loop");
const isPump = ({ spec }: Gear) => spec.kind === "pump";

/** The loop's van with a relief valve on a tee in the hose to its sink's tap, so much over its pump, mm. */
function relieved({
  setKPa,
  cutOutKPa,
  upMm = 0,
}: {
  setKPa: number;
  cutOutKPa: number | null;
  upMm?: number;
}): Design {
  const pump = loop.gear.find(({ id }) => id === "freshpump")!;
  const tee: Gear = { id: "rtee", name: "Relief tee", ...USUAL_GEAR.tee, atMm: { x: 900, y: 600, z: 20 } };
  const z = pump.atMm.z + upMm;
  const valve: Gear = { id: "relief", name: "Relief", ...USUAL_GEAR.relief, atMm: { x: 900, y: 700, z } };
  const hose = loop.lines.find(({ id }) => id === "hose-14") as Hose;
  const at = (gearId: string, port: string) => ({ kind: "gear" as const, gearId, port });
  return {
    ...loop,
    gear: [
      ...loop.gear.map((one) => (one.spec.kind === "pump" ? { ...one, spec: { ...one.spec, cutOutKPa } } : one)),
      tee,
      { ...valve, spec: { kind: "relief", setKPa } },
    ],
    lines: [
      ...loop.lines.filter((line) => line !== hose),
      { ...hose, to: at("rtee", "a"), pointsMm: [] },
      { ...hose, id: "to-tap", from: at("rtee", "b"), pointsMm: [] },
      { ...hose, id: "to-relief", from: at("rtee", "c"), to: at("relief", "in"), pointsMm: [] },
    ],
  };
}

test("a relief valve is told of from nine tenths of what it is set to, by what the pump brings up to it at its height", () => {
  const pressures = fc.integer({ min: 20, max: 800 });
  let told = 0;
  fc.assert(
    fc.property(
      pressures,
      fc.option(pressures, { freq: 4 }),
      fc.integer({ min: -500, max: 1500 }),
      (setKPa, cutOutKPa, upMm) => {
        const design = relieved({ setKPa, cutOutKPa, upMm });
        // by hand: 1 m of water is 9.80665 kPa; the ports stand at the pieces' own heights, and both pumps come to it
        const [finding] = findAll(design, "reliefRuns");
        const relief = design.gear.find(({ id }) => id === "relief")!;
        const aboutKPa = Math.max(
          ...design.gear.flatMap(({ spec, atMm }) =>
            spec.kind === "pump"
              ? Math.min(spec.cutOutKPa ?? Infinity, spec.shutOffKPa) + (atMm.z - relief.atMm.z) * 0.00980665
              : [],
          ),
        );
        const edge = Math.abs(aboutKPa - DRIPS_AT * setKPa);
        // half a piece's height is between a piece and its port
        if (edge < 2) return;
        expect(finding !== undefined).toBe(aboutKPa > DRIPS_AT * setKPa);
        if (!finding) return;
        told += 1;
        expect(finding).toMatchObject({ setKPa, severity: "should" });
        expect(Math.abs(finding.pushKPa - aboutKPa)).toBeLessThan(2);
        const [remedy] = proposeRemedies(design, evaluate(design), finding);
        if (!remedy) return expect(finding.pushKPa / DRIPS_AT).toBeGreaterThan(400);
        expect(findAll(mustApply(design, remedy.edit), "reliefRuns")).toEqual([]);
      },
    ),
    { numRuns: 40 },
  );
  expect(told).toBeGreaterThan(10);
});

/** The same with a tap outside in place of its sink's. */
function fedByCamp(design: Design): Design {
  const camp: Gear = { id: "camp", name: "Camp tap", ...USUAL_GEAR.coupling, atMm: { x: 900, y: 650, z: 20 } };
  return {
    ...design,
    gear: [...design.gear, { ...camp, spec: { kind: "coupling", supplyKPa: 350 } }],
    lines: design.lines.map((line) =>
      line.id === "to-tap" ? { ...(line as Hose), to: { kind: "gear", gearId: "camp", port: "out" } } : line,
    ),
  };
}

test("what does not push on it says nothing: pumps that draw there, or nothing joined; a tap outside does", () => {
  const design = relieved({ setKPa: 60, cutOutKPa: 310 });
  expect(findAll(design, "reliefRuns")).toHaveLength(1);
  const pumps = new Set(design.gear.filter(isPump).map(({ id }) => id));
  const turned: Design = {
    ...design,
    lines: design.lines.map((line) => {
      if (line.kind !== "hose") return line;
      const swap = (end: Hose["from"]): Hose["from"] =>
        end.kind === "gear" && pumps.has(end.gearId) ? { ...end, port: end.port === "in" ? "out" : "in" } : end;
      return { ...line, from: swap(line.from), to: swap(line.to) };
    }),
  };
  expect(findAll(turned, "reliefRuns")).toEqual([]);
  const without: Design = { ...design, lines: design.lines.filter(({ id }) => id !== "to-relief") };
  expect(findAll(without, "reliefRuns")).toEqual([]);
  // of what pushes the hardest is named
  expect(findAll(fedByCamp(design), "reliefRuns")).toMatchObject([{ otherId: "camp", otherName: "Camp tap" }]);
});

test("a relief valve that a tap outside opens keeps shut behind a reducer, which is bought with it", () => {
  const fed = fedByCamp(relieved({ setKPa: 200, cutOutKPa: 100 }));
  const [told] = findAll(fed, "reliefRuns");
  const held = proposeRemedies(fed, evaluate(fed), told!).find(({ edit }) => edit.code === "fitReducer");
  const mended = mustApply(fed, held!.edit);
  const { spec } = mended.gear.find(({ id }) => id === "camp")!;
  expect(spec).toMatchObject({ supplyKPa: 350, reducedToKPa: expect.any(Number) });
  expect(findAll(mended, "reliefRuns")).toEqual([]);
  expect(listGoods(mended, evaluate(mended)).filter(({ ware }) => ware.kind === "reducer")).toMatchObject([
    { ware: { kPa: spec.kind === "coupling" && spec.reducedToKPa }, amount: 1, assembly: { id: "camp" } },
  ]);
  expect(listGoods(fed, evaluate(fed)).filter(({ ware }) => ware.kind === "reducer")).toEqual([]);
});
