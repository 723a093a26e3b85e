export const atTheTaps = "At the taps";
export const tap = "Tap";
export const alone = "Alone";
export const allOpen = "All open";
