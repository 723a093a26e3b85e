import type { Design } from "../design/design";
import type { Edit } from "../design/editOps";
import { freeId } from "../design/freeId";
import type { Gear } from "../design/gear";
import { roundTenth } from "../design/moves";
import { placeHoseEnd } from "../fit/lineLegs";
import { USUAL_GEAR } from "../gear/usualGear";
import { add, scale } from "../geometry/vec";
import { cutAt, cutHose } from "./cutHose";

/** Edit that cuts a hose in its middle and puts a stop valve there, open in every working state; null where it is no hose. */
export const buildInsertValve = (design: Design, hoseId: string, name: string): Edit | null =>
  buildInsertPiece(design, hoseId, { kind: "valve", name, code: "addGear" });

/** The same with a strainer. */
export const buildInsertStrainer = (design: Design, hoseId: string, name: string): Edit | null =>
  buildInsertPiece(design, hoseId, { kind: "strainer", name, code: "fitStrainer" });

function buildInsertPiece(
  design: Design,
  hoseId: string,
  { kind, name, code }: { readonly kind: "valve" | "strainer"; readonly name: string; readonly code: Edit["code"] },
): Edit | null {
  const hose = design.lines.find(({ id }) => id === hoseId);
  if (hose?.kind !== "hose") return null;
  const [from, to] = [placeHoseEnd(design, hose.from), placeHoseEnd(design, hose.to)];
  const half = Math.floor(hose.pointsMm.length / 2);
  const middle = hose.pointsMm[half] ?? scale(add(from, to), 0.5);
  const id = freeId(kind, design.gear);
  const { sizeMm } = USUAL_GEAR[kind];
  const piece: Gear = { id, name, atMm: roundTenth(add(middle, scale(sizeMm, -0.5))), ...USUAL_GEAR[kind] };
  // a hose may have been drawn against the water: from the inlet of what it feeds
  const isAgainst = hose.from.kind === "gear" && hose.from.port === "in";
  const states = design.states.map((state) => ({
    ...state,
    positions: kind === "valve" ? [...state.positions, { gearId: id, at: "open" as const }] : state.positions,
  }));
  return {
    code,
    at: { kind: "gear", id },
    ops: [
      ...cutHose(design, hose, cutAt(half), piece, isAgainst ? ["out", "in"] : ["in", "out"]),
      { op: "set", path: ["states"], value: states },
    ],
  };
}
