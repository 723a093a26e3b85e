export const inThisOrder = "In this order";
export const skinFittings = "Skin fittings";
export const noneYetAddOneUnder =
  "None yet. Add one under Loop, as a piece of gear; then a drain can end overboard through it.";
export const atRest = "At rest";
export const heeledAtTheWorst = ", heeled at the worst";
export const anOddStub = "An odd stub";
export const measuredOutside = "Measured outside";
export const noHoseComesNearIt = "No hose comes near it: cut it off and fit a tail.";
export const overTheWater = (length: string, isUnder: boolean) => `${length} ${isUnder ? "under" : "over"} the water`;
