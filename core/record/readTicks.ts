import { readStands } from "../attitude/phoneLevel";
import * as z from "../design/z";
import { type BuildRecord, drawnStep } from "./record";
import { TICKS_FORMAT, type TickedAs, type Ticks } from "./ticks";

/** Reads such a text; null where it is something else. Never throws. */
export function readTicks(text: string): Ticks | null {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return null;
  }
  if (typeof value !== "object" || value === null) return null;
  const { format, designId, on, stepIds, as, stands } = value as Record<string, unknown>;
  const isOurs =
    format === TICKS_FORMAT &&
    typeof designId === "string" &&
    typeof on === "string" &&
    /^\d{4}-\d{2}-\d{2}$/.test(on) &&
    Array.isArray(stepIds) &&
    stepIds.length <= 2_000 &&
    stepIds.every((id) => typeof id === "string" && id.length <= 120);
  if (!isOurs) return null;
  const stood = readStands(stands);
  const told = readAs(as);
  return {
    designId,
    on,
    stepIds: stepIds as string[],
    ...(Object.keys(told).length > 0 ? { as: told } : {}),
    ...(stood ? { stands: stood } : {}),
  };
}

const tickedAs = z.strictObject({ name: z.optional(z.string().check(z.maxLength(200))), drawn: z.optional(drawnStep) });

// What is not ours is left out: a step without it is ticked all the same.
function readAs(value: unknown): Record<string, TickedAs> {
  if (typeof value !== "object" || value === null) return {};
  return Object.fromEntries(
    Object.entries(value).flatMap(([id, one]) => {
      const read = tickedAs.safeParse(one);
      return read.success ? [[id, read.data]] : [];
    }),
  );
}

/** A build record with what was ticked elsewhere: nothing that stands in it is lost or changed, only steps are added. */
export function mergeTicks(build: BuildRecord, { on, stepIds, as }: Pick<Ticks, "on" | "stepIds" | "as">): BuildRecord {
  const known = new Set(build.done.map(({ stepId }) => stepId));
  const added = [...new Set(stepIds)].filter((id) => !known.has(id));
  return { ...build, done: [...build.done, ...added.map((stepId) => ({ stepId, on, ...as?.[stepId] }))] };
}
