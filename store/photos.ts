import { type Database, openDatabase } from "./database";

/** Photographs beside a design: of trials, steps and lines of the book. They stay in this browser. */
export type PhotoStore = {
  readonly add: (designId: string, photo: Blob) => Promise<string>;
  /** Null where it is not in this browser: another one took it. */
  readonly read: (designId: string, id: string) => Promise<Blob | null>;
  readonly remove: (designId: string, id: string) => Promise<void>;
};

let counter = 0;

export function createPhotos(openStore: () => Promise<Database> = () => openDatabase(() => undefined)): PhotoStore {
  let database: Promise<Database> | null = null;
  const db = () => {
    database ??= openStore();
    return database;
  };
  return {
    add: async (designId, photo) => {
      counter += 1;
      const id = `p${Date.now().toString(36)}${counter.toString(36)}`;
      const bytes = await photo.arrayBuffer();
      await (await db()).put("photos", { key: `${designId}/${id}`, designId, bytes, type: photo.type });
      return id;
    },
    read: async (designId, id) => {
      const kept = await (await db()).get("photos", `${designId}/${id}`);
      return kept ? new Blob([kept.bytes], { type: kept.type }) : null;
    },
    remove: async (designId, id) => {
      await (await db()).delete("photos", `${designId}/${id}`);
    },
  };
}

/** The photographs of this page. */
export const photos = createPhotos();
