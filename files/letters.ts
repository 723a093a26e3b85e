import { unzlibSync } from "fflate";
import type { jsPDF } from "jspdf";

/** The product's own letters for files it writes: two parts of one face, which together hold all it has, in two weights. */
const PARTS = ["latin", "latin-ext"] as const;
const WEIGHTS = { normal: "400", bold: "600" } as const;
type Weight = keyof typeof WEIGHTS;
type Part = (typeof PARTS)[number];

/** Font files, as they are shipped, by part and weight. */
export type Letters = Readonly<Record<Part, Readonly<Record<Weight, ArrayBuffer>>>>;

const toFile = (part: Part, weight: Weight): string => `barlow-semi-condensed-${part}-${WEIGHTS[weight]}-normal.woff`;

/** Fetches the letters from where the build lays them, or by any other reader of files. */
export async function loadLetters(read: (file: string) => Promise<ArrayBuffer> = readShipped): Promise<Letters> {
  const load = async (part: Part) => ({
    normal: await read(toFile(part, "normal")),
    bold: await read(toFile(part, "bold")),
  });
  const [latin, extended] = await Promise.all([load("latin"), load("latin-ext")]);
  return { latin, "latin-ext": extended };
}

/** The same where files are read at once. */
export function readLetters(read: (file: string) => ArrayBuffer): Letters {
  const of = (part: Part) => ({ normal: read(toFile(part, "normal")), bold: read(toFile(part, "bold")) });
  return { latin: of("latin"), "latin-ext": of("latin-ext") };
}

async function readShipped(file: string): Promise<ArrayBuffer> {
  const answer = await fetch(`/letters/${file}`);
  if (!answer.ok) throw new Error(`letters: ${answer.status}`);
  return answer.arrayBuffer();
}

/** Hands both parts in both weights to a document. */
export function installLetters(pdf: jsPDF, letters: Letters): void {
  for (const part of PARTS) {
    for (const weight of ["normal", "bold"] as const) {
      const file = `${part}-${weight}.ttf`;
      pdf.addFileToVFS(file, toBase64(unpackWoff(letters[part][weight])));
      pdf.addFont(file, part, weight, undefined, "Identity-H");
    }
  }
}

type Run = { readonly part: Part | null; readonly text: string };

type Words = { readonly size: number; readonly weight?: Weight; readonly align?: "left" | "right" };

/**
 * Writes one line: each letter in the part of the face that has it, and an empty box for one that it does not have, so that
 * what cannot be printed is seen to be missing. Place in mm, size in points.
 */
export function writeWords(
  pdf: jsPDF,
  text: string,
  x: number,
  y: number,
  { size, weight = "normal", align = "left" }: Words,
): void {
  pdf.setFontSize(size);
  const runs = splitRuns(pdf, text, weight);
  const widths = runs.map((run) => measureRun(pdf, run, weight, size));
  let at = align === "right" ? x - widths.reduce((sum, w) => sum + w, 0) : x;
  runs.forEach((run, i) => {
    if (run.part) {
      pdf.setFont(run.part, weight);
      pdf.text(run.text, at, y);
    } else {
      const side = toBox(size);
      for (const n of [...run.text].keys()) pdf.rect(at + n * side * 1.2, y - side, side, side, "S");
    }
    at += widths[i]!;
  });
}

/** Width of a line, mm. */
export const measureWords = (pdf: jsPDF, text: string, size: number, weight: Weight = "normal"): number =>
  splitRuns(pdf, text, weight).reduce((sum, run) => sum + measureRun(pdf, run, weight, size), 0);

/** A text in lines no wider than so many mm; a word that is wider is cut. */
export function breakWords(
  pdf: jsPDF,
  text: string,
  widthMm: number,
  size: number,
  weight: Weight = "normal",
): string[] {
  const lines: string[] = [];
  let line = "";
  for (const word of text.split(" ")) {
    const longer = line === "" ? word : `${line} ${word}`;
    if (measureWords(pdf, longer, size, weight) <= widthMm) {
      line = longer;
      continue;
    }
    if (line !== "") lines.push(line);
    line = word;
    while (measureWords(pdf, line, size, weight) > widthMm && line.length > 1) {
      let fits = line.length - 1;
      while (fits > 1 && measureWords(pdf, line.slice(0, fits), size, weight) > widthMm) fits -= 1;
      lines.push(line.slice(0, fits));
      line = line.slice(fits);
    }
  }
  return line === "" ? lines : [...lines, line];
}

const toBox = (size: number): number => size * 0.35 * 0.6;

function measureRun(pdf: jsPDF, { part, text }: Run, weight: Weight, size: number): number {
  if (!part) return [...text].length * toBox(size) * 1.2;
  pdf.setFont(part, weight);
  pdf.setFontSize(size);
  return pdf.getTextWidth(text);
}

function splitRuns(pdf: jsPDF, text: string, weight: Weight): Run[] {
  const runs: { part: Part | null; text: string }[] = [];
  // signs of several parts are written as one where the face has one for them
  for (const letter of text.normalize("NFC").replace(/\u00a0/g, " ")) {
    const part = PARTS.find((one) => hasGlyph(pdf, one, weight, letter.codePointAt(0)!)) ?? null;
    const last = runs.at(-1);
    if (last && last.part === part) last.text += letter;
    else runs.push({ part, text: letter });
  }
  return runs;
}

function hasGlyph(pdf: jsPDF, part: Part, weight: Weight, code: number): boolean {
  pdf.setFont(part, weight);
  const { metadata } = pdf.getFont() as unknown as { metadata: { characterToGlyph: (code: number) => number } };
  return metadata.characterToGlyph(code) > 0;
}

/**
 * The tables of a WOFF file laid out as the plain TrueType file that they were: header, directory, tables on fours.
 * Source: W3C WOFF file format 1.0 [P, from memory, 95 %].
 */
export function unpackWoff(woff: ArrayBuffer): Uint8Array {
  const from = new DataView(woff);
  if (from.getUint32(0) !== 0x774f4646) throw new Error("this is no WOFF file");
  const count = from.getUint16(12);
  const tables = Array.from({ length: count }, (_, i) => {
    const at = 44 + i * 20;
    const [offset, packed, plain] = [from.getUint32(at + 4), from.getUint32(at + 8), from.getUint32(at + 12)];
    const bytes = new Uint8Array(woff, offset, packed);
    return { tag: from.getUint32(at), sum: from.getUint32(at + 16), bytes: packed < plain ? unzlibSync(bytes) : bytes };
  });
  const padded = tables.map(({ bytes }) => (bytes.length + 3) & ~3);
  const out = new Uint8Array(12 + count * 16 + padded.reduce((sum, n) => sum + n, 0));
  const to = new DataView(out.buffer);
  const power = Math.floor(Math.log2(count));
  to.setUint32(0, from.getUint32(4));
  to.setUint16(4, count);
  to.setUint16(6, 2 ** power * 16);
  to.setUint16(8, power);
  to.setUint16(10, count * 16 - 2 ** power * 16);
  let offset = 12 + count * 16;
  tables.forEach(({ tag, sum, bytes }, i) => {
    const at = 12 + i * 16;
    to.setUint32(at, tag);
    to.setUint32(at + 4, sum);
    to.setUint32(at + 8, offset);
    to.setUint32(at + 12, bytes.length);
    out.set(bytes, offset);
    offset += padded[i]!;
  });
  return out;
}

function toBase64(bytes: Uint8Array): string {
  let text = "";
  for (let i = 0; i < bytes.length; i += 0x8000) text += String.fromCharCode(...bytes.subarray(i, i + 0x8000));
  return btoa(text);
}
