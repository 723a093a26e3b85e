import { type DBSchema, type IDBPDatabase, openDB } from "idb";

/** A design as it lies in the browser. The document is unknown until it has been read through the schema. */
export type DesignRecord = {
  readonly id: string;
  readonly name: string;
  readonly savedAt: number;
  /** Counts up with every save, so that two tabs notice each other. */
  readonly revision: number;
  /** The tab that saved it last. */
  readonly by?: string;
  /** When it was put into the bin; not there while it is in use. */
  readonly deletedAt?: number;
  readonly document: unknown;
};

export interface Schema extends DBSchema {
  designs: { key: string; value: DesignRecord; indexes: { savedAt: number } };
  settings: { key: string; value: unknown };
}

export type Database = IDBPDatabase<Schema>;

/** What can happen to the database besides an answer; each is shown to the builder. */
export type DatabaseEvent = "blocked" | "blocking" | "terminated";

export const DATABASE_NAME = "schleuse";
const VERSION = 1;

/** Opens the browser's store and makes it on the first visit. */
export function openDatabase(onEvent: (event: DatabaseEvent) => void, name = DATABASE_NAME): Promise<Database> {
  return openDB<Schema>(name, VERSION, {
    upgrade(db) {
      const designs = db.createObjectStore("designs", { keyPath: "id" });
      designs.createIndex("savedAt", "savedAt");
      db.createObjectStore("settings");
    },
    blocked: () => onEvent("blocked"),
    blocking: () => onEvent("blocking"),
    terminated: () => onEvent("terminated"),
  });
}
