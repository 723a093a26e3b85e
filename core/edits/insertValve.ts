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
export function buildInsertValve(design: Design, hoseId: string, valveName: string): Edit | null {
  const index = design.lines.findIndex(({ id }) => id === hoseId);
  const hose = design.lines[index];
  if (hose?.kind !== "hose") return null;
  const [from, to] = [placeHoseEnd(design, hose.from), placeHoseEnd(design, hose.to)];
  const middle = hose.pointsMm[Math.floor(hose.pointsMm.length / 2)] ?? scale(add(from, to), 0.5);
  const id = freeId("valve", design.gear);
  const half = Math.floor(hose.pointsMm.length / 2);
  const valve: Gear = { id, name: valveName, atMm: roundTenth(middle), ...USUAL_GEAR.valve };
  const at = (port: string) => ({ kind: "gear" as const, gearId: id, port });
  const before: Hose = { ...hose, to: at("in"), pointsMm: hose.pointsMm.slice(0, half) };
  const after: Hose = {
    ...hose,
    id: freeId("hose", design.lines),
    name: `${hose.name}, on`.slice(0, 80),
    from: at("out"),
    pointsMm: hose.pointsMm.slice(half + 1),
  };
  const states = design.states.map((state) => ({
    ...state,
    positions: [...state.positions, { gearId: id, at: "open" as const }],
  }));
  return {
    code: "addGear",
    at: { kind: "gear", id },
    ops: [
      { op: "insert", path: ["gear"], index: design.gear.length, value: valve },
      { op: "set", path: ["lines", hoseId], value: before },
      { op: "insert", path: ["lines"], index: design.lines.length, value: after },
      { op: "set", path: ["states"], value: states },
    ],
  };
}
