export const theStair = "The stair";
export const theLevel = "The level";
export const thePlan = "The plan";
export const theListOfFindings = "The list of findings";
export const thisStation = "This station";
