export const stillAir = "Still air";
export const breeze3MS = "Breeze, 3 m/s";
export const driving20MS = "Driving, 20 m/s";
export const asTypedBelow = "As typed below";
export const coldNight = "Cold night";
export const at = "At";
export const nothingFreezes = "nothing freezes.";
export const asFullAsItIs = ", as full as it is drawn and";
export const warmAtDuskItsWater = "warm at dusk, its water is at freezing point in";
export const untilItIsAtFreezing = "Until it is at freezing point";
export const ofItIsIce = "of it is ice";
export const untilIceDoesHarm = "Until ice does harm";
export const later = "later.";
export const asFullWithItsPad = (power: string) => `, with its pad of ${power} on, as full as it is drawn and`;
export const warmAtDuskItStays = "warm at dusk, it does not freeze.";
export const aPadOf = "A pad of";
export const padThatHoldsIt = "Pad that holds it";
export const holdsItAt = "holds it at";
/** Watt-hours of a night of ten hours, and what that takes from the battery. */
export const inANight = (wattHours: number, ampHours: number, volts: number) =>
  `${wattHours}\u00a0Wh in a night of ten hours, ${ampHours}\u00a0Ah from ${volts}\u00a0V.`;
export const heatingPad = "Heating pad";
export const fitAPadOf = (power: string) => `Fit a pad of ${power} or more`;
export const padWithWater =
  "Stick it on before the tank goes up, and lag over it as its maker says. On only with water over it. Valve and pipes freeze by themselves: see below.";
export const laggedItTakes = (foam: string, power: string) =>
  `Lag it first, if there is room: with ${foam} of foam all round, ${power} would do.`;
export const noPad = "None is fitted: empty the tank before such a night.";
export const fromAHeaterBesideIt = "From a heater beside it:";
export const ofAirThatCoolsBy = "of air that cools by";
export const kOr = "K, or";
export const ofGlycolThatCoolsBy = "of glycol that cools by";
export const theNightItIsWorked = "The night it is worked out for";
export const wind = "Wind";
