import type { Passage } from "@/core/fit/passages";
import { formatLength, type Units } from "./units";

/** How a hole is made: the room to a frame, what lies behind, from which side, pilot first. */
export function describeDrilling({ nearest, behind, drillFrom, through }: Passage, units: Units): string {
  const length = (mm: number) => formatLength(Math.round(mm), units);
  const beside =
    nearest === null
      ? ""
      : through === "panel"
        ? `${length(Math.max(0, nearest.gapMm))} to its edge. `
        : nearest.gapMm < 0
          ? `It cuts into ${nearest.obstacle.name}. `
          : `${length(nearest.gapMm)} to ${nearest.obstacle.name}. `;
  const beyond = behind === null ? "" : `Behind it, after ${length(behind.clearMm)}: ${behind.obstacle.name}. `;
  const side = {
    above: "Pilot from above, look underneath, then the full hole from above.",
    below: "Pilot from below, where there is room for the drill, then the full hole from there.",
    either: "Pilot first, then half from each side, so that no face tears out.",
  }[drillFrom];
  return `${beside}${beyond}${side}`;
}
