import type { Design } from "@/core/design/design";
import type { Port, Tank } from "@/core/design/plumbing";
import type { RigKind } from "@/core/design/rig";
import { measureExtent } from "@/core/geometry/solid";
import { listServed, measurePortUpMm } from "@/core/tanks/portPlace";
import { type Face, findFace } from "@/core/templates/tankFaces";
import { PORT_NAMES } from "./labels";
import { formatLength, type Units } from "./units";

const LAND_SIDES: Readonly<Record<Face, string>> = {
  front: "front wall",
  rear: "rear wall",
  left: "left wall",
  right: "right wall",
  top: "top",
  bottom: "bottom",
};
const BOAT_SIDES: Readonly<Record<Face, string>> = {
  ...LAND_SIDES,
  front: "forward wall",
  rear: "after wall",
  left: "port wall",
  right: "starboard wall",
};

export const nameSide = (side: Face, kind: RigKind): string => (kind === "boat" ? BOAT_SIDES : LAND_SIDES)[side];

/** Where a port sits: "front wall, 40 mm up"; in the top no height is needed. */
export function describePortPlace(tank: Tank, port: Port, design: Design, units: Units): string {
  const side = findFace(tank.solid, port).face;
  const name = nameSide(side, design.rig.kind);
  if (side === "top" || side === "bottom") return name;
  return `${name}, ${formatLength(measurePortUpMm(tank, port), units)} up`;
}

/** Where the middle of a port's hole is marked on the outside of its tank: "front wall"; "174 mm up, 306 mm from the right wall". */
export function describePortMiddle(
  tank: Tank,
  port: Port,
  kind: RigKind,
  units: Units,
): { readonly side: string; readonly middle: string } {
  const { min } = measureExtent(tank.solid);
  const { face } = findFace(tank.solid, port);
  const side = nameSide(face, kind);
  const from = (mm: number, other: Face) =>
    `${formatLength(mm + tank.wallMm, units)} from the ${nameSide(other, kind)}`;
  const { x, y, z } = port.atMm;
  const [along, across] = [from(x - min.x, "rear"), from(y - min.y, "right")];
  if (face === "top" || face === "bottom") return { side, middle: `${along}, ${across}` };
  const up = `${formatLength(z - min.z + port.boreMm / 2 + tank.wallMm, units)} up`;
  return { side, middle: `${up}, ${face === "front" || face === "rear" ? across : along}` };
}

/** What a port is, by what it serves: "Inlet of Sink drain"; "Inlet, free" where nothing ends in it. */
export function describePort(tank: Tank, port: Port, design: Design): string {
  const name = PORT_NAMES[port.kind];
  if (port.kind === "vent") {
    const vent = design.lines.find((l) => l.kind === "vent" && l.fromTank === tank.id && l.fromPort === port.id);
    return vent ? `${name} of ${vent.name}` : `${name}, free`;
  }
  if (port.kind !== "inlet") return name;
  const served = listServed(design, tank.id, port.id);
  if (served.length === 0) return `${name}, free`;
  return `${name} of ${served[0]!.name}${served.length > 1 ? ` and ${served.length - 1} more` : ""}`;
}
