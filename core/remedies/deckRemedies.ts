import { isIndoors, LOWEST_ROOF_MM } from "../air/ventRoom";
import type { Design } from "../design/design";
import { buildMove, roundTenth } from "../design/moves";
import type { PartRef } from "../design/part";
import { placeGearPort } from "../gear/gearPorts";
import { add, subtract, vec } from "../geometry/vec";
import { sectionAt } from "../hull/loft";
import type { Remedy } from "./remedy";

/** From the edge of the deck inward, mm [T]. */
const FROM_EDGE_MM = 100;

/** A fitting set in the deck over where it is, or at the edge of the deck on its side, where the deck is low. */
export function proposeInDeck(design: Design, at: PartRef): Remedy[] {
  const piece = design.gear.find(({ id }) => at.kind === "gear" && id === at.id);
  if (!piece || at.kind !== "gear") return [];
  const { rig } = design;
  const port = placeGearPort(piece, "out");
  const edge = rig.hull ? sectionAt(rig.hull, port.x)?.at(-1) : undefined;
  const deckMm = edge?.z ?? LOWEST_ROOF_MM.boat;
  const half = Math.min(edge?.y ?? rig.widthMm / 2, rig.widthMm / 2);
  const side = port.y < 0 ? -1 : 1;
  return [port.y, side * (half - FROM_EDGE_MM)].flatMap((y): Remedy[] => {
    const to = vec(port.x, y, Math.max(deckMm, port.z));
    if (to.z <= 0 || isIndoors(design, to)) return [];
    const move = buildMove(design, at, roundTenth(add(piece.atMm, subtract(to, port))));
    return move ? [{ byMm: null, edit: { ...move, code: "setInDeck" } }] : [];
  });
}
