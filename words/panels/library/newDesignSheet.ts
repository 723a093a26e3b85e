import type { Shown } from "../../shown";

export const thisCannotBeBuilt = (faults: Shown) => `This cannot be built: ${faults}`;
export const aNewDesign = "A new design";
export const fiveMinutesWithATape =
  "Five minutes with a tape. Every figure can be changed later; what is filled in is only usual.";
export const stepOf = (step: Shown, length: Shown, which: Shown) => `Step ${step} of ${length}. ${which}`;
export const oneOfTheFieldsIs =
  "One of the fields is not understood yet. Mend it, or press Esc in it for the figure before.";
export const back = "Back";
export const next = "Next:";
export const drawIt = "Draw it";
export const itsName = "Its name";
export const whatIsItPickAgain = (rigNames: Shown) =>
  `What is it? Pick ${rigNames} again to go on with what you have measured.`;
export const whatIsIt = "What is it?";
export const atLeastOnePerson = "At least one person.";
export const typeItsMeasure = "Type its measure.";
export const whatElseIsThereSuch =
  "What else is there, such as spare wheel, shaft or walls, is added at the station Rig.";
export const whatIsThereBars = "Measure what is in the way of drains and tank.";
export const tickWhatYouWant = "Tick what you know already; all of it can wait.";
export const fitting = "Fitting…";
export const theFittingDidNotCome = "The fitting did not come to an end. Draw it again.";
export const pickAField = "Pick a field to see where to hold the tape.";
export const my = (rig: string) => `My ${rig}`;
