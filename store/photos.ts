import { MOST_PHOTO_LETTERS, type PhotoInFile, type PhotosInFile, photoInFile } from "@/core/record/photos";
import { type Database, openDatabase } from "./database";

/** Photographs beside a design: of trials, steps and lines of the book. They lie in this browser's store and go into files. */
export type PhotoStore = {
  readonly add: (designId: string, photo: Blob) => Promise<string>;
  /** Null where it is not in this browser: another one took it. */
  readonly read: (designId: string, id: string) => Promise<Blob | null>;
  readonly remove: (designId: string, id: string) => Promise<void>;
  /** Those with these ids, as they go into a file, the first first, until there is no room left. */
  readonly pack: (designId: string, ids: readonly string[]) => Promise<PhotosInFile>;
  /** Puts there what came out of a file. */
  readonly unpack: (designId: string, photos: PhotosInFile) => Promise<void>;
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
    pack: async (designId, ids) => {
      const opened = await db();
      const packed: Record<string, PhotoInFile> = {};
      let letters = 0;
      for (const id of ids) {
        const kept = await opened.get("photos", `${designId}/${id}`);
        const photo = kept && photoInFile.safeParse({ type: kept.type, base64: toBase64(kept.bytes) });
        if (!photo?.success || letters + photo.data.base64.length > MOST_PHOTO_LETTERS) continue;
        letters += photo.data.base64.length;
        packed[id] = photo.data;
      }
      return packed;
    },
    unpack: async (designId, packed) => {
      const opened = await db();
      for (const [id, { type, base64 }] of Object.entries(packed)) {
        await opened.put("photos", { key: `${designId}/${id}`, designId, bytes: toBytes(base64), type });
      }
    },
    remove: async (designId, id) => {
      await (await db()).delete("photos", `${designId}/${id}`);
    },
  };
}

// In pieces, because a call takes only so many arguments.
const PIECE = 32_768;

function toBase64(bytes: ArrayBuffer): string {
  const all = new Uint8Array(bytes);
  let text = "";
  for (let i = 0; i < all.length; i += PIECE) text += String.fromCharCode(...all.subarray(i, i + PIECE));
  return btoa(text);
}

function toBytes(base64: string): ArrayBuffer {
  const text = atob(base64);
  const bytes = new Uint8Array(text.length);
  for (let i = 0; i < text.length; i++) bytes[i] = text.charCodeAt(i);
  return bytes.buffer;
}

/** The photographs of this page. */
export const photos = createPhotos();
