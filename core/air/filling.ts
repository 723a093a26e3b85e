import type { Design } from "../design/design";
import { type Network, sumSurgeLps } from "../falls/network";
import { listPumpsInto, sumFreeLps } from "./pumpOut";

/**
 * The largest flow that can come into a tank, or into some together, at once, L/s: of their drains one bowl let go and the taps of
 * the rest, and all pumps that fill them running free [C; that they run together: T].
 */
export const sumFillLps = (
  design: Pick<Design, "gear" | "lines">,
  network: Network,
  ...tankIds: readonly string[]
): number =>
  sumSurgeLps(network, ...tankIds) + tankIds.reduce((sum, id) => sum + sumFreeLps(listPumpsInto(design, id)), 0);
