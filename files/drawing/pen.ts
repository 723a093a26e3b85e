/** A place on a sheet, mm from its upper left corner. */
export type At = readonly [number, number];

/** Room a drawing has on a sheet, mm. */
export type Field = { readonly left: number; readonly top: number; readonly width: number; readonly height: number };

/** Few strokes, as a PDF takes them; what a drawing is made of can go into any file that has them. */
export type Strokes = {
  readonly setLineWidth: (mm: number) => unknown;
  readonly setLineDashPattern: (mm: number[], phase: number) => unknown;
  readonly setFillColor: (red: number, green: number, blue: number) => unknown;
  readonly line: (x0: number, y0: number, x1: number, y1: number) => unknown;
  readonly rect: (x: number, y: number, width: number, height: number, style: "S" | "F" | "FD") => unknown;
  readonly circle: (x: number, y: number, radius: number, style: "S" | "F") => unknown;
  readonly ellipse: (x: number, y: number, across: number, down: number, style: "S") => unknown;
};

/** What drawings are drawn with: strokes, words in points, and how wide words come out, mm. */
export type Pen = {
  readonly pdf: Strokes;
  readonly words: (text: string, at: At, size: number, align?: "left" | "right" | "middle", weight?: "bold") => void;
  readonly measure: (text: string, size: number) => number;
};
