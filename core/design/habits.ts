import { id, list, litres, name, number, whole } from "./fields";
import { HELD_WATERS } from "./plumbing";
import * as z from "./z";

export const PERSON_KINDS = ["adult", "child", "guest"] as const;

/** People alike: how many, and on how many days of a week they are aboard. */
export const person = z.strictObject({
  id,
  name,
  kind: z.enum(PERSON_KINDS),
  count: whole(1, 60),
  daysPerWeek: number("days", 0.5, 7),
});

export const USE_KINDS = [
  "drains",
  "drinking",
  "cooking",
  "washUpBowl",
  "washUpRunning",
  "handsTeeth",
  "shower",
  "laundry",
  "toilet",
  "urine",
  "rinseOutside",
  "other",
] as const;

export const USE_RATES = ["personDay", "day", "week"] as const;

/** Something people do with water: what one time takes, what of it comes down which drain, and how often. */
export const use = z.strictObject({
  id,
  name,
  kind: z.enum(USE_KINDS),
  /** Where its water comes from: the fresh tanks and vessels aboard, or not from them. */
  from: z.enum(["fresh", "elsewhere"]),
  takesL: litres(0, 300),
  /** What comes down the drain at one time, with what people add; the rest is drunk, boiled off or left outside. */
  sendsL: litres(0, 300),
  /** Where it is done; null where it comes down no drain. */
  fixtureId: z.nullable(id),
  /** A bottle, canister or bucket it goes into instead of a drain. */
  vesselId: z.nullable(id),
  times: number("times", 0, 60),
  per: z.enum(USE_RATES),
  /** It comes as it comes, and not so often every day. */
  byChance: z.boolean(),
});

/** A way of living: all uses of an ordinary day of it. */
export const way = z.strictObject({ id, name, uses: list(use, { most: 40 }) });

/** Water that is carried or caught beside the tanks. */
export const vessel = z.strictObject({
  id,
  name,
  holds: z.enum(HELD_WATERS),
  litres: litres(0.1, 5_000),
  /** On this rig, or on the vehicle it is hitched to or that tows it, and then only there while both stand together. */
  on: z.enum(["rig", "tow"]),
});

/** So many days lived in one way. */
export const stretch = z.strictObject({ wayId: id, days: whole(1, 365) });

/** A tap measured by bucket and watch, and when. */
export const measuredFlow = z.strictObject({
  id,
  fixtureId: id,
  litres: litres(0.1, 100),
  seconds: number("s", 0.5, 3_600),
  /** Day it was measured, as ISO 8601 date. */
  on: z.string().check(z.regex(/^\d{4}-\d{2}-\d{2}$/)),
});

export const habits = z.strictObject({
  people: list(person, { least: 1, most: 12 }),
  ways: list(way, { least: 1, most: 12 }),
  /** How the stay is lived, stretch by stretch; after the last its way goes on. */
  stretches: list(stretch, { least: 1, most: 24 }),
  vessels: list(vessel, { most: 20 }),
  flows: list(measuredFlow, { most: 60 }),
  /** With what certainty the builder wants the days to hold. */
  certainty: number("share", 0.5, 0.99),
});

export type Habits = z.infer<typeof habits>;
export type Person = z.infer<typeof person>;
export type PersonKind = Person["kind"];
export type Use = z.infer<typeof use>;
export type UseKind = Use["kind"];
export type UseRate = Use["per"];
export type Way = z.infer<typeof way>;
export type Vessel = z.infer<typeof vessel>;
