import type { RulesChoice } from "../design/design";
import type { LimitId } from "./limitIds";
import { type Band, PACKS, type SourceId, type Standing } from "./packs";

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
 * A bore above the last band takes the last band; without a slope, mm/m ≥ 0, the flattest is meant.
 */
export function lookUpLimit(
  rules: RulesChoice,
  id: LimitId,
  of?: { readonly boreMm?: number; readonly vented?: boolean; readonly slopeMmPerM?: number },
): Limit {
  const own = rules.limits[id];
  if (own !== undefined) return { id, value: own, standing: "own", source: "own", surePercent: null };
  const rule = PACKS[rules.pack][id];
  const bands = (of?.vented && rule.ventedBands) || rule.bands;
  const band = findBand(bands, of?.boreMm ?? USUAL_BORE_MM);
  const { standing, source, surePercent = null } = rule;
  if (band.bySlope && of?.slopeMmPerM !== undefined) {
    return { id, value: readAtSlope(band.bySlope, of.slopeMmPerM), standing, source, surePercent };
  }
  const known = packLimits.get(band);
  if (known) return known;
  const limit = { id, value: band.value, standing, source, surePercent };
  packLimits.set(band, limit);
  return limit;
}

const USUAL_BORE_MM = 40;

function findBand(bands: readonly Band[], boreMm: number): Band {
  for (const band of bands) if (boreMm <= band.upToBoreMm) return band;
  return bands[bands.length - 1]!;
}

// Between two published points by powers: the curve is hollow, and a straight line would lie over it.
function readAtSlope(points: NonNullable<Band["bySlope"]>, slope: number): number {
  const next = points.findIndex(([at]) => at >= slope);
  if (next === 0) return points[0]![1];
  const [to, toValue] = points.at(next)!;
  if (next < 0) return toValue;
  const [from, fromValue] = points[next - 1]!;
  return fromValue * (toValue / fromValue) ** (Math.log(slope / from) / Math.log(to / from));
}

// What a pack says stays as it is, and is asked for some hundreds of times at every move of a hand.
const packLimits = new WeakMap<object, Limit>();

/** The same, for a limit that every pack sets. */
export function lookUpValue(rules: RulesChoice, id: LimitId, context?: { readonly boreMm?: number }): number {
  return lookUpLimit(rules, id, context).value ?? 0;
}
