import type { RulesChoice } from "../design/design";
import type { LimitId } from "./limitIds";
import { PACKS, type SourceId, type Standing } from "./packs";

/** A limit as it applies to one part: the value, and how far it can be trusted. */
export type Limit = {
  readonly id: LimitId;
  /** In the limit's quantity: slope mm/m, length mm, ratio of 1, velocity m/s; null where there is none. */
  readonly value: number | null;
  readonly standing: Standing;
  readonly source: SourceId;
  readonly surePercent: number | null;
};

/**
 * The limit `id` of the chosen pack for a bore, mm, in (0, ∞); the builder's own figure goes before the pack's.
 * A bore above the last band takes the last band.
 */
export function lookUpLimit(
  rules: RulesChoice,
  id: LimitId,
  { boreMm = 40, vented = false }: { readonly boreMm?: number; readonly vented?: boolean } = {},
): Limit {
  const own = rules.limits[id];
  if (own !== undefined) return { id, value: own, standing: "own", source: "own", surePercent: null };
  const rule = PACKS[rules.pack][id];
  const bands = (vented && rule.ventedBands) || rule.bands;
  const band = bands.find((b) => boreMm <= b.upToBoreMm) ?? bands[bands.length - 1]!;
  return { id, value: band.value, standing: rule.standing, source: rule.source, surePercent: rule.surePercent ?? null };
}

/** The same, for a limit that every pack sets. */
export function lookUpValue(rules: RulesChoice, id: LimitId, context?: { readonly boreMm?: number }): number {
  return lookUpLimit(rules, id, context).value ?? 0;
}
