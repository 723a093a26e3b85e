import { readStands } from "../attitude/phoneLevel";
import type { BuildRecord } from "./record";

const FORMAT = "schleuse-ticks";
/** Cards of the steps of the building begin so on the phone's page. */
const STEP_CARD = "steps:";

/** What was ticked on the phone, on its way back to the design. */
export type Ticks = {
  readonly designId: string;
  readonly on: string;
  readonly stepIds: readonly string[];
  /** How the rig stands, where the phone's level measured it. */
  readonly stands?: Stands;
};
type Stands = { readonly pitchDeg: number; readonly rollDeg: number };

/** The steps ticked on the phone's page as a text that codes carry; `on` is the day, YYYY-MM-DD. */
export function writeTicks(
  designId: string,
  on: string,
  cards: ReadonlySet<string>,
  stands: Stands | null = null,
): string {
  const stepIds = [...cards].flatMap((id) => (id.startsWith(STEP_CARD) ? [id.slice(STEP_CARD.length)] : []));
  return JSON.stringify({ format: FORMAT, designId, on, stepIds, ...(stands ? { stands } : {}) });
}

/** Reads such a text; null where it is something else. Never throws. */
export function readTicks(text: string): Ticks | null {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return null;
  }
  if (typeof value !== "object" || value === null) return null;
  const { format, designId, on, stepIds, stands } = value as Record<string, unknown>;
  const isOurs =
    format === FORMAT &&
    typeof designId === "string" &&
    typeof on === "string" &&
    /^\d{4}-\d{2}-\d{2}$/.test(on) &&
    Array.isArray(stepIds) &&
    stepIds.length <= 2_000 &&
    stepIds.every((id) => typeof id === "string" && id.length <= 120);
  if (!isOurs) return null;
  const stood = readStands(stands);
  return { designId, on, stepIds: stepIds as string[], ...(stood ? { stands: stood } : {}) };
}

/** A build record with what was ticked elsewhere: nothing that stands in it is lost or changed, only steps are added. */
export function mergeTicks(build: BuildRecord, { on, stepIds }: Pick<Ticks, "on" | "stepIds">): BuildRecord {
  const known = new Set(build.done.map(({ stepId }) => stepId));
  const added = [...new Set(stepIds)].filter((id) => !known.has(id));
  return { ...build, done: [...build.done, ...added.map((stepId) => ({ stepId, on }))] };
}
