export type RigLine = "ground" | "sill" | "waterline" | "front";

/** A part of a design that a finding, a figure or a selection is about. */
export type PartRef =
  | { readonly kind: "rig" }
  /** An axle, counted from the first in the list. */
  | { readonly kind: "axle"; readonly index: number }
  /** Lines of the rig that are measured: the ground, the sills, the waterline, the front edge of the floor. */
  | { readonly kind: "measure"; readonly of: RigLine }
  | { readonly kind: "habits" }
  /** Tanks that store together, fresh water as a whole, or a vessel, by the store's id. */
  | { readonly kind: "store"; readonly id: string }
  | { readonly kind: "obstacle"; readonly id: string }
  | { readonly kind: "fixture"; readonly id: string }
  | { readonly kind: "tank"; readonly id: string }
  | { readonly kind: "port"; readonly tankId: string; readonly id: string }
  | { readonly kind: "line"; readonly id: string }
  | { readonly kind: "gear"; readonly id: string }
  /** A working state of the pumped side. */
  | { readonly kind: "state"; readonly id: string }
  | { readonly kind: "trap"; readonly lineId: string }
  /** Bend of a drain, or point of a vent, counted from the start. */
  | { readonly kind: "bend"; readonly lineId: string; readonly index: number }
  /** The free end of a drain, in the open or over a vessel. */
  | { readonly kind: "end"; readonly lineId: string }
  /** Leg of a drain, counted from the trap. */
  | { readonly kind: "leg"; readonly lineId: string; readonly index: number }
  /** Where a leg goes through a wall or the side of a cabinet, counted along the leg. */
  | { readonly kind: "panel"; readonly lineId: string; readonly index: number; readonly nth: number }
  /** The ground clearance between or beyond the axles. */
  | { readonly kind: "ramp"; readonly where: "between" | "behind" | "before" };

/** One string a part, for keys and comparisons. */
export function toPartKey(part: PartRef): string {
  return Object.values(part).join(":");
}
