export const ports = "Ports";
export const everythingThatGoesIntoThe =
  "Everything that goes into the tank, and what lets it out. A breather brings its port along.";
export const fromTheTanksRear = "From the tank's rear";
export const fromItsRightSide = "From its right side";
export const notChosenYet = "Not chosen yet";
export const byHand = "By hand";
export const sitsInIts = "Sits in its";
export const bore = "Bore";
export const invertOverItsBottom = "Invert over its bottom";
export const thread = "Thread";
export const standsOutFromTheWall = "Stands out from the wall";
export const howFarBendValveOr =
  "How far bend, valve or hose tail reach out. It is drawn, and held against what is in the way.";
export const dumpValve = "Dump valve";
export const boreOfTheValve = "Bore of the valve";
export const takeThis = "Take this";
export const out = "out";
export const electric = "Electric";
