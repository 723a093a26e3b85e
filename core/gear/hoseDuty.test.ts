import fc from "fast-check";
import { readDemo } from "@/tests/demoRigs";
import { begin, take } from "@/tests/fitting";
import { gearDesigns } from "@/tests/gearArbitraries";
import type { Design } from "../design/design";
import type { GearKind } from "../design/gear";
import { buildGearGraph, toPortNode } from "./gearGraph";
import { type HoseDuty, listHoseDuties } from "./hoseDuty";
import { toSetting } from "./settings";
import { solveFlows } from "./solveFlows";

function withHotWater(): Design {
  return take(take(begin("van", false), { what: "supply" }), { what: "hotWater" });
}

/** The duty of the hose at a port of the first piece of a kind. */
function dutyAt(design: Design, kind: GearKind, port: string): HoseDuty {
  const piece = design.gear.find(({ spec }) => spec.kind === kind)!;
  const hose = design.lines.find(
    (line) =>
      line.kind === "hose" &&
      [line.from, line.to].some((end) => end.kind === "gear" && end.gearId === piece.id && end.port === port),
  )!;
  return listHoseDuties(design).get(hose.id)!;
}

test("from the tank to the pump hose is sucked through, behind it pressed, behind the heater hot as well", () => {
  const design = withHotWater();
  const set = design.gear.find(({ spec }) => spec.kind === "relief")!;
  if (set.spec.kind !== "relief") throw new Error("no relief valve");
  expect(dutyAt(design, "valve", "in")).toEqual({
    pressed: null,
    isDrawn: true,
    isHot: false,
    isDrunk: true,
    flushedBy: null,
  });
  // the water that grows in the heater presses on the cold side as well, up to where its relief valve opens
  const cold = dutyAt(design, "pump", "out");
  expect([cold.pressed!.gearId, cold.isDrawn, cold.isHot, cold.isDrunk]).toEqual([set.id, false, false, true]);
  // 1 m of water is 9.8 kPa: pump and relief valve stand within a metre of one another
  expect(Math.abs(cold.pressed!.kPa - set.spec.setKPa)).toBeLessThan(9.81);
  for (const [kind, port, isHot] of [
    ["heater", "out", true],
    ["heater", "in", true],
    ["relief", "in", true],
    ["mixer", "out", true],
    ["mixer", "cold", false],
  ] as const) {
    const duty = dutyAt(design, kind, port);
    expect([kind, port, duty.isHot, duty.isDrunk, duty.pressed !== null]).toEqual([kind, port, isHot, true, true]);
  }
  const taps = design.gear.filter(({ spec }) => spec.kind === "tap");
  expect(taps.map(({ id }) => dutyAt({ ...design, gear: orderFirst(design.gear, id) }, "tap", "in").isHot)).toEqual(
    taps.map(({ id }) => id.endsWith("warm")),
  );
  // without the valve the pump alone is left to press
  const pump = design.gear.find(({ spec }) => spec.kind === "pump")!;
  if (pump.spec.kind !== "pump") throw new Error("no pump");
  const bare = {
    ...design,
    gear: design.gear.filter((piece) => piece !== set),
    lines: design.lines.filter(
      (line) =>
        line.kind !== "hose" || ![line.from, line.to].some((end) => end.kind === "gear" && end.gearId === set.id),
    ),
  };
  const { pressed } = dutyAt(bare, "pump", "out");
  expect([pressed!.gearId, pressed!.kPa]).toEqual([pump.id, pump.spec.cutOutKPa ?? pump.spec.shutOffKPa]);
});

const orderFirst = (gear: Design["gear"], id: string): Design["gear"] => [
  ...gear.filter((one) => one.id === id),
  ...gear.filter((one) => one.id !== id),
];

test("loop water is nobody's drink, and without a pump no hose is asked for anything but that", () => {
  const loop = readDemo("kranich-loop");
  const duties = listHoseDuties(loop);
  expect(duties.size).toBe(loop.lines.filter(({ kind }) => kind === "hose").length);
  // from the loop tank to its pump, and from the fresh tank to the other
  expect(duties.get("hose")).toEqual({ pressed: null, isDrawn: true, isHot: false, isDrunk: false, flushedBy: null });
  expect(duties.get("hose-12")).toEqual({ pressed: null, isDrawn: true, isHot: false, isDrunk: true, flushedBy: null });
  const still = {
    ...loop,
    gear: loop.gear.map((piece) =>
      piece.spec.kind === "pump"
        ? { ...piece, spec: { kind: "strainer" as const, dropKPa: 2, atLpm: 10, openingUm: 400 } }
        : piece,
    ),
  };
  for (const [id, { pressed, isDrawn, isHot }] of listHoseDuties(still)) {
    expect([id, pressed, isDrawn, isHot]).toEqual([id, null, false, false]);
  }
});

/** Water in a tank stands over its hose: so much of the pressure no pump makes, kPa. */
const HEAD_KPA = 25;

test("in no state does more stand in a hose than it is bought for, whatever is turned and however it is loaded", () => {
  fc.assert(
    fc.property(
      gearDesigns,
      fc.double({ min: 0, max: 1, noNaN: true }),
      fc.boolean(),
      ({ design, state }, load, isShut) => {
        const graph = buildGearGraph(design);
        const setting = toSetting(isShut ? { ...state, openTaps: [] } : state);
        const { nodes } = solveFlows(design, graph, setting, load);
        const kPaAt = new Map(nodes.map(({ id, kPa }) => [id, kPa]));
        for (const [id, { pressed, isDrawn }] of listHoseDuties(design)) {
          const link = graph.links.find((one) => one.id === id)!;
          const most = Math.max(kPaAt.get(link.from) ?? 0, kPaAt.get(link.to) ?? 0);
          expect([id, most <= (pressed?.kPa ?? 0) + HEAD_KPA]).toEqual([id, true]);
          expect(isDrawn && pressed !== null).toBe(false);
        }
      },
    ),
    { numRuns: 40 },
  );
});

test("waste of a toilet that pumps goes through each hose to its tank, and through none of water", () => {
  for (const name of ["lesesaal-heads", "otter-heads", "setzkasten"] as const) {
    const design = readDemo(name);
    const duties = listHoseDuties(design);
    const bowls = design.gear.filter(({ spec }) => spec.kind === "bowl");
    for (const { id, spec } of bowls) {
      const at = (port: string) =>
        design.lines.find(
          (line) =>
            line.kind === "hose" &&
            [line.from, line.to].some((end) => end.kind === "gear" && end.gearId === id && end.port === port),
        );
      const [out, flush] = [at("waste"), at("flush")];
      expect([name, out && duties.get(out.id)!.flushedBy]).toEqual([name, id]);
      // a vacuum draws, the others push
      expect(duties.get(out!.id)!.isDrawn).toBe(spec.kind === "bowl" && spec.bowl === "vacuum");
      if (flush) expect(duties.get(flush.id)!.flushedBy).toBeNull();
    }
    expect(bowls.length > 0).toBe([...duties.values()].some(({ flushedBy }) => flushedBy !== null));
    for (const { flushedBy, isDrunk } of duties.values()) expect(flushedBy !== null && isDrunk).toBe(false);
  }
});

test("what a tap outside presses with comes through a pump that stands", () => {
  const loop = readDemo("lesesaal-loop");
  const camp = loop.gear.find(({ spec }) => spec.kind === "coupling")!;
  const duties = listHoseDuties(loop);
  // up to its air gap, and not beyond
  const [before, behind] = [duties.get("hose-12")!, duties.get("hose-13")!];
  expect([before.pressed?.gearId, behind.pressed]).toEqual([camp.id, null]);
  expect(toPortNode(camp.id, "out")).toBe(buildGearGraph(loop).links.find(({ id }) => id === "hose-11")!.from);
});
