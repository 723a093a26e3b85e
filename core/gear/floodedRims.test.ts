import fc from "fast-check";
import { readDemo } from "@/tests/demoRigs";
import { findAll } from "@/tests/findingEdges";
import { computeUp } from "../attitude/attitude";
import type { Design } from "../design/design";
import type { Gear, HoseEnd } from "../design/gear";
import type { Hose } from "../design/plumbing";
import { listParkedStandings } from "../evaluate/parkedAttitudes";
import { dot, subtract, vec } from "../geometry/vec";

// What sinks boats at their moorings: a hose that lets the sea in by itself, into a bowl or a box that is open.
// Common practice, no source: a vented loop 150 mm over the worst waterline, or a rim as high.

const boat = readDemo("otter-heads");
const at = (gearId: string, port: string): HoseEnd => ({ kind: "gear", gearId, port });
const anyHose = boat.lines.find((line): line is Hose => line.kind === "hose")!;
const lead = (id: string, from: HoseEnd, to: HoseEnd): Hose => ({ ...anyHose, id, name: id, from, to, pointsMm: [] });
const pick = (id: string, z: number): Gear => {
  const piece = boat.gear.find((one) => one.id === id)!;
  return { ...piece, atMm: { ...piece.atMm, z } };
};

/** A boat with the gear and hoses given and nothing else, in one state with everything off. */
const fitOut = (gear: readonly Gear[], lines: readonly Hose[]): Design => ({
  ...boat,
  fixtures: [],
  tanks: [],
  gear: [...gear],
  lines: [...lines],
  states: [{ id: "idle", name: "Idle", on: [], positions: [], openTaps: [] }],
});

/** Least height over the water at all she is judged at, worked out here by itself. */
function over(design: Design, p: { readonly x: number; readonly y: number; readonly z: number }): number {
  const { rig } = design;
  const middle = vec(rig.lengthMm / 2, 0, rig.waterlineZMm!);
  return Math.min(...listParkedStandings(rig).map(({ attitude }) => dot(computeUp(attitude), subtract(p, middle))));
}

const topOf = ({ atMm, sizeMm }: Gear) => vec(atMm.x, atMm.y + sizeMm.y / 2, atMm.z + sizeMm.z);
const rimOf = ({ atMm, sizeMm }: Gear) => vec(atMm.x + sizeMm.x / 2, atMm.y + sizeMm.y / 2, atMm.z + sizeMm.z);
const tailOf = ({ atMm, sizeMm }: Gear) => vec(atMm.x, atMm.y + sizeMm.y / 2, atMm.z + sizeMm.z / 2);

test("a bowl or a sump is told to let the sea in just where no loop and no rim stands high enough, and its fitting goes under", () => {
  const z = fc.integer({ min: -300, max: 700 });
  const met = { told: 0, noted: 0, silent: 0 };
  fc.assert(
    fc.property(
      fc.record({
        vessel: fc.constantFrom("bowl", "sump"),
        vesselZ: z,
        seaZ: z,
        loopZ: fc.option(z),
        isTurned: fc.boolean(),
      }),
      ({ vessel, vesselZ, seaZ, loopZ, isTurned }) => {
        const open = pick(vessel, vesselZ);
        const sea = pick("seacock", seaZ);
        const loop = loopZ === null ? null : pick("out-loop", loopZ);
        const port = vessel === "bowl" ? "waste" : "out";
        const own = at(vessel, port);
        const hoses = loop
          ? [lead("a", own, at("out-loop", "in")), lead("b", at("out-loop", "out"), at("seacock", "in"))]
          : [lead("a", own, at("seacock", "in"))];
        const lines = isTurned ? hoses.map((hose) => ({ ...hose, from: hose.to, to: hose.from })) : hoses;
        const design = fitOut(loop ? [open, sea, loop] : [open, sea], lines);
        const byLoop = loop !== null && over(design, topOf(loop)) >= 150;
        const canCome = over(design, tailOf(sea)) < 0 && over(design, rimOf(open)) < 150;
        const told = findAll(design, "seaComesIn");
        const where = { kind: "gear", id: vessel };
        // where a loop alone holds it, its air hole must stay open
        const wanted = byLoop ? [where, "note", "airShut"] : [where, "must", undefined];
        expect(told.map((f) => [f.at, f.severity, f.failure?.kind])).toEqual(canCome ? [wanted] : []);
        met[canCome ? (byLoop ? "noted" : "told") : "silent"] += 1;
      },
    ),
    { numRuns: 300 },
  );
  expect(met.told).toBeGreaterThan(20);
  expect(met.noted).toBeGreaterThan(10);
  expect(met.silent).toBeGreaterThan(20);
});

test("a pump that stands lets the sea back by its kind: a centrifugal one by itself, one by membranes when it leaks", () => {
  const through = (pump: "centrifugal" | "diaphragm") => {
    const piece = pick("sump-pump", -220);
    if (piece.spec.kind !== "pump") throw new Error("no pump");
    return fitOut(
      [pick("sump", -260), { ...piece, spec: { ...piece.spec, pump } }, pick("seacock", -80)],
      [lead("a", at("sump", "out"), at("sump-pump", "in")), lead("b", at("sump-pump", "out"), at("seacock", "in"))],
    );
  };
  const told = (design: Design) =>
    findAll(design, "seaComesIn").map(({ severity, failure }) => [severity, failure?.kind]);
  expect(told(through("centrifugal"))).toEqual([["must", undefined]]);
  expect(told(through("diaphragm"))).toEqual([["should", "leaksBack"]]);
});

test("a fitting that goes under only where she heels is as open as one that always is, and on land there is no sea", () => {
  const line = boat.rig.waterlineZMm!;
  const sea = pick("seacock", line + 10);
  const low = fitOut([pick("bowl", -300), sea], [lead("a", at("bowl", "waste"), at("seacock", "in"))]);
  expect(over(low, tailOf(sea))).toBeLessThan(0);
  expect(tailOf(sea).z).toBeGreaterThan(line);
  expect(findAll(low, "seaComesIn")).toHaveLength(1);
  expect(findAll({ ...low, rig: { ...low.rig, waterlineZMm: null } }, "seaComesIn")).toEqual([]);
});

test("a flush that a pump drives into a bowl is meant; over its loop the sea comes by itself once that has no air", () => {
  const design = fitOut(
    [pick("seacock", -80), pick("sump-pump", -220), pick("flush-loop", 900), pick("bowl", -300)],
    [
      lead("a", at("seacock", "in"), at("sump-pump", "in")),
      lead("b", at("sump-pump", "out"), at("flush-loop", "in")),
      lead("c", at("flush-loop", "out"), at("bowl", "flush")),
    ],
  );
  const state = { ...design.states[0]!, on: ["sump-pump"] };
  const told = findAll({ ...design, states: [state] }, "seaComesIn");
  expect(told.map(({ severity, failure }) => [severity, failure?.kind])).toEqual([["note", "airShut"]]);
});
