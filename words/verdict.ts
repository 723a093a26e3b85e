import type { Design } from "@/core/design/design";
import type { DrainResult, Evaluation } from "@/core/evaluate/evaluation";
import type { Finding } from "@/core/evaluate/findings";
import { describeAttitude } from "./attitudes";
import { describeFinding } from "./tellFinding";
import { formatLength, type Units } from "./units";

/** What all findings come to, over their list: nothing is "fit" where nothing is judged. */
export function describeFindings({ drains, findings }: Pick<Evaluation, "drains" | "findings">): string {
  const musts = findings.filter((f) => f.severity === "must").length;
  const shoulds = findings.filter((f) => f.severity === "should").length;
  if (musts > 0) return `${musts} to settle before you drill`;
  if (drains.length === 0) return "Nothing to judge yet";
  if (shoulds > 0) return `${shoulds} you'd regret`;
  return findings.length > 0 ? "Fit to build, with notes" : "Nothing found against it";
}

export type Verdict = { readonly tone: "must" | "should" | "runs"; readonly text: string };

/** One line that says whether a drain may be built as it is. */
export function describeVerdict(design: Design, evaluation: Evaluation, drain: DrainResult, units: Units): Verdict {
  const own = evaluation.findings.filter((finding) => concerns(finding, drain));
  const worst = own.find((f) => f.severity === "must") ?? own.find((f) => f.severity === "should");
  if (worst) {
    const { title, advice } = describeFinding(worst, design, units);
    return { tone: worst.severity === "must" ? "must" : "should", text: `${title}. ${advice}` };
  }
  const { worst: least } = drain;
  const where = describeAttitude(least.attitude, design.rig.kind);
  return {
    tone: "runs",
    text: `Runs wherever you park: ${formatLength(least.inHandMm, units)} in hand at the worst, ${where}.`,
  };
}

function concerns({ at }: Finding, drain: DrainResult): boolean {
  if ("lineId" in at) return at.lineId === drain.lineId;
  if (at.kind === "line") return at.id === drain.lineId;
  if (at.kind === "fixture") return at.id === drain.fixtureId;
  if (at.kind === "port") return at.tankId === drain.tankId;
  return at.kind === "tank" && at.id === drain.tankId;
}
