import type { HeldWater } from "../design/plumbing";
import { pickFouler } from "../gear/waterInHoses";

const LINE = "line:";

type Edge = { readonly id: string; readonly from: string; readonly to: string; readonly carries: HeldWater | "air" };

/** Edges of a diagram with what stands or runs in the hoses among them, by their ids; a tap gives its fixture what comes to it. */
export function carryWaters<E extends Edge>(edges: readonly E[], waters: ReadonlyMap<string, HeldWater>): E[] {
  const hoseOf = (id: string) => (id.startsWith(LINE) ? waters.get(id.slice(LINE.length)) : undefined);
  const atNode = new Map<string, HeldWater>();
  for (const { id, from, to } of edges) {
    const water = hoseOf(id);
    if (water) for (const node of [from, to]) atNode.set(node, pickFouler(water, atNode.get(node) ?? water));
  }
  return edges.map((edge) => {
    const water = edge.id.startsWith("supply:gear:") ? atNode.get(edge.from) : hoseOf(edge.id);
    return water ? { ...edge, carries: water } : edge;
  });
}
