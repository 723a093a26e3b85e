import type { Design } from "../design/design";
import type { EditOp } from "../design/editOps";
import { listPoints } from "../design/linePoints";
import { buildMove, findPlaceMm, roundTenth } from "../design/moves";
import type { PartRef } from "../design/part";
import type { Line, Vent } from "../design/plumbing";
import type { Finding } from "../evaluate/findings";
import type { Leg } from "../falls/drainPath";
import { findLegRoom } from "../fit/clashes";
import type { Block } from "../geometry/blocks";
import { add, scale, type Vec3, vec } from "../geometry/vec";
import type { MoveWay, Remedy } from "./remedy";

type LegRef = { readonly lineId: string; readonly index: number };

/** What moves as one, and where it is. */
type Moved = Extract<PartRef, { readonly kind: "tank" | "gear" | "fixture" }>;

/** Room that is wanted and is not there, mm, whole and with one to spare. */
export const toMissingMm = ({ gapMm, limit }: Pick<Clash, "gapMm" | "limit">): number =>
  Math.ceil((limit?.value ?? 0) - gapMm) + 1;

type Clash = Extract<Finding, { code: "legHitsObstacle" | "ventEndNear" }>;

/** So far that way. */
type Shift = { readonly way: MoveWay; readonly byMm: number };

const WAYS: Readonly<Record<MoveWay, Vec3>> = {
  left: vec(0, 1, 0),
  right: vec(0, -1, 0),
  forward: vec(1, 0, 0),
  aft: vec(-1, 0, 0),
  down: vec(0, 0, -1),
  up: vec(0, 0, 1),
};
const MOVE_WAYS = Object.keys(WAYS) as MoveWay[];
/** What lacks in one direction is seldom enough in another: it is tried so many times over. */
const TIMES = [1, 1.5, 2.5, 4] as const;

/** A leg moved clear of what it hits: both its bends, or one of them, by the shortest shift that is tried first. */
export const proposeLegClear = (line: Line, at: LegRef, missingMm: number): Remedy[] =>
  shiftLeg(
    line,
    at,
    MOVE_WAYS.flatMap((way) => TIMES.map((times) => ({ way, byMm: Math.ceil(missingMm * times) }))),
  );

/** A leg led past a block that it goes through, on that side of it that is nearest. */
export const proposeLegPast = (line: Line, leg: Leg, block: Block): Remedy[] =>
  shiftLeg(line, leg, listWaysOut(findLegRoom(leg), block, PAST_MM));

/** Beside what it was led past a pipe keeps so much, mm [T]. */
const PAST_MM = 10;

/** The straight moves that take one block clear of another by so much, nearest first. */
export function listWaysOut(a: Block, b: Block, clearMm: number): Shift[] {
  const byMm: Readonly<Record<MoveWay, number>> = {
    left: b.max.y + clearMm - a.min.y,
    right: a.max.y - (b.min.y - clearMm),
    forward: b.max.x + clearMm - a.min.x,
    aft: a.max.x - (b.min.x - clearMm),
    up: b.max.z + clearMm - a.min.z,
    down: a.max.z - (b.min.z - clearMm),
  };
  return MOVE_WAYS.map((way) => ({ way, byMm: Math.ceil(byMm[way]) })).sort((p, q) => p.byMm - q.byMm);
}

/** The shortest straight moves that take a tank or a piece of gear clear of a block by so much, nearest first. */
export function proposePartClear(design: Design, part: Moved, own: Block, other: Block, clearMm: number): Remedy[] {
  const from = findPlaceMm(design, part);
  if (!from) return [];
  return listWaysOut(own, other, clearMm).flatMap(({ way, byMm }): Remedy[] => {
    const move = buildMove(design, part, add(from, scale(WAYS[way], byMm)));
    return move ? [{ byMm, way, edit: { ...move, code: "moveClear" } }] : [];
  });
}

/** Where it is not known how far aside is enough, so much is tried, mm. */
const ASIDE_MM = [20, 40, 60, 90, 120, 160, 200, 260, 340] as const;

/** A hole drawn aside with the stretch of pipe that goes through it, or one of its ends, by as little as helps. */
export const proposeLegAside = (line: Line, at: LegRef): Remedy[] =>
  shiftLeg(
    line,
    at,
    (["left", "right", "forward", "aft"] as const).flatMap((way) => ASIDE_MM.map((byMm) => ({ way, byMm }))),
  );

/** A tank, a port of it, a fixture or a piece of gear moved by as little as helps, whichever way that is. */
export function proposeAside(
  design: Design,
  part: Moved | Extract<PartRef, { readonly kind: "port" }>,
  code: "moveClear" | "shiftPort" = "moveClear",
): Remedy[] {
  const from = findPlaceMm(design, part);
  if (!from) return [];
  return ASIDE_MM.flatMap((byMm) =>
    MOVE_WAYS.flatMap((way): Remedy[] => {
      const move = buildMove(design, part, add(from, scale(WAYS[way], byMm)));
      return move ? [{ byMm, way, edit: { ...move, code } }] : [];
    }),
  );
}

/** A bend of a hose left out, alone or with those beside it, or drawn aside by as little as helps, whichever way that is. */
export function proposeBendAside(design: Design, at: PartRef): Remedy[] {
  const line = design.lines.find(({ id }) => at.kind === "bend" && id === at.lineId);
  if (line?.kind !== "hose" || at.kind !== "bend") return [];
  const points = listPoints(line);
  const point = points[at.index];
  if (!point) return [];
  const without = (from: number, count: number): Remedy[] => {
    if (from < 0 || from + count > points.length) return [];
    // from behind, so that the places of the others hold
    const ops = Array.from({ length: count }, (_, i): EditOp => {
      return { op: "remove", path: ["lines", line.id, "pointsMm", from + count - 1 - i] };
    });
    return [{ byMm: null, edit: { code: count === 1 ? "removeBend" : "straighten", at, ops } }];
  };
  const { index } = at;
  return [
    ...without(index, 1),
    ...without(index, 2),
    ...without(index - 1, 2),
    ...without(index - 1, 3),
    ...ASIDE_MM.flatMap((byMm) =>
      MOVE_WAYS.map((way): Remedy => {
        const value = roundTenth(add(point, scale(WAYS[way], byMm)));
        const op: EditOp = { op: "set", path: ["lines", line.id, "pointsMm", index], value };
        return { byMm, way, edit: { code: "clearLeg", at, ops: [op] } };
      }),
    ),
  ];
}

/** All points of a line that reaches through a boat's skin drawn in towards her middle, by as little as helps. */
export function proposeLineInward({ lines }: Design, at: PartRef, byMm: number): Remedy[] {
  const line = lines.find(({ id }) => at.kind === "line" && id === at.id);
  if (!line) return [];
  const points = listPoints(line);
  const key = line.kind === "drain" ? "bendsMm" : "pointsMm";
  return INWARD_TIMES.flatMap((times): Remedy[] => {
    const mm = Math.ceil(byMm * times) + 1;
    // what lies nearest her middle need not move
    return listFarthest(points).map((picked): Remedy => {
      const ops = picked.map((index): EditOp => {
        const { x, y, z } = points[index]!;
        const value = roundTenth(vec(x, Math.sign(y) * Math.max(0, Math.abs(y) - mm), z));
        return { op: "set", path: ["lines", line.id, key, index], value };
      });
      return { byMm: mm, isByLeast: true, edit: { code: "drawIn", at, ops } };
    });
  }).filter(({ edit }) => edit.ops.length > 0);
}

const INWARD_TIMES = [1, 1.5, 2.5, 4] as const;

// The point farthest out, the two, and so on to all.
function listFarthest(points: readonly Vec3[]): number[][] {
  const order = points.map((_, i) => i).sort((a, b) => Math.abs(points[b]!.y) - Math.abs(points[a]!.y));
  return order.map((_, count) => order.slice(0, count + 1));
}

function shiftLeg(line: Line, at: LegRef, shifts: readonly Shift[]): Remedy[] {
  const points = listPoints(line);
  const key = line.kind === "drain" ? "bendsMm" : "pointsMm";
  const ends = [at.index - 1, at.index].filter((bend) => points[bend]);
  const picks = ends.length === 2 ? [ends, [ends[0]!], [ends[1]!]] : [ends];
  return shifts
    .flatMap(({ way, byMm }) =>
      picks.map((bends): Remedy => {
        const ops = bends.map((bend): EditOp => {
          const value = roundTenth(add(points[bend]!, scale(WAYS[way], byMm)));
          return { op: "set", path: ["lines", line.id, key, bend], value };
        });
        return {
          byMm,
          way,
          edit: { code: "clearLeg", at: { kind: "leg", lineId: at.lineId, index: at.index }, ops },
        };
      }),
    )
    .filter(({ edit }) => edit.ops.length > 0)
    .sort((a, b) => a.byMm! - b.byMm!);
}

/** The open end of a breather, taken away from a window, an intake or an exhaust; upward first. */
export function proposeVentEndClear(design: Design, vent: Vent, finding: Clash): Remedy[] {
  const index = vent.pointsMm.length - 1;
  const end = listPoints(vent)[index];
  if (!end) return [];
  const missingMm = toMissingMm(finding);
  return (["up", "forward", "aft", "down"] as const).flatMap((way) =>
    [1, 1.5, 2].flatMap((times): Remedy[] => {
      const byMm = Math.ceil(missingMm * times);
      const to = add(end, scale(WAYS[way], byMm));
      const move = buildMove(design, { kind: "bend", lineId: vent.id, index }, to);
      return move ? [{ byMm, way, edit: { ...move, code: "moveVentEnd" } }] : [];
    }),
  );
}
