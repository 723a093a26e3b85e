export const whatFreezesFirst = "What freezes first";
export const untilItIsAtFreezing = "Until it is at freezing point at";
export const inStillAirWindIsQuicker = ", in still air; wind is quicker.";
export const inAWindOf = "and a wind of";
export const bareButForLaggedTanks =
  "Valves and gear are taken as bare, and so is a tenth of lagged pipe: clips, bends and seams.";
export const whatStandsOverTheFloor = "What stands over the floor stays as warm as the room: unheated, it freezes too.";
export const aBoatAfloat = "This is ashore; afloat the water round her keeps the bilge warmer.";
export const drainDownBeforeFrost = "Drain down before frost";
