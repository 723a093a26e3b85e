import type { Design } from "../design/design";
import { type Network, sumSurgeLps } from "../falls/network";
import { listPumpsInto, sumFreeLps } from "./pumpOut";

/**
 * The largest flow that can come into a tank at once, L/s: of its drains one bowl let go and the taps of the rest, and all
 * pumps that fill it running free [C; that they run together: T].
 */
export const sumFillLps = (design: Pick<Design, "gear" | "lines">, network: Network, tankId: string): number =>
  sumSurgeLps(network, tankId) + sumFreeLps(listPumpsInto(design, tankId));
