import type { Severity } from "@/core/evaluate/findings";
import { SEVERITY_NAMES } from "@/words/tellFinding";

/** Shape first, colour second: a stop bar in a full plate, an open triangle, a ring. */
export function SeverityMark({ severity, size = 16 }: { readonly severity: Severity; readonly size?: number }) {
  const { name } = SEVERITY_NAMES[severity];
  return (
    <svg width={size} height={size} viewBox="0 0 16 16" role="img" aria-label={name} className="shrink-0">
      {severity === "must" && (
        <>
          <rect x="1" y="1" width="14" height="14" fill="var(--signal)" />
          <path d="M4 8h8" stroke="var(--on-signal)" strokeWidth="3" />
        </>
      )}
      {severity === "should" && <path d="M8 2l6.5 11.5h-13Z" fill="none" stroke="var(--warn)" strokeWidth="2" />}
      {severity === "note" && <circle cx="8" cy="8" r="5.5" fill="none" stroke="var(--faint)" strokeWidth="1.8" />}
    </svg>
  );
}
