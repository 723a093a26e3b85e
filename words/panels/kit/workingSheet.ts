export const thisFigureIsNoLonger = "This figure is no longer part of the design.";
export const computedHere = "computed here";
export const tryOtherValues = "Try other values";
export const nothingOfTheDesignChanges = "Nothing in the design changes here.";
