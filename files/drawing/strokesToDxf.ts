import Drawing from "dxf-writer";
import type { Field } from "./pen";
import type { Drawn } from "./recordStrokes";

const PT_MM = 0.3528;
/** An ellipse as so many corners: every reader knows lines. */
const CORNERS = 72;

/** What was drawn as a DXF file in millimetres, y upward; `scale` mm of the file for each on the sheet. Fills are left out. */
export function strokesToDxf(drawn: readonly Drawn[], { height }: Field, scale = 1): string {
  const file = new Drawing();
  file.setUnits("Millimeters");
  file.addLineType("BROKEN", "_ _ _ ", [4, -2]);
  file.addLayer("LINES", Drawing.ACI.WHITE, "CONTINUOUS");
  file.addLayer("BROKEN", Drawing.ACI.BLUE, "BROKEN");
  file.addLayer("WORDS", Drawing.ACI.GREEN, "CONTINUOUS");
  const x = (mm: number) => mm * scale;
  const y = (mm: number) => (height - mm) * scale;
  for (const one of drawn) {
    switch (one.kind) {
      case "line":
        file.setActiveLayer(one.dash.length > 0 ? "BROKEN" : "LINES");
        file.drawLine(x(one.from[0]), y(one.from[1]), x(one.to[0]), y(one.to[1]));
        break;
      case "rect": {
        if (!one.isDrawn) break;
        const [[left, top], [wide, high]] = [one.at, one.size];
        file.setActiveLayer(one.dash.length > 0 ? "BROKEN" : "LINES");
        file.drawRect(x(left), y(top), x(left + wide), y(top + high));
        break;
      }
      case "ellipse": {
        const [[cx, cy], [rx, ry]] = [one.at, one.radii];
        file.setActiveLayer("LINES");
        if (rx === ry) file.drawCircle(x(cx), y(cy), rx * scale);
        else
          file.drawPolyline(
            Array.from({ length: CORNERS }, (_, i): [number, number] => {
              const angle = (i * 2 * Math.PI) / CORNERS;
              return [x(cx + rx * Math.cos(angle)), y(cy + ry * Math.sin(angle))];
            }),
            true,
          );
        break;
      }
      case "words": {
        const align = one.align === "middle" ? "center" : one.align;
        file.setActiveLayer("WORDS");
        file.drawText(x(one.at[0]), y(one.at[1]), one.size * PT_MM * scale * 0.7, 0, one.text, align);
        break;
      }
    }
  }
  return file.toDxfString();
}
