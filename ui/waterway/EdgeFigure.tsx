import type { Severity } from "@/core/evaluate/findings";
import type { Led } from "@/files/laidOut";

/** How a line or part is drawn that something is said against. */
export const TONES: Readonly<Record<Severity, string>> = {
  must: "var(--signal)",
  should: "var(--warn)",
  note: "var(--faint)",
};

/** What a line comes to, over all lines, with a rim of plain sheet so that none runs through it. */
export function EdgeFigure({ edge, label }: { readonly edge: Led; readonly label: string | null }) {
  if (!label || !edge.labelAt) return null;
  return (
    <text
      x={edge.labelAt[0]}
      y={edge.labelAt[1] + 5}
      textAnchor="middle"
      fontSize={14}
      className="figures pointer-events-none"
      stroke="var(--sheet)"
      strokeWidth={8}
      strokeLinejoin="round"
      paintOrder="stroke"
      style={{ fill: edge.severity ? TONES[edge.severity] : "var(--ink)" }}
    >
      {label}
    </text>
  );
}
