export const whatFreezesFirst = "What freezes first";
export const untilItIsAtFreezing = "Until it is at freezing point at";
export const bareInStillAirWind = ", bare in still air; wind is quicker.";
export const trapsOverTheFloorStay = "Traps over the floor stay as warm as the room.";
export const drainDownBeforeFrost = "Drain down before frost";
