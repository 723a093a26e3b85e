import { readStands } from "@/core/attitude/phoneLevel";
import type { UnderSheet } from "@/words/underCards";
import { openDatabase } from "./database";

// The phone's page reads what is written out for it and no design, so that it opens at once.
const KEY = "under";
const DONE_KEY = "under-done";
const STANDS_KEY = "under-stands";

const open = () => openDatabase(() => undefined);

/** Lays the cards of a design ready for the phone's page. */
export async function keepUnderSheet(sheet: UnderSheet): Promise<void> {
  await (await open()).put("settings", sheet, KEY);
}

/** The cards that lie ready; null where none do. */
export async function readUnderSheet(): Promise<UnderSheet | null> {
  const value = await (await open()).get("settings", KEY);
  return isSheet(value) ? value : null;
}

/** Which cards are ticked, by the design they belong to. */
export async function readUnderDone(designId: string): Promise<ReadonlySet<string>> {
  const value = await (await open()).get("settings", `${DONE_KEY}:${designId}`);
  return new Set(Array.isArray(value) ? value.filter((id): id is string => typeof id === "string") : []);
}

export async function keepUnderDone(designId: string, done: ReadonlySet<string>): Promise<void> {
  await (await open()).put("settings", [...done], `${DONE_KEY}:${designId}`);
}

/** How the rig stood when the phone's level measured it, and when, YYYY-MM-DDTHH:MM. */
export type MeasuredStands = { readonly pitchDeg: number; readonly rollDeg: number; readonly at: string };

export async function keepUnderStands(designId: string, measured: MeasuredStands): Promise<void> {
  await (await open()).put("settings", measured, `${STANDS_KEY}:${designId}`);
}

/** What the phone's level measured last of a design's rig; null where nothing was. */
export async function readUnderStands(designId: string): Promise<MeasuredStands | null> {
  const value = await (await open()).get("settings", `${STANDS_KEY}:${designId}`);
  const stands = readStands(value);
  const at = (value as { readonly at?: unknown } | undefined)?.at;
  return stands && typeof at === "string" ? { ...stands, at } : null;
}

/** Whether something read from outside is a sheet of ours. */
export function isSheet(value: unknown): value is UnderSheet {
  if (typeof value !== "object" || value === null) return false;
  const { designId, name, cards } = value as Record<string, unknown>;
  return (
    typeof designId === "string" &&
    typeof name === "string" &&
    Array.isArray(cards) &&
    cards.length <= 2_000 &&
    cards.every(isCard)
  );
}

function isCard(value: unknown): boolean {
  if (typeof value !== "object" || value === null) return false;
  const { id, group, title, figures, text, hold = "" } = value as Record<string, unknown>;
  return (
    [id, group, title, text, hold].every((one) => typeof one === "string") &&
    Array.isArray(figures) &&
    figures.every((pair) => Array.isArray(pair) && pair.length === 2 && pair.every((one) => typeof one === "string"))
  );
}
