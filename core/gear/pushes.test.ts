import { readDemo } from "@/tests/demoRigs";
import type { Design } from "../design/design";
import type { Gear, SpecOf } from "../design/gear";
import type { Hose } from "../design/plumbing";
import { buildGearGraph } from "./gearGraph";
import { findHardest, listPushes, shiftKPa } from "./pushes";
import { buildArcs } from "./reach";
import { ALL_OPEN } from "./settings";
import { USUAL_GEAR } from "./usualGear";

const loop = readDemo("kranich-loop");
const like = loop.lines.find((line): line is Hose => line.kind === "hose")!;
const at = (gearId: string, port: string) => ({ kind: "gear" as const, gearId, port });
const piece = (id: string, kind: "pump" | "coupling" | "tap" | "tee", z: number): Gear => ({
  id,
  name: id,
  ...USUAL_GEAR[kind],
  sizeMm: { x: 40, y: 40, z: 40 },
  atMm: { x: 900, y: 0, z },
});

/** A pump and a tap outside come to a tee, and from there to a tap so much higher. */
function rig(supplyKPa: number | null, upMm: number, cutOutKPa: number | null = 310): Design {
  const pump = piece("pump", "pump", 0);
  const camp = piece("camp", "coupling", 0);
  return {
    ...loop,
    tanks: [],
    fixtures: [],
    states: [],
    gear: [
      { ...pump, spec: { ...(pump.spec as Extract<Gear["spec"], { kind: "pump" }>), shutOffKPa: 500, cutOutKPa } },
      { ...camp, spec: { kind: "coupling", supplyKPa } },
      piece("fork", "tee", 0),
      piece("tap", "tap", upMm),
    ],
    lines: [
      { ...like, id: "a", from: at("pump", "out"), to: at("fork", "a"), pointsMm: [] },
      { ...like, id: "b", from: at("camp", "out"), to: at("fork", "b"), pointsMm: [] },
      { ...like, id: "c", from: at("fork", "c"), to: at("tap", "in"), pointsMm: [] },
    ],
  };
}
const findAtTap = (design: Design) => {
  const pushes = listPushes(design.gear, buildArcs(buildGearGraph(design), ALL_OPEN));
  return findHardest(pushes, design.gear.find(({ id }) => id === "tap")!, "in");
};

test("the hardest of what comes to a port is told, less what stands between in height", () => {
  expect(findAtTap(rig(250, 0))).toMatchObject({ piece: { id: "pump" }, pushKPa: 310 });
  expect(findAtTap(rig(350, 0))).toMatchObject({ piece: { id: "camp" }, pushKPa: 350 });
  // with no switch all that it has
  expect(findAtTap(rig(350, 0, null))).toMatchObject({ piece: { id: "pump" }, pushKPa: 500 });
  // a tap outside that only lets water out pushes nothing
  expect(findAtTap(rig(null, 0))).toMatchObject({ piece: { id: "pump" } });
  // by hand: 1 m of water at 20 °C is 9.79 kPa
  expect(findAtTap(rig(350, 1_000))!.pushKPa).toBeCloseTo(350 - 9.789, 2);
});

/** A tap outside, an air gap where there is one, a pump and another pump, one before the other, and a tap on the last. */
function row(supplyKPa: number, switches: readonly (number | null)[], hasGap = false, isRing = false): Design {
  const pumps = switches.map((cutOutKPa, i) => {
    const pump = piece(`p${i}`, "pump", 0);
    return { ...pump, spec: { ...(pump.spec as SpecOf<"pump">), shutOffKPa: 200, cutOutKPa } };
  });
  const gap: Gear = { ...piece("gap", "tee", 0), spec: { kind: "airGap", gapMm: 30 } };
  const camp: Gear = { ...piece("camp", "coupling", 0), spec: { kind: "coupling", supplyKPa } };
  const way = [camp, ...(hasGap ? [gap] : []), ...pumps];
  const design = rig(null, 0);
  return {
    ...design,
    gear: [...way, piece("fork", "tee", 0), piece("tap", "tap", 0)],
    lines: [
      ...way.map((one, i) => ({
        ...like,
        id: `h${i}`,
        from: at(one.id, "out"),
        to: i + 1 < way.length ? at(way[i + 1]!.id, "in") : at("fork", "a"),
        pointsMm: [],
      })),
      { ...like, id: "last", from: at("fork", "b"), to: at("tap", "in"), pointsMm: [] },
      ...(isRing ? [{ ...like, id: "ring", from: at("fork", "c"), to: at("p0", "in"), pointsMm: [] }] : []),
    ],
  };
}

test("pumps in a row add up until a switch stops one, and hand on what comes harder; no pressure falls through air", () => {
  const push = (...given: Parameters<typeof row>) => findAtTap(row(...given))!.pushKPa;
  expect(push(100, [null])).toBeCloseTo(300, 1);
  expect(push(100, [null, null])).toBeCloseTo(500, 1);
  expect(push(100, [null, 400])).toBeCloseTo(400, 1);
  expect(push(100, [400, null])).toBeCloseTo(500, 1);
  expect(push(100, [250, null])).toBeCloseTo(450, 1);
  // harder than the switch of the last: it stays off and lets it through
  expect(push(350, [310])).toBeCloseTo(350, 1);
  expect(push(100, [null, 250])).toBeCloseTo(300, 1);
  expect(push(100, [null], true)).toBeCloseTo(200, 1);
  // led back to its own inlet it does not drive itself up for ever
  expect(push(100, [null, null], true, true)).toBeCloseTo(400, 1);
});

test("what is not joined pushes nothing, and taps and tees do not push", () => {
  const alone = { ...rig(350, 0), lines: [] };
  expect(findAtTap(alone)).toBeNull();
  expect(listPushes([piece("x", "tap", 0), piece("y", "tee", 0)], new Map())).toEqual([]);
});

test("so much lower is so much more", () => {
  const [high, low] = [piece("h", "tap", 2_000), piece("l", "tap", 0)];
  expect(shiftKPa(100, [high, "in"], [low, "in"])).toBeCloseTo(100 + 19.578, 2);
  expect(shiftKPa(100, [low, "in"], [high, "in"])).toBeCloseTo(100 - 19.578, 2);
});
