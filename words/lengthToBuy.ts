import { formatRun, type Units } from "./units";

const M_PER_FT = 0.3048;

/** A length of pipe, hose or cable, m ≥ 0, as it is bought: up to the next tenth of a metre or foot, never less than it takes. */
export function formatLengthToBuy(metres: number, units: Units): string {
  const tenth = (units === "metric" ? 1 : M_PER_FT) / 10;
  // a sum that is off by rounding is no tenth more
  return formatRun(Math.ceil(metres / tenth - 1e-6) * tenth, units);
}
