import { nameSome } from "../../nameSome";

export const waterToTheTaps = "Water to the taps";
export const undo = "Undo";
export const layWaterToTheTaps = "Lay water to the taps";
export const layingWater = "Laying water";

export const noTapYet = (names: readonly string[], pushName?: string): string => {
  const way =
    pushName === undefined
      ? "From the fresh tank over stop valve and strainer to a pump with a pressure switch, and on by tees"
      : `From a tee at the nearest cold tap of ${pushName}, and on by tees`;
  return `No tap yet over ${nameSome(names)}. ${way}; cold water only.`;
};

export const laid = (taps: number): string =>
  `Water is laid to ${taps === 1 ? "the tap" : `${taps} taps`}. Measure where each piece stands, then try its states.`;
