import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { Edit, EditOp } from "../design/editOps";
import { evaluate } from "../evaluate/evaluate";
import type { Finding } from "../evaluate/findings";
import { ASKED_OF_BUILDER } from "./askedOfBuilder";
import { seekRemedies } from "./seekRemedies";

/** So many findings are taken up at most. */
const MOST_SETTLED = 12;

/** Remedies that only lay what is being fitted otherwise, or give it what belongs to it; nothing the builder has to decide. */
const LAID: ReadonlySet<Edit["code"]> = new Set([
  "addBranchVent",
  "addCleanout",
  "addDumpLine",
  "addVent",
  "clearLeg",
  "fitPumpOut",
  "fitStopValve",
  "hangTrap",
  "liftVent",
  "lowerTrap",
  "moveClear",
  "regradeDumpLine",
  "removeBend",
  "removePort",
  "reroute",
  "takeDown",
  "ventAlongWall",
  "widenVent",
]);

type Asked = {
  /** Findings that were there before stay. */
  readonly known?: ReadonlySet<string>;
  /** What may be touched. */
  readonly isOwn: (op: EditOp) => boolean;
  /** Told after each, as a share in (0, 1]. */
  readonly onStep?: (share: number) => void;
};

/**
 * A design with what one press each settles of its findings done, by laying what is its own otherwise or giving it what belongs to it, where
 * that brings nothing new: nobody is handed what a press mends. With the ops that did it. Each press is tried as every remedy is.
 */
export function settleLaid(
  design: Design,
  { known = new Set(), isOwn, onStep = () => undefined }: Asked,
): { readonly design: Design; readonly ops: readonly EditOp[] } {
  const ops: EditOp[] = [];
  const left = new Set<string>();
  let now = design;
  const isLeft = ({ id, code, severity }: Finding) =>
    severity !== "note" && !known.has(id) && !left.has(id) && !ASKED_OF_BUILDER.has(code);
  for (let done = 0; done < MOST_SETTLED; ) {
    const evaluation = evaluate(now);
    const finding = evaluation.findings.find(isLeft);
    if (!finding) break;
    // what settles most by one press first
    const [remedy] = seekRemedies(now, evaluation, finding)
      .filter(({ newFindings, edit }) => newFindings === 0 && LAID.has(edit.code) && edit.ops.every(isOwn))
      .sort((a, b) => a.after.findings - b.after.findings);
    const laid = remedy && applyEdit(now, remedy.edit);
    if (!laid?.ok) {
      left.add(finding.id);
      continue;
    }
    ops.push(...remedy!.edit.ops);
    now = laid.design;
    done += 1;
    onStep(done / MOST_SETTLED);
  }
  return { design: now, ops };
}

const LISTS = ["tanks", "fixtures", "lines", "gear"] as const;

/**
 * What of a design is not of the one before: ops that touch nothing else, set in something new, or name it in states. Nothing that was there
 * is touched by them.
 */
export function toOwn(before: Design, now: Design): (op: EditOp) => boolean {
  const own = new Set(
    LISTS.flatMap((list) => {
      const had = new Set(before[list].map(({ id }) => id));
      return now[list].flatMap(({ id }) => (had.has(id) ? [] : [`${list} ${id}`]));
    }),
  );
  return ({ op, path }) =>
    path[0] === "states" || (op === "insert" && path.length === 1) || own.has(`${path[0]} ${path[1]}`);
}
