import { readFileSync } from "node:fs";
import type { Design } from "@/core/design/design";
import { BOOK_PARTS, type BookOptions, writeBook } from "@/files/book/writeBook";
import { type Letters, readLetters } from "@/files/letters";
import type { Units } from "@/words/units";

// Beside this file's folder, whether it is the bundle or the source.
const LETTERS = new URL("../node_modules/@fontsource/barlow-semi-condensed/files/", import.meta.url);

const readShipped = (): Letters =>
  readLetters((file) => {
    const bytes = readFileSync(new URL(file, LETTERS));
    return bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.length) as ArrayBuffer;
  });

/** The book of the build on A4, or on Letter where inches are asked for. */
export function exportBook(
  design: Design,
  units: Units,
  { parts = BOOK_PARTS, build = {} }: Partial<Pick<BookOptions, "parts" | "build">> = {},
): Uint8Array {
  const options: BookOptions = { paper: units === "imperial" ? "letter" : "a4", units, parts, build };
  return new Uint8Array(writeBook(design, options, readShipped()));
}
