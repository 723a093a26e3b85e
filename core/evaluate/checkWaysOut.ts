import { isPumpedOut, isPumpedOverboard } from "../air/pumpOut";
import type { Design } from "../design/design";
import type { Port, Tank } from "../design/plumbing";
import { listPortEnds } from "../design/portEnds";
import { measureInMm, REACH_MM } from "../fit/rigSides";
import { add } from "../geometry/vec";
import { listLevelGroup } from "../tanks/linkedTanks";
import { createFinding } from "./createFinding";
import type { Finding } from "./findings";

/**
 * A waste tank that no outlet, line or pump lets go outside: in a boat what is let go stays in her, in a land rig it runs over the
 * floor. A land rig's black ones are told of at the outlet itself. Geometry [C on T].
 */
export function checkWaysOut(design: Design): Finding[] {
  const isBoat = design.rig.kind === "boat";
  return design.tanks.flatMap((tank): Finding[] => {
    if (tank.holds === "fresh" || tank.link?.kind === "pumped") return [];
    if (!isBoat && tank.holds === "black") return [];
    const group = listLevelGroup(design, tank);
    const outlets = group.flatMap((one) =>
      one.ports.filter(({ kind }) => kind === "outlet").map((port) => ({ of: one, port })),
    );
    const isOut = isBoat ? isLedOut : isLetOutside;
    // one that has none at all is told so
    if (outlets.length === 0 || outlets.some(({ of, port }) => isOut(design, of, port))) return [];
    if (group.some(({ id }) => isPumpedOut(design, id) || isPumpedOverboard(design, id))) return [];
    return [createFinding({ kind: "tank", id: tank.id }, { code: isBoat ? "outletIntoBilge" : "outletInside" })];
  });
}

const isLedOut = ({ lines }: Design, { id: tankId }: Tank, { id: portId }: Port): boolean =>
  lines.some((line) => line.kind === "dumpLine" && line.fromTank === tankId && line.fromPort === portId);

// Under a van one puts a hose on the outlet; over the floor it wants a line, or to be reached through a hatch.
function isLetOutside({ rig, lines }: Design, tank: Tank, { id, atMm }: Port): boolean {
  const place = add(tank.atMm, atMm);
  if (place.z <= 0 || measureInMm(rig, place) <= REACH_MM) return true;
  return lines.some((line) => listPortEnds(line).some((end) => end.tankId === tank.id && end.portId === id));
}
