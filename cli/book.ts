import { readFileSync } from "node:fs";
import type { Design } from "@/core/design/design";
import { BOOK_PARTS, writeBook } from "@/files/book/writeBook";
import { type Letters, readLetters } from "@/files/letters";
import type { BookPartId } from "@/words/book";
import type { Units } from "@/words/units";

// Beside this file's folder, whether it is the bundle or the source.
const LETTERS = new URL("../node_modules/@fontsource/barlow-semi-condensed/files/", import.meta.url);

const readShipped = (): Letters =>
  readLetters((file) => {
    const bytes = readFileSync(new URL(file, LETTERS));
    return bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.length) as ArrayBuffer;
  });

/** The book of the build on A4, or on Letter where inches are asked for. */
export const exportBook = (design: Design, units: Units, parts: readonly BookPartId[] = BOOK_PARTS): Uint8Array =>
  new Uint8Array(writeBook(design, { paper: units === "imperial" ? "letter" : "a4", units, parts }, readShipped()));
