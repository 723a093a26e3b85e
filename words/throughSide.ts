import type { FindingWords } from "./findingWords";

/** A tank or a piece of gear that stands half in a cabinet. */
export const describeThroughSide = (part: string, cabinet: string, past: string): FindingWords => ({
  title: `${part} stands through the side of ${cabinet}`,
  why: `It reaches ${past} past it.`,
  advice: "Move it so that it stands wholly inside or outside.",
});
