import type { IDBPTransaction } from "idb";
import { cleanName } from "@/core/design/cleanText";
import type { Design } from "@/core/design/design";
import type { Fault } from "@/core/design/faults";
import type { Database, DesignRecord, Schema } from "./database";
import { readStored } from "./readStored";

/** A design in the list; a damaged one stays in it with the reason, and its text can still be saved. */
export type LibraryEntry = {
  readonly id: string;
  readonly name: string;
  readonly savedAt: number;
  readonly fault: Fault | null;
};

/** A design in the bin: it can be put back until its days are over. */
export type BinEntry = { readonly id: string; readonly name: string; readonly deletedAt: number };

/** Deleted designs wait so long before they are gone for good. */
export const BIN_DAYS = 30;
const DAY_MS = 86_400_000;

export type OpenOutcome =
  | { readonly ok: true; readonly design: Design; readonly revision: number }
  | { readonly ok: false; readonly reason: "gone" }
  | { readonly ok: false; readonly reason: "damaged"; readonly fault: Fault; readonly document: unknown };

export type SaveOutcome =
  | { readonly ok: true; readonly revision: number; readonly wasGone: boolean }
  | { readonly ok: false; readonly reason: "conflict" | "deleted" | "full" | "failed" };

/** Over which revision a design is saved, and which tab does it: a tab is never in conflict with itself. */
export type Saving = { readonly over: number | null; readonly by: string; readonly now: number };

/**
 * All designs, the last saved first, and those in the bin. A damaged record never keeps the others from the list; what is wrong
 * with one is not looked for here (`findFault`).
 */
export async function listDesigns(
  db: Database,
): Promise<{ readonly entries: LibraryEntry[]; readonly bin: BinEntry[] }> {
  const records = (await db.getAll("designs")).map(toSound);
  const bin = records.flatMap(({ id, name, deletedAt }): BinEntry[] =>
    deletedAt === undefined ? [] : [{ id, name, deletedAt }],
  );
  const entries = records
    .filter(({ deletedAt }) => deletedAt === undefined)
    .map(({ id, name, savedAt }): LibraryEntry => ({ id, name, savedAt, fault: null }));
  return {
    entries: entries.sort((a, b) => b.savedAt - a.savedAt),
    bin: bin.sort((a, b) => b.deletedAt - a.deletedAt),
  };
}

// What an older page, another hand or half a write has left may lack anything but its key.
function toSound(record: DesignRecord): DesignRecord {
  const { id, name, savedAt, revision, deletedAt } = record as Partial<DesignRecord> & { readonly id: string };
  return {
    ...record,
    id,
    name: typeof name === "string" && cleanName(name) !== "" ? cleanName(name) : String(id),
    savedAt: isNumber(savedAt) ? savedAt : 0,
    revision: isNumber(revision) ? revision : 0,
    ...(isNumber(deletedAt) ? { deletedAt } : {}),
  };
}

const isNumber = (value: unknown): value is number => typeof value === "number" && Number.isFinite(value);

/** What keeps a design from being opened, if anything; null also when it is no longer there. */
export async function findFault(db: Database, id: string): Promise<Fault | null> {
  const record = await db.get("designs", id);
  if (!record) return null;
  const outcome = await readStored(record.document);
  return outcome.ok ? null : outcome.faults[0]!;
}

export async function openDesign(db: Database, id: string): Promise<OpenOutcome> {
  const record = await db.get("designs", id);
  if (!record || toSound(record).deletedAt !== undefined) return { ok: false, reason: "gone" };
  const outcome = await readStored(record.document);
  if (!outcome.ok) return { ok: false, reason: "damaged", fault: outcome.faults[0]!, document: record.document };
  return { ok: true, design: outcome.design, revision: toSound(record).revision };
}

/**
 * Saves a design over the revision it was opened at; null saves over anything but another's bin. Refused as a conflict when
 * another tab has saved in between, and as deleted when one has deleted it: nothing is overwritten unseen. It counts as
 * saved only when it was read back as it was written.
 */
export async function saveDesign(db: Database, design: Design, { over, by, now }: Saving): Promise<SaveOutcome> {
  try {
    const tx = db.transaction("designs", "readwrite", { durability: "strict" });
    const found = await tx.store.get(design.id);
    const before = found && toSound(found);
    const refusal = before && findRefusal(before, over, by);
    if (refusal) {
      await tx.done;
      return { ok: false, reason: refusal };
    }
    const revision = (before?.revision ?? over ?? 0) + 1;
    const record: DesignRecord = { id: design.id, name: design.name, savedAt: now, revision, by, document: design };
    await tx.store.put(record);
    await tx.done;
    const kept = await db.get("designs", design.id);
    if (kept?.revision !== revision || kept.by !== by) return { ok: false, reason: "failed" };
    return { ok: true, revision, wasGone: !before && over !== null };
  } catch (error) {
    return { ok: false, reason: isFull(error) ? "full" : "failed" };
  }
}

function findRefusal(before: DesignRecord, over: number | null, by: string): "conflict" | "deleted" | null {
  if (before.deletedAt !== undefined && over !== null) return "deleted";
  return over !== null && before.revision !== over && before.by !== by ? "conflict" : null;
}

const isFull = (error: unknown): boolean => error instanceof Error && error.name === "QuotaExceededError";

/** Puts a design into the bin; its name, or null when it is not there. */
export async function removeDesign(db: Database, id: string, now: number): Promise<string | null> {
  const tx = db.transaction("designs", "readwrite");
  const record = await tx.store.get(id);
  if (record) await tx.store.put({ ...record, deletedAt: now });
  await tx.done;
  return record ? toSound(record).name : null;
}

/** Takes a design out of the bin as it lies there; one that was saved anew meanwhile stays as it is. */
export async function restoreDesign(db: Database, id: string): Promise<boolean> {
  const tx = db.transaction("designs", "readwrite");
  const record = await tx.store.get(id);
  if (record?.deletedAt !== undefined) {
    const { deletedAt: _, ...kept } = record;
    await tx.store.put(kept);
  }
  await tx.done;
  return record !== undefined;
}

/** Takes a design out of the bin for good. */
export async function destroyDesign(db: Database, id: string): Promise<void> {
  const tx = db.transaction(["designs", "builds", "log", "photos"], "readwrite");
  const designs = tx.objectStore("designs");
  if ((await designs.get(id))?.deletedAt !== undefined) {
    await designs.delete(id);
    await dropRecords(tx, id);
  }
  await tx.done;
}

type Whole = IDBPTransaction<Schema, ("designs" | "builds" | "log" | "photos")[], "readwrite">;

// What was built and written goes with its design, and not before.
async function dropRecords(tx: Whole, id: string): Promise<void> {
  await tx.objectStore("builds").delete(id);
  const log = tx.objectStore("log");
  for (const key of await log.index("designId").getAllKeys(id)) await log.delete(key);
  const photos = tx.objectStore("photos");
  for (const key of await photos.index("designId").getAllKeys(id)) await photos.delete(key);
}

/** Takes out of the bin for good what has waited its days. */
export async function emptyBin(db: Database, now: number): Promise<void> {
  const tx = db.transaction(["designs", "builds", "log", "photos"], "readwrite");
  const designs = tx.objectStore("designs");
  for (const record of await designs.getAll()) {
    const { id, deletedAt } = toSound(record);
    if (deletedAt === undefined || now - deletedAt <= BIN_DAYS * DAY_MS) continue;
    await designs.delete(id);
    await dropRecords(tx, id);
  }
  await tx.done;
}

/** Gives a design another name without opening it; null when it is gone or damaged. */
export async function renameDesign(
  db: Database,
  id: string,
  name: string,
  saving: Saving,
): Promise<SaveOutcome | null> {
  const outcome = await openDesign(db, id);
  return outcome.ok ? saveDesign(db, { ...outcome.design, name }, { ...saving, over: outcome.revision }) : null;
}

const LATIN: Readonly<Record<string, string>> = { ä: "ae", ö: "oe", ü: "ue", ß: "ss", æ: "ae", ø: "oe", å: "aa" };

/** An id made from a name that no design bears yet: "Möwe" becomes moewe, then moewe-2. */
export function createDesignId(name: string, taken: readonly string[]): string {
  const stem =
    name
      .normalize("NFC")
      .toLowerCase()
      .replace(/[äöüßæøå]/g, (letter) => LATIN[letter]!)
      .normalize("NFD")
      .replace(/\p{M}/gu, "")
      .replace(/[^a-z0-9]+/g, "-")
      .replace(/^-+|-+$/g, "")
      .slice(0, 32) || "design";
  let id = stem;
  for (let n = 2; taken.includes(id); n++) id = `${stem}-${n}`;
  return id;
}
