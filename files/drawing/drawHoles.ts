import type { Design } from "@/core/design/design";
import type { HoleEntry } from "@/core/through/holes";
import { describeHole, describeSize } from "@/words/holes";
import type { Units } from "@/words/units";
import type { Pen } from "./pen";

const MARGIN_MM = 12;
const ROW_MM = 24;

/** How large a sheet all holes of a rig take in full size, one under the other, mm. */
export const measureHoles = (holes: readonly HoleEntry[]): { readonly width: number; readonly height: number } => ({
  width: Math.max(120, ...holes.map(({ lengthMm }) => lengthMm + 2 * MARGIN_MM)),
  height: holes.reduce((sum, { widthMm }) => sum + widthMm + ROW_MM, 2 * MARGIN_MM),
});

/** Every hole in full size with the cross of its middle, an ellipse where the pipe passes aslant. */
export function drawHoles({ pdf, words }: Pen, design: Design, holes: readonly HoleEntry[], units: Units): void {
  const { width } = measureHoles(holes);
  let top = MARGIN_MM;
  pdf.setLineWidth(0.25);
  holes.forEach((hole, i) => {
    const [rx, ry] = [hole.lengthMm / 2, hole.widthMm / 2];
    const [cx, cy] = [width / 2, top + ry];
    pdf.ellipse(cx, cy, rx, ry, "S");
    pdf.line(cx - rx - 5, cy, cx + rx + 5, cy);
    pdf.line(cx, cy - ry - 5, cx, cy + ry + 5);
    words(`H${i + 1}  ${describeHole(hole, design)}, ${describeSize(hole, units)}`, [cx, cy + ry + 10], 9, "middle");
    top += hole.widthMm + ROW_MM;
  });
}
