export const waterway = "Waterway";
export const whereTheWaterComesFrom =
  "Where the water comes from, what it runs through, and where it ends. Press a part to open it.";
export const print = "Print";
