import type { FindingCode } from "../evaluate/findings";

/** What only the builder knows or decides: no place of a part and no way of a line changes it. */
export const ASKED_OF_BUILDER: ReadonlySet<FindingCode> = new Set([
  "fixingMissing",
  "fixtureUncounted",
  "heaterUnrated",
  "tankUnfed",
  "toiletUnused",
  "urineInGrey",
]);
