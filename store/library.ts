import type { Design } from "@/core/design/design";
import type { Fault } from "@/core/design/faults";
import { parseDesign } from "@/core/design/parseDesign";
import type { Database, DesignRecord } from "./database";

/** A design in the list; a damaged one stays in it with the reason, and its text can still be saved. */
export type LibraryEntry = {
  readonly id: string;
  readonly name: string;
  readonly savedAt: number;
  readonly fault: Fault | null;
};

export type OpenOutcome =
  | { readonly ok: true; readonly design: Design; readonly revision: number }
  | { readonly ok: false; readonly reason: "gone" }
  | { readonly ok: false; readonly reason: "damaged"; readonly fault: Fault; readonly document: unknown };

export type SaveOutcome =
  | { readonly ok: true; readonly revision: number }
  | { readonly ok: false; readonly reason: "conflict" | "full" | "failed" };

/** All designs, the last saved first. A damaged record never keeps the others from the list. */
export async function listDesigns(db: Database): Promise<LibraryEntry[]> {
  const records = await db.getAllFromIndex("designs", "savedAt");
  return records.reverse().map((record) => {
    const outcome = parseDesign(record.document);
    return { id: record.id, name: record.name, savedAt: record.savedAt, fault: outcome.ok ? null : outcome.faults[0]! };
  });
}

export async function openDesign(db: Database, id: string): Promise<OpenOutcome> {
  const record = await db.get("designs", id);
  if (!record) return { ok: false, reason: "gone" };
  const outcome = parseDesign(record.document);
  if (!outcome.ok) return { ok: false, reason: "damaged", fault: outcome.faults[0]!, document: record.document };
  return { ok: true, design: outcome.design, revision: record.revision };
}

/**
 * Saves a design over the revision it was opened at; null saves over anything.
 * Refused as a conflict when another tab has saved in between: nothing is overwritten unseen.
 */
export async function saveDesign(db: Database, design: Design, over: number | null, now: number): Promise<SaveOutcome> {
  try {
    const tx = db.transaction("designs", "readwrite", { durability: "strict" });
    const before = await tx.store.get(design.id);
    if (before && over !== null && before.revision !== over) {
      await tx.done;
      return { ok: false, reason: "conflict" };
    }
    const revision = (before?.revision ?? 0) + 1;
    const record: DesignRecord = { id: design.id, name: design.name, savedAt: now, revision, document: design };
    await tx.store.put(record);
    await tx.done;
    return { ok: true, revision };
  } catch (error) {
    return { ok: false, reason: isFull(error) ? "full" : "failed" };
  }
}

const isFull = (error: unknown): boolean => error instanceof Error && error.name === "QuotaExceededError";

/** Takes a design out and hands the whole record back, so that it can be put in again. */
export async function removeDesign(db: Database, id: string): Promise<DesignRecord | null> {
  const tx = db.transaction("designs", "readwrite");
  const record = await tx.store.get(id);
  if (record) await tx.store.delete(id);
  await tx.done;
  return record ?? null;
}

export async function restoreDesign(db: Database, record: DesignRecord): Promise<void> {
  await db.put("designs", record);
}

/** An id made from a name that no design bears yet: "Kranich" becomes kranich, then kranich-2. */
export function createDesignId(name: string, taken: readonly string[]): string {
  const stem =
    name
      .toLowerCase()
      .normalize("NFD")
      .replace(/[^a-z0-9]+/g, "-")
      .replace(/^-+|-+$/g, "")
      .slice(0, 32) || "design";
  let id = stem;
  for (let n = 2; taken.includes(id); n++) id = `${stem}-${n}`;
  return id;
}
