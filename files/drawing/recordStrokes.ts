import type { At, Pen } from "./pen";

/** One stroke as it was drawn; mm on the sheet. */
export type Drawn =
  | {
      readonly kind: "line";
      readonly from: At;
      readonly to: At;
      readonly width: number;
      readonly dash: readonly number[];
    }
  | {
      readonly kind: "rect";
      readonly at: At;
      readonly size: At;
      readonly width: number;
      readonly dash: readonly number[];
      /** Paper laid under words so that no line runs through them, or ink. */
      readonly fill: "none" | "paper" | "ink";
      readonly isDrawn: boolean;
    }
  | {
      readonly kind: "ellipse";
      readonly at: At;
      readonly radii: At;
      readonly width: number;
      readonly fill: "none" | "ink";
    }
  | {
      readonly kind: "words";
      readonly text: string;
      readonly at: At;
      readonly size: number;
      readonly align: "left" | "right" | "middle";
      readonly isBold: boolean;
    };

/** Letters are about so wide, in their own height: narrow as the product's are [T]. */
const LETTER_WIDE = 0.46;
const PT_MM = 0.3528;

/** A pen that keeps what it draws, for files other than PDF. */
export function recordStrokes(): { readonly pen: Pen; readonly drawn: readonly Drawn[] } {
  const drawn: Drawn[] = [];
  let width = 0.25;
  let dash: readonly number[] = [];
  let isPaper = false;
  const fill = () => (isPaper ? ("paper" as const) : ("ink" as const));
  return {
    drawn,
    pen: {
      pdf: {
        setLineWidth: (mm) => {
          width = mm;
        },
        setLineDashPattern: (mm) => {
          dash = mm;
        },
        setFillColor: (red) => {
          isPaper = red > 200;
        },
        line: (x0, y0, x1, y1) => drawn.push({ kind: "line", from: [x0, y0], to: [x1, y1], width, dash }),
        rect: (x, y, w, h, style) =>
          drawn.push({
            kind: "rect",
            at: [x, y],
            size: [w, h],
            width,
            dash,
            fill: style === "S" ? "none" : fill(),
            isDrawn: style !== "F",
          }),
        circle: (x, y, radius, style) =>
          drawn.push({
            kind: "ellipse",
            at: [x, y],
            radii: [radius, radius],
            width,
            fill: style === "F" ? "ink" : "none",
          }),
        ellipse: (x, y, across, down) =>
          drawn.push({ kind: "ellipse", at: [x, y], radii: [across, down], width, fill: "none" }),
      },
      words: (text, at, size, align = "left", weight) => {
        if (text !== "") drawn.push({ kind: "words", text, at, size, align, isBold: weight === "bold" });
      },
      measure: (text, size) => text.length * size * PT_MM * LETTER_WIDE,
    },
  };
}
