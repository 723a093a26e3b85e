import type { Gear } from "../design/gear";
import { toPortNode } from "./gearGraph";
import { type Arc, listReached } from "./reach";

/**
 * Nodes hot water comes to from the outlets of heaters, past mixers only the way they mix, and never back through a heater. What is left out
 * lets nothing through. Source: that water goes on from a mixer's outlet and not back through its other side, common practice [T].
 */
export function listHot(
  gear: readonly Gear[],
  arcs: ReadonlyMap<string, readonly Arc[]>,
  heaters: readonly Gear[],
  isLeftOut: (piece: Gear) => boolean = () => false,
): ReadonlySet<string> {
  const isShut = (piece: Gear) => piece.spec.kind === "heater" || piece.spec.kind === "mixer" || isLeftOut(piece);
  const hot = new Set<string>();
  const open = heaters.map(({ id }) => toPortNode(id, "out"));
  const mixers = new Set(gear.filter(({ spec }) => spec.kind === "mixer"));
  for (const node of open) {
    for (const reached of listReached(arcs, node, isShut)) hot.add(reached);
    for (const mixer of mixers) {
      if (!["hot", "cold"].some((port) => hot.has(toPortNode(mixer.id, port)))) continue;
      mixers.delete(mixer);
      open.push(toPortNode(mixer.id, "out"));
    }
  }
  return hot;
}
