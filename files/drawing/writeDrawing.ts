import { listCuts } from "@/core/build/cuts";
import type { Design } from "@/core/design/design";
import { evaluate } from "@/core/evaluate/evaluate";
import { listHoles } from "@/core/through/holes";
import type { Units } from "@/words/units";
import { drawPlan } from "../book/drawPlan";
import { drawSection } from "../book/drawSection";
import { drawWaterway } from "../book/drawWaterway";
import { drawHoles, measureHoles } from "./drawHoles";
import type { Field } from "./pen";
import { recordStrokes } from "./recordStrokes";
import { strokesToDxf } from "./strokesToDxf";
import { strokesToSvg } from "./strokesToSvg";

export const DRAWINGS = ["plan", "section", "waterway", "holes"] as const;
export type DrawingKind = (typeof DRAWINGS)[number];
export const DRAWING_FORMATS = ["svg", "dxf"] as const;
export type DrawingFormat = (typeof DRAWING_FORMATS)[number];

/** The sheet a drawing is laid on before it is brought to its size, mm. */
const SHEET = { width: 277, height: 190 };
const SECTION_MM = 90;

/**
 * One drawing of the design as a file: plan and holes in full size, sections with their lengths in full size (heights as
 * much taller as it says), the Waterway as a diagram on a sheet.
 */
export function writeDrawing(design: Design, kind: DrawingKind, format: DrawingFormat, units: Units): string {
  const { pen, drawn } = recordStrokes();
  const evaluation = evaluate(design);
  const holes = listHoles(design, evaluation);
  const { field, scale } = draw();
  return format === "svg" ? strokesToSvg(drawn, field, scale) : strokesToDxf(drawn, field, scale);

  function draw(): { readonly field: Field; readonly scale: number } {
    const sheet = { left: 0, top: 0, ...SHEET };
    switch (kind) {
      case "plan":
        return { field: sheet, scale: 1 / drawPlan(pen, design, holes, sheet) };
      case "waterway":
        drawWaterway(pen, design, evaluation, units, sheet);
        return { field: sheet, scale: 1 };
      case "holes":
        drawHoles(pen, design, holes, units);
        return { field: { left: 0, top: 0, ...measureHoles(holes) }, scale: 1 };
      case "section": {
        const marks = new Map(listCuts(design).map(({ mark, lineId, leg }) => [`${lineId} ${leg}`, mark]));
        const drains = design.lines.flatMap((line) => (line.kind === "drain" ? [line] : []));
        // all of them in one scale, that of the longest
        const scales = drains.map((drain, i) =>
          drawSection(recordStrokes().pen, design, drain, marks, units, { ...sheet, top: i, height: SECTION_MM }),
        );
        const least = Math.min(...scales, 1);
        drains.forEach((drain, i) => {
          const width = SHEET.width * (least / scales[i]!);
          const field = { left: 0, top: 12 + i * (SECTION_MM + 24), width, height: SECTION_MM };
          drawSection(pen, design, drain, marks, units, field);
        });
        return { field: { ...sheet, height: Math.max(1, drains.length) * (SECTION_MM + 24) + 12 }, scale: 1 / least };
      }
    }
  }
}
