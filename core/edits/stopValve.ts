import type { Design } from "../design/design";
import type { Edit } from "../design/editOps";
import type { Gear, WorkingState } from "../design/gear";
import type { Hose } from "../design/plumbing";
import { placeHoseEnd } from "../fit/lineLegs";
import { USUAL_GEAR } from "../gear/usualGear";
import { add, scale, type Vec3, vec } from "../geometry/vec";
import { cutAt, cutHose } from "./cutHose";
import { isFree, placePiece, putAtEnd } from "./putPiece";

/** From the port to the valve, mm: what a nipple takes; then what is in the way is passed [T]. */
const OFF_MM = [60, 120, 200] as const;
/** Each place is tried by a whole evaluation. */
const MOST_PLACES = 3;
const WAYS: readonly Vec3[] = [vec(1, 0, 0), vec(-1, 0, 0), vec(0, 1, 0), vec(0, -1, 0), vec(0, 0, 1), vec(0, 0, -1)];

/** Nobody stands by while nothing is on and no tap is open. */
const isLeft = ({ on, openTaps }: WorkingState): boolean => on.length === 0 && openTaps.length === 0;

/**
 * Edits that put a hand valve into the hose that draws from a tank, the one hose before it as short as it may be: right at the port,
 * or at the first of its points in the room, where a hand gets at it. Shut in every state in which nothing is on and no tap is open,
 * open in the others. Empty where it is no hose of that tank, or nothing is free there.
 */
export function listFitStopValve(design: Design, hoseId: string, tankId: string, name: string): Edit[] {
  const hose = design.lines.find((line): line is Hose => line.kind === "hose" && line.id === hoseId);
  const end = hose && [hose.from, hose.to].find((one) => one.kind === "tank" && one.tankId === tankId);
  if (!hose || !end) return [];
  const portMm = placeHoseEnd(design, end);
  const isFrom = end === hose.from;
  const order = hose.pointsMm.map((_, i) => (isFrom ? i : hose.pointsMm.length - 1 - i));
  const atPort = listAround(design, portMm, name).map((valve) => ({
    valve,
    ops: putAtEnd(design, hose, end, valve, ["in", "out"]),
  }));
  const atPoints = order.flatMap((i) => {
    const { x, y, z } = hose.pointsMm[i]!;
    const height = USUAL_GEAR.valve.sizeMm.z;
    const valve = placePiece(design, "valve", name, "in", vec(x, y, Math.max(z, height / 2)));
    const ports = isFrom ? (["in", "out"] as const) : (["out", "in"] as const);
    return z >= 0 && isFree(design, valve) ? [{ valve, ops: cutHose(design, hose, cutAt(i), valve, ports) }] : [];
  });
  // under the floor no hand gets at it
  const found = portMm.z >= 0 ? [...atPort, ...atPoints] : [...atPoints, ...atPort];
  return found.map(({ valve, ops }) => ({
    code: "fitStopValve",
    at: { kind: "gear", id: valve.id },
    ops: [...ops, { op: "set", path: ["states"], value: withValve(design.states, valve.id) }],
  }));
}

const withValve = (states: readonly WorkingState[], gearId: string): WorkingState[] =>
  states.map((state) => ({
    ...state,
    positions: [...state.positions, { gearId, at: isLeft(state) ? "shut" : "open" }],
  }));

const listAround = (design: Design, portMm: Vec3, name: string): Gear[] =>
  OFF_MM.flatMap((offMm) => WAYS.map((way) => placePiece(design, "valve", name, "in", add(portMm, scale(way, offMm)))))
    .filter((valve) => isFree(design, valve))
    .slice(0, MOST_PLACES);
