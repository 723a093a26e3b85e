export const undersideOfTheKeel = "underside of the keel";
export const ground = "ground";
