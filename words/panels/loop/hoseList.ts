export const hoses = "Hoses";
export const to = "to";
export const from = "From";
export const to2 = "To";
export const joinThemByAHose = "Join them by a hose";
