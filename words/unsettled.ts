import type { BuildStep } from "@/core/build/steps";
import { listUnsettled } from "@/core/build/unsettled";
import type { Design } from "@/core/design/design";
import type { Finding } from "@/core/evaluate/findings";
import { describeFinding } from "./tellFinding";
import type { Units } from "./units";

/** What is to be settled first, by the title of the worst and how many more there are. */
export function describeUnsettled(findings: readonly Finding[], design: Design, units: Units): string {
  const [first, ...more] = findings;
  if (!first) return "";
  const { title } = describeFinding(first, design, units);
  return `Settle first: ${title}${more.length > 0 ? `; and ${more.length} more` : ""}.`;
}

/** The same for each step by its id; "" where nothing stands against it. */
export function tellUnsettled(
  design: Design,
  steps: readonly BuildStep[],
  findings: readonly Finding[],
  units: Units,
): (stepId: string) => string {
  const unsettled = listUnsettled(design, steps, findings);
  return (stepId) => describeUnsettled(unsettled.get(stepId) ?? [], design, units);
}
