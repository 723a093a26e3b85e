import type { Design } from "../design/design";
import type { Tank } from "../design/plumbing";
import type { Solid } from "../geometry/solid";
import { dot, type Vec3 } from "../geometry/vec";
import { buildHeightField, type HeightField, measureVolumeBelowL } from "../geometry/volumeBelow";
import { createRecall } from "../quantity/recall";
import { measureSpillHeightMm } from "./dumpRun";
import type { Opening } from "./openings";

/** What decides that a tank is full. */
export type FullBy = "inlet" | "vent" | "fixture" | "top";

/** How much a tank holds at one attitude until its first opening drowns. */
export type TankFull = {
  readonly litres: number;
  /** True height of the water then, mm. */
  readonly surfaceMm: number;
  readonly by: FullBy;
  /** Port or fixture that drowns first; null when the tank fills to its top. */
  readonly openingId: string | null;
  /** The tank that opening belongs to: another one only where they share a level. */
  readonly openingOf: string | null;
};

/** A rig is judged level, as it stands, as it dumps and at a few places where it parks. */
const USUAL_STANDINGS = 24;

const recallField = createRecall<Solid, HeightField>(USUAL_STANDINGS);

/** Heights of a tank's corners at an attitude; ask it for many levels. */
export const buildTankField = ({ solid }: Tank, up: Vec3): HeightField =>
  recallField(solid, [up.x, up.y, up.z], () => buildHeightField(solid, up));

/** Volume, L, below a true height, mm, over the rig's origin. */
export function measureTankVolumeL(tank: Tank, field: HeightField, up: Vec3, surfaceMm: number): number {
  return measureVolumeBelowL(field, surfaceMm - dot(up, tank.atMm));
}

/**
 * Volume, L, at which the first opening drowns for a unit up direction: the lowest outlet of the fixtures that drain
 * to the tank, an inlet's invert, a vent port, or the tank's top. Source: physics [C].
 * Example: box 800 × 400 × 200, nose down 3°, vent at the low end of the top → 57.29 L.
 */
export function computeTankFull(
  tank: Tank,
  openings: readonly Opening[],
  up: Vec3,
  field = buildTankField(tank, up),
): TankFull {
  const base = dot(up, tank.atMm);
  let surfaceMm = base + field.highestMm;
  let by: FullBy = "top";
  let openingId: string | null = null;
  let openingOf: string | null = null;
  for (const opening of openings) {
    const height = dot(up, opening.atMm) + opening.heldMm;
    if (height >= surfaceMm) continue;
    surfaceMm = height;
    by = opening.by;
    openingId = opening.id;
    openingOf = opening.tankId;
  }
  return { litres: measureVolumeBelowL(field, surfaceMm - base), surfaceMm, by, openingId, openingOf };
}

/** An opening with the volume at which the water stands at it; null when the tank is full to its top before. */
export type Drowning = { readonly opening: Opening; readonly litres: number | null };

/** In which order the openings drown as a tank fills, for a unit up direction; those that never do come last [C]. */
export function listDrownings(tank: Tank, openings: readonly Opening[], up: Vec3): Drowning[] {
  const field = buildTankField(tank, up);
  const base = dot(up, tank.atMm);
  return openings
    .map((opening) => ({ opening, height: dot(up, opening.atMm) + opening.heldMm - base }))
    .sort((a, b) => a.height - b.height)
    .map(({ opening, height }) => ({
      opening,
      litres: height > field.highestMm ? null : measureVolumeBelowL(field, height),
    }));
}

/**
 * Volume, L, left behind below the lowest outlet's invert, or the highest of its dump line, while dumping; null without an
 * outlet. Tanks that share a level run out through the lowest outlet of them all [C].
 */
export function computeLeftBehindL(
  tank: Tank,
  up: Vec3,
  group: readonly Tank[] = [tank],
  lines: Design["lines"] = [],
): number | null {
  const inverts = group.flatMap((one) =>
    one.ports.flatMap((port) => (port.kind === "outlet" ? [measureSpillHeightMm(lines, one, port, up)] : [])),
  );
  if (inverts.length === 0) return null;
  return measureTankVolumeL(tank, buildTankField(tank, up), up, Math.min(...inverts));
}
