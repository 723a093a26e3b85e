import type { LaidOut, Led, Placed } from "./layOutWaterway";

type Point = readonly [x: number, y: number];
type Span = { readonly at: number; readonly low: number; readonly high: number };
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

/**
 * Leads each line straight past the parts and figures of a row and lets it go aside between two rows only, so that it runs through
 * nothing it doesn't belong to; rows between which lines go far aside stand farther apart. Lines leave a part side by side, in the order of where they go.
 * What comes in has its parts in rows, with room kept in each for the lines that pass it.
 */
export function leadPastParts(laid: LaidOut, isTall: boolean, labelPx: (id: string) => number): LaidOut {
  // along the water, and across it
  const turn = ([x, y]: Point): Point => (isTall ? [y, x] : [x, y]);
  const lengthOf = ({ width, height }: Part) => (isTall ? height : width);
  const breadthOf = ({ width, height }: Part) => (isTall ? width : height);
  const placeOf = ({ x, y }: Part) => turn([x, y]);
  const rows = listRows([
    ...laid.nodes.map((node) => ({ at: placeOf(node)[0], half: lengthOf(node) / 2 + LEAD_PX })),
    ...laid.edges.flatMap(({ id, labelAt }) =>
      labelAt ? [{ at: turn(labelAt)[0], half: (isTall ? LABEL_HEIGHT_PX : labelPx(id)) / 2 }] : [],
    ),
  ]);
  const rowAt = (u: number): Span | undefined => rows.find(({ at }) => Math.abs(at - u) < 1);
  const byId = new Map(laid.nodes.map((node) => [node.id, node]));

  // where each line touches its parts: at which side, and in which order
  const touching = new Map<string, { readonly key: string; readonly towards: number }[]>();
  const inner = new Map(laid.edges.map((edge) => [edge.id, edge.points.slice(1, -1).map(turn)]));
  const ends = laid.edges.map((edge) => {
    const [from, to] = [byId.get(edge.from)!, byId.get(edge.to)!];
    const between = inner.get(edge.id)!;
    const out = touch(edge.id, "from", from, between[0] ?? placeOf(to));
    const into = touch(edge.id, "to", to, between.at(-1) ?? placeOf(from));
    return { edge, out, into };
  });
  function touch(id: string, which: string, part: Part, next: Point) {
    const [u] = placeOf(part);
    const side = next[0] >= u ? 1 : -1;
    const place = `${part.id} ${side}`;
    const key = `${id} ${which}`;
    touching.set(place, [...(touching.get(place) ?? []), { key, towards: next[1] }]);
    return { part, side, place, key };
  }
  for (const list of touching.values()) list.sort((a, b) => a.towards - b.towards);

  const toSide = ({ part, side, place, key }: ReturnType<typeof touch>): Point[] => {
    const [u, v] = placeOf(part);
    const list = touching.get(place)!;
    const apart = Math.max(0, Math.min(APART_PX, (breadthOf(part) - 2 * CORNER_PX) / Math.max(1, list.length - 1)));
    const across = v + (list.findIndex((one) => one.key === key) - (list.length - 1) / 2) * apart;
    const row = rowAt(u)!;
    return [
      [u + (side * lengthOf(part)) / 2, across],
      [side > 0 ? row.high : row.low, across],
    ];
  };

  const led = ends.map(({ edge, out, into }): Omit<Led, "points"> & { readonly course: readonly Point[] } => {
    const points = [
      ...toSide(out),
      ...inner.get(edge.id)!.flatMap(([u, v]): Point[] => {
        const row = rowAt(u);
        // between two rows there is nothing to be passed
        if (!row) return rows.some(({ low, high }) => u > low && u < high) ? [[u, v]] : [];
        return out.side > 0
          ? [
              [row.low, v],
              [row.high, v],
            ]
          : [
              [row.high, v],
              [row.low, v],
            ];
      }),
      ...toSide(into).reverse(),
    ];
    return { ...edge, course: points };
  });

  // where lines go far aside the next row gives way, so that they can be told apart
  const extra = listExtra(
    rows,
    led.map(({ course }) => course),
  );
  const widen = ([u, v]: Point): Point => [u + extra[rows.findLastIndex(({ low }) => low <= u + HAIR_PX)]!, v];
  const place = (at: Point): Point => turn(widen(turn(at)));
  const more = extra.at(-1)!;
  return {
    width: laid.width + (isTall ? 0 : more),
    height: laid.height + (isTall ? more : 0),
    nodes: laid.nodes.map((node) => {
      const [x, y] = place([node.x, node.y]);
      return { ...node, x, y };
    }),
    edges: led.map(({ course, ...edge }) => ({
      ...edge,
      points: course.map((at) => turn(widen(at))),
      labelAt: edge.labelAt && place(edge.labelAt),
    })),
  };
}

// How far each row moves on, px: by what it and those before it give way.
function listExtra(rows: readonly Span[], courses: readonly (readonly Point[])[]): number[] {
  const aside = rows.map(() => 0);
  for (const course of courses) {
    for (const [i, [u, v]] of course.slice(1).entries()) {
      const [from, was] = course[i]!;
      const row = rows.findLastIndex(({ low }) => low <= Math.max(u, from) + HAIR_PX);
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
function listRows(stand: readonly { readonly at: number; readonly half: number }[]): Span[] {
  const rows: Span[] = [];
  for (const { at, half } of [...stand].sort((a, b) => a.at - b.at)) {
    const last = rows.at(-1);
    if (last && at - last.at < 1) {
      rows[rows.length - 1] = {
        at: last.at,
        low: Math.min(last.low, at - half),
        high: Math.max(last.high, at + half),
      };
    } else rows.push({ at, low: at - half, high: at + half });
  }
  return rows;
}
