import type { Attitude } from "../attitude/attitude";
import type { PartRef } from "../design/part";
import type { Limit } from "../rules/lookUpLimit";
import { type FormulaId, type Quantity, type Stand, toWorkingId, type Working, type WorkingTerm } from "./working";

export const term = (symbol: string, value: number, quantity: Quantity): WorkingTerm => ({ symbol, value, quantity });

/** A working with what it stands for; without attitude, limit and standing where it has none. */
export function buildWorking(
  formula: FormulaId,
  at: PartRef,
  terms: readonly WorkingTerm[],
  result: WorkingTerm,
  extra: { readonly attitude?: Attitude; readonly limit?: Limit | null; readonly stand?: Stand } = {},
): Working {
  const { attitude = null, limit = null, stand = null } = extra;
  return { id: toWorkingId(formula, at, stand), formula, at, stand, attitude, terms, result, limit };
}
