export const waterway = "Waterway";
export const whereTheWaterComesFrom =
  "Where the water comes from, what it runs through, and where it ends. Press a part to open it.";
export const hosesShowTheFoulest = "A hose shows the foulest water that comes into it in any working state.";
export const theSeaCountsAsGrey = "The sea counts as grey.";
export const print = "Print";
export const fresh = "Fresh";
export const grey = "Grey";
export const black = "Black";
export const loop = "Loop";
export const air = "Air";
