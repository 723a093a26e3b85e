import type { Pipe, Trap } from "../design/plumbing";

/** Height of the lowest outside of a trap whose weir stands at a height, mm: its bend hangs a bore under the seal. Source: geometry [C]. */
export const findTrapBottomMm = (weirMm: number, { sealMm }: Trap, { innerMm, outerMm }: Pipe): number =>
  weirMm - (sealMm > 0 ? sealMm + innerMm : 0) - (outerMm - innerMm) / 2;

/**
 * How far under its outlet the weir of a trap stands that hangs under a floor whole, mm, up to the next whole one: outlet over the floor, the floor's
 * thickness and the pipe's bore. Source: geometry [C]. Example: 40 mm over 44 mm of floor, bore 36.4 mm → 121 mm.
 */
export const computeHungDropMm = (outletMm: number, floorMm: number, { innerMm }: Pick<Pipe, "innerMm">): number =>
  Math.ceil(outletMm + floorMm + innerMm);
