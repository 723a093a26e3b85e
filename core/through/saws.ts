import { MM_PER_IN } from "../quantity/convert";

/** Hole saws as sold, mm, and inch saws by sixteenths [T]. */
const METRIC_SAWS = [
  16, 19, 20, 22, 25, 28, 30, 32, 35, 38, 40, 44, 48, 51, 54, 57, 60, 64, 68, 73, 76, 83, 89, 92, 102, 105, 114, 127,
  152,
] as const;
const INCH_SAWS = [
  0.625, 0.75, 0.875, 1, 1.125, 1.25, 1.375, 1.5, 1.625, 1.75, 1.875, 2, 2.125, 2.25, 2.5, 2.75, 3, 3.25, 3.5, 4, 4.5,
  5, 6,
] as const;

/** The next saw up that a hole of a width can be cut with; null where none is sold. */
export type Saw = { readonly metricMm: number | null; readonly inch: number | null };

export const findSaw = (widthMm: number): Saw => ({
  metricMm: METRIC_SAWS.find((saw) => saw >= widthMm - 1e-9) ?? null,
  inch: INCH_SAWS.find((saw) => saw * MM_PER_IN >= widthMm - 1e-9) ?? null,
});

/** More than this over the hole that is needed, and the sealant bridges a gap it was not made for, mm of diameter [T]. */
export const MOST_OVER_MM = 6;

/** What a saw out of the own box makes of a hole: what it is over size, and the sealant that takes more. */
export type SawFit = {
  readonly sawMm: number;
  readonly overMm: number;
  readonly moreSealantMl: number;
  /** Not wider than a sealant bridges. */
  readonly isFit: boolean;
};

type Hole = { readonly lengthMm: number; readonly widthMm: number; readonly thicknessMm: number };

/** Thickness a hole has where its wall's is not known, mm [T]. */
const USUAL_WALL_MM = 10;

/**
 * The smallest of the own saws, mm across, that cuts a hole, and what it costs to be larger than asked: the ring between,
 * filled with sealant through the wall. Null where all are too small. Source: geometry [C]; what a sealant bridges [T].
 */
export function chooseOwnSaw({ lengthMm, widthMm, thicknessMm }: Hole, ownMm: readonly number[]): SawFit | null {
  const sawMm = Math.min(...ownMm.filter((saw) => saw >= lengthMm - 1e-9));
  if (!Number.isFinite(sawMm)) return null;
  const ringMm2 = (Math.PI / 4) * (sawMm ** 2 - lengthMm * widthMm);
  const overMm = sawMm - lengthMm;
  return {
    sawMm,
    overMm,
    moreSealantMl: (ringMm2 * Math.max(thicknessMm, USUAL_WALL_MM)) / 1000,
    isFit: overMm <= MOST_OVER_MM,
  };
}
