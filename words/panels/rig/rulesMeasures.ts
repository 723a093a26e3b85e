export const rules = "Rules";
export const pack = "Pack";
export const everyLimitToBeChanged = "Every limit, to be changed";
export const heldTo = "Held to:";
export const notLookedAt = "Not looked at:";
