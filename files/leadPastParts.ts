import type { LaidOut, Led, Placed } from "./layOutWaterway";

type Point = readonly [x: number, y: number];
type Span = { readonly at: number; readonly low: number; readonly high: number };
type Part = Placed<{ readonly id: string }>;

/** Lines at one side of a part lie so far apart at the most, px, and so far from its corners. */
const APART_PX = 12;
const CORNER_PX = 8;
const LABEL_HEIGHT_PX = 18;

/**
 * Leads each line straight past the parts and figures of a row and lets it go aside between two rows only, so that it runs through
 * nothing it doesn't belong to. Lines leave a part side by side, in the order of where they go.
 * What comes in has its parts in rows, with room kept in each for the lines that pass it.
 */
export function leadPastParts(laid: LaidOut, isTall: boolean, labelPx: (id: string) => number): Led[] {
  // along the water, and across it
  const turn = ([x, y]: Point): Point => (isTall ? [y, x] : [x, y]);
  const lengthOf = ({ width, height }: Part) => (isTall ? height : width);
  const breadthOf = ({ width, height }: Part) => (isTall ? width : height);
  const placeOf = ({ x, y }: Part) => turn([x, y]);
  const rows = listRows([
    ...laid.nodes.map((node) => ({ at: placeOf(node)[0], half: lengthOf(node) / 2 })),
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

  return ends.map(({ edge, out, into }): Led => {
    const points = [
      ...toSide(out),
      ...inner.get(edge.id)!.flatMap(([u, v]): Point[] => {
        const row = rowAt(u);
        if (!row) return [[u, v]];
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
    return { ...edge, points: points.map(turn) };
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
