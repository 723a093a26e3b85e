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
  /** How far the building of a design is; unknown until it has been read through its schema. */
  builds: { key: string; value: { readonly designId: string; readonly build: unknown; readonly journey?: unknown } };
  /** One record a line of the logbook, so that a line more costs the same in any book. */
  log: {
    key: string;
    value: { readonly key: string; readonly designId: string; readonly entry: unknown };
    indexes: { designId: string };
  };
  /** Photographs of trials, steps and the book, already scaled; one record each. */
  photos: {
    key: string;
    value: { readonly key: string; readonly designId: string; readonly bytes: ArrayBuffer; readonly type: string };
    indexes: { designId: string };
  };
}

export type Database = IDBPDatabase<Schema>;

/** What can happen to the database besides an answer; each is shown to the builder. */
export type DatabaseEvent = "blocked" | "blocking" | "terminated";

export const DATABASE_NAME = "schleuse";
const VERSION = 3;

/** Opens the browser's store and makes it on the first visit. */
export function openDatabase(onEvent: (event: DatabaseEvent) => void, name = DATABASE_NAME): Promise<Database> {
  return openDB<Schema>(name, VERSION, {
    upgrade(db, from) {
      if (from < 1) {
        const designs = db.createObjectStore("designs", { keyPath: "id" });
        designs.createIndex("savedAt", "savedAt");
        db.createObjectStore("settings");
      }
      if (from < 2) {
        db.createObjectStore("builds", { keyPath: "designId" });
        db.createObjectStore("log", { keyPath: "key" }).createIndex("designId", "designId");
      }
      if (from < 3) db.createObjectStore("photos", { keyPath: "key" }).createIndex("designId", "designId");
    },
    blocked: () => onEvent("blocked"),
    blocking: () => onEvent("blocking"),
    terminated: () => onEvent("terminated"),
  });
}
