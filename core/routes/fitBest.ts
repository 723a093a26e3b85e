import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { Edit } from "../design/editOps";
import { evaluate } from "../evaluate/evaluate";
import type { Finding } from "../evaluate/findings";
import { ASKED_OF_BUILDER } from "./askedOfBuilder";
import { laySquare } from "./laySquare";
import { settleLaid, toOwn } from "./settleLaid";

/** Tells how far it is, as a share in (0, 1]. */
export type OnStep = (share: number) => void;

/** An edit, or what makes it when its turn comes; null where it cannot be done so. */
export type Way = Edit | (() => Edit | null);

/** What is told of a part wherever it is put: no other place is looked for on its account. */
const isEverywhere = (code: Finding["code"]): boolean => ASKED_OF_BUILDER.has(code) || code === "portFree";

/** A must weighs so many regrets. */
const MUST = 100;
/** Trying the places is so much of the work. */
const TRIED_SHARE = 0.6;

/**
 * Of edits that fit the same thing in different ways the one that brings the least to be settled, the first of equals, with
 * what its own remedies settle by laying it otherwise done as well, and its hoses led square. Parts that were there stay as they are. Null where every
 * one of them is refused. Each costs a whole evaluation, and none is made after one that leaves nothing to settle.
 */
export function fitBest(design: Design, ways: readonly Way[], onStep: OnStep = () => undefined): Edit | null {
  const known = new Set(evaluate(design).findings.map(({ id }) => id));
  let best: { readonly edit: Edit; readonly cost: number } | null = null;
  for (const [i, way] of ways.entries()) {
    const edit = typeof way === "function" ? way() : way;
    const tried = edit && applyEdit(design, edit);
    onStep((TRIED_SHARE * (i + 1)) / ways.length);
    if (!edit || !tried?.ok) continue;
    const cost = weigh(listFresh(tried.design, known));
    if (!best || cost < best.cost) best = { edit, cost };
    if (cost === 0) break;
  }
  if (!best) return null;
  const now = applyAll(design, best.edit);
  const settled = settleLaid(now, {
    known,
    isOwn: toOwn(design, now),
    onStep: (share) => onStep(TRIED_SHARE + (1 - TRIED_SHARE) * share),
  });
  return { ...best.edit, ops: [...best.edit.ops, ...settled.ops, ...laySquare(settled.design, design)] };
}

const listFresh = (design: Design, known: ReadonlySet<string>): Finding[] =>
  evaluate(design).findings.filter(
    ({ id, code, severity }) => severity !== "note" && !known.has(id) && !isEverywhere(code),
  );

const weigh = (findings: readonly Finding[]): number =>
  findings.reduce((sum, { severity }) => sum + (severity === "must" ? MUST : 1), 0);

// Each was applied once already, to be tried.
function applyAll(design: Design, edit: Edit): Design {
  const outcome = applyEdit(design, edit);
  if (!outcome.ok) throw new Error(`what was tried is refused: ${JSON.stringify(outcome.faults)}`);
  return outcome.design;
}
