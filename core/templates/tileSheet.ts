export const PAPERS = {
  a4: { widthMm: 210, heightMm: 297 },
  letter: { widthMm: 215.9, heightMm: 279.4 },
} as const;
export type Paper = keyof typeof PAPERS;

/** Printers leave this rim white; the ruler and the page's name stand in it at the foot. */
export const RIM_MM = 14;
/** So much of a page is on its neighbour as well, for gluing; the crosses stand at its edges. */
export const OVERLAP_MM = 12;

/** Nobody glues more pages than this; a larger side is for a print shop or a machine [T]. */
export const MOST_PAGES = 300;

/** One page of a drawing in full size: which part of the drawing its field shows. */
export type Tile = {
  /** Column from the left and row from the top, from 0. */
  readonly column: number;
  readonly row: number;
  /** A1 is top left; letters go down, numbers to the right. */
  readonly name: string;
  /** Lower left corner of its field on the drawing, mm. */
  readonly leftMm: number;
  readonly lowMm: number;
  readonly fieldWidthMm: number;
  readonly fieldHeightMm: number;
};

/**
 * Pages that show a drawing of a size, mm > 0, in full size, each overlapping its neighbours; the drawing stands in the
 * middle of them. Upright or lying, whichever needs fewer [C].
 */
export function tileSheet(
  { widthMm, heightMm }: { readonly widthMm: number; readonly heightMm: number },
  paper: Paper,
): { readonly isLying: boolean; readonly tiles: readonly Tile[] } {
  const { widthMm: w, heightMm: h } = PAPERS[paper];
  const upright = countTiles(widthMm, heightMm, w, h);
  const lying = countTiles(widthMm, heightMm, h, w);
  const isLying = lying.columns * lying.rows < upright.columns * upright.rows;
  const { columns, rows, fieldWidthMm, fieldHeightMm } = isLying ? lying : upright;
  const [stepX, stepY] = [fieldWidthMm - OVERLAP_MM, fieldHeightMm - OVERLAP_MM];
  const left = (widthMm - (columns * stepX + OVERLAP_MM)) / 2;
  const top = heightMm + (rows * stepY + OVERLAP_MM - heightMm) / 2;
  const tiles = Array.from({ length: columns * rows }, (_, i): Tile => {
    const [column, row] = [i % columns, Math.floor(i / columns)];
    return {
      column,
      row,
      name: `${nameRow(row)}${column + 1}`,
      leftMm: left + column * stepX,
      lowMm: top - row * stepY - fieldHeightMm,
      fieldWidthMm,
      fieldHeightMm,
    };
  });
  return { isLying, tiles };
}

function countTiles(widthMm: number, heightMm: number, pageWidthMm: number, pageHeightMm: number) {
  const [fieldWidthMm, fieldHeightMm] = [pageWidthMm - 2 * RIM_MM, pageHeightMm - 2 * RIM_MM];
  const count = (size: number, field: number) => Math.max(1, Math.ceil((size - OVERLAP_MM) / (field - OVERLAP_MM)));
  return {
    columns: count(widthMm, fieldWidthMm),
    rows: count(heightMm, fieldHeightMm),
    fieldWidthMm,
    fieldHeightMm,
  };
}

// A, B, … Z, AA, AB
const nameRow = (row: number): string =>
  (row >= 26 ? nameRow(Math.floor(row / 26) - 1) : "") + String.fromCharCode(65 + (row % 26));
