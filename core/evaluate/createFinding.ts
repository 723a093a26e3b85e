import { type PartRef, toPartKey } from "../design/part";
import type { Limit } from "../rules/lookUpLimit";
import type { Finding, FindingNumbers, Severity } from "./findings";

/** Keys by which findings of one code at one part differ: what else is concerned, or where. */
const TOLD_APART = ["obstacleId", "where", "axleName", "otherId"] as const;

/** Puts a finding together; its id is the code, the part and what else is concerned, so it stays the same while the fault does. */
export function createFinding(
  severity: Severity,
  at: PartRef,
  numbers: FindingNumbers,
  limit: Limit | null = null,
): Finding {
  const own = numbers as Readonly<Record<string, unknown>>;
  const other = TOLD_APART.flatMap((key) => (own[key] === undefined ? [] : `/${String(own[key])}`)).join("");
  return { id: `${numbers.code}@${toPartKey(at)}${other}`, severity, at, limit, ...numbers } as Finding;
}
