import type { Design } from "../design/design";
import type { Edit } from "../design/editOps";
import { freeId } from "../design/freeId";
import { type Gear, type GearOf, type HoseEnd, MOST_STATES, type WorkingState } from "../design/gear";
import { roundTenth } from "../design/moves";
import type { Fixture, FixtureKind } from "../design/plumbing";
import { placeGearPort } from "../gear/gearPorts";
import { findTapFixture } from "../gear/tapFixture";
import { listTapRuns, type WarmRun } from "../gear/tapRuns";
import { USUAL_GEAR, usualSpec } from "../gear/usualGear";
import { add, subtract, type Vec3, vec } from "../geometry/vec";
import { type EditChain, startChain } from "./editChain";
import { listFitMixer, listFitRelief } from "./heaterEdits";
import { leadFromRun } from "./leadFromRun";
import { leadToTaps, ON_FLOOR_MM, setBeside } from "./leadToTaps";
import { findHoseAt, putAtEnd, toGear } from "./putPiece";
import { placeClear, toUsual } from "./setDown";

/** A machine heats its own water, and nobody washes on deck with warm. */
const WANTS_WARM: ReadonlySet<FixtureKind> = new Set(["kitchenSink", "basin", "showerTray", "bath", "outsideShower"]);

/** The warm tap so far beside the cold one, and the tee before the pump's outlet, mm [T]. */
const TAP_APART_MM = 60;
const TEE_OFF_MM = 60;
/** Where the heater is tried, from the pump, mm. */
const AROUND: readonly Vec3[] = [vec(300, 0, 0), vec(-500, 0, 0), vec(0, 350, 0), vec(0, -350, 0)];

/** A cold tap with the fixture it stands over. */
type ColdTap = { readonly tap: GearOf<"tap">; readonly fixture: Fixture };

/** What pushes fresh water to taps, a pump or a tap outside, and the taps over which hot water is wanted. */
export type ColdSource = { readonly pushId: string; readonly name: string; readonly taps: readonly ColdTap[] };

/**
 * The pump or coupling that brings fresh water to most taps over which hot water is wanted; null where there is none, or where the
 * rig has a heater already. What a valve, a diverter or another pump parts is not counted.
 */
export function findColdSource(design: Design): ColdSource | null {
  if (design.gear.some(({ spec }) => spec.kind === "heater")) return null;
  const sources = listTapRuns(design).cold.map(({ push: { id, name }, taps }): ColdSource => {
    return { pushId: id, name, taps: listWanting(design, taps) };
  });
  return sources.filter(({ taps }) => taps.length > 0).sort((a, b) => b.taps.length - a.taps.length)[0] ?? null;
}

const listWanting = (design: Design, taps: readonly GearOf<"tap">[]): ColdTap[] =>
  taps.flatMap((tap): ColdTap[] => {
    const fixture = findTapFixture(design, tap);
    return fixture && WANTS_WARM.has(fixture.kind) ? [{ tap, fixture }] : [];
  });

/** A heater's run of warm taps, and the cold taps beside which one is wanted and none is yet. */
export type Unwarmed = { readonly run: WarmRun; readonly taps: readonly ColdTap[] };

/** Null where no heater serves a tap, or each fixture over which hot water is wanted has its warm tap. */
export function findUnwarmed(design: Design): Unwarmed | null {
  const { cold, warm } = listTapRuns(design);
  const [run] = warm;
  if (!run) return null;
  const warmed = new Set(warm.flatMap(({ taps }) => taps.map((tap) => findTapFixture(design, tap)?.id)));
  const taps = listWanting(
    design,
    cold.flatMap((one) => one.taps),
  ).filter(({ fixture }) => !warmed.has(fixture.id));
  return taps.length > 0 ? { run, taps } : null;
}

/**
 * Edits that give hot water to the taps of a rig that has cold: from a tee at the outlet of what pushes to a heater, with a relief valve right
 * before it and a mixer right behind, and on by tees to a warm tap beside each cold one, each in a working state of its own. One for
 * each place the heater is tried at. Where a heater serves taps already, one that leads its water on to a warm tap beside each cold one that has none.
 * Empty where there is no cold water to heat. Common practice, no source [T].
 */
export function listFitHotWater(design: Design): (() => Edit)[] {
  const source = findColdSource(design);
  if (source) return AROUND.map((aside) => () => buildFitHotWater(design, source, aside));
  const unwarmed = findUnwarmed(design);
  return unwarmed ? [() => buildMoreWarm(design, unwarmed)] : [];
}

function buildMoreWarm(design: Design, { run, taps }: Unwarmed): Edit {
  const chain = startChain(design);
  const warm = taps.map(({ tap, fixture }) => ({ tapId: setWarmTap(chain, tap, fixture), name: fixture.name }));
  leadFromRun(chain, run, warm, {
    tee: (name) => `Warm tee to ${name}`,
    state: (name) => `${name.slice(0, 50)}, warm`,
  });
  return { code: "fitHotWater", at: { kind: "gear", id: warm[0]!.tapId }, ops: chain.ops() };
}

function buildFitHotWater(design: Design, { pushId, taps }: ColdSource, aside: Vec3): Edit {
  const chain = startChain(design);
  const teeId = setTeeAt(chain, pushId);
  const push = chain.now().gear.find(({ id }) => id === pushId)!;
  const beside = add(push.atMm, aside);
  const heaterId = setBeside(chain, "Water heater", usualSpec("heater"), vec(beside.x, beside.y, ON_FLOOR_MM));
  chain.addHose(toGear(teeId, "c"), toGear(heaterId, "in"));
  const served = taps.map(({ tap, fixture }) => ({
    coldId: tap.id,
    tapId: setWarmTap(chain, tap, fixture),
    teeName: `Warm tee to ${fixture.name}`,
  }));
  leadToTaps(chain, toGear(heaterId, "out"), sortFrom(chain.now(), heaterId, served));
  chain.add(listFitMixer(chain.now(), heaterId, { tee: "Mixer tee", piece: "Mixer" })[0] ?? null);
  chain.add(listFitRelief(chain.now(), heaterId, { tee: "Relief tee", piece: "Relief valve" })[0] ?? null);
  openWarm(chain, served, pushId);
  return { code: "fitHotWater", at: { kind: "gear", id: heaterId }, ops: chain.ops() };
}

function setTeeAt(chain: EditChain, pushId: string): string {
  const design = chain.now();
  const end: HoseEnd = toGear(pushId, "out");
  const hose = findHoseAt(design, end)!;
  const outMm = placeGearPort(design.gear.find(({ id }) => id === pushId)!, "out");
  const spec = usualSpec("tee");
  const half = vec(0, USUAL_GEAR.tee.sizeMm.y / 2, USUAL_GEAR.tee.sizeMm.z / 2);
  const atMm = placeClear(design, toUsual(spec), roundTenth(subtract(add(outMm, vec(TEE_OFF_MM, 0, 0)), half)));
  const id = freeId("hot-water-tee", design.gear);
  const tee: Gear = { id, name: "Hot water tee", atMm, ...USUAL_GEAR.tee };
  chain.push(putAtEnd(design, hose, end, tee, ["a", "b"]));
  return id;
}

function setWarmTap(chain: EditChain, cold: GearOf<"tap">, { id, name }: Fixture): string {
  // what has stood hot in a tank is not for drinking
  const use = cold.spec.use === "drinking" ? "washing" : cold.spec.use;
  return chain.addGear(
    { key: `${id}-warm`, name: `${name} tap, warm`.slice(0, 60), spec: { ...cold.spec, use, fixtureId: id } },
    add(cold.atMm, vec(0, TAP_APART_MM, 0)),
  );
}

type Warm = { readonly coldId: string; readonly tapId: string; readonly teeName: string };

// The nearest to the heater first, so that no hose goes back past a tap it has served.
function sortFrom({ gear }: Design, heaterId: string, served: readonly Warm[]): Warm[] {
  const at = (id: string) => gear.find((piece) => piece.id === id)!.atMm;
  const { x, y } = at(heaterId);
  const away = ({ tapId }: Warm) => Math.hypot(at(tapId).x - x, at(tapId).y - y);
  return [...served].sort((a, b) => away(a) - away(b));
}

// As the cold one stands in a state, so the warm one in one of its own, where there is room for so many; else all together in one more, or
// in those of the cold ones. Where the pump rests, as in a drain-down, both stand open.
function openWarm(chain: EditChain, served: readonly Warm[], pushId: string): void {
  const states = chain.now().states;
  const warmOf = new Map(served.map(({ coldId, tapId }) => [coldId, tapId]));
  const toWarm = (openTaps: readonly string[]) => openTaps.flatMap((id) => warmOf.get(id) ?? []);
  const isPump = chain.now().gear.some(({ id, spec }) => id === pushId && spec.kind === "pump");
  // a tap outside presses with nothing on
  const isRest = ({ on }: WorkingState) => isPump && on.length === 0;
  const cold = states.filter((state) => !isRest(state) && toWarm(state.openTaps).length > 0);
  const isRoom = states.length + cold.length <= MOST_STATES;
  const isFull = states.length >= MOST_STATES;
  const opensBoth = (state: WorkingState) => isRest(state) || isFull;
  const value = states.map((state) =>
    opensBoth(state) ? { ...state, openTaps: [...state.openTaps, ...toWarm(state.openTaps)] } : state,
  );
  chain.push([{ op: "set", path: ["states"], value }]);
  if (isFull) return;
  const open = new Set<string>();
  for (const { id: _, ...state } of isRoom ? cold : []) {
    const openTaps = toWarm(state.openTaps).filter((id) => !open.has(id));
    if (openTaps.length === 0) continue;
    for (const id of openTaps) open.add(id);
    chain.addState({ ...state, name: `${state.name.slice(0, 50)}, warm`, openTaps });
  }
  const left = served.map(({ tapId }) => tapId).filter((id) => !open.has(id));
  if (left.length === 0 || chain.now().states.length >= MOST_STATES) return;
  const like = cold[0];
  chain.addState({
    name: "Warm taps",
    on: like?.on ?? (isPump ? [pushId] : []),
    positions: like?.positions ?? [],
    openTaps: left,
  });
}
