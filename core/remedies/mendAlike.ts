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
 * Settles the findings of one code and severity one after the other, each on the design as the ones before left it, by
 * the kind of remedy that comes first for the first of them. Every remedy has been tried: it settles its finding and
 * raises no new must. Null where fewer than two can be settled so.
 */
export function buildMendAlike(design: Design, attitude: Attitude, ids: readonly string[]): AlikeRemedy | null {
  let mended = design;
  let first: Remedy | null = null;
  let wanted: Edit["code"] | null = null;
  const ops: EditOp[] = [];
  let settled = 0;
  for (const id of ids) {
    const evaluation = evaluate(mended, attitude);
    const finding = evaluation.findings.find((one) => one.id === id);
    // one that is gone was settled with another
    if (!finding) continue;
    const remedy: Remedy | undefined = proposeRemedies(mended, evaluation, finding).find(
      ({ edit }) => !wanted || edit.code === wanted,
    );
    const outcome = remedy && applyEdit(mended, remedy.edit);
    if (!remedy || !outcome?.ok) continue;
    first ??= remedy;
    wanted = first.edit.code;
    mended = outcome.design;
    ops.push(...remedy.edit.ops);
    settled += 1;
  }
  return first && settled > 1 ? { edit: { code: first.edit.code, at: first.edit.at, ops }, first, settled } : null;
}
