import type { LaidOut, Placed } from "./laidOut";

type Point = readonly [x: number, y: number];
/** A row across the water: its middle and how far it reaches. */
type Row = { readonly at: number; readonly low: number; readonly high: number };
type Part = Placed<{ readonly id: string }>;

/** Lines at one side of a part lie so far apart at the most, px, and so far from its corners. */
const APART_PX = 12;
const CORNER_PX = 8;
const LABEL_HEIGHT_PX = 18;
/** A line comes to a part straight for so long, px: its arrow. */
export const LEAD_PX = 6;
/** A line that goes so far aside has this share of it as room along the water, up to so much, px. */
const ASIDE = 0.15;
const MOST_GAP_PX = 80;
const HAIR_PX = 0.5;

/** Places and sizes along the water and across it, whichever way it runs on the sheet. */
const toSheet = (isTall: boolean) => ({
  turn: ([x, y]: Point): Point => (isTall ? [y, x] : [x, y]),
  placeOf: ({ x, y }: Part): Point => (isTall ? [y, x] : [x, y]),
  lengthOf: ({ width, height }: Part) => (isTall ? height : width),
  breadthOf: ({ width, height }: Part) => (isTall ? width : height),
});
type Sheet = ReturnType<typeof toSheet>;

/**
 * Leads each line straight past the parts and figures of a row and lets it go aside between two rows only, so that it runs through
 * nothing it doesn't belong to; rows between which lines go far aside stand farther apart. Lines leave a part side by side, in the order of where they go.
 * What comes in has its parts in rows, with room kept in each for the lines that pass it.
 */
export function leadPastParts(laid: LaidOut, isTall: boolean, labelPx: (id: string) => number): LaidOut {
  const sheet = toSheet(isTall);
  const { turn, placeOf, lengthOf } = sheet;
  const rows = listRows([
    ...laid.nodes.map((node) => ({ at: placeOf(node)[0], half: lengthOf(node) / 2 + LEAD_PX })),
    ...laid.edges.flatMap(({ id, labelAt }) =>
      labelAt ? [{ at: turn(labelAt)[0], half: (isTall ? LABEL_HEIGHT_PX : labelPx(id)) / 2 }] : [],
    ),
  ]);
  const courses = listCourses(laid, sheet, rows);
  // where lines go far aside the next row gives way, so that they can be told apart
  const moved = listMoves(rows, [...courses.values()]);
  const move = ([u, v]: Point): Point => [u + moved[findRow(rows, u)]!, v];
  const place = (at: Point): Point => turn(move(turn(at)));
  const more = moved.at(-1)!;
  return {
    width: laid.width + (isTall ? 0 : more),
    height: laid.height + (isTall ? more : 0),
    nodes: laid.nodes.map((node) => {
      const [x, y] = place([node.x, node.y]);
      return { ...node, x, y };
    }),
    edges: laid.edges.map((edge) => ({
      ...edge,
      points: courses.get(edge.id)!.map((at) => turn(move(at))),
      labelAt: edge.labelAt && place(edge.labelAt),
    })),
  };
}

/** The row a place lies in, or the one before it. */
const findRow = (rows: readonly Row[], u: number): number => rows.findLastIndex(({ low }) => low <= u + HAIR_PX);

// The course of each line, by its id: out of its part, past each row on its way, and to the other part.
function listCourses({ nodes, edges }: LaidOut, sheet: Sheet, rows: readonly Row[]): Map<string, readonly Point[]> {
  const byId = new Map(nodes.map((node) => [node.id, node]));
  const touching = new Touching(sheet);
  const ends = edges.map((edge) => {
    const [from, to] = [byId.get(edge.from)!, byId.get(edge.to)!];
    const inner = edge.points.slice(1, -1).map(sheet.turn);
    return {
      edge,
      inner,
      out: touching.add(`${edge.id} from`, from, inner[0] ?? sheet.placeOf(to)),
      into: touching.add(`${edge.id} to`, to, inner.at(-1) ?? sheet.placeOf(from)),
    };
  });
  return new Map(
    ends.map(({ edge, inner, out, into }): [string, readonly Point[]] => [
      edge.id,
      [
        ...touching.lead(out, rows),
        ...inner.flatMap((at) => passRow(rows, at, out.side)),
        ...touching.lead(into, rows).reverse(),
      ],
    ]),
  );
}

// Straight through a row; between two rows there is nothing to be passed.
function passRow(rows: readonly Row[], [u, v]: Point, side: 1 | -1): Point[] {
  const row = rows.find(({ at }) => Math.abs(at - u) < 1);
  if (!row) return rows.some(({ low, high }) => u > low && u < high) ? [[u, v]] : [];
  const [first, last] = side > 0 ? [row.low, row.high] : [row.high, row.low];
  return [
    [first, v],
    [last, v],
  ];
}

type Touch = { readonly key: string; readonly part: Part; readonly side: 1 | -1 };

/** Where lines touch the sides of their parts. */
class Touching {
  private readonly bySide = new Map<string, { readonly key: string; readonly towards: number }[]>();

  constructor(private readonly sheet: Sheet) {}

  add(key: string, part: Part, next: Point): Touch {
    const side = next[0] >= this.sheet.placeOf(part)[0] ? 1 : -1;
    const place = `${part.id} ${side}`;
    this.bySide.set(place, [...(this.bySide.get(place) ?? []), { key, towards: next[1] }]);
    return { key, part, side };
  }

  /** From the side of the part to the end of its row, beside the other lines there. */
  lead({ key, part, side }: Touch, rows: readonly Row[]): Point[] {
    const { placeOf, lengthOf, breadthOf } = this.sheet;
    const [u, v] = placeOf(part);
    const list = this.bySide.get(`${part.id} ${side}`)!.toSorted((a, b) => a.towards - b.towards);
    const apart = Math.max(0, Math.min(APART_PX, (breadthOf(part) - 2 * CORNER_PX) / Math.max(1, list.length - 1)));
    const across = v + (list.findIndex((one) => one.key === key) - (list.length - 1) / 2) * apart;
    const row = rows.find(({ at }) => Math.abs(at - u) < 1)!;
    return [
      [u + (side * lengthOf(part)) / 2, across],
      [side > 0 ? row.high : row.low, across],
    ];
  }
}

// How far each row moves on, px: by what it and those before it give way.
function listMoves(rows: readonly Row[], courses: readonly (readonly Point[])[]): number[] {
  const aside = rows.map(() => 0);
  for (const course of courses) {
    for (const [i, [u, v]] of course.slice(1).entries()) {
      const [from, was] = course[i]!;
      const row = findRow(rows, Math.max(u, from));
      aside[row] = Math.max(aside[row]!, Math.abs(v - was));
    }
  }
  let sum = 0;
  return rows.map(({ low }, i) => {
    const before = rows[i - 1];
    if (before) sum += Math.max(0, Math.min(MOST_GAP_PX, ASIDE * aside[i]!) - (low - before.high));
    return sum;
  });
}

// Where parts or figures stand in a row, and how far the row reaches.
function listRows(stand: readonly { readonly at: number; readonly half: number }[]): Row[] {
  const rows: Row[] = [];
  for (const { at, half } of [...stand].sort((a, b) => a.at - b.at)) {
    const last = rows.at(-1);
    if (!last || at - last.at >= 1) rows.push({ at, low: at - half, high: at + half });
    else {
      rows[rows.length - 1] = {
        at: last.at,
        low: Math.min(last.low, at - half),
        high: Math.max(last.high, at + half),
      };
    }
  }
  return rows;
}
