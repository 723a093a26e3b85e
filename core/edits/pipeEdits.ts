import type { Edit } from "../design/editOps";
import { buildPutItems, type LineTrap, listInlinePieces, listPipeChanges, type PipeChange } from "../design/lineItems";
import type { Drain, InlinePiece, Pipe, PipeJoint } from "../design/plumbing";
import { findPipeOf } from "../falls/drainPath";
import { isHose } from "../parts/pipes";

/** What joins two pipes: a barb where hose is, a union for two of one size, else a reducer. */
export function findJoint(from: Pipe, to: Pipe): PipeJoint {
  if (isHose(from) || isHose(to)) return "hoseBarb";
  return from.outerMm === to.outerMm && from.innerMm === to.innerMm ? "union" : "reducer";
}

/**
 * Edit that lets a drain go on in another pipe from one of its bends, joined as the two ask for, or in the pipe it
 * came in when `pipe` is null; changes after it are joined anew. Null where there is no such bend.
 */
export function buildChangePipe(drain: Drain, bend: number, pipe: Pipe | null): Edit | null {
  if (bend < 0 || bend >= drain.bendsMm.length) return null;
  const kept = listPipeChanges(drain).filter((change) => change.bend !== bend);
  const wanted = pipe ? [...kept, { bend, pipe, joint: "union" as PipeJoint }] : kept;
  const changes = [...wanted]
    .sort((a, b) => a.bend - b.bend)
    .map(
      (change, i, all): PipeChange => ({ ...change, joint: findJoint(all[i - 1]?.pipe ?? drain.pipe, change.pipe) }),
    );
  return {
    code: "changePipe",
    at: { kind: "bend", lineId: drain.id, index: bend },
    ops: [buildPutItems(drain, { changes })],
  };
}

/** Edit that puts a union in at a bend, so that the drain can be taken apart there. */
export const buildUnion = (drain: Drain, bend: number): Edit | null =>
  buildChangePipe(drain, bend, findPipeOf(drain, bend));

/** Edit that fits a low running trap in the line at a bend, or takes it out; null where there is no such bend. */
export function buildLineTrap(drain: Drain, lineTrap: LineTrap | null): Edit | null {
  if (lineTrap && lineTrap.bend >= drain.bendsMm.length) return null;
  return {
    code: lineTrap ? "addLineTrap" : "removeLineTrap",
    at: { kind: "line", id: drain.id },
    ops: [buildPutItems(drain, { lineTrap })],
  };
}

/** Edit that puts a cleanout, a valve or a flap in at a bend, or takes it out; null where there is no such bend. */
export function buildInline(drain: Drain, bend: number, piece: InlinePiece | null): Edit | null {
  if (bend < 0 || bend >= drain.bendsMm.length) return null;
  const others = listInlinePieces(drain).filter((one) => one.bend !== bend);
  const pieces = piece ? [...others, { bend, piece }] : others;
  return {
    code: "putInline",
    at: { kind: "bend", lineId: drain.id, index: bend },
    ops: [buildPutItems(drain, { pieces })],
  };
}

/** A running trap as it is put in first [T]. */
export const USUAL_LINE_TRAP = { sealMm: 50, hasCleanout: true } as const;
