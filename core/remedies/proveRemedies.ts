import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { Edit } from "../design/editOps";
import { toPartKey } from "../design/part";
import { evaluate } from "../evaluate/evaluate";
import type { Evaluation } from "../evaluate/evaluation";
import type { Finding } from "../evaluate/findings";
import type { ProvenRemedy, Remedy, RemedyFigures } from "./remedy";

const MOST_REMEDIES = 4;
/** Each candidate costs an evaluation; so many are tried at most. */
const MOST_TRIES = 60;

/** What of these is left as a note is what nothing can help. */
const EASED: ReadonlySet<Finding["code"]> = new Set(["hoseComesOff", "trapInFloor"]);

/** What is begun may want more, a first tank has no breather yet; and what was not judged before comes to light. */
const REVEALING: ReadonlySet<Finding["code"]> = new Set([
  "noTankYet",
  "noFixtureYet",
  "parkedLevelOnly",
  "tanksHeel",
  "noState",
]);

/**
 * Those of some candidates that hold, each tried on the design: it settles the finding, or leaves a note of what cannot be
 * helped, and raises no new `must`. At most four: such as bring nothing new before the rest, else in the order they came.
 */
export function proveRemedies(
  design: Design,
  evaluation: Evaluation,
  finding: Finding,
  candidates: readonly Remedy[],
): ProvenRemedy[] {
  const before = readFigures(evaluation, finding);
  const known = new Set(evaluation.findings.map((f) => f.id));
  const proven: ProvenRemedy[] = [];
  let tries = 0;
  for (const remedy of candidates) {
    if (isEnough(proven) || tries === MOST_TRIES) break;
    // of ways that do the same the first, and shortest, is enough, unless it brings something new that a further one does not
    const same = proven.findIndex((one) => isSame(one, remedy));
    if (same >= 0 && proven[same]!.newFindings === 0) continue;
    tries += 1;
    const outcome = applyEdit(design, remedy.edit);
    if (!outcome.ok) continue;
    const tried = evaluate(outcome.design, evaluation.attitude);
    const fresh = tried.findings.filter((f) => !known.has(f.id));
    const left = tried.findings.find((f) => isStill(f, finding));
    const eased = left && EASED.has(left.code) && left.severity === "note" && finding.severity !== "note";
    const settled = (!left || eased) && (eased || countAlike(tried, finding) < countAlike(evaluation, finding));
    if (!settled || (!REVEALING.has(finding.code) && fresh.some((f) => f.severity === "must"))) continue;
    const newFindings = fresh.filter((f) => f.severity !== "note").length;
    const one = { ...remedy, before, after: readFigures(tried, finding), newFindings };
    if (same < 0 && proven.length < MOST_REMEDIES) proven.push(one);
    else if (same >= 0 && newFindings < proven[same]!.newFindings) proven[same] = one;
  }
  return sortBringing(proven);
}

/** What brings least that is new first; of those that bring as much the one that came first. At most four. */
export const sortBringing = (proven: readonly ProvenRemedy[]): ProvenRemedy[] =>
  [...proven].sort((a, b) => a.newFindings - b.newFindings).slice(0, MOST_REMEDIES);

// Of a hose the tightest bend is told: another one that kinks then is the same fault.
function isStill(now: Finding, was: Finding): boolean {
  if (now.id === was.id) return true;
  return was.code === "hoseKinks" && now.code === was.code && findLineId(now) === findLineId(was);
}

// A leg is known by its place: with a bend more before it the same fault stands against the next one.
const countAlike = ({ findings }: Evaluation, was: Finding): number =>
  findings.filter((now) => now.id === was.id || (was.at.kind === "leg" && isSameFault(now, was))).length;

const isSameFault = (now: Finding, was: Finding): boolean =>
  now.code === was.code && now.severity === was.severity && findLineId(now) === findLineId(was);

/** The line a finding is told against; null where it is none. */
export const findLineId = ({ at }: Pick<Finding, "at">): string | null =>
  "lineId" in at ? at.lineId : at.kind === "line" ? at.id : null;

const isEnough = (proven: readonly ProvenRemedy[]): boolean =>
  proven.length === MOST_REMEDIES && proven.every(({ newFindings }) => newFindings === 0);

// What is listed from small to large, or goes one way, is the same on the same part; else what moves as far.
const isSame = ({ edit, byMm, way, isByLeast }: Remedy, other: Remedy): boolean =>
  edit.code === other.edit.code &&
  (isByLeast || way !== undefined ? way === other.way && isOfOne(edit, other.edit) : isAlike(byMm, other.byMm));

const isOfOne = (a: Edit, b: Edit): boolean => toPartKey(a.at) === toPartKey(b.at);

const isAlike = (a: number | null, b: number | null): boolean => a === null || b === null || Math.abs(a - b) < 0.5;

function readFigures(evaluation: Evaluation, { at }: Finding): RemedyFigures {
  const id = findLineId({ at });
  const drain = evaluation.drains.find((d) => d.lineId === id || (at.kind === "fixture" && d.fixtureId === at.id));
  return {
    levelMm: drain?.level.inHandMm ?? null,
    worstMm: drain?.worst.inHandMm ?? null,
    rooms: evaluation.tanks.map(({ tankId, usableWorstL }) => ({ tankId, usableL: usableWorstL })),
    days: evaluation.balance.endsBy.level?.days ?? null,
    findings: evaluation.findings.filter((f) => f.severity !== "note").length,
  };
}
