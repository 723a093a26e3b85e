export const rules = "Rules";
export const pack = "Pack";
export const everyLimitToBeChanged = "Every limit, to be changed";
