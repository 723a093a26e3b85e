export const fromBehind = "From behind";
export const plan = "Plan";
