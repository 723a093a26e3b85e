import type { Edit } from "../design/editOps";
import type { Tank } from "../design/plumbing";

/** Pads are sold in steps of so many watts [T], and beyond the most a file takes it is lagging that is missing. */
const STEP_W = 10;
const MOST_W = 1_000;

/** Edit that fits a tank with the next heating pad sold that gives so many watts, > 0; null where none does. */
export function buildFitPad({ id }: Pick<Tank, "id">, wantedW: number): Edit | null {
  const watts = Math.ceil(wantedW / STEP_W) * STEP_W;
  if (watts > MOST_W) return null;
  return { code: "fitPad", at: { kind: "tank", id }, ops: [{ op: "set", path: ["tanks", id, "padW"], value: watts }] };
}
