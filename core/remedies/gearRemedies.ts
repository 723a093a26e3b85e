import type { Design } from "../design/design";
import type { EditOp } from "../design/editOps";
import { buildMove, roundTenth } from "../design/moves";
import type { PartRef } from "../design/part";
import { tryChain } from "../edits/editChain";
import { buildRemoveGear } from "../edits/loopEdits";
import { buildPlumbToilet } from "../edits/plumbToilet";
import { isMoved } from "../evaluate/checkLoopWater";
import { placeGearPort } from "../gear/gearPorts";
import type { Failure } from "../gear/settings";
import { add, vec } from "../geometry/vec";
import { findHalfBreadthMm } from "../hull/loft";
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

/** A toilet that lacks its tank, its water or both given all it needs. */
export function proposePlumbed(design: Design, at: PartRef): Remedy[] {
  const edit = tryChain(() => buildPlumbToilet(design, at));
  return edit ? [{ byMm: null, edit }] : [];
}

/** A piece with an open end taken out, with its hoses. */
export const proposeTakenOut = (design: Design, at: PartRef): Remedy[] =>
  at.kind === "gear" ? [{ byMm: null, edit: buildRemoveGear(design, at.id) }] : [];

/** An intake is tried so much farther ahead, mm. */
const AHEAD_MM = [200, 400, 600, 800, 1_000, 1_300, 1_600, 2_000, 2_500] as const;

/** An intake farther ahead along her side, away from what is let out; it keeps to the skin where her sections are known. */
export function proposeAhead(design: Design, at: PartRef): Remedy[] {
  const piece = design.gear.find(({ id }) => at.kind === "gear" && id === at.id);
  if (!piece || at.kind !== "gear") return [];
  const { hull } = design.rig;
  const reachOf = (x: number) => (hull ? findHalfBreadthMm(hull, x, piece.atMm.z) : null);
  const from = reachOf(piece.atMm.x);
  return AHEAD_MM.flatMap((mm): Remedy[] => {
    const x = piece.atMm.x + mm;
    const to = reachOf(x);
    if (hull && (from === null || to === null)) return [];
    const y = piece.atMm.y + Math.sign(piece.atMm.y) * ((to ?? 0) - (from ?? 0));
    const move = buildMove(design, at, roundTenth(vec(x, y, piece.atMm.z)));
    return move ? [{ byMm: mm, way: "forward", edit: { ...move, code: "moveClear" } }] : [];
  });
}

/** A skin fitting set into her skin where it stands along her length and over her keel; nothing where she is not so wide there. */
export function proposeOntoSkin(design: Design, at: PartRef): Remedy[] {
  const piece = design.gear.find(({ id }) => at.kind === "gear" && id === at.id);
  const { hull } = design.rig;
  if (!piece || at.kind !== "gear" || !hull) return [];
  const port = placeGearPort(piece, "in");
  const half = findHalfBreadthMm(hull, port.x, port.z);
  if (half === null) return [];
  const byMm = (port.y < 0 ? -half : half) - port.y;
  const move = buildMove(design, at, roundTenth(add(piece.atMm, vec(0, byMm, 0))));
  return move
    ? [{ byMm: Math.round(Math.abs(byMm)), way: byMm > 0 ? "left" : "right", edit: { ...move, code: "moveClear" } }]
    : [];
}

/** A lamp that is off in every state in which its water stands. */
export function proposeLampOff(design: Design, at: PartRef): Remedy[] {
  if (at.kind !== "gear") return [];
  const ops = design.states
    .filter((state) => state.on.includes(at.id) && !isMoved(design, state))
    .map(({ id, on }): EditOp => ({ op: "set", path: ["states", id, "on"], value: on.filter((one) => one !== at.id) }));
  return ops.length === 0 ? [] : [{ byMm: null, edit: { code: "turnOff", at, ops } }];
}

/** A lamp, of several each in turn, that is lit in every state in which a tap is open and a pump is on. */
export function proposeLampOn({ gear, states }: Design): Remedy[] {
  const pumps = new Set(gear.flatMap(({ id, spec }) => (spec.kind === "pump" ? [id] : [])));
  return gear.flatMap(({ id: lampId, spec }): Remedy[] => {
    if (spec.kind !== "uvLamp") return [];
    const ops = states
      .filter(({ on, openTaps }) => !on.includes(lampId) && openTaps.length > 0 && on.some((id) => pumps.has(id)))
      .map(({ id, on }): EditOp => ({ op: "set", path: ["states", id, "on"], value: [...on, lampId] }));
    const at = { kind: "gear", id: lampId } as const;
    return ops.length === 0 ? [] : [{ byMm: null, edit: { code: "turnOn", at, ops } }];
  });
}

/** A valve by whose one turn black water goes overboard, secured: to be locked, tied or stripped of its handle by hand. */
export function proposeSecured({ gear }: Design, failure: Failure | null): Remedy[] {
  const piece = failure && "gearId" in failure ? gear.find(({ id }) => id === failure.gearId) : undefined;
  if (piece?.spec.kind !== "valve" && piece?.spec.kind !== "diverter") return [];
  const ops: EditOp[] = [{ op: "set", path: ["gear", piece.id, "isSecured"], value: true }];
  return [{ byMm: null, edit: { code: "secureValve", at: { kind: "gear", id: piece.id }, ops } }];
}
