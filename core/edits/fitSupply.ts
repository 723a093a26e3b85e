import type { Design } from "../design/design";
import type { Edit } from "../design/editOps";
import { MOST_STATES } from "../design/gear";
import { roundTenth } from "../design/moves";
import { toNodes } from "../design/nodes";
import type { Fixture, FixtureKind } from "../design/plumbing";
import { listTrayRooms } from "../fit/floorRoom";
import { placeHoseEnd } from "../fit/lineLegs";
import { placeGearPort } from "../gear/gearPorts";
import { TAP_USE_OF } from "../gear/tapFixture";
import { listTapRuns, type TapRun } from "../gear/tapRuns";
import { USUAL_GEAR, usualSpec } from "../gear/usualGear";
import { type Vec3, vec } from "../geometry/vec";
import { type EditChain, startChain } from "./editChain";
import { leadFromRun } from "./leadFromRun";
import { leadToTaps, ON_FLOOR_MM, setBeside } from "./leadToTaps";
import { toGear } from "./putPiece";
import { listFitStopValve } from "./stopValve";
import { findFreshDraw } from "./toiletWater";

/** A tap over the rim, and a shower's head over its tray, mm [T]. */
const OVER_RIM_MM = 150;
const HEAD_MM = 1_500;
/** The strainer so far beside where the hose comes up: between the two stands the stop valve, mm [T]. */
const FROM_DRAW_MM = 220;
/** Under these a pump and what it wants stand in a cabinet. */
const OVER_PUMP: ReadonlySet<FixtureKind> = new Set(["kitchenSink", "basin"]);
/** So far beside the trap, mm [T]. */
const BESIDE_TRAP_MM = 180;

/** The fixtures over which a tap is wanted and none is yet; a tap that names no fixture counts as one over a fixture of its use. */
export function listUntapped({ fixtures, gear }: Pick<Design, "fixtures" | "gear">): Fixture[] {
  const taps = gear.flatMap(({ spec }) => (spec.kind === "tap" ? [spec] : []));
  const unsaid: string[] = taps.filter(({ fixtureId }) => fixtureId === null).map(({ use }) => use);
  return fixtures.filter(({ id, kind }) => {
    const use = TAP_USE_OF[kind];
    if (use === null || taps.some(({ fixtureId }) => fixtureId === id)) return false;
    const at = unsaid.indexOf(use);
    if (at >= 0) unsaid.splice(at, 1);
    return at < 0;
  });
}

/**
 * Edits that lay fresh water to a tap over every fixture that has none, cold water only, the better way first: from a tee at a tap that
 * is there, else from the fresh tank. Empty where no fixture wants a tap. Common practice, no source [T].
 */
export function listFitSupply(design: Design): (() => Edit)[] {
  const wanted = listUntapped(design);
  if (wanted.length === 0) return [];
  const [run] = listTapRuns(design).cold;
  if (run) return [() => buildMoreTaps(design, run, wanted)];
  return [true, false].map((isUnderSink) => () => buildFitSupply(design, wanted, isUnderSink));
}

/** Whether water that is laid to the taps has no tank to come from. */
export const wantsFreshTank = (design: Design): boolean =>
  listUntapped(design).length > 0 &&
  listTapRuns(design).cold.length === 0 &&
  design.tanks.every(({ holds }) => holds !== "fresh");

function buildMoreTaps(design: Design, run: TapRun, wanted: readonly Fixture[]): Edit {
  const chain = startChain(design);
  const taps = wanted.map((fixture) => ({ tapId: setTap(chain, fixture), name: fixture.name }));
  leadFromRun(chain, run, taps, { tee: (name) => `Tee to ${name}`, state: (name) => name });
  return { code: "fitSupply", at: { kind: "gear", id: taps[0]!.tapId }, ops: chain.ops() };
}

/*
 * From the fresh tank, one is hung where there is none, over a stop valve and a strainer to a pump with a pressure switch, and on by tees;
 * a working state for each tap. Pump and strainer stand where the hose comes up beside the tank, or under the nearest sink or basin, to which
 * the hose comes under the floor.
 */
function buildFitSupply(design: Design, wanted: readonly Fixture[], isUnderSink: boolean): Edit {
  const chain = startChain(design);
  const draw = findFreshDraw(chain);
  const fromMm = placeHoseEnd(chain.now(), draw);
  const sink = isUnderSink ? sortAlong(wanted, fromMm).find(({ kind }) => OVER_PUMP.has(kind)) : undefined;
  if (isUnderSink && !sink) return chain.refuse("there is no sink or basin");
  // away from a tray beside it: there the hose would come up where somebody stands
  const way = sink && isInTray(design, sink.outletMm, -1) ? 1 : -1;
  const beside = sink
    ? vec(sink.outletMm.x + way * BESIDE_TRAP_MM, sink.outletMm.y, ON_FLOOR_MM)
    : vec(fromMm.x + FROM_DRAW_MM, fromMm.y, ON_FLOOR_MM);
  const strainerId = setBeside(chain, "Fresh water strainer", usualSpec("strainer"), beside);
  const pumpId = setBeside(
    chain,
    "Fresh water pump",
    usualSpec("pump"),
    vec(beside.x - way * 120, beside.y, ON_FLOOR_MM),
  );
  const intoMm = placeGearPort(chain.now().gear.find(({ id }) => id === strainerId)!, "in");
  const upAt = (z: number) => roundTenth(vec(intoMm.x + way * FROM_DRAW_MM, intoMm.y, z));
  const under = sink ? { pointsMm: toNodes([upAt(fromMm.z), upAt(intoMm.z)]) } : {};
  const hoseId = chain.addHose(draw, toGear(strainerId, "in"), under);
  chain.addHose(toGear(strainerId, "out"), toGear(pumpId, "in"));
  const tapped = sortAlong(wanted, fromMm).map((fixture): Tapped => ({ fixture, tapId: setTap(chain, fixture) }));
  leadToTaps(
    chain,
    toGear(pumpId, "out"),
    tapped.map(({ fixture, tapId }) => ({ tapId, teeName: `Tee to ${fixture.name}` })),
  );
  nameStates(chain, pumpId, tapped);
  const [valve] = listFitStopValve(chain.now(), hoseId, draw.tankId, "Fresh water stop valve");
  chain.add(valve ?? null);
  return { code: "fitSupply", at: { kind: "gear", id: pumpId }, ops: chain.ops() };
}

const isInTray = (design: Design, { x, y }: Vec3, way: 1 | -1): boolean => {
  const atX = x + way * (BESIDE_TRAP_MM + FROM_DRAW_MM);
  return listTrayRooms(design).some(({ min, max }) => atX > min.x && atX < max.x && y > min.y && y < max.y);
};

// The nearest first, so that no hose goes back past a tap it has served.
const sortAlong = (fixtures: readonly Fixture[], { x, y }: Vec3): Fixture[] =>
  [...fixtures].sort((a, b) => away(a, x, y) - away(b, x, y));

const away = ({ outletMm }: Fixture, x: number, y: number): number => Math.hypot(outletMm.x - x, outletMm.y - y);

type Tapped = { readonly fixture: Fixture; readonly tapId: string };

function setTap(chain: EditChain, { id, name, kind, outletMm, rimMm }: Fixture): string {
  const use = TAP_USE_OF[kind] ?? "washing";
  const { sizeMm } = USUAL_GEAR.tap;
  const z = outletMm.z + (use === "shower" ? HEAD_MM : rimMm + OVER_RIM_MM);
  return chain.addGear(
    { key: `${id}-tap`, name: `${name} tap`.slice(0, 60), spec: usualSpec("tap", { use, fixtureId: id }) },
    roundTenth(vec(outletMm.x - sizeMm.x / 2, outletMm.y - sizeMm.y / 2, z)),
  );
}

function nameStates(chain: EditChain, pumpId: string, tapped: readonly Tapped[]): void {
  const add = (name: string, openTaps: string[]) =>
    chain.addState({ name: name.slice(0, 60), on: [pumpId], positions: [], openTaps });
  if (chain.now().states.length === 0) chain.addState({ name: "Standby", on: [], positions: [], openTaps: [] });
  if (chain.now().states.length + tapped.length <= MOST_STATES) {
    for (const { fixture, tapId } of tapped) add(fixture.name, [tapId]);
  } else {
    add(
      "Taps",
      tapped.map(({ tapId }) => tapId),
    );
  }
}
