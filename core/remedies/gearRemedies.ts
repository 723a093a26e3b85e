import type { Design } from "../design/design";
import type { EditOp } from "../design/edit";
import type { PartRef } from "../design/part";
import { isMoved } from "../evaluate/checkLoopWater";
import type { Remedy } from "./remedy";

/** Two filters in each other's place; hoses stay as they are. */
export function proposeFiltersSwapped({ gear }: Design, at: PartRef, otherId: string): Remedy[] {
  const [one, other] = [at.kind === "gear" ? at.id : "", otherId].map((id) => gear.find((piece) => piece.id === id));
  if (!one || !other) return [];
  const put = (id: string, { name, spec, sizeMm, openBelowMm }: typeof one): EditOp[] =>
    Object.entries({ name, spec, sizeMm, openBelowMm }).map(([key, value]) => ({
      op: "set",
      path: ["gear", id, key],
      value,
    }));
  return [{ byMm: null, edit: { code: "swapFilters", at, ops: [...put(one.id, other), ...put(other.id, one)] } }];
}

const TURNED: Readonly<Record<string, string>> = { in: "out", out: "in" };

/** A piece that lets water one way turned round: the hoses at its two ends change places on it. */
export function proposeTurned({ lines }: Design, at: PartRef): Remedy[] {
  if (at.kind !== "gear") return [];
  const ops = lines.flatMap((line): EditOp[] =>
    line.kind !== "hose"
      ? []
      : (["from", "to"] as const).flatMap((side): EditOp[] => {
          const end = line[side];
          if (end.kind !== "gear" || end.gearId !== at.id) return [];
          return [{ op: "set", path: ["lines", line.id, side, "port"], value: TURNED[end.port] ?? end.port }];
        }),
  );
  return ops.length === 0 ? [] : [{ byMm: null, edit: { code: "turnRound", at, ops } }];
}

/** A lamp that is off in every state in which its water stands. */
export function proposeLampOff(design: Design, at: PartRef): Remedy[] {
  if (at.kind !== "gear") return [];
  const ops = design.states
    .filter((state) => state.on.includes(at.id) && !isMoved(design, state))
    .map(({ id, on }): EditOp => ({ op: "set", path: ["states", id, "on"], value: on.filter((one) => one !== at.id) }));
  return ops.length === 0 ? [] : [{ byMm: null, edit: { code: "turnOff", at, ops } }];
}
