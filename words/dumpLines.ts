import type { DumpRun } from "@/core/tanks/dumpRun";
import { formatQuantity, type Units } from "./units";

/** How a dump line does as the rig stands to dump, in a sentence or two. */
export function describeDumpRun({ lengthMm, dropMm, staysL, boreL, line }: DumpRun, units: Units): string {
  const length = (mm: number) => formatQuantity(mm, "length", units);
  const litres = (l: number) => formatQuantity(l, "volume", units);
  const way =
    dropMm >= 0
      ? `${length(lengthMm)} long; standing as you dump, its end lies ${length(dropMm)} under the outlet.`
      : `${length(lengthMm)} long; standing as you dump, its end lies ${length(-dropMm)} over the outlet.`;
  const stays = staysL < 0.005 ? "It runs empty." : `${litres(staysL)} stay in it.`;
  return line.endValve
    ? `${way} Before the valve at its end ${litres(boreL)} stand in it. ${stays}`
    : `${way} ${stays}`;
}
