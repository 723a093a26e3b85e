import { PACK_IDS } from "../rules/packIds";
import { id, list, name, number } from "./fields";
import { gearList, workingStates } from "./gear";
import { habits } from "./habits";
import { fixture, line, tank } from "./plumbing";
import { obstacles, rig } from "./rig";
import * as z from "./z";

export const FORMAT = "schleuse-design";
/** Version of the file written today; `migrations.ts` brings older ones up to it. */
export const CURRENT_VERSION = 9;

export const rulesChoice = z.strictObject({
  pack: z.enum(PACK_IDS),
  /** Limits the builder has changed, by limit id. */
  limits: z.record(z.string().check(z.regex(/^[a-zA-Z]{1,40}$/)), number("as the limit", -1_000, 100_000)),
});

/** One design is one document: this schema is the only source of its types, its bounds and its JSON Schema. */
export const design = z.strictObject({
  format: z.literal(FORMAT),
  version: z.literal(CURRENT_VERSION),
  id,
  name,
  note: z.string().check(z.maxLength(4_000)),
  rig,
  obstacles,
  fixtures: list(fixture, { most: 60 }),
  tanks: list(tank, { most: 20 }),
  lines: list(line, { most: 1_000 }),
  /** Everything through which water is pushed rather than falls. */
  gear: gearList,
  states: workingStates,
  habits,
  rules: rulesChoice,
});

export type Design = z.infer<typeof design>;
/** What a drain runs through and is judged by, whatever else the design holds. */
export type Surroundings = Pick<Design, "rig" | "obstacles" | "rules">;

export type RulesChoice = z.infer<typeof rulesChoice>;
