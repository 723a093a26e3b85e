import type { Attitude } from "../attitude/attitude";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { Edit, EditOp } from "../design/editOps";
import { evaluate } from "../evaluate/evaluate";
import { proposeRemedies } from "./proposeRemedies";
import type { Remedy } from "./remedy";

/** One step that settles several findings of one kind, each by a remedy of the same kind. */
export type AlikeRemedy = {
  readonly edit: Edit;
  /** The first of them, to say what is done. */
  readonly first: Remedy;
  readonly settled: number;
};

/**
 * Settles the findings of one code and severity one after the other, each on the design as the ones before left it, by one
 * kind of remedy: the first that is offered for the first of them which settles them all, else the one that settles most. Every remedy
 * has been tried: it settles its finding and raises no new must. Null where fewer than two can be settled so.
 */
export function buildMendAlike(design: Design, attitude: Attitude, ids: readonly string[]): AlikeRemedy | null {
  const evaluation = evaluate(design, attitude);
  const kinds = new Set<Edit["code"]>();
  for (const finding of evaluation.findings.filter(({ id }) => ids.includes(id))) {
    for (const { edit } of proposeRemedies(design, evaluation, finding)) kinds.add(edit.code);
    if (kinds.size > 0) break;
  }
  let best: AlikeRemedy | null = null;
  for (const kind of kinds) {
    const mended = mendBy(design, attitude, ids, kind);
    if (mended && mended.settled > (best?.settled ?? 1)) best = mended;
    if (best?.settled === ids.length) break;
  }
  return best;
}

function mendBy(design: Design, attitude: Attitude, ids: readonly string[], kind: Edit["code"]): AlikeRemedy | null {
  let mended = design;
  let first: Remedy | null = null;
  const ops: EditOp[] = [];
  let settled = 0;
  for (const id of ids) {
    const evaluation = evaluate(mended, attitude);
    const finding = evaluation.findings.find((one) => one.id === id);
    // one that is gone was settled with another
    if (!finding) continue;
    const remedy = proposeRemedies(mended, evaluation, finding).find(({ edit }) => edit.code === kind);
    const outcome = remedy && applyEdit(mended, remedy.edit);
    if (!remedy || !outcome?.ok) continue;
    first ??= remedy;
    mended = outcome.design;
    ops.push(...remedy.edit.ops);
    settled += 1;
  }
  return first && { edit: { code: kind, at: first.edit.at, ops }, first, settled };
}
