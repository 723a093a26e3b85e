export const undersideOfTheKeel = "underside of the keel";
export const ground = "ground";
export const cabinSole = "cabin sole";
export const finishedFloor = "finished floor";
