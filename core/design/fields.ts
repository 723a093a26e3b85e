import * as z from "./z";

// The page's content policy forbids building code from strings; without this zod would try.
z.config({ jitless: true });

// Building blocks of the schema: every number is finite, bounded and says its unit.
export const number = (unit: string, min: number, max: number) =>
  z.number().check(z.gte(min), z.lte(max), z.meta({ unit }));
export const whole = (min: number, max: number) => z.int().check(z.gte(min), z.lte(max));
/** A list of a bounded length: nothing a builder makes has more. */
export const list = <T extends z.ZodMiniType>(
  entry: T,
  { least = 0, most }: { readonly least?: number; readonly most: number },
) => z.array(entry).check(z.minLength(least), z.maxLength(most));
export const mm = (min: number, max: number) => number("mm", min, max);
export const degrees = (min: number, max: number) => number("deg", min, max);
export const litres = (min: number, max: number) => number("L", min, max);

/** No rig, and nothing on it, reaches further than this from its origin, mm. */
export const FARTHEST_MM = 20_000;

export const id = z.string().check(z.regex(/^[a-z0-9][a-z0-9-]{0,39}$/), z.meta({ unit: "id" }));
export const name = z.string().check(z.trim(), z.minLength(1), z.maxLength(80));

const coordinate = mm(-FARTHEST_MM, FARTHEST_MM);
/** A point in the rig frame: x forward from the rear edge of the floor, y left of the centre line, z up from the finished floor. */
export const pointMm = z.strictObject({ x: coordinate, y: coordinate, z: coordinate });
/** A point a line runs through, known by its id whatever is put in or taken out before it. */
export const node = z.strictObject({ x: coordinate, y: coordinate, z: coordinate, id });
