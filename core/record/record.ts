import { id, list, litres, number, pointMm, whole } from "../design/fields";
import * as z from "../design/z";

const day = z.string().check(z.regex(/^\d{4}-\d{2}-\d{2}$/));
/** A moment as it was where the rig stood: local, without a zone, so that a day is the day of the stop. */
const moment = z.string().check(z.regex(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/));
const note = z.string().check(z.maxLength(400));

export const PART_STATES = ["wanted", "ordered", "came", "sorted", "built"] as const;

export const TRIAL_RESULTS = ["held", "leaks", "unclear"] as const;

/** One trial that was run: what was tried, when, what was read, and what came of it. */
export const trialRun = z.strictObject({
  id,
  /** The step of the trial plan. */
  trialId: z.string().check(z.maxLength(160)),
  at: moment,
  result: z.enum(TRIAL_RESULTS),
  /** What was read, in words of the builder or the sum that was made of it. */
  note,
  /** The part as it was drawn when it was tried, as a short word that changes with it. */
  on: z.optional(z.string().check(z.maxLength(16))),
  /** Photographs taken of it, by their ids, and who signs for it. */
  photos: z.optional(list(id, { most: 12 })),
  signed: z.optional(z.string().check(z.maxLength(80))),
});

/** A part that was measured after it was built: fixture, tank, port or bend, and how far it lies off its place, mm. */
export const measuredPart = z.strictObject({
  part: z.discriminatedUnion("kind", [
    z.strictObject({ kind: z.literal("fixture"), id }),
    z.strictObject({ kind: z.literal("tank"), id }),
    z.strictObject({ kind: z.literal("port"), tankId: id, id }),
    /** Known by its node; records of before nodes had ids know its place in the line. */
    z.strictObject({ kind: z.literal("bend"), lineId: id, index: whole(0, 59), node: z.optional(id) }),
  ]),
  offMm: pointMm,
  on: day,
});

/** A step's part as it was drawn when it was ticked: where it was, how large, and a word for all else that was built by. */
export const drawnStep = z.strictObject({
  placesMm: list(pointMm, { most: 80 }),
  sizesMm: list(number("mm", 0, 20_000), { most: 80 }),
  word: z.string().check(z.maxLength(16)),
});

/** What is done of the building, and how the parts stand; a document of its own beside the design. */
export const buildRecord = z.strictObject({
  /** Steps that are done, by their ids, and when. */
  done: list(
    z.strictObject({
      stepId: z.string().check(z.maxLength(120)),
      on: day,
      /** What it really took, h. */
      hours: z.optional(number("h", 0, 1_000)),
      /** What it was called and drawn like; older records do not say. */
      name: z.optional(z.string().check(z.maxLength(200))),
      drawn: z.optional(drawnStep),
      /** Photographs of it, by their ids: what a cover hides later. */
      photos: z.optional(list(id, { most: 12 })),
    }),
    { most: 2_000 },
  ),
  /** Steps in the order the builder wishes, as far as they may. */
  order: z.optional(list(z.string().check(z.maxLength(120)), { most: 2_000 })),
  /** Steps of the own job that no drawing knows: carcass, worktop, floor. */
  steps: z.optional(
    list(
      z.strictObject({
        id: z.string().check(z.regex(/^own:[a-z0-9-]{1,60}$/)),
        name: z.string().check(z.minLength(1), z.maxLength(80)),
        hours: number("h", 0, 1_000),
      }),
      { most: 100 },
    ),
  ),
  /** What must come before what, by the builder's own rule. */
  rules: z.optional(
    list(z.strictObject({ firstId: z.string().check(z.maxLength(120)), thenId: z.string().check(z.maxLength(120)) }), {
      most: 200,
    }),
  ),
  /** Parts by what they are called, and how they stand. */
  parts: z.record(z.string().check(z.maxLength(160)), z.enum(PART_STATES)),
  /** What a part costs, each or by the metre as it is counted, and where it is bought. */
  prices: z.optional(
    z.record(
      z.string().check(z.maxLength(160)),
      z.strictObject({ price: z.nullable(number("money", 0, 100_000)), shop: z.string().check(z.maxLength(60)) }),
    ),
  ),
  /** Hole saws in the own box, mm across. */
  saws: z.optional(list(number("mm", 5, 250), { most: 100 })),
  /** Trials as they were run, the first first. */
  trials: z.optional(list(trialRun, { most: 2_000 })),
  /** Where parts really came to sit, off the drawing. */
  measured: z.optional(list(measuredPart, { most: 500 })),
});

export const LOG_KINDS = [
  "fill",
  "dump",
  "reading",
  "showers",
  "waterTest",
  "loopChange",
  "filter",
  "cleaning",
  "smell",
  "leak",
  "repair",
  "care",
  "place",
  "living",
  "note",
] as const;

/** What a line said before it was put right, and until when. */
const earlier = z.strictObject({ until: moment, at: moment, amount: z.nullable(litres(0, 5_000)), note });

/** One line of the logbook; where it is put right, what it said before stays with it. */
export const logEntry = z.strictObject({
  id,
  at: moment,
  kind: z.enum(LOG_KINDS),
  /** The store it is about, as the days know it; null where it is about none. */
  storeId: z.nullable(id),
  /** Filled, dumped or read, L; showers by their number; of loop water what is dissolved, mg/L; null where there is none. */
  amount: z.nullable(litres(0, 5_000)),
  note,
  /** The task of care it settles. */
  taskId: z.optional(z.string().check(z.maxLength(120))),
  /** Photographs of it, by their ids. */
  photos: z.optional(list(id, { most: 12 })),
  /** The way of living that begins with it. */
  wayId: z.optional(id),
  /** What it said before, the oldest first. */
  was: z.optional(list(earlier, { most: 20 })),
});

export type DrawnStep = z.infer<typeof drawnStep>;
export type MeasuredPart = z.infer<typeof measuredPart>;
export type TrialRun = z.infer<typeof trialRun>;
export type BuildRecord = z.infer<typeof buildRecord>;
export type PartPrice = NonNullable<BuildRecord["prices"]>[string];
export type PartState = (typeof PART_STATES)[number];
export type LogEntry = z.infer<typeof logEntry>;
export type LogKind = LogEntry["kind"];

export const EMPTY_BUILD: BuildRecord = { done: [], parts: {} };
