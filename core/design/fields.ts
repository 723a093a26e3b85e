import * as z from "zod";

// The page's content policy forbids building code from strings; without this zod would try.
z.config({ jitless: true });

// Building blocks of the schema: every number is finite, bounded and says its unit.
export const number = (unit: string, min: number, max: number) => z.number().min(min).max(max).meta({ unit });
export const mm = (min: number, max: number) => number("mm", min, max);
export const degrees = (min: number, max: number) => number("deg", min, max);
export const litres = (min: number, max: number) => number("L", min, max);

/** No rig, and nothing on it, reaches further than this from its origin, mm. */
export const FARTHEST_MM = 20_000;

export const id = z
  .string()
  .regex(/^[a-z0-9][a-z0-9-]{0,39}$/)
  .meta({ unit: "id" });
export const name = z.string().trim().min(1).max(80);

const coordinate = mm(-FARTHEST_MM, FARTHEST_MM);
/** A point in the rig frame: x forward from the rear edge of the floor, y left of the centre line, z up from the finished floor. */
export const pointMm = z.strictObject({ x: coordinate, y: coordinate, z: coordinate });
