import type { jsPDF } from "jspdf";
import { PAPERS, type Paper, RIM_MM } from "@/core/templates/tileSheet";
import type { Field, Pen } from "../drawing/pen";
import { breakWords, type Letters, measureWords, writeWords } from "../letters";
import { openPdf } from "../openPdf";

export type BookPaper = Pen & {
  readonly pdf: jsPDF;
  readonly widthMm: number;
  readonly heightMm: number;
  /** Begins a page with its heading; on a page that is full it goes on by itself. */
  readonly beginPage: (title: string) => void;
  /** A heading that stays on one page with so much of what follows, mm. */
  readonly heading: (text: string, keepMm?: number) => void;
  readonly text: (text: string, size?: number) => void;
  /** A line with columns: each text at its place, the last broken where it is too long. */
  readonly row: (cells: readonly string[], lefts: readonly number[], size?: number) => void;
  /** Room of a height on the page, mm; on the next where this has it no more. */
  readonly field: (heightMm: number) => Field;
  readonly finish: () => ArrayBuffer;
};

const TOP_MM = 24;
const FOOT_MM = 16;
const LINE = 1.32;
const PT_MM = 0.3528;

/** Pages of a book in black on A4 or Letter, with running head and numbers. */
export function openBook(bookTitle: string, paper: Paper, letters: Letters): BookPaper {
  const { widthMm, heightMm } = PAPERS[paper];
  const pdf = openPdf(widthMm, heightMm, letters);
  const usable = widthMm - 2 * RIM_MM;
  let y = TOP_MM;
  let title = "";
  let pages = 0;
  const head = () => {
    pdf.setLineWidth(0.3);
    writeWords(pdf, title, RIM_MM, 15, { size: 15, weight: "bold" });
    pdf.line(RIM_MM, 18, widthMm - RIM_MM, 18);
    y = TOP_MM + 2;
  };
  const feed = () => {
    if (pages > 0) pdf.addPage([widthMm, heightMm], "portrait");
    pages += 1;
    head();
  };
  const room = (mm: number) => {
    if (y + mm > heightMm - FOOT_MM) feed();
  };
  const words: BookPaper["words"] = (text, [x, at], size, align = "left", weight) => {
    const left = align === "middle" ? x - measureWords(pdf, text, size, weight ?? "normal") / 2 : x;
    writeWords(pdf, text, left, at, { size, ...(align === "right" ? { align } : {}), ...(weight ? { weight } : {}) });
  };
  return {
    pdf,
    widthMm,
    heightMm,
    words,
    measure: (text, size) => measureWords(pdf, text, size),
    beginPage: (text) => {
      title = text;
      feed();
    },
    heading: (text, keepMm = 0) => {
      room(14 + keepMm);
      y += 2;
      writeWords(pdf, text, RIM_MM, y, { size: 12, weight: "bold" });
      y += 5.5;
    },
    text: (text, size = 10) => {
      for (const line of breakWords(pdf, text, usable, size)) {
        room(size * PT_MM * LINE);
        writeWords(pdf, line, RIM_MM, y, { size });
        y += size * PT_MM * LINE;
      }
      y += 1;
    },
    row: (cells, lefts, size = 9.5) => {
      const broken = cells.map((cell, i) => {
        const to = lefts[i + 1] ?? usable;
        return breakWords(pdf, cell, to - lefts[i]! - 2, size);
      });
      const lines = Math.max(1, ...broken.map((one) => one.length));
      const high = lines * size * PT_MM * LINE + 1.3;
      room(high);
      broken.forEach((column, i) => {
        column.forEach((line, k) => {
          writeWords(pdf, line, RIM_MM + lefts[i]!, y + k * size * PT_MM * LINE, { size });
        });
      });
      y += high;
      pdf.setLineWidth(0.1);
      pdf.line(RIM_MM, y - size * PT_MM - 0.6, widthMm - RIM_MM, y - size * PT_MM - 0.6);
    },
    field: (high) => {
      room(high);
      const field = { left: RIM_MM, top: y - 3, width: usable, height: high };
      y += high + 3;
      return field;
    },
    finish: () => {
      for (let page = 1; page <= pages; page++) {
        pdf.setPage(page);
        writeWords(pdf, bookTitle, RIM_MM, heightMm - 7, { size: 8 });
        writeWords(pdf, `${page} of ${pages}`, widthMm - RIM_MM, heightMm - 7, { size: 8, align: "right" });
      }
      return pdf.output("arraybuffer");
    },
  };
}
