import { graphlib, layout } from "@dagrejs/dagre";
import type { WaterEdge, WaterNode, Waterway } from "@/core/waterway/buildWaterway";

/** A place where drains meet. */
const DOT_PX = { width: 10, height: 10 } as const;
const NODE_PX = { width: 138, height: 58 } as const;
/** A mark without words: an open end, the ground. */
const MARK_PX = { width: 54, height: 44 } as const;

export type Placed<T> = T & { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
export type Led = WaterEdge & {
  readonly points: readonly (readonly [number, number])[];
  readonly labelAt: readonly [number, number] | null;
};
export type LaidOut = {
  readonly nodes: readonly Placed<WaterNode>[];
  readonly edges: readonly Led[];
  readonly width: number;
  readonly height: number;
};

/** Letters of the figures are about so wide, px. */
const LETTER_PX = 7;

/** Lays the diagram out from left to right with the water; room is kept for each figure, so that none crosses another. */
export function layOutWaterway(
  { nodes, edges }: Waterway,
  labels: ReadonlyMap<string, string>,
  isTall: boolean,
): LaidOut {
  const graph = new graphlib.Graph({ multigraph: true });
  graph.setGraph({ rankdir: isTall ? "TB" : "LR", nodesep: 16, ranksep: 64, edgesep: 12, marginx: 16, marginy: 16 });
  for (const node of nodes) graph.setNode(node.id, { ...sizeOf(node) });
  for (const edge of edges) {
    const label = labels.get(edge.id);
    graph.setEdge(
      edge.from,
      edge.to,
      label ? { width: label.length * LETTER_PX + 14, height: 18, labelpos: "c" } : { width: 0, height: 0 },
      edge.id,
    );
  }
  layout(graph);
  const { width = 0, height = 0 } = graph.graph();
  return {
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
}

function sizeOf({ kind }: WaterNode) {
  if (kind === "junction") return DOT_PX;
  return kind === "openAir" || kind === "ground" || kind === "dump" ? MARK_PX : NODE_PX;
}
