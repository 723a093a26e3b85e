import { createPort } from "../design/createPort";
import type { Design } from "../design/design";
import type { Edit, EditOp } from "../design/editOps";
import { freeId } from "../design/freeId";
import type { Gear, GearKind, GearSpec, HoseEnd, WorkingState } from "../design/gear";
import type { Hose, Tank } from "../design/plumbing";
import { fillShelf, type Lack } from "../gear/shelf";
import { USUAL_GEAR, usualSpec } from "../gear/usualGear";
import { measureExtent } from "../geometry/solid";
import { type Vec3, vec } from "../geometry/vec";
import { buildDrawDrain, buildRedirect } from "./drainEdits";
import { type EditChain, startChain, toIdWord, type WantedPiece } from "./editChain";
import { hangTank } from "./hangTank";
import { chooseHosePipe } from "./hosePipe";
import { placeClear } from "./setDown";
import { buildAddTank } from "./tankEdits";
import { buildAddVent } from "./ventEdits";

/** How fresh water gets into the loop: falling through air, or through one motor valve from the fresh side. */
export const LOOP_SCHOOLS = ["airGap", "motorValve"] as const;
export type LoopSchool = (typeof LOOP_SCHOOLS)[number];

export type LoopPlan = {
  readonly edit: Edit;
  /** What does not fit into the cabinet; empty without one. */
  readonly lacks: readonly Lack[];
};

/** The shower's head over its tray, mm [T]. */
const HEAD_MM = 1_500;
/** Gear that has no cabinet: so far from the tray's drain, over the floor, and over what is opened below it, mm [T]. */
const BESIDE_MM = 520;
const ON_FLOOR_MM = 40;
const FOOT_MM = 20;

/**
 * Edit that makes a shower use its water again: a loop tank under it with breather, the drain led there, strainer, pump,
 * accumulator, three filters, lamp, non-return and head, hoses between them, and the states one works in. Gear stands in
 * the cabinet given, or on the floor beside the fixture. Null where the fixture is not there.
 */
export function buildLoop(
  design: Design,
  fixtureId: string,
  school: LoopSchool,
  cabinetId: string | null,
): LoopPlan | null {
  const fixture = design.fixtures.find(({ id }) => id === fixtureId);
  if (!fixture) return null;
  const builder = startChain(design);
  builder.add(buildAddTank(builder.now(), "loop", "Loop tank", fixture.outletMm));
  const tankId = builder.now().tanks.at(-1)!.id;
  const loop = addHosePorts(builder, tankId);
  builder.add(buildAddVent(builder.now(), builder.now().tanks.find(({ id }) => id === tankId)!));
  leadDrain(builder, fixtureId, tankId);
  const fresh = school === "motorValve" ? findFresh(builder) : null;
  const pieces = listPieces(school, fixtureId);
  const cabinet = design.obstacles.find(({ id }) => id === cabinetId) ?? null;
  const shelved = pieces.filter(({ key }) => key !== "head" && key !== "sinkTap");
  const shelf =
    cabinet &&
    fillShelf(
      cabinet,
      shelved.map((piece) => ({ ...piece, ...USUAL_GEAR[piece.spec.kind] })),
    );
  const ids = new Map<string, string>();
  for (const piece of pieces) {
    const at = shelved.indexOf(piece);
    const atMm =
      shelf && at >= 0
        ? shelf.places[at]!
        : at < 0
          ? vec(fixture.outletMm.x, fixture.outletMm.y, fixture.outletMm.z + HEAD_MM)
          : placeBeside(builder.now(), fixture.outletMm, piece.spec);
    ids.set(piece.key, builder.addGear(piece, atMm));
  }
  const at = (key: string, port: string): HoseEnd => ({ kind: "gear", gearId: ids.get(key)!, port });
  const drawn: HoseEnd = { kind: "tank", tankId, portId: loop.drawId };
  const joints: [HoseEnd, HoseEnd][] = [
    [drawn, at("strainer", "in")],
    [at("strainer", "out"), at("pump", "in")],
    [at("pump", "out"), at("tee", "a")],
    [at("tee", "c"), at("accumulator", "in")],
  ];
  const chain = ["coarse", "fine", "carbon", "lamp", "guard"] as const;
  let last = at("tee", "b");
  if (fresh) {
    joints.push([last, at("cross", "a")]);
    last = at("cross", "b");
  }
  for (const key of chain) {
    joints.push([last, at(key, "in")]);
    last = at(key, "out");
  }
  joints.push([last, at("head", "in")]);
  if (fresh) {
    joints.push(
      [{ kind: "tank", tankId: fresh.tankId, portId: fresh.drawId }, at("freshPump", "in")],
      [at("freshPump", "out"), at("freshTee", "a")],
      [at("freshTee", "b"), at("sinkTap", "in")],
      [at("freshTee", "c"), at("motorValve", "in")],
      [at("motorValve", "out"), at("cross", "c")],
    );
  } else {
    joints.push(
      [at("camp", "out"), at("fillValve", "in")],
      [at("fillValve", "out"), at("gap", "in")],
      [at("gap", "out"), { kind: "tank", tankId, portId: loop.fillId }],
    );
  }
  for (const [from, to] of joints) builder.addHose(from, to);
  for (const state of listStates(school, ids)) builder.addState(state);
  return {
    edit: { code: "addLoop", at: { kind: "tank", id: tankId }, ops: builder.ops() },
    lacks: shelf?.lacks ?? [],
  };
}

function listPieces(school: LoopSchool, fixtureId: string): WantedPiece[] {
  const of = (key: string, name: string, spec: GearSpec): WantedPiece => ({ key, name, spec });
  const common = [
    of("strainer", "Hair strainer", usualSpec("strainer")),
    of("pump", "Loop pump", usualSpec("pump")),
    of("tee", "Tee to the accumulator", usualSpec("tee")),
    of("accumulator", "Accumulator", usualSpec("accumulator")),
    of("coarse", "Filter 20 µm", usualSpec("filter", { micron: 20 })),
    of("fine", "Filter 5 µm", usualSpec("filter", { micron: 5 })),
    of("carbon", "Carbon 1 µm", usualSpec("filter", { micron: 1, medium: "carbon", cleanKPa: 15, loadedKPa: 80 })),
    of("lamp", "UV lamp", usualSpec("uvLamp")),
    of("guard", "Non-return", usualSpec("nonReturn")),
    of("head", "Shower head", usualSpec("tap", { use: "shower", fixtureId })),
  ];
  if (school === "airGap") {
    return [
      ...common,
      of("camp", "Camp hose", usualSpec("coupling")),
      of("fillValve", "Filling valve", usualSpec("valve")),
      of("gap", "Air gap", usualSpec("airGap")),
    ];
  }
  return [
    ...common,
    of("cross", "Tee of the two waters", usualSpec("tee")),
    of("freshPump", "Fresh water pump", usualSpec("pump")),
    of("freshTee", "Tee to the tap", usualSpec("tee")),
    of("sinkTap", "Drinking tap", usualSpec("tap", { use: "drinking" })),
    of("motorValve", "Motor valve", usualSpec("valve", { drive: "motor", atRest: "stays" })),
  ];
}

// On the floor beside the tray, high enough to be opened from below, clear of what is there.
function placeBeside(design: Design, { x, y }: Vec3, spec: GearSpec): Vec3 {
  const inward = y > 0 ? -1 : 1;
  const usual = USUAL_GEAR[spec.kind];
  const wanted = vec(
    x,
    y + inward * BESIDE_MM - usual.sizeMm.y / 2,
    Math.max(ON_FLOOR_MM, usual.openBelowMm + FOOT_MM),
  );
  return placeClear(design, { spec, sizeMm: usual.sizeMm }, wanted);
}

type StateWords = Omit<WorkingState, "id">;

function listStates(school: LoopSchool, ids: ReadonlyMap<string, string>): StateWords[] {
  const id = (key: string) => ids.get(key)!;
  const rest: StateWords = { name: "Standby", on: [], positions: [], openTaps: [] };
  const shower: StateWords = {
    name: "Shower from the loop",
    on: [id("pump"), id("lamp")],
    positions: [],
    openTaps: [id("head")],
  };
  if (school === "airGap") {
    return [
      rest,
      shower,
      { name: "Refill", on: [], positions: [{ gearId: id("fillValve"), at: "open" }], openTaps: [] },
      { name: "Winter", on: [], positions: [{ gearId: id("fillValve"), at: "open" }], openTaps: [id("head")] },
    ];
  }
  return [
    rest,
    { name: "Sink", on: [id("freshPump")], positions: [], openTaps: [id("sinkTap")] },
    shower,
    {
      name: "Refill",
      on: [id("freshPump")],
      positions: [{ gearId: id("motorValve"), at: "open" }],
      openTaps: [id("head")],
    },
    {
      name: "Winter",
      on: [],
      positions: [{ gearId: id("motorValve"), at: "open" }],
      openTaps: [id("head"), id("sinkTap")],
    },
  ];
}

function addHosePorts(builder: EditChain, tankId: string): { readonly drawId: string; readonly fillId: string } {
  const tank = builder.now().tanks.find(({ id }) => id === tankId)!;
  const [draw, fill] = toHosePorts(tank);
  const path = ["tanks", tankId, "ports"];
  builder.push([
    { op: "insert", path, index: tank.ports.length, value: draw },
    { op: "insert", path, index: tank.ports.length + 1, value: fill },
  ]);
  return { drawId: draw.id, fillId: fill.id };
}

/** The ports of a loop's tank: drawn near the bottom of its right wall, filled over the water at the top. */
export function toHosePorts({ solid, ports }: Tank) {
  const { min, max } = measureExtent(solid);
  const middle = (min.x + max.x) / 2;
  return [
    createPort({ id: freeId("draw", ports), kind: "draw", atMm: vec(middle, min.y, min.z + 10), boreMm: 13 }),
    createPort({ id: freeId("fill", ports), kind: "fill", atMm: vec(middle, max.y, max.z - 20), boreMm: 13 }),
  ] as const;
}

function leadDrain(builder: EditChain, fixtureId: string, tankId: string): void {
  const design = builder.now();
  const inlet = design.tanks.find(({ id }) => id === tankId)!.ports.find(({ kind }) => kind === "inlet")!;
  const goal = { kind: "inlet", tankId, portId: inlet.id } as const;
  const drain = design.lines.find((line) => line.kind === "drain" && line.fromFixture === fixtureId);
  builder.add(drain ? buildRedirect(design, drain.id, goal) : buildDrawDrain(design, fixtureId, goal));
}

// The fresh tank that is there, or one that is hung; with a port to draw from.
function findFresh(builder: EditChain): { readonly tankId: string; readonly drawId: string } {
  if (!builder.now().tanks.some(({ holds }) => holds === "fresh")) {
    hangTank(builder, { holds: "fresh", name: "Fresh tank", near: null });
  }
  const tank = builder.now().tanks.find(({ holds }) => holds === "fresh")!;
  const own = tank.ports.find(({ kind }) => kind === "draw");
  if (own) return { tankId: tank.id, drawId: own.id };
  return { tankId: tank.id, drawId: addHosePorts(builder, tank.id).drawId };
}

/** Edit that sets a piece of gear of a kind down beside what is there. */
export function buildAddGear(design: Design, kind: GearKind, name: string): Edit {
  const id = freeId(toIdWord(kind), design.gear);
  const last = design.gear.at(-1);
  const atMm = last
    ? vec(last.atMm.x + last.sizeMm.x + 40, last.atMm.y, last.atMm.z)
    : vec(Math.round(design.rig.lengthMm / 2), 0, 40);
  const value: Gear = { id, name, atMm, ...USUAL_GEAR[kind] };
  return {
    code: "addGear",
    at: { kind: "gear", id },
    ops: [{ op: "insert", path: ["gear"], index: design.gear.length, value }],
  };
}

/** Edit that takes a piece of gear away with its hoses and its part in the states. */
export function buildRemoveGear(design: Design, gearId: string): Edit {
  const touches = (end: HoseEnd) => end.kind === "gear" && end.gearId === gearId;
  const hoses = design.lines.filter((line) => line.kind === "hose" && (touches(line.from) || touches(line.to)));
  const states = design.states.map((state) => ({
    ...state,
    on: state.on.filter((id) => id !== gearId),
    positions: state.positions.filter((one) => one.gearId !== gearId),
    openTaps: state.openTaps.filter((id) => id !== gearId),
  }));
  return {
    code: "removeGear",
    at: { kind: "gear", id: gearId },
    ops: [
      ...hoses.map(({ id }): EditOp => ({ op: "remove", path: ["lines", id] })),
      { op: "set", path: ["states"], value: states },
      { op: "remove", path: ["gear", gearId] },
    ],
  };
}

/** Edit that joins two ports by a hose as wide as they ask for. */
export function buildAddHose(design: Design, from: HoseEnd, to: HoseEnd): Edit {
  const id = freeId("hose", design.lines);
  const count = design.lines.filter(({ kind }) => kind === "hose").length;
  const value: Hose = {
    id,
    name: `Hose ${count + 1}`,
    kind: "hose",
    pipe: chooseHosePipe(design, from, to),
    from,
    to,
    pointsMm: [],
  };
  return {
    code: "addHose",
    at: { kind: "line", id },
    ops: [{ op: "insert", path: ["lines"], index: design.lines.length, value }],
  };
}

/** Working states builders name, to begin with. */
export const USUAL_STATES = ["standby", "sink", "shower", "refill", "dump", "campHose", "winter"] as const;
export type UsualState = (typeof USUAL_STATES)[number];

/** Edit that adds a working state; it starts as the one given stands, standby and winter with everything shut and off. */
export function buildAddState(design: Design, usual: UsualState, stateName: string, from: WorkingState | null): Edit {
  const isAtRest = usual === "standby" || usual === "winter" || from === null;
  const value: WorkingState = {
    id: freeId(toIdWord(stateName), design.states),
    name: stateName,
    on: isAtRest ? [] : [...from.on],
    positions: isAtRest ? [] : [...from.positions],
    openTaps: isAtRest ? [] : [...from.openTaps],
  };
  return {
    code: "addState",
    at: { kind: "state", id: value.id },
    ops: [{ op: "insert", path: ["states"], index: design.states.length, value }],
  };
}

/** Edit that takes a working state out. */
export const buildRemoveState = (stateId: string): Edit => ({
  code: "removeState",
  at: { kind: "state", id: stateId },
  ops: [{ op: "remove", path: ["states", stateId] }],
});
