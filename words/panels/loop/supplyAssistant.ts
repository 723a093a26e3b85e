export const waterToTheTaps = "Water to the taps";
export const undo = "Undo";
export const layWaterToTheTaps = "Lay water to the taps";
export const layingWater = "Laying water";

const MOST_NAMED = 3;

export const noTapYet = (names: readonly string[]): string => {
  const named = names.slice(0, MOST_NAMED).join(", ");
  const more = names.length > MOST_NAMED ? ` and ${names.length - MOST_NAMED} more` : "";
  return `No tap yet over ${named}${more}. From the fresh tank over stop valve and strainer to a pump with a pressure switch, and on by tees; cold water only.`;
};

export const laid = (taps: number): string =>
  `Water is laid to ${taps === 1 ? "the tap" : `${taps} taps`}. Measure where each piece stands, then try its states.`;
