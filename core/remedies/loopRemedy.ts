import type { Design } from "../design/design";
import { buildMove } from "../design/moves";
import { buildInsertLoop } from "../edits/insertLoop";
import type { Finding } from "../evaluate/findings";
import { buildGearGraph } from "../gear/gearGraph";
import { buildArcs, findWays } from "../gear/reach";
import { ALL_OPEN } from "../gear/settings";
import { add, vec } from "../geometry/vec";
import type { Remedy } from "./remedy";

type SeaComesIn = Extract<Finding, { readonly code: "seaComesIn" }>;

/** A vented loop in the way the sea comes by: in the hose next to what it floods first, then in those before it. */
export function proposeVentedLoop(design: Design, { at, otherId, failure }: SeaComesIn, name: string): Remedy[] {
  // its air hole is cared for: nobody fits a second one behind it
  if (failure?.kind === "airShut") return [];
  const graph = buildGearGraph(design);
  const source = graph.ends.find(({ node }) => node === otherId.split("~")[0]);
  if (!source || !("id" in at)) return [];
  const own = at.kind === "tank" ? `tank:${at.id}:` : `${at.id}:`;
  const ways = findWays(graph, buildArcs(graph, { ...ALL_OPEN, isOn: () => false }), source);
  const way = [...ways].find(([node]) => node.startsWith(own))?.[1];
  const hoses = (way?.links ?? []).filter((id) => design.lines.some((line) => line.id === id));
  return hoses.toReversed().flatMap((hoseId) => {
    const edit = buildInsertLoop(design, hoseId, name);
    return edit ? [{ byMm: null, edit }] : [];
  });
}

/** Heeled, a height counts for a little less of itself [T]. */
export const HEELED = 1.1;

/** A vented loop taken up until its top stands as high over the worst waterline as it must. */
export function proposeLoopRaised(
  design: Design,
  { at, overMm, wantedMm }: Extract<Finding, { readonly code: "loopLow" }>,
): Remedy[] {
  const piece = at.kind === "gear" ? design.gear.find(({ id }) => id === at.id) : undefined;
  if (!piece) return [];
  return [1, HEELED, HEELED ** 3].flatMap((times): Remedy[] => {
    const byMm = Math.ceil((wantedMm - overMm) * times);
    const move = buildMove(design, { kind: "gear", id: piece.id }, add(piece.atMm, vec(0, 0, byMm)));
    return move ? [{ byMm, way: "up", edit: { ...move, code: "moveClear" } }] : [];
  });
}
