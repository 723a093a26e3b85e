/** A fixture nobody uses, and the first leg on its way that the water of others runs through. */
export type Idle = { readonly fixtureId: string; readonly outletMm: number; readonly cell: number };

type Stretch = {
  readonly litres: number;
  readonly fullL: number;
  /** Heights of its crown where the water comes in and goes out, mm. */
  readonly headMm: number;
  readonly footMm: number;
  readonly next: number;
};
type Source = { readonly litres: number; readonly areaM2: number; readonly outletMm: number; readonly cell: number };

/** From this share on the surface closes up and the pipe runs full [P: Chow 1959, depth 0.938 of the bore, from memory]. */
const FULL_SHARE = 0.97;

/** Whether a leg runs full from wall to wall. */
export const isFull = ({ litres, fullL }: Pick<Stretch, "litres" | "fullL">): boolean => litres >= FULL_SHARE * fullL;

/**
 * Fixtures nobody uses in which water comes up at this moment: the leg they share runs full, and the water that is held back over
 * it stands higher than their outlet. What stands in the legs before it counts by how far they are filled, and in a bowl by its
 * depth; what the way to them takes away, and traps and flaps on it, are not counted, on the safe side. Heights in mm, litres.
 * Source: hydrostatics [C on T].
 */
export function listRisen(idle: readonly Idle[], cells: readonly Stretch[], sources: readonly Source[]): string[] {
  const level = (at: number): number => {
    const { headMm } = cells[at]!;
    const before = cells.flatMap((cell, i) =>
      cell.next === at
        ? [isFull(cell) ? level(i) : cell.footMm + (cell.litres / cell.fullL) * Math.max(0, cell.headMm - cell.footMm)]
        : [],
    );
    const bowls = sources.flatMap(({ cell, outletMm, litres, areaM2 }) =>
      cell === at && litres > 0 ? [outletMm + litres / areaM2] : [],
    );
    return Math.max(headMm, ...before, ...bowls);
  };
  return idle.flatMap(({ fixtureId, outletMm, cell }) =>
    isFull(cells[cell]!) && level(cell) > outletMm ? [fixtureId] : [],
  );
}
