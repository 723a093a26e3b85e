import { id, list, name, number, whole } from "../design/fields";
import { attitude } from "../design/rig";
import * as z from "../design/z";

const day = z.string().check(z.regex(/^\d{4}-\d{2}-\d{2}$/));

/** A place to stand, or only to dump and fill: where, when, and what is there. */
export const stop = z.strictObject({
  id,
  name,
  /** Null where it is known by name only. */
  latDeg: z.nullable(number("deg", -90, 90)),
  lonDeg: z.nullable(number("deg", -180, 180)),
  /** The day one comes there; days are those of the place itself. */
  arrive: day,
  nights: whole(0, 120),
  has: z.strictObject({ grey: z.boolean(), toilet: z.boolean(), fresh: z.boolean() }),
  /** It is shut, full or frozen: nothing is dumped or filled there. */
  isClosed: z.boolean(),
  cost: number("money", 0, 10_000),
  /** How the pitch leans, where that is known. */
  stands: z.nullable(attitude),
  /** When one may come, as the place says it. */
  hours: z.optional(z.string().check(z.maxLength(80))),
  note: z.string().check(z.maxLength(400)),
});

export const journey = z.strictObject({ stops: list(stop, { most: 200 }) });

export type Stop = z.infer<typeof stop>;
export type Journey = z.infer<typeof journey>;

export const EMPTY_JOURNEY: Journey = { stops: [] };
