export const sayWhatWasRead = "Say what was read.";
export const thatIsStillToCome = "That is still to come. Leave the time empty for now.";
export const writeDown = "Write down";
export const what = "What";
export const of = "Of";
export const whenIfNotNow = "When, if not now";
export const note = "Note";
export const writeIt = "Write it";
