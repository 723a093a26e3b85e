import { type PartRef, toPartKey } from "../design/part";
import type { Limit } from "../rules/lookUpLimit";
import { FINDINGS, type GradedCode, type SeverityOf } from "./findingRegistry";
import type { Finding, FindingCode, FindingNumbers, Severity } from "./findings";

/** Keys by which findings of one code at one part differ: what else is concerned, or where. */
const TOLD_APART = ["obstacleId", "where", "axleName", "otherId"] as const;

type NumbersOf<C extends FindingCode> = Extract<FindingNumbers, { readonly code: C }>;

/** Puts a finding together whose severity the registry settles. */
export function createFinding(
  at: PartRef,
  numbers: NumbersOf<Exclude<FindingCode, GradedCode>>,
  limit: Limit | null = null,
): Finding {
  return putTogether(FINDINGS[numbers.code][2], at, numbers, limit);
}

/** Puts a finding together that is graded by the case, within what the registry allows. */
export function createGraded<N extends NumbersOf<GradedCode>>(
  severity: SeverityOf<N["code"]>,
  at: PartRef,
  numbers: N,
  limit: Limit | null = null,
): Finding {
  return putTogether(severity, at, numbers, limit);
}

/** Its id is the code, the part and what else is concerned, so it stays the same while the fault does. */
function putTogether(severity: Severity, at: PartRef, numbers: FindingNumbers, limit: Limit | null): Finding {
  const own = numbers as Readonly<Record<string, unknown>>;
  const other = TOLD_APART.flatMap((key) => (own[key] === undefined ? [] : `/${String(own[key])}`)).join("");
  return { id: `${numbers.code}@${toPartKey(at)}${other}`, severity, at, limit, ...numbers } as Finding;
}
