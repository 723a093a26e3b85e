import type { AirPipe } from "./airPressure";
import { toFreePipe, type VentStretch } from "./ventPath";

/** The way of a tank's air to the open. */
export type AirWay = { readonly tankId: string; readonly stretches: readonly VentStretch[] };

/** A piece of an airway, and the tanks whose air goes through it. */
export type Portion = { readonly pipe: AirPipe; readonly tankIds: readonly string[] };

/**
 * A tank's airway, taken apart where the air of others comes in: from its port to the open. What friction takes grows with length
 * and losses alike, so that the portions at one flow add up to the stretch [C].
 */
export const listPortions = (own: AirWay, others: readonly AirWay[]): Portion[] =>
  own.stretches.flatMap((stretch) => takeApart(own.tankId, stretch, others));

/** The tanks whose air goes through any of them. */
export const listThrough = (portions: readonly Portion[]): string[] => [
  ...new Set(portions.flatMap(({ tankIds }) => tankIds)),
];

function takeApart(tankId: string, { lineId, pipe }: VentStretch, others: readonly AirWay[]): Portion[] {
  // the one that comes in first has the longest way left
  const joining = others
    .flatMap((other) => {
      const on = other.tankId === tankId ? undefined : other.stretches.find((stretch) => stretch.lineId === lineId);
      return on ? [{ tankId: other.tankId, left: toFreePipe(on) }] : [];
    })
    .sort((a, b) => b.left.lengthM - a.left.lengthM);
  const portions: Portion[] = [];
  const through = [tankId];
  let rest = pipe;
  for (const { tankId: otherId, left } of joining) {
    if (left.lengthM < rest.lengthM) {
      const [lengthM, lossK] = [rest.lengthM - left.lengthM, Math.max(0, rest.lossK - left.lossK)];
      portions.push({ pipe: { ...rest, lengthM, lossK }, tankIds: [...through] });
      rest = { ...rest, lengthM: left.lengthM, lossK: rest.lossK - lossK };
    }
    through.push(otherId);
  }
  return [...portions, { pipe: rest, tankIds: through }];
}
