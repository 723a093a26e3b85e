import { graphlib, layout } from "@dagrejs/dagre";
import type { WaterNode, Waterway } from "@/core/waterway/buildWaterway";
import type { LaidOut, Led } from "./laidOut";
import { LEAD_PX, leadPastParts } from "./leadPastParts";

/** A place where drains meet. */
const DOT_PX = { width: 10, height: 10 } as const;
const NODE_PX = { width: 138, height: 58 } as const;
/** A mark without words: an open end, the ground. */
const MARK_PX = { width: 54, height: 44 } as const;

/** Letters of the figures are about so wide, px. */
const LETTER_PX = 6.2;

/** Lines between the same two rows lie so far apart, px: a figure's height. */
const LANE_PX = 17;
/** Clear above and below a row, px. */
const MARGIN_PX = 12;
/** Between two rows of a folded diagram, px. */
const ROW_GAP = 34;
/** Lines beside the rows lie so far apart, px. */
const BESIDE_PX = 6;
/** How far a line runs out beside a row before it goes on in the next, px. */
const TURN_PX = 14;

/** A sheet is tall where its width is less than this of its height. */
const TALL = 0.8;

/** Its letters are 14 high and can still be read at this scale on a screen. */
export const READABLE = 0.6;

/**
 * Lays the diagram out from left to right with the water, on a tall sheet from above; room is kept for each figure, so that none crosses
 * another. Where the place it is shown at can be scrolled its width is given, px: rows are then short enough to be read, and it may be higher.
 */
export function layOutWaterway(
  waterway: Waterway,
  labels: ReadonlyMap<string, string>,
  aspect: number,
  widthPx: number | null = null,
): LaidOut {
  // nothing has no width of its own
  if (waterway.nodes.length === 0) return { nodes: [], edges: [], width: NODE_PX.width, height: NODE_PX.height };
  if (aspect < TALL) {
    const tall = layOutAlong(waterway, labels, true);
    if (widthPx === null || widthPx / tall.width >= READABLE) return tall;
  }
  return fold(layOutAlong(waterway, labels, false), aspect, widthPx);
}

function layOutAlong({ nodes, edges }: Waterway, labels: ReadonlyMap<string, string>, isTall: boolean): LaidOut {
  const graph = new graphlib.Graph({ multigraph: true });
  graph.setGraph({ rankdir: isTall ? "TB" : "LR", nodesep: 16, ranksep: 24, edgesep: 12, marginx: 16, marginy: 16 });
  for (const node of nodes) graph.setNode(node.id, { ...sizeOf(node) });
  for (const edge of edges) {
    const label = labels.get(edge.id);
    graph.setEdge(
      edge.from,
      edge.to,
      label ? { width: measureLabelPx(label), height: 18, labelpos: "c" } : { width: 0, height: 0 },
      edge.id,
    );
  }
  layout(graph);
  const { width = 0, height = 0 } = graph.graph();
  const laid: LaidOut = {
    width,
    height,
    nodes: nodes.map((node) => {
      const at = graph.node(node.id);
      return { ...node, ...sizeOf(node), x: at.x, y: at.y };
    }),
    edges: edges.map((edge) => {
      const led = graph.edge({ v: edge.from, w: edge.to, name: edge.id });
      return {
        ...edge,
        points: (led.points ?? []).map(({ x, y }: { readonly x: number; readonly y: number }) => [x, y] as const),
        labelAt: labels.has(edge.id) && led.x !== undefined && led.y !== undefined ? [led.x, led.y] : null,
      };
    }),
  };
  return leadPastParts(laid, isTall, (id) => measureLabelPx(labels.get(id) ?? ""));
}

const measureLabelPx = (label: string): number => label.length * LETTER_PX + 12;

// A long chain is folded into rows like the lines of a page, so that it can be read: so many rows as fit the sheet best, or more
// of them where they would be too small to read.
function fold(laid: LaidOut, aspect: number, widthPx: number | null): LaidOut {
  const ranks = [...new Set(laid.nodes.map(({ x }) => Math.round(x)))].sort((a, b) => a - b);
  let rows = Math.max(1, Math.round(Math.sqrt(laid.width / (laid.height + ROW_GAP) / aspect)));
  while (widthPx !== null && rows < ranks.length && widthPx / measureRows(laid, ranks, rows).width < READABLE)
    rows += 1;
  return rows < 2 ? laid : foldInto(laid, ranks, rows);
}

type Band = { readonly left: number; readonly right: number; readonly top: number; readonly bottom: number };
type Point = readonly [x: number, y: number];

// What of a line lies beside the parts of a row, where room was kept for it.
const keepIn = (points: readonly Point[], { left, right }: Pick<Band, "left" | "right">): Point[] =>
  points.filter(([x]) => x >= left && x <= right);

// How far each row reaches, with the lines that stay in it.
function measureRows(laid: LaidOut, ranks: readonly number[], rows: number) {
  const perRow = Math.ceil(ranks.length / rows);
  const rowOf = (x: number) => Math.floor(ranks.findIndex((rank) => rank >= Math.round(x)) / perRow);
  const byId = new Map(laid.nodes.map((node) => [node.id, rowOf(node.x)]));
  const bands = Array.from({ length: Math.ceil(ranks.length / perRow) }, (_, row): Band => {
    const own = laid.nodes.filter((node) => rowOf(node.x) === row);
    const left = Math.min(...own.map((node) => node.x - node.width / 2)) - LEAD_PX;
    const right = Math.max(...own.map((node) => node.x + node.width / 2)) + LEAD_PX;
    const ys = [
      ...own.flatMap(({ y, height }) => [y - height / 2, y + height / 2]),
      ...laid.edges.flatMap(({ from, to, points, labelAt }) => {
        const ends = [byId.get(from), byId.get(to)];
        if (!ends.includes(row)) return [];
        const isInside = ends.every((end) => end === row);
        return [
          ...(isInside ? points : keepIn(points, { left, right })).map(([, y]) => y),
          ...(isInside && labelAt ? [labelAt[1] - LANE_PX / 2, labelAt[1] + LANE_PX / 2] : []),
        ];
      }),
    ];
    return {
      left,
      right,
      top: Math.min(...ys) - MARGIN_PX,
      bottom: Math.max(...ys) + MARGIN_PX,
    };
  });
  // lines that go on in another row, by the gap they run in: the one before the lower of the two
  const crossing = new Map<number, number>();
  for (const { from, to } of laid.edges) {
    const [a, b] = [byId.get(from)!, byId.get(to)!];
    if (a !== b) crossing.set(Math.max(a, b), (crossing.get(Math.max(a, b)) ?? 0) + 1);
  }
  // beside the rows each of them has a lane of its own
  const side = 2 * TURN_PX + Math.max(0, ...[...crossing.values()].map((lines) => lines - 1)) * BESIDE_PX;
  const width = Math.max(...bands.map(({ left, right }) => right - left)) + 2 * side;
  return { bands, rowOf, crossing, side, width };
}

function foldInto(laid: LaidOut, ranks: readonly number[], rows: number): LaidOut {
  const lanes = new Map<number, number>();
  const { bands, rowOf, crossing, side, width } = measureRows(laid, ranks, rows);
  const byId = new Map(laid.nodes.map((node) => [node.id, node]));
  const gapBefore = (row: number) => ROW_GAP + Math.max(0, (crossing.get(row) ?? 0) - 1) * LANE_PX;
  // where each row begins: as high as the rows before it need, and the gap for the lines between
  const tops: number[] = [];
  let end = 0;
  for (const [row, { top, bottom }] of bands.entries()) {
    const begin = row === 0 ? 0 : end + gapBefore(row);
    tops.push(begin);
    end = begin + bottom - top;
  }
  const shift = (row: number) => ({ x: side - bands[row]!.left, y: tops[row]! - bands[row]!.top });
  return {
    width,
    height: end,
    nodes: laid.nodes.map((node) => {
      const by = shift(rowOf(node.x));
      return { ...node, x: node.x + by.x, y: node.y + by.y };
    }),
    edges: laid.edges.map((edge): Led => {
      const [from, to] = [byId.get(edge.from)!, byId.get(edge.to)!];
      const [a, b] = [rowOf(from.x), rowOf(to.x)];
      const [by, on] = [shift(a), shift(b)];
      // several between the same rows run beside one another
      const lane = a === b ? 0 : (lanes.get(Math.max(a, b)) ?? 0);
      if (a !== b) lanes.set(Math.max(a, b), lane + 1);
      if (a === b) {
        return {
          ...edge,
          points: edge.points.map(([x, y]) => [x + by.x, y + by.y] as const),
          labelAt: edge.labelAt && [edge.labelAt[0] + by.x, edge.labelAt[1] + by.y],
        };
      }
      // on beside the parts of its row, out at its end, between the two, and in at the beginning of the other, beside its parts again
      const own = keepIn(edge.points, bands[a]!).map(([x, y]): Point => [x + by.x, y + by.y]);
      const other = keepIn(edge.points, bands[b]!).map(([x, y]): Point => [x + on.x, y + on.y]);
      const between = tops[Math.max(a, b)]! - gapBefore(Math.max(a, b)) / 2 + laneOffset(lane, LANE_PX);
      // past the ends of all rows on the way
      const passed = bands.slice(Math.min(a, b), Math.max(a, b));
      const right = side + Math.max(...passed.map((band) => band.right - band.left)) + TURN_PX + lane * BESIDE_PX;
      const left = side - TURN_PX - lane * BESIDE_PX;
      // what flows back goes out where the others come in
      const [out, back] = a < b ? [right, left] : [left, right];
      const [leaves, comes] = [own.at(-1)![1], other[0]![1]];
      return {
        ...edge,
        points: [...own, [out, leaves], [out, between], [back, between], [back, comes], ...other],
        labelAt: edge.labelAt && [(out + back) / 2, between],
      };
    }),
  };
}

// The first in the middle, the others to either side of it in turn.
const laneOffset = (lane: number, step: number): number => Math.ceil(lane / 2) * step * (lane % 2 === 1 ? 1 : -1) + 0;

function sizeOf({ kind }: WaterNode) {
  if (kind === "junction") return DOT_PX;
  return kind === "openAir" || kind === "ground" || kind === "dump" ? MARK_PX : NODE_PX;
}
