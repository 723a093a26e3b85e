import type { Design } from "../design/design";
import type { Tank } from "../design/plumbing";
import { dot, type Vec3 } from "../geometry/vec";
import { listLevelGroup } from "./linkedTanks";
import { buildTankField, computeLeftBehindL, measureTankVolumeL } from "./tankLevels";

/**
 * Volume, L, of a fresh tank that no pump gets out of it for a unit up direction: what lies below the crown of the hole it is
 * drawn through, where a pump begins to take air; of several holes, the one that falls dry first. Without such a hole what
 * stays below its outlet; 0 where it has neither. Tanks that share a level are drawn through the holes of them all. The crown
 * is common practice, no source [T]; the volume is exact [C].
 * Example: box 800 × 450 × 200, level, hole of 19 mm with its invert 20 mm up → 14.04 L.
 */
export function computeUndrawnL(design: Pick<Design, "tanks" | "lines">, tank: Tank, up: Vec3): number {
  const group = listLevelGroup(design, tank);
  const crowns = group.flatMap(({ atMm, ports }) =>
    ports.flatMap(({ kind, atMm: at, boreMm }) => (kind === "draw" ? [dot(up, atMm) + dot(up, at) + boreMm] : [])),
  );
  if (crowns.length === 0) return computeLeftBehindL(tank, up, group, design.lines) ?? 0;
  return measureTankVolumeL(tank, buildTankField(tank, up), up, Math.max(...crowns));
}
