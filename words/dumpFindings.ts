import type { FindingOf } from "@/core/evaluate/findingRegistry";
import type { FindingWords, Told } from "./findingWords";
import { formatQuantity } from "./units";

/** What is found at dump lines, in words. */
export function describeDumpFinding(
  finding: FindingOf<"dump">,
  { part, length, litres, limit, units }: Told,
): FindingWords {
  switch (finding.code) {
    case "dumpLineHigh":
      return {
        title: `${part} climbs over its outlet`,
        why: `Standing as you dump, its highest point lies ${length(finding.byMm)} over the outlet: what is under that stays in the tank.`,
        advice: `Lower it by ${length(finding.byMm)} and more, so that it falls all the way, or set the outlet higher.`,
      };
    case "dumpLineFlat":
      return {
        title: `${part} is too flat`,
        why: `Standing as you dump it ${finding.slopeMmPerM < 0 ? "rises" : "falls"} ${formatQuantity(Math.abs(finding.slopeMmPerM), "slope", units)}; the rules ask for ${limit}.${finding.litres > 0 ? ` ${litres(finding.litres)} stays in the line, settles and freezes.` : " Solids stay lying in it."}`,
        advice: "Lower its end, raise the tank, or lean the rig more to dump.",
      };
    case "dumpLineOpen":
      return {
        title: `Nothing shuts ${part}`,
        why: "With no valve at the outlet and none at the end the tank runs out on the road.",
        advice: "Put a valve at the tank's outlet, and a cap on the end.",
      };
    case "dumpLineFull":
      return {
        title: `${part} always stands full`,
        why: `Its only valve is at the end: ${litres(finding.litres)} of ${finding.holds === "black" ? "sewage" : "waste water"} stands in the pipe, freezes first, and runs out where it is knocked.`,
        advice: "Put the valve at the tank, or a second one there.",
      };
    case "blackOutletInside":
      return {
        title: `${part} can't be reached`,
        why: `It lies ${length(finding.insideMm)} in under the rig, and a hose has to be put on it by hand for each dump.`,
        advice: "Lead a dump line from it to the nearest edge.",
      };
    case "dumpEndInside":
      return {
        title: `The end of ${part} is hard to reach`,
        why: `It lies ${length(finding.insideMm)} in under the rig. The hose is put on lying down, over what drips.`,
        advice: "Lead it to the side or the rear, where a hand reaches it standing.",
      };
    case "dumpLinesMix":
      return {
        title: `Nothing shuts ${finding.tankName} off from ${finding.otherName}`,
        why:
          finding.severity === "must"
            ? `They share a coupling and no valve stands between them: ${finding.other === "black" ? "sewage" : "water"} of ${finding.otherName} rises into it as soon as it is let go.`
            : `They share a coupling and no valve stands between them: the fuller one runs into the lower one.`,
        advice: `Put a valve at the outlet of ${finding.tankName}, before the lines meet.`,
      };
    case "dumpLineDirtiesFresh":
      return {
        title: `${finding.tankName} shares a coupling with ${finding.otherName}`,
        why: "Waste water stands against its valve each time the other tank is dumped, and valves leak: drinking water must not be piped to waste.",
        advice: "Let it out by a line of its own, with its end in the open.",
      };
  }
}
