export const whichColumnOf = "Which column of";
export const isWhich = "is which?";
export const readItSo = "Read it so";
export const whenAndWhatAreWanted = "When and what are wanted; the rest may be missing.";
