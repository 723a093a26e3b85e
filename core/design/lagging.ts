import type { Line } from "./plumbing";

/** Foam round a line where it runs under the floor, mm; a breather holds no water and has none. */
export const findInsulationMm = (line: Line): number => (line.kind === "vent" ? 0 : (line.insulationMm ?? 0));
