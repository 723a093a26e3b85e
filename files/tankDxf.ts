import Drawing from "dxf-writer";
import { layOutFaces } from "@/core/templates/layOutFaces";
import type { FaceDrawing } from "@/core/templates/tankFaces";
import { describeHole, FACE_NAMES } from "@/words/templates";
import type { Units } from "@/words/units";

const LETTERS_MM = 8;

/**
 * Faces of a tank in full size as a DXF file in millimetres: outside, inside, holes and words on layers of their own; bores,
 * which nobody cuts, apart from holes, which are there only where the fitting's thread tells them.
 */
export function writeDxf(drawings: readonly FaceDrawing[], units: Units): string {
  const file = new Drawing();
  file.setUnits("Millimeters");
  file.addLayer("OUTSIDE", Drawing.ACI.WHITE, "CONTINUOUS");
  file.addLayer("INSIDE", Drawing.ACI.BLUE, "CONTINUOUS");
  file.addLayer("HOLES", Drawing.ACI.RED, "CONTINUOUS");
  file.addLayer("BORES", Drawing.ACI.CYAN, "CONTINUOUS");
  file.addLayer("WORDS", Drawing.ACI.GREEN, "CONTINUOUS");
  for (const { drawing, leftMm, lowMm } of layOutFaces(drawings).faces) {
    const { face, outside, inside, holes } = drawing;
    const place = ({ u, v }: { readonly u: number; readonly v: number }): [number, number] => [leftMm + u, lowMm + v];
    file.setActiveLayer("OUTSIDE").drawPolyline(outside.map(place), true);
    file.setActiveLayer("INSIDE").drawPolyline(inside.map(place), true);
    for (const hole of holes) {
      const [x, y] = place(hole.at);
      file.setActiveLayer("BORES").drawCircle(x, y, hole.boreMm / 2);
      if (hole.cutMm !== null) file.setActiveLayer("HOLES").drawCircle(x, y, hole.cutMm / 2);
      file
        .setActiveLayer("WORDS")
        .drawText(x + (hole.cutMm ?? hole.boreMm) / 2 + 4, y, LETTERS_MM, 0, describeHole(hole, units));
    }
    file.setActiveLayer("WORDS").drawText(leftMm, lowMm - 2 * LETTERS_MM, LETTERS_MM, 0, FACE_NAMES[face]);
  }
  return file.toDxfString();
}
