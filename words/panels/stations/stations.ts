import { formatDays } from "../../units";

// The one figure a station comes to, under its name on the stair.

export const doesItHold = "does it hold?";
export const stepsPartsCuts = "steps, parts, cuts";
export const nowLogbook = "now, logbook";

export const noWasteTank = "no waste tank yet";
export const wasteTanks = (tanks: number) => `${tanks} waste tanks`;
/** Rooms that are not linked stand beside each other. */
export const usable = (rooms: readonly string[]) => `${rooms.join(" + ")} usable`;

export const noDrain = "no drain";
export const short = (length: string) => `${length} short`;
export const inHand = (length: string) => `${length} in hand`;

export const stay = (days: number | null) => (days === null ? "no end to it" : formatDays(days));

const count = (number: number, none: string, one: string, many: string): string =>
  number === 0 ? none : number === 1 ? `1 ${one}` : `${number} ${many}`;

export const breathers = (vents: number) => count(vents, "no breather", "breather", "breathers");
export const holes = (number: number) => count(number, "no hole", "hole", "holes");
export const toilets = (number: number) => count(number, "no toilet", "toilet", "toilets");
export const pieces = (number: number) => count(number, "nothing pumped", "piece", "pieces");
