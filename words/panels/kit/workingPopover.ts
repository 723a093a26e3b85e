export const working = "Working";
