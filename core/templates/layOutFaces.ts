import type { FaceDrawing } from "./tankFaces";

/** A face and where its lower left corner stands on the sheet, mm. */
export type PlacedFace = { readonly drawing: FaceDrawing; readonly leftMm: number; readonly lowMm: number };
export type FaceSheet = { readonly widthMm: number; readonly heightMm: number; readonly faces: readonly PlacedFace[] };

const GAP_MM = 60;
const PER_ROW = 2;

/** Faces on one sheet in full size, opposite ones beside each other, row over row [C]. */
export function layOutFaces(drawings: readonly FaceDrawing[]): FaceSheet {
  const rows = Array.from({ length: Math.ceil(drawings.length / PER_ROW) }, (_, i) =>
    drawings.slice(i * PER_ROW, (i + 1) * PER_ROW),
  );
  const faces: PlacedFace[] = [];
  let lowMm = GAP_MM;
  let widthMm = 0;
  for (const row of rows.reverse()) {
    let leftMm = GAP_MM;
    for (const drawing of row) {
      faces.push({ drawing, leftMm, lowMm });
      leftMm += drawing.widthMm + GAP_MM;
    }
    widthMm = Math.max(widthMm, leftMm);
    lowMm += Math.max(...row.map((drawing) => drawing.heightMm)) + GAP_MM;
  }
  return { widthMm, heightMm: lowMm, faces };
}
