import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { Edit, EditOp } from "../design/editOps";
import { freeId } from "../design/freeId";
import type { Gear, HoseEnd, WorkingState } from "../design/gear";
import type { Hose, Port, Tank } from "../design/plumbing";
import { buildGearGraph, type GearEnd, toEndNode, toPortNode } from "../gear/gearGraph";
import { buildArcs, listReached } from "../gear/reach";
import { ALL_OPEN } from "../gear/settings";
import { add, vec } from "../geometry/vec";
import { toHosePorts } from "./loopEdits";
import { isFree, isSameEnd, placePiece, riseThroughFloor, toGear } from "./putPiece";

/** Over the floor or over its port, mm: from there it falls into the tank [T]. */
const OVER_MM = 60;
/** Around the port, in the order they are tried, mm. */
const AROUND_MM = [0, 150, -150, 300, -300, 450, -450] as const;

type Fed = {
  readonly hose: Hose;
  /** Its end from which fresh water alone comes, and the tee of the other water at which it ends. */
  readonly fresh: HoseEnd;
  readonly tee: Gear;
};

/**
 * Edits that take fresh water out of the pipes of a loop and let it fall through an air gap into the loop's tank: the hose that
 * brings it ends over a funnel there, and the tee it came in by is taken out. Empty where no hose brings fresh water by a tee.
 */
export function listFitAirGap(design: Design, tankId: string, name: string): Edit[] {
  const tank = design.tanks.find(({ id }) => id === tankId);
  if (!tank) return [];
  return listFed(design, tankId).flatMap(({ hose, fresh, tee }): Edit[] => {
    const { port, ops: portOps } = findFill(design, tank);
    const gap = placeGap(design, tank, port, name);
    const cut = gap && takeTeeOut(design, tee, hose);
    if (!gap || !cut) return [];
    const withPort: Design = {
      ...design,
      tanks: design.tanks.map((one) =>
        one.id === tankId && portOps.length > 0 ? { ...one, ports: [...one.ports, port] } : one,
      ),
    };
    const ops: EditOp[] = [
      ...portOps,
      ...leadOverGap(withPort, hose, fresh, gap, { kind: "tank", tankId, portId: port.id }),
      ...cut,
      { op: "set", path: ["states"], value: shutShowers(design, tankId) },
    ];
    const edit: Edit = { code: "fitAirGap", at: { kind: "gear", id: gap.id }, ops };
    const outcome = applyEdit(design, edit);
    if (!outcome.ok) return [];
    // the loop must go on serving its showers: else the wrong hose was cut
    const serves = listShowers(outcome.design, tankId);
    return [...listShowers(design, tankId)].every((id) => serves.has(id)) ? [edit] : [];
  });
}

/**
 * Edits that break a hose which brings fresh water straight into a tank of other water: it ends over a funnel there, from which
 * the water falls in. Empty where no such hose comes to the port.
 */
export function listBreakHose(design: Design, tankId: string, portId: string, name: string): Edit[] {
  const tank = design.tanks.find(({ id }) => id === tankId);
  const port = tank?.ports.find(({ id }) => id === portId);
  // what is drawn from there must go on being drawn
  if (!tank || !port || port.kind === "draw") return [];
  const end: HoseEnd = { kind: "tank", tankId, portId };
  return design.lines.filter(isHose).flatMap((hose): Edit[] => {
    const fresh = isSameEnd(hose.from, end) ? hose.to : isSameEnd(hose.to, end) ? hose.from : null;
    const without = { ...design, lines: design.lines.filter((line) => line !== hose) };
    const isFed =
      fresh && listReachedFrom(without, ({ kind, holds }) => kind !== "air" && holds === "fresh").has(toEndNode(fresh));
    const gap = isFed ? placeGap(design, tank, port, name) : null;
    if (!fresh || !gap) return [];
    const ops = leadOverGap(design, hose, fresh, gap, end);
    return [{ code: "breakHose", at: { kind: "gear", id: gap.id }, ops }];
  });
}

// The gap in its place, the hose led to it, and one more from it into the tank.
function leadOverGap(design: Design, hose: Hose, fresh: HoseEnd, gap: Gear, fill: HoseEnd): EditOp[] {
  const so: Design = { ...design, gear: [...design.gear, gap] };
  const [into, out] = [toGear(gap.id, "in"), toGear(gap.id, "out")];
  // it lies elsewhere now: holes it went through are no longer its own
  const { items: _, ...like } = hose;
  const led: Hose = { ...like, from: fresh, to: into, pointsMm: riseThroughFloor(so, fresh, into) };
  const falls: Hose = {
    ...like,
    id: freeId("hose", design.lines),
    name: `${gap.name}, hose`.slice(0, 80),
    from: out,
    to: fill,
    pointsMm: riseThroughFloor(so, out, fill),
  };
  return [
    { op: "insert", path: ["gear"], index: design.gear.length, value: gap },
    { op: "set", path: ["lines", hose.id], value: led },
    { op: "insert", path: ["lines"], index: design.lines.length, value: falls },
  ];
}

const isHose = (line: Design["lines"][number]): line is Hose => line.kind === "hose";

// Hoses that end at a tee the loop's water comes to, and are fed at their other end by fresh water and by nothing of the loop.
function listFed(design: Design, tankId: string): Fed[] {
  return design.lines.filter(isHose).flatMap((hose) => {
    const ends = (
      [
        [hose.from, hose.to],
        [hose.to, hose.from],
      ] as const
    ).filter(([, other]) => findTee(design, other));
    if (ends.length === 0) return [];
    const without = { ...design, lines: design.lines.filter((line) => line !== hose) };
    const ofFresh = listReachedFrom(without, ({ kind, holds }) => kind !== "air" && holds === "fresh");
    const ofLoop = listReachedFrom(without, (end) => end.tankId === tankId);
    return ends.flatMap(([fresh, other]): Fed[] => {
      const isFed = ofFresh.has(toEndNode(fresh)) && !ofLoop.has(toEndNode(fresh)) && ofLoop.has(toEndNode(other));
      return isFed ? [{ hose, fresh, tee: findTee(design, other)! }] : [];
    });
  });
}

/** The ports that water of these ends comes to, everything open. */
function listReachedFrom(design: Design, isOne: (end: GearEnd) => boolean): ReadonlySet<string> {
  const graph = buildGearGraph(design);
  const arcs = buildArcs(graph, ALL_OPEN);
  return new Set(graph.ends.filter(isOne).flatMap(({ node }) => [...listReached(arcs, node)]));
}

/** Gear the water of a tank comes to. */
function listReachedGear(design: Design, tankId: string): Gear[] {
  const reached = listReachedFrom(design, (end) => end.tankId === tankId);
  return design.gear.filter(({ id }) => reached.has(toPortNode(id, "in")));
}

const isShower = ({ spec }: Gear): boolean => spec.kind === "tap" && spec.use === "shower";

const listShowers = (design: Design, tankId: string): ReadonlySet<string> =>
  new Set(listReachedGear(design, tankId).flatMap((piece) => (isShower(piece) ? [piece.id] : [])));

// Where another pump than the loop's is on nothing comes to its showers any more: they are shut there.
function shutShowers(design: Design, tankId: string): WorkingState[] {
  const own = listReachedGear(design, tankId);
  const showers = own.filter(isShower).map(({ id }) => id);
  const pumps = own.filter(({ spec }) => spec.kind === "pump").map(({ id }) => id);
  return design.states.map((state) =>
    state.on.length > 0 && !state.on.some((id) => pumps.includes(id))
      ? { ...state, openTaps: state.openTaps.filter((id) => !showers.includes(id)) }
      : state,
  );
}

function findTee({ gear }: Design, end: HoseEnd): Gear | undefined {
  return end.kind === "gear" ? gear.find(({ id, spec }) => id === end.gearId && spec.kind === "tee") : undefined;
}

// The fill port nobody uses, or one more over the water.
function findFill(design: Design, tank: Tank): { readonly port: Port; readonly ops: readonly EditOp[] } {
  const isUsed = (portId: string) =>
    design.lines.some(
      (line) =>
        isHose(line) && [line.from, line.to].some((end) => isSameEnd(end, { kind: "tank", tankId: tank.id, portId })),
    );
  const own = tank.ports.find(({ id, kind }) => kind === "fill" && !isUsed(id));
  if (own) return { port: own, ops: [] };
  const [, port] = toHosePorts(tank);
  return { port, ops: [{ op: "insert", path: ["tanks", tank.id, "ports"], index: tank.ports.length, value: port }] };
}

function placeGap(design: Design, tank: Tank, { atMm }: Port, name: string): Gear | null {
  const { x, y, z } = add(tank.atMm, atMm);
  for (const dx of AROUND_MM) {
    for (const dy of AROUND_MM) {
      const piece = placePiece(design, "airGap", name, "out", vec(x + dx, y + dy, Math.max(0, z) + 2 * OVER_MM));
      if (isFree(design, piece)) return piece;
    }
  }
  return null;
}

// The two other hoses at a tee become one; null where there are not just two.
function takeTeeOut(design: Design, tee: Gear, hose: Hose): EditOp[] | null {
  const isAtTee = (end: HoseEnd) => end.kind === "gear" && end.gearId === tee.id;
  const others = design.lines.filter(isHose).filter((one) => one !== hose && (isAtTee(one.from) || isAtTee(one.to)));
  if (others.length !== 2) return null;
  const [first, second] = others.map((one) => (isAtTee(one.to) ? one : turn(one)));
  const { items: _, ...like } = first!;
  const joined: Hose = {
    ...like,
    to: second!.from,
    pointsMm: [...first!.pointsMm, ...second!.pointsMm.toReversed()],
  };
  const [kept] = others;
  return [
    // as it was drawn
    { op: "set", path: ["lines", kept!.id], value: isAtTee(kept!.to) ? joined : turn(joined) },
    { op: "remove", path: ["lines", others[1]!.id] },
    { op: "remove", path: ["gear", tee.id] },
  ];
}

const turn = (hose: Hose): Hose => ({ ...hose, from: hose.to, to: hose.from, pointsMm: hose.pointsMm.toReversed() });
