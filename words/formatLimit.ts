import type { LimitQuantity } from "@/core/rules/limitIds";
import { formatNumber, formatQuantity, type Units } from "./units";

/** A limit's value in the reader's units; null reads as none, or as computed for the trap arm. */
export function formatLimit(value: number | null, quantity: LimitQuantity, units: Units): string {
  if (value === null) return "none";
  if (quantity === "ratio") return `${formatNumber(value * 100, 0)} %`;
  return formatQuantity(value, quantity, units);
}
