import type { Design } from "../design/design";
import type { EditOp } from "../design/editOps";
import { findJunctionBend } from "../design/lineItems";
import type { Drain, Hose, Outfall } from "../design/plumbing";
import { buildDrainPath } from "../falls/drainPath";
import { dot, measureLength, subtract, type Vec3 } from "../geometry/vec";

/** A bend that turns by less than this was only put in for a fitting: sin of the angle. */
const STRAIGHT_SINE = 0.02;

/**
 * What a drain leaves behind when it is led to another end: the inlet in the tank that then serves nothing, unless nothing else
 * comes into the tank, and the bend in the drain it joined that was only there for its fitting. To be done after the drain has
 * its new end.
 */
export function listLeftBehind(design: Design, drain: Drain, to: Outfall): EditOp[] {
  switch (drain.to.kind) {
    case "inlet":
      return dropInlet(design, drain, drain.to, to);
    case "junction":
      return dropBend(design, drain, drain.to, to);
    case "ground":
    case "vessel":
    case "overboard":
    case "sump":
      return [];
  }
}

type Inlet = Extract<Outfall, { kind: "inlet" }>;
type Junction = Extract<Outfall, { kind: "junction" }>;

const isAt = (end: Outfall, { tankId, portId }: Inlet): boolean =>
  end.kind === "inlet" && end.tankId === tankId && end.portId === portId;

const isHosePort = ({ from, to }: Hose, tankId: string, portIds: readonly string[]): boolean =>
  [from, to].some((end) => end.kind === "tank" && end.tankId === tankId && portIds.includes(end.portId));

function dropInlet({ tanks, lines }: Design, drain: Drain, from: Inlet, to: Outfall): EditOp[] {
  const tank = tanks.find(({ id }) => id === from.tankId);
  const isUsed = lines.some((line) =>
    line.kind === "hose"
      ? isHosePort(line, from.tankId, [from.portId])
      : line.kind === "drain" && line.id !== drain.id && isAt(line.to, from),
  );
  const isThere = tank?.ports.some(({ id }) => id === from.portId);
  if (!tank || !isThere || tank.locked || isUsed || isAt(to, from)) return [];
  const inlets = tank.ports.filter(({ kind }) => kind === "inlet").length;
  const fills = tank.ports.flatMap(({ id, kind }) => (kind === "fill" ? [id] : []));
  const isFilled = lines.some((line) => line.kind === "hose" && isHosePort(line, tank.id, fills));
  return inlets < 2 && !isFilled ? [] : [{ op: "remove", path: ["tanks", from.tankId, "ports", from.portId] }];
}

function dropBend(design: Design, drain: Drain, from: Junction, to: Outfall): EditOp[] {
  const { lines } = design;
  const main = lines.find((line): line is Drain => line.kind === "drain" && line.id === from.lineId);
  if (!main || main.locked) return [];
  const isShared = lines.some(
    (line) =>
      line.kind === "drain" &&
      line.id !== drain.id &&
      line.to.kind === "junction" &&
      line.to.lineId === main.id &&
      line.to.node === from.node,
  );
  // what sits at the bend, and a hole of the leg that begins there, must stay where it is
  const carries = main.items.some(({ node }) => node === from.node);
  const bend = findJunctionBend(main, from);
  if (isShared || carries || bend < 0) return [];
  const { ownLegs } = buildDrainPath(design, main);
  const [into, out] = [ownLegs[bend], ownLegs[bend + 1]];
  // the first bend aims the trap: without it the trap would turn
  if (!into || !out || bend === 0 || !isStraight(into.from, into.to, out.to)) return [];
  // it goes on in the same drain and at the same bend
  if (to.kind === "junction" && to.lineId === main.id && to.node === from.node) return [];
  return [{ op: "remove", path: ["lines", main.id, "bendsMm", from.node] }];
}

function isStraight(a: Vec3, b: Vec3, c: Vec3): boolean {
  const [p, q] = [subtract(b, a), subtract(c, b)];
  const lengths = measureLength(p) * measureLength(q);
  if (lengths === 0) return true;
  const cosine = dot(p, q) / lengths;
  return cosine > 0 && Math.sqrt(Math.max(0, 1 - cosine ** 2)) < STRAIGHT_SINE;
}
