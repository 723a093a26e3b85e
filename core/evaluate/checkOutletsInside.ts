import { isPumpedOut, isPumpedOverboard } from "../air/pumpOut";
import type { Design } from "../design/design";
import type { Port, Tank } from "../design/plumbing";
import { listPortEnds } from "../design/portEnds";
import { add } from "../geometry/vec";
import { listLevelGroup } from "../tanks/linkedTanks";
import { measureInMm, REACH_MM } from "./checkDumpLines";
import { createFinding } from "./createFinding";
import type { Finding } from "./findings";

/**
 * A waste tank that stands in a land rig with every outlet over the floor, further in than a hand reaches through a hatch, and no
 * line or pump that leads out: what is let go runs over the floor. Black ones are told of at the outlet itself. Geometry [C on T].
 */
export function checkOutletsInside(design: Design): Finding[] {
  if (design.rig.kind === "boat") return [];
  return design.tanks.flatMap((tank): Finding[] => {
    if (tank.holds === "fresh" || tank.holds === "black" || tank.link?.kind === "pumped") return [];
    const group = listLevelGroup(design, tank);
    const outlets = group.flatMap((one) =>
      one.ports.filter(({ kind }) => kind === "outlet").map((port) => ({ tank: one, port })),
    );
    // one that has none at all is told so
    if (outlets.length === 0 || !outlets.every(({ tank: one, port }) => endsInside(design, one, port))) return [];
    if (group.some(({ id }) => isPumpedOut(design, id) || isPumpedOverboard(design, id))) return [];
    return [createFinding({ kind: "tank", id: tank.id }, { code: "outletInside" })];
  });
}

function endsInside({ rig, lines }: Design, tank: Tank, { id, atMm }: Port): boolean {
  const isLed = lines.some((line) => listPortEnds(line).some((end) => end.tankId === tank.id && end.portId === id));
  const place = add(tank.atMm, atMm);
  return !isLed && place.z > 0 && measureInMm({ rig }, place) > REACH_MM;
}
