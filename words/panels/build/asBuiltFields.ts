import type { Shown } from "../../shown";

export const thatCouldNotBeKept = "That could not be kept in this browser.";
export const measuredAsBuilt = "Measured as built";
export const part = "Part";
export const lowerThanDrawn = "Lower than drawn";
export const furtherForward = "Further forward";
export const furtherLeft = "Further left";
export const inHandAtTheWorst = "in hand at the worst as drawn,";
export const asBuilt = "as built.";
export const nothingNewIsFoundAgainst = "Nothing new is found against it as it was built.";
export const couldNotBePutThere = "could not be put there: it is locked, or gone.";
export const forgetWhatWasMeasuredOf = (part: Shown) => `Forget what was measured of ${part}`;
