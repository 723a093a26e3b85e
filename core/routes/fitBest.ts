import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { Edit, EditOp } from "../design/editOps";
import { evaluate } from "../evaluate/evaluate";
import type { Finding } from "../evaluate/findings";
import { proposeRemedies } from "../remedies/proposeRemedies";

/** Tells how far it is, as a share in (0, 1]. */
export type OnStep = (share: number) => void;

/** A must weighs so many regrets. */
const MUST = 100;
/** So many findings are taken up with what was fitted, at most. */
const MOST_SETTLED = 12;
/** Trying the places is so much of the work. */
const TRIED_SHARE = 0.6;

/** Remedies that only lay what is being fitted otherwise, or give it what belongs to it; nothing the builder has to decide. */
const LAID: ReadonlySet<Edit["code"]> = new Set([
  "addBranchVent",
  "addCleanout",
  "addDumpLine",
  "addVent",
  "clearLeg",
  "fitPumpOut",
  "fitStopValve",
  "liftVent",
  "moveClear",
  "regradeDumpLine",
  "removeBend",
  "removePort",
  "takeDown",
  "widenVent",
]);

/**
 * Of edits that fit the same thing in different ways the one that brings the least to be settled, the first of equals, with
 * what its own remedies settle by laying it otherwise done as well. Parts that were there stay as they are. Null where every
 * one of them is refused. Each costs a whole evaluation.
 */
export function fitBest(design: Design, edits: readonly Edit[], onStep: OnStep = () => undefined): Edit | null {
  const known = new Set(evaluate(design).findings.map(({ id }) => id));
  let best: { readonly edit: Edit; readonly cost: number } | null = null;
  for (const [i, edit] of edits.entries()) {
    const tried = applyEdit(design, edit);
    onStep((TRIED_SHARE * (i + 1)) / edits.length);
    if (!tried.ok) continue;
    const cost = weigh(listFresh(tried.design, known));
    if (!best || cost < best.cost) best = { edit, cost };
    if (cost === 0) break;
  }
  return best && settle(design, best.edit, known, onStep);
}

const listFresh = (design: Design, known: ReadonlySet<string>): Finding[] =>
  evaluate(design).findings.filter(({ id, severity }) => severity !== "note" && !known.has(id));

const weigh = (findings: readonly Finding[]): number =>
  findings.reduce((sum, { severity }) => sum + (severity === "must" ? MUST : 1), 0);

function settle(design: Design, edit: Edit, known: ReadonlySet<string>, onStep: OnStep): Edit {
  let now = applyAll(design, edit);
  const own = listOwn(design, now);
  const ops = [...edit.ops];
  const left = new Set<string>();
  for (let done = 0; done < MOST_SETTLED; ) {
    const evaluation = evaluate(now);
    const finding = evaluation.findings.find(
      ({ id, severity }) => severity !== "note" && !known.has(id) && !left.has(id),
    );
    if (!finding) break;
    const remedy = proposeRemedies(now, evaluation, finding).find(
      ({ newFindings, edit: one }) => newFindings === 0 && LAID.has(one.code) && one.ops.every((op) => isOf(op, own)),
    );
    if (!remedy) {
      left.add(finding.id);
      continue;
    }
    ops.push(...remedy.edit.ops);
    now = applyAll(now, remedy.edit);
    done += 1;
    onStep(TRIED_SHARE + ((1 - TRIED_SHARE) * done) / MOST_SETTLED);
  }
  return { ...edit, ops };
}

// Each was applied once already, to be tried.
function applyAll(design: Design, edit: Edit): Design {
  const outcome = applyEdit(design, edit);
  if (!outcome.ok) throw new Error(`what was tried is refused: ${JSON.stringify(outcome.faults)}`);
  return outcome.design;
}

const LISTS = ["tanks", "fixtures", "lines", "gear"] as const;

const listOwn = (before: Design, now: Design): ReadonlySet<string> =>
  new Set(
    LISTS.flatMap((list) => {
      const had = new Set(before[list].map(({ id }) => id));
      return now[list].flatMap(({ id }) => (had.has(id) ? [] : [`${list} ${id}`]));
    }),
  );

// A new part may come in, and states may name it; of those that were there none is touched.
const isOf = ({ op, path }: EditOp, own: ReadonlySet<string>): boolean =>
  path[0] === "states" || (op === "insert" && path.length === 1) || own.has(`${path[0]} ${path[1]}`);
