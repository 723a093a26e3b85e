import type { Quantity } from "@/core/workings/working";
import { workbench } from "@/store/workbench";
import * as WORDS from "@/words/panels/fields/keepWithin";
import { formatQuantity } from "@/words/units";

/** A figure within its bounds is kept; another is refused with the bounds, in the units it was typed in. */
export function keepWithin(
  value: number | null,
  [least, most]: readonly [number, number],
  quantity: Quantity,
  keep: (value: number) => void,
): string | null {
  if (value === null || !(value >= least && value <= most)) {
    const { units } = workbench.getState();
    return WORDS.fromTo(formatQuantity(least, quantity, units), formatQuantity(most, quantity, units));
  }
  keep(value);
  return null;
}
