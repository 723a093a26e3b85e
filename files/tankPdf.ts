import type { jsPDF } from "jspdf";
import type { Vec2 } from "@/core/geometry/polygon";
import { MM_PER_IN } from "@/core/quantity/convert";
import type { FaceDrawing } from "@/core/templates/tankFaces";
import { OVERLAP_MM, PAPERS, type Paper, RIM_MM, type Tile, tileSheet } from "@/core/templates/tileSheet";
import { describeHole, FACE_NAMES, type OrderSheet } from "@/words/templates";
import type { Units } from "@/words/units";
import { breakWords, type Letters, writeWords } from "./letters";
import { openPdf } from "./openPdf";

/** A pencil's line, mm. */
const LINE_MM = 0.25;
/** Letters of the notes, points. */
const NOTE_PT = 9;

/** Pages written before the page on the screen has a turn. */
const PAGES_AT_ONCE = 6;

/**
 * One face of a tank in full size on tiled pages: crosses that lie on one another when the pages are glued, and on each
 * page a ruler that tells whether it was printed at its size. After every few pages `onPages` is told the share done; false
 * stops, and nothing comes of it.
 */
export async function writeTemplatePdf(
  tankName: string,
  drawing: FaceDrawing,
  paper: Paper,
  units: Units,
  letters: Letters,
  onPages: (share: number) => Promise<boolean> = () => Promise.resolve(true),
): Promise<ArrayBuffer | null> {
  const { isLying, tiles } = tileSheet(drawing, paper);
  const { widthMm: w, heightMm: h } = PAPERS[paper];
  const [pageWidth, pageHeight] = isLying ? [h, w] : [w, h];
  const pdf = openPdf(pageWidth, pageHeight, letters);
  for (const [i, tile] of tiles.entries()) {
    if (i > 0 && i % PAGES_AT_ONCE === 0 && !(await onPages(i / tiles.length))) return null;
    if (i > 0) pdf.addPage([pageWidth, pageHeight], isLying ? "landscape" : "portrait");
    drawTile(pdf, drawing, tile, units);
    drawFoot(
      pdf,
      pageWidth,
      pageHeight,
      units,
      `${tankName}, ${FACE_NAMES[drawing.face]}: ${tile.name}, ${i + 1} of ${tiles.length}`,
    );
  }
  return pdf.output("arraybuffer");
}

function drawTile(pdf: jsPDF, drawing: FaceDrawing, tile: Tile, units: Units): void {
  const { fieldWidthMm, fieldHeightMm, leftMm, lowMm } = tile;
  const at = ({ u, v }: Vec2): [number, number] => [RIM_MM + u - leftMm, RIM_MM + fieldHeightMm - (v - lowMm)];
  pdf.saveGraphicsState();
  pdf.rect(RIM_MM, RIM_MM, fieldWidthMm, fieldHeightMm, null);
  pdf.clip();
  pdf.discardPath();
  pdf.setLineWidth(LINE_MM);
  drawOutline(pdf, drawing.outside.map(at));
  pdf.setLineDashPattern([3, 2], 0);
  drawOutline(pdf, drawing.inside.map(at));
  pdf.setLineDashPattern([], 0);
  for (const hole of drawing.holes) {
    const [x, y] = at(hole.at);
    const arm = (hole.cutMm ?? hole.boreMm) / 2 + 5;
    pdf.setLineDashPattern([1, 1], 0);
    pdf.circle(x, y, hole.boreMm / 2, "S");
    pdf.setLineDashPattern([], 0);
    if (hole.cutMm !== null) pdf.circle(x, y, hole.cutMm / 2, "S");
    pdf.line(x - arm, y, x + arm, y);
    pdf.line(x, y - arm, x, y + arm);
    writeWords(pdf, describeHole(hole, units), x + arm + 1.5, y + 1, { size: NOTE_PT });
  }
  pdf.restoreGraphicsState();
  // the crosses of neighbours lie on the same place of the drawing
  pdf.setLineWidth(0.15);
  for (const x of [RIM_MM + OVERLAP_MM / 2, RIM_MM + fieldWidthMm - OVERLAP_MM / 2]) {
    for (const y of [RIM_MM + OVERLAP_MM / 2, RIM_MM + fieldHeightMm - OVERLAP_MM / 2]) {
      pdf.line(x - 4, y, x + 4, y);
      pdf.line(x, y - 4, x, y + 4);
    }
  }
}

function drawOutline(pdf: jsPDF, points: readonly (readonly [number, number])[]): void {
  points.forEach(([x, y], i) => {
    const [nextX, nextY] = points[(i + 1) % points.length]!;
    pdf.line(x, y, nextX, nextY);
  });
}

function drawFoot(pdf: jsPDF, pageWidth: number, pageHeight: number, units: Units, name: string): void {
  const [length, step, says] = units === "metric" ? [100, 10, "100 mm"] : [4 * MM_PER_IN, MM_PER_IN / 2, "4 in"];
  const y = pageHeight - 6;
  pdf.setLineWidth(LINE_MM);
  pdf.line(RIM_MM, y, RIM_MM + length, y);
  for (let at = 0; at <= length + 1e-6; at += step) pdf.line(RIM_MM + at, y, RIM_MM + at, y - 2);
  const size = NOTE_PT - 1;
  writeWords(pdf, `${says}: measure it before you cut. Print at 100 %, not fitted to the page.`, RIM_MM, y - 3.2, {
    size,
  });
  writeWords(pdf, name, pageWidth - RIM_MM, y, { size, align: "right" });
}

/** Every dimension and port of a tank on paper, for the one who makes it. */
export function writeOrderPdf(order: OrderSheet, paper: Paper, letters: Letters): ArrayBuffer {
  const { widthMm, heightMm } = PAPERS[paper];
  const pdf = openPdf(widthMm, heightMm, letters);
  let y = 22;
  const feed = (by: number) => {
    y += by;
    if (y > heightMm - 20) {
      pdf.addPage([widthMm, heightMm], "portrait");
      y = 22;
    }
  };
  const size = 10;
  for (const line of breakWords(pdf, order.title, 180, 18)) {
    writeWords(pdf, line, RIM_MM, y, { size: 18 });
    feed(9);
  }
  for (const [label, value] of order.facts) {
    writeWords(pdf, label, RIM_MM, y, { size });
    writeWords(pdf, value, RIM_MM + 70, y, { size });
    feed(6);
  }
  feed(4);
  const columns = [0, 30, 55, 80, 108, 136];
  const row = (cells: readonly string[], weight: "normal" | "bold") => {
    const lines = cells.map((cell, i) =>
      breakWords(pdf, cell, (columns[i + 1] ?? 182) - columns[i]! - 2, size, weight),
    );
    lines.forEach((texts, i) => {
      for (const [n, text] of texts.entries()) writeWords(pdf, text, RIM_MM + columns[i]!, y + n * 5, { size, weight });
    });
    feed(5 * Math.max(1, ...lines.map((texts) => texts.length)) + 1);
  };
  row(order.portHead, "bold");
  for (const port of order.ports) row(port, "normal");
  if (order.corners.length > 0) {
    feed(4);
    writeWords(pdf, order.cornerHead, RIM_MM, y, { size });
    feed(6);
    for (const corner of order.corners) {
      writeWords(pdf, corner, RIM_MM, y, { size });
      feed(5);
    }
  }
  feed(6);
  writeWords(
    pdf,
    "Measure the space once more before you order. Mind the fittings at both ends and the room to lift it in.",
    RIM_MM,
    y,
    { size },
  );
  return pdf.output("arraybuffer");
}
