export const fromTheRearEdge = "From the rear edge";
export const leftOfTheMiddle = "Left of the middle";
export const overTheFloor = "Over the floor";
export const lockedHere = "Locked here";
export const lockItHere = "Lock it here";
