import { MM3_PER_L } from "../quantity/convert";
import { findCentroid, measureSignedArea, type Vec2 } from "./polygon";
import { add, scale, type Vec3, vec } from "./vec";

/** The inside of a tank, its lowest corner at the solid's own origin; mm. */
export type Solid = BoxSolid | PrismSolid | CylinderSolid;

export type BoxSolid = {
  readonly shape: "box";
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
};

/**
 * A flat profile pushed along one axis of the rig. The profile's (u, v) are
 * (y, z) along x, (x, z) along y and (x, y) along z.
 */
export type PrismSolid = {
  readonly shape: "prism";
  readonly axis: "x" | "y" | "z";
  readonly lengthMm: number;
  readonly profileMm: readonly Vec2[];
};

/** A round tank along one axis of the rig. */
export type CylinderSolid = {
  readonly shape: "cylinder";
  readonly axis: "x" | "y" | "z";
  readonly lengthMm: number;
  readonly diameterMm: number;
};

/** A circle is worked out as a polygon of so many corners, of the same area: a level is off by 0.13 % of the radius at most. */
const CIRCLE_CORNERS = 72;

function roundProfile(diameterMm: number): Vec2[] {
  const step = (2 * Math.PI) / CIRCLE_CORNERS;
  const radius = (diameterMm / 2) * Math.sqrt(step / Math.sin(step));
  return Array.from({ length: CIRCLE_CORNERS }, (_, i) => ({
    u: diameterMm / 2 + radius * Math.cos(i * step),
    v: diameterMm / 2 + radius * Math.sin(i * step),
  }));
}

/** The profile of any solid with the axis it is pushed along: a box is a prism along x. */
export function toPrism(solid: Solid): PrismSolid {
  if (solid.shape === "prism") return solid;
  if (solid.shape === "cylinder") {
    const { axis, lengthMm: along, diameterMm } = solid;
    return { shape: "prism", axis, lengthMm: along, profileMm: roundProfile(diameterMm) };
  }
  const { lengthMm, widthMm, heightMm } = solid;
  return {
    shape: "prism",
    axis: "x",
    lengthMm,
    profileMm: [
      { u: 0, v: 0 },
      { u: widthMm, v: 0 },
      { u: widthMm, v: heightMm },
      { u: 0, v: heightMm },
    ],
  };
}

/** The point of a prism at profile corner `p`, a distance `t` along the axis. */
export function placeOnAxis(axis: PrismSolid["axis"], p: Vec2, t: number): Vec3 {
  if (axis === "x") return vec(t, p.u, p.v);
  if (axis === "y") return vec(p.u, t, p.v);
  return vec(p.u, p.v, t);
}

/** Every corner of the solid in its own frame. */
export function listCorners(solid: Solid): Vec3[] {
  const { axis, lengthMm, profileMm } = toPrism(solid);
  return profileMm.flatMap((p) => [placeOnAxis(axis, p, 0), placeOnAxis(axis, p, lengthMm)]);
}

export type Extent = { readonly min: Vec3; readonly max: Vec3 };

// A solid never changes, and is asked for its extent many times in one evaluation.
const EXTENTS = new WeakMap<Solid, Extent>();

/** Lengths of the solid along x, y and z, and where its lowest corner is in its own frame. */
export function measureExtent(solid: Solid): Extent {
  const known = EXTENTS.get(solid);
  if (known) return known;
  const extent = findExtent(solid);
  EXTENTS.set(solid, extent);
  return extent;
}

function findExtent(solid: Solid): Extent {
  if (solid.shape === "cylinder") {
    const { diameterMm: d } = solid;
    return { min: vec(0, 0, 0), max: placeOnAxis(solid.axis, { u: d, v: d }, solid.lengthMm) };
  }
  const corners = listCorners(solid);
  const of = (pick: (...n: number[]) => number): Vec3 =>
    vec(pick(...corners.map((c) => c.x)), pick(...corners.map((c) => c.y)), pick(...corners.map((c) => c.z)));
  return { min: of(Math.min), max: of(Math.max) };
}

/** The middle of a solid's volume in its own frame, mm: where the water of a full tank weighs [C]. */
export function findCentre(solid: Solid): Vec3 {
  const { min, max } = measureExtent(solid);
  if (solid.shape !== "prism") return scale(add(min, max), 0.5);
  return placeOnAxis(solid.axis, findCentroid(solid.profileMm), solid.lengthMm / 2);
}

/** Volume, L: area of the profile times length [C]. */
export function measureCapacityL(solid: Solid): number {
  const { lengthMm, profileMm } = toPrism(solid);
  return (Math.abs(measureSignedArea(profileMm)) * lengthMm) / MM3_PER_L;
}
