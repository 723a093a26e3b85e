import type { Standing } from "../rules/packs";
import type { Quantity } from "../workings/working";

/** What is put into a sum: its name, what kind of number it is, from where to where it is meant, and a usual value. */
export type SumTerm = {
  readonly name: string;
  readonly quantity: Quantity;
  readonly least: number;
  readonly most: number;
  readonly usual: number;
};

export type SumValues = Readonly<Record<string, number>>;

/** One formula of the trade, by itself: terms in the unit their quantity is kept in, one result, a worked example. */
export type SumBody = {
  readonly terms: readonly SumTerm[];
  readonly result: { readonly name: string; readonly quantity: Quantity };
  readonly standing: Standing;
  /** The result; null where the values have none, as a pipe that does not fall. */
  readonly compute: (values: SumValues) => number | null;
  /** Worked by hand or read from a table; `within` is how near the sum must come. */
  readonly example: { readonly values: SumValues; readonly result: number; readonly within: number };
};

/** One term: its name, what kind of number, its bounds and a usual value. */
export const t = (name: string, quantity: Quantity, least: number, most: number, usual: number): SumTerm => ({
  name,
  quantity,
  least,
  most,
  usual,
});
/** A bore, mm. */
export const bore = (usual: number, name = "D") => t(name, "length", 4, 300, usual);
/** A term's value. */
export const of = (values: SumValues, name: string): number => values[name]!;
