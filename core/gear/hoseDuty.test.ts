import fc from "fast-check";
import { ALL_DEMOS, readDemo } from "@/tests/demoRigs";
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

/** A hose of which nothing is asked. */
const NOTHING: HoseDuty = {
  pressed: null,
  isDrawn: false,
  isHot: false,
  isDrunk: false,
  isSewage: false,
  flushedBy: null,
};

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
    ...NOTHING,
    isDrawn: true,
    isDrunk: true,
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
  expect(duties.get("hose")).toEqual({
    ...NOTHING,
    isDrawn: true,
  });
  expect(duties.get("hose-12")).toEqual({
    ...NOTHING,
    isDrawn: true,
    isDrunk: true,
  });
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

/** Whether it draws at its waste and at its flush, and whether its own pump sends. */
const BOWLS = [
  ["handPump", false, true, true],
  ["macerating", false, true, true],
  ["vacuum", true, false, true],
  ["gravity", false, false, false],
] as const;

test.each(BOWLS)(
  "%s: its waste goes through each hose to its tank, and through none of water",
  (bowl, waste, flush, sends) => {
    for (const name of ["otter-heads", "setzkasten"] as const) {
      const demo = readDemo(name);
      const gear = demo.gear.map((piece) =>
        piece.spec.kind === "bowl" ? { ...piece, spec: { ...piece.spec, bowl } } : piece,
      );
      const design = { ...demo, gear };
      const { id } = gear.find(({ spec }) => spec.kind === "bowl")!;
      const [out, into] = [dutyAt(design, "bowl", "waste"), dutyAt(design, "bowl", "flush")];
      expect([out.isSewage, out.isDrawn, out.flushedBy]).toEqual([true, waste, sends ? id : null]);
      expect([into.isSewage, into.isDrawn, into.flushedBy]).toEqual([false, flush, null]);
      const all = [...listHoseDuties(design).values()];
      expect(all.filter(({ isSewage }) => isSewage).length).toBeGreaterThan(3);
      for (const { flushedBy, isSewage, isDrunk } of all) {
        expect([flushedBy !== null && !isSewage, isSewage && isDrunk]).toEqual([false, false]);
      }
    }
  },
);

test("what leaves a black tank is sewage, and a station's hose draws through all of its pump-out", () => {
  let decks = 0;
  for (const design of ALL_DEMOS) {
    const duties = listHoseDuties(design);
    const holds = new Map(design.tanks.map(({ id, holds: water }) => [id, water]));
    const isDeck = new Set(design.gear.flatMap(({ id, spec }) => (spec.kind === "deckFitting" ? [id] : [])));
    for (const line of design.lines) {
      if (line.kind !== "hose") continue;
      const { isSewage, isDrawn, pressed } = duties.get(line.id)!;
      if (line.from.kind === "tank" && holds.get(line.from.tankId) === "black") {
        expect([design.id, line.id, isSewage]).toEqual([design.id, line.id, true]);
      }
      if ([line.from, line.to].some((end) => end.kind === "gear" && isDeck.has(end.gearId))) {
        expect([design.id, line.id, isDrawn || pressed !== null]).toEqual([design.id, line.id, true]);
        decks += 1;
      }
    }
  }
  expect(decks).toBeGreaterThan(2);
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
