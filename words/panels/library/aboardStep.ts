export const waterPumpedToTheTaps = "Water pumped to the taps";
export const toilet = "Toilet";
export const noToilet = "None for now";
export const eachIsFittedWhole =
  "Each is fitted whole, with its trap, breather, tank and pipes, where it brings the least to settle. Move it afterwards to where you want it; more can be added at any time.";
