import type { Trap } from "../design/plumbing";
import { MM3_PER_L } from "../quantity/convert";

/**
 * Water that stands in a trap, L: two legs as deep as the seal and the bend between them, a bore of pipe more for its mouth.
 * Bore > 0 mm; 0 for a trap without water. On the large side of what a bend holds [C on T].
 */
export function measureTrapL({ sealMm, spanMm }: Pick<Trap, "sealMm" | "spanMm">, boreMm: number): number {
  if (sealMm <= 0) return 0;
  return ((Math.PI / 4) * boreMm ** 2 * (2 * sealMm + spanMm + boreMm)) / MM3_PER_L;
}
