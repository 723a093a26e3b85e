import { listPumpsInto, listPumpsOn } from "../air/pumpOut";
import type { Design } from "../design/design";
import type { LinkKind, Tank } from "../design/plumbing";

/** What joins a tank to the one it goes on in, where no line of the drawing does. */
export type TankJoin = { readonly kind: LinkKind; readonly to: Tank };

/**
 * The pipe at the bottom, or the pump and hose, that a tank goes on in another by and that nobody has drawn; null where it
 * stands by itself, or where a pump that draws out of it fills the other. Source: the drawing [C].
 */
export function findTankJoin(design: Design, { id, link }: Tank): TankJoin | null {
  const to = link && design.tanks.find((tank) => tank.id === link.toTank);
  if (!to) return null;
  if (link.kind === "pumped") {
    const fills = listPumpsInto(design, to.id);
    if (listPumpsOn(design, id).some((pump) => fills.includes(pump))) return null;
  }
  return { kind: link.kind, to };
}
