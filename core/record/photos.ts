import * as z from "../design/z";
import type { BuildRecord, LogEntry } from "./record";

/** A photograph in a file: what kind of picture, and its bytes as base64. */
export const photoInFile = z.strictObject({
  type: z.enum(["image/jpeg", "image/png", "image/webp"]),
  base64: z.string().check(z.maxLength(4_000_000), z.regex(/^[A-Za-z0-9+/]+={0,2}$/)),
});
export type PhotoInFile = z.infer<typeof photoInFile>;
export type PhotosInFile = Readonly<Record<string, PhotoInFile>>;

/** All photographs of a file together take no more than this, letters of base64: some hundred as they are scaled. */
export const MOST_PHOTO_LETTERS = 48_000_000;

/** Ids of the photographs that steps, trials and the book speak of, each once, the newest first. */
export function listPhotoIds(build: BuildRecord, log: readonly LogEntry[]): string[] {
  const ids = [...build.done, ...(build.trials ?? []), ...log].flatMap(({ photos }) => photos ?? []);
  return [...new Set(ids.reverse())];
}

/** Photographs of a file that can be read, and how many cannot. */
export function readPhotos(value: unknown): { readonly photos: PhotosInFile; readonly lost: number } {
  if (typeof value !== "object" || value === null) return { photos: {}, lost: value === undefined ? 0 : 1 };
  const photos: Record<string, PhotoInFile> = {};
  let lost = 0;
  for (const [id, photo] of Object.entries(value)) {
    const read = photoInFile.safeParse(photo);
    if (read.success && /^[a-z0-9-]{1,40}$/.test(id)) photos[id] = read.data;
    else lost += 1;
  }
  return { photos, lost };
}
