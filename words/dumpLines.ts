import type { Tank } from "@/core/design/plumbing";
import type { DumpRun } from "@/core/tanks/dumpRun";
import { formatQuantity, type Units } from "./units";

/** How a dump line does as the rig stands to dump, in a sentence or two. */
export function describeDumpRun({ lengthMm, dropMm, staysL, boreL, line, valves }: DumpRun, units: Units): string {
  const length = (mm: number) => formatQuantity(mm, "length", units);
  const litres = (l: number) => formatQuantity(l, "volume", units);
  const end = line.to.kind === "wye" ? "the coupling" : "its end";
  const side = dropMm >= 0 ? "under" : "over";
  const way = `${length(lengthMm)} long; standing as you dump, ${end} lies ${length(Math.abs(dropMm))} ${side} the outlet.`;
  const stays = staysL < 0.005 ? "It runs empty." : `${litres(staysL)} stays in it.`;
  const where = line.endValve ? "its end" : "the coupling";
  return valves.length > 0
    ? `${way} Before the valve at ${where} ${litres(boreL)} stands in it. ${stays}`
    : `${way} ${stays}`;
}

/** How tanks that share a coupling are let go. */
export function describeSharedCoupling({ tank }: DumpRun, others: readonly Tank[]): string | null {
  if (others.length === 0) return null;
  const names = others.map(({ name }) => name).join(" and ");
  const all = [tank, ...others];
  const isMixed = all.some(({ holds }) => holds === "black") && all.some(({ holds }) => holds !== "black");
  const order = isMixed ? "; the black one first, then the grey one to rinse the hose" : "";
  return `One coupling with ${names}: open one valve at a time${order}.`;
}
