import { type PartRef, toPartKey } from "../design/part";
import type { Limit } from "../rules/lookUpLimit";
import type { Finding, FindingNumbers, Severity } from "./findings";

/** Puts a finding together; its id is the code and the part, so it stays the same while the fault does. */
export function createFinding(
  severity: Severity,
  at: PartRef,
  numbers: FindingNumbers,
  limit: Limit | null = null,
): Finding {
  const other = "obstacleId" in numbers ? `/${numbers.obstacleId}` : "";
  return { id: `${numbers.code}@${toPartKey(at)}${other}`, severity, at, limit, ...numbers } as Finding;
}
