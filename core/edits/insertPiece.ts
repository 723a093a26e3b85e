import type { Design } from "../design/design";
import type { Edit } from "../design/edit";
import { freeId } from "../design/freeId";
import type { Gear } from "../design/gear";
import { roundTenth } from "../design/moves";
import type { Hose } from "../design/plumbing";
import { placeHoseEnd } from "../fit/lineLegs";
import { USUAL_GEAR } from "../gear/usualGear";
import { add, scale } from "../geometry/vec";

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
  const index = design.lines.findIndex(({ id }) => id === hoseId);
  const hose = design.lines[index];
  if (hose?.kind !== "hose") return null;
  const [from, to] = [placeHoseEnd(design, hose.from), placeHoseEnd(design, hose.to)];
  const middle = hose.pointsMm[Math.floor(hose.pointsMm.length / 2)] ?? scale(add(from, to), 0.5);
  const id = freeId(kind, design.gear);
  const half = Math.floor(hose.pointsMm.length / 2);
  const piece: Gear = { id, name, atMm: roundTenth(middle), ...USUAL_GEAR[kind] };
  const at = (port: string) => ({ kind: "gear" as const, gearId: id, port });
  // a hose may have been drawn against the water: from the inlet of what it feeds
  const isAgainst = hose.from.kind === "gear" && hose.from.port === "in";
  const [near, far] = isAgainst ? ["out", "in"] : ["in", "out"];
  const before: Hose = { ...hose, to: at(near!), pointsMm: hose.pointsMm.slice(0, half) };
  const after: Hose = {
    ...hose,
    id: freeId("hose", design.lines),
    name: `${hose.name}, on`.slice(0, 80),
    from: at(far!),
    pointsMm: hose.pointsMm.slice(half + 1),
  };
  const states = design.states.map((state) => ({
    ...state,
    positions: kind === "valve" ? [...state.positions, { gearId: id, at: "open" as const }] : state.positions,
  }));
  return {
    code,
    at: { kind: "gear", id },
    ops: [
      { op: "insert", path: ["gear"], index: design.gear.length, value: piece },
      { op: "set", path: ["lines", hoseId], value: before },
      { op: "insert", path: ["lines"], index: design.lines.length, value: after },
      { op: "set", path: ["states"], value: states },
    ],
  };
}
