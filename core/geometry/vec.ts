/** A point or direction in the rig frame: x forward, y left, z up; mm unless the name says otherwise. */
export type Vec3 = { readonly x: number; readonly y: number; readonly z: number };

export const vec = (x: number, y: number, z: number): Vec3 => ({ x, y, z });
export const add = (a: Vec3, b: Vec3): Vec3 => vec(a.x + b.x, a.y + b.y, a.z + b.z);
export const subtract = (a: Vec3, b: Vec3): Vec3 => vec(a.x - b.x, a.y - b.y, a.z - b.z);
export const scale = (a: Vec3, k: number): Vec3 => vec(a.x * k, a.y * k, a.z * k);
export const dot = (a: Vec3, b: Vec3): number => a.x * b.x + a.y * b.y + a.z * b.z;
export const measureLength = (a: Vec3): number => Math.hypot(a.x, a.y, a.z);
export const measurePlanLength = (a: Vec3): number => Math.hypot(a.x, a.y);

/** The point a share t of the way from a to b. */
export const interpolate = (a: Vec3, b: Vec3, t: number): Vec3 =>
  vec(a.x + (b.x - a.x) * t, a.y + (b.y - a.y) * t, a.z + (b.z - a.z) * t);

/** The same point on the other side of the rig: left becomes right. */
export const mirror = (a: Vec3): Vec3 => vec(a.x, -a.y, a.z);
