export const aDrainNeedsATank = "A drain needs a tank with an inlet.";
export const drawADrainFrom = "Draw a drain from";
export const to = "to";
