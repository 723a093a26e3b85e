import type { ToiletSchool } from "@/core/edits/plumbToilet";
import type { Shown } from "../../shown";

export const fittedItsVesselsAndWhat = (toiletNames: Shown) =>
  `${toiletNames} fitted. Its vessels and what fills them stand at Days.`;
export const fittedWithAllItNeeds = (toiletNames: Shown) =>
  `${toiletNames} fitted with tank, breather and pipes, where that brings the least to settle. Measure the place, then move what is off.`;
export const undo = "Undo";
export const fitAToilet = "Fit a toilet";
export const kind = "Kind";
export const fitIt = "Fit it";
export const fitItWithTankAndHoses = "Fit it with tank and pipes";
export const theToiletAlone = "The toilet alone";
export const lookingForItsPlace = "Looking for its place";
export const itsWaste = "Waste goes";
export const SCHOOL_NAMES: Readonly<Record<ToiletSchool, string>> = {
  tank: "tank only",
  tankOrSea: "tank or sea",
};
export const SCHOOL_HELP: Readonly<Record<ToiletSchool, string>> = {
  tank: "Nothing to turn the wrong way, and one hole less in her. Full, it is pumped out from the deck.",
  tankOrSea:
    "One more seacock, loop and valve. In a no-discharge zone the valve must be locked, tied or its handle off: it is fitted so. Where it may be opened your flag and the coast say.",
};
export const usualFiguresReadYoursOff = "Usual figures: read yours off its sheet.";
