export const fromBehind = "From behind";
