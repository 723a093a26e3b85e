import type { Vec3 } from "../geometry/vec";
import type { MoveWay } from "./remedy";

/** The way something goes the most, as the rig lies. */
export function toWay({ x, y, z }: Vec3): MoveWay {
  if (Math.abs(z) > Math.max(Math.abs(x), Math.abs(y))) return z > 0 ? "up" : "down";
  if (Math.abs(x) >= Math.abs(y)) return x > 0 ? "forward" : "aft";
  return y > 0 ? "left" : "right";
}
