import type { Shown } from "../../shown";

export const fittedItsVesselsAndWhat = (toiletNames: Shown) =>
  `${toiletNames} fitted. Its vessels and what fills them stand at Days.`;
export const fitAToilet = "Fit a toilet";
export const kind = "Kind";
export const fitIt = "Fit it";
export const usualFiguresReadYoursOff = "Usual figures: read yours off its sheet.";
