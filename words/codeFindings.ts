import type { FindingOf } from "@/core/evaluate/findingRegistry";
import type { FindingWords, Told } from "./findingWords";
import { formatNumber } from "./units";

/** What building codes ask of a branch beyond fall, seal and length, in words. */
export function describeCodeFinding(finding: FindingOf<"codes">, { part, limit, length }: Told): FindingWords {
  switch (finding.code) {
    case "branchBends":
      return {
        title: `${part} has ${formatNumber(finding.bends, 0)} bends before it gets air`,
        why: `A branch without a vent of its own may have ${limit} at most. Each bend slows the water, until it fills the pipe and sucks the trap.`,
        advice: "Give the branch air of its own behind the trap, or lead it straighter.",
      };
    case "branchDrops":
      return {
        title: `${part} goes down ${length(finding.dropMm)} before it gets air`,
        why: `A branch without a vent of its own may go down ${limit} at most. Water that fills a long drop sucks hard on the trap.`,
        advice: "Give the branch air of its own behind the trap.",
      };
    case "branchOverloaded":
      return {
        title: `${part} gathers more than its pipe may`,
        why: `${formatNumber(finding.units, 0)} fixture units go through ${length(finding.boreMm)} of bore; the code lets it take ${limit}.`,
        advice: "Use the next wider pipe from there on, or lead one of the fixtures to an inlet of its own.",
      };
  }
}
