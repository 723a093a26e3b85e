import { nameSome } from "../../nameSome";

export const hotWater = "Hot water";
export const undo = "Undo";
export const fitHotWater = "Fit hot water";
export const fittingHotWater = "Fitting hot water";

export const coldOnly = (source: string, taps: number): string =>
  `Cold water only. From a tee behind ${source} to a water heater, a relief valve right before it and a mixer right behind it, then on to a warm tap beside ${taps === 1 ? "the cold one" : `each of ${taps} cold ones`}.`;

export const leadHotWaterOn = "Lead hot water on";

export const coldBeside = (heater: string, names: readonly string[]): string =>
  `No warm tap yet over ${nameSome(names)}. From a tee at the nearest warm tap of ${heater}, and on by tees.`;

export const ledOn = (taps: number): string =>
  `Hot water comes to ${taps === 1 ? "one more tap" : `${taps} more taps`}. Measure where each piece stands, then try its states.`;

export const caution =
  "Gas, diesel and mains electricity are for people licensed to fit them. The relief valve drips whenever the water heats: let it drip outside.";

export const scalds = "Hot water scalds. Measure what comes from each tap with a thermometer before anybody uses it.";

export const fitted = (taps: number): string =>
  `Hot water comes to ${taps === 1 ? "a warm tap" : `${taps} warm taps`}. Read what the heater bears on its plate, measure where each piece stands, then try its states.`;
