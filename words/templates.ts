import type { Tank } from "@/core/design/plumbing";
import { measureCapacityL, measureExtent } from "@/core/geometry/solid";
import { computeEmptyKg } from "@/core/tanks/shell";
import { isWeldedIn } from "@/core/templates/portHole";
import { type Face, type FaceHole, liesBehind, listPortHoles } from "@/core/templates/tankFaces";
import { PORT_NAMES } from "./labels";
import { MATERIAL_NAMES, THREAD_NAMES, WATER_NAMES } from "./tankLabels";
import { formatLength, formatQuantity, type Units } from "./units";

/** The sides of a tank as one who stands outside calls them. */
export const FACE_NAMES: Readonly<Record<Face, string>> = {
  rear: "Rear end",
  front: "Front end",
  right: "Right side",
  left: "Left side",
  bottom: "Underside",
  top: "Top",
};

/** What stands beside a hole in a drawing: the hole where it is known, and the bore, which is never what is cut. */
export function describeHole(hole: FaceHole, units: Units): string {
  const behind = liesBehind(hole)
    ? `; wall ${formatLength(hole.behindMm, units)} behind this sheet, mark straight on`
    : "";
  return `${nameHole(hole, units)}${behind}`;
}

function nameHole({ kind, boreMm, thread, cutMm, toEdgeMm }: FaceHole, units: Units): string {
  const bore = `bore ${formatLength(boreMm, units)}`;
  const named =
    thread === null ? `${PORT_NAMES[kind]}, ${bore}` : `${PORT_NAMES[kind]}, ${THREAD_NAMES[thread]}, ${bore}`;
  if (isWeldedIn(toEdgeMm)) return `${named}; welded in, no room for a nut`;
  return cutMm === null ? `${named}; hole by its fitting` : `${named}; hole Ø ${formatLength(cutMm, units)}`;
}

export type OrderSheet = {
  readonly title: string;
  readonly facts: readonly (readonly [string, string])[];
  readonly portHead: readonly string[];
  readonly ports: readonly (readonly string[])[];
  /** From where the corners are measured: the same corner as the ports. */
  readonly cornerHead: string;
  readonly corners: readonly string[];
};

const findLowest = (profile: readonly { readonly u: number; readonly v: number }[]): readonly [number, number] => [
  Math.min(...profile.map(({ u }) => u)),
  Math.min(...profile.map(({ v }) => v)),
];

// Which two ways the corners of a pushed profile go, from the rear right bottom corner from which the ports are measured.
function describeOrigin({ solid }: Tank): string {
  const axis = solid.shape === "prism" ? solid.axis : "x";
  const ways = {
    x: "from the right, over the bottom",
    y: "from the rear, over the bottom",
    z: "from the rear, from the right",
  };
  return ways[axis];
}

/** All holes of a side, those that are alike counted: "4 × Inlet, bore 46.4 mm; welded in". */
export function describeHoles(holes: readonly FaceHole[], units: Units): string {
  const counts = new Map<string, number>();
  for (const hole of holes) {
    const text = describeHole(hole, units);
    counts.set(text, (counts.get(text) ?? 0) + 1);
  }
  return [...counts].map(([text, count]) => (count > 1 ? `${count} × ${text}` : text)).join(". ");
}

/** Everything a tank maker asks: sizes, wall, material, and every hole with the side it is in. */
export function describeOrder(tank: Tank, units: Units): OrderSheet {
  const { min, max } = measureExtent(tank.solid);
  const size = (add: number) =>
    [max.x - min.x, max.y - min.y, max.z - min.z].map((mm) => formatLength(mm + add, units)).join(" × ");
  const { solid } = tank;
  const holes = listPortHoles(tank);
  const nameSideOf = (portId: string): string => {
    const { face, toEdgeMm } = holes.get(portId)!;
    return isWeldedIn(toEdgeMm) ? `${FACE_NAMES[face]}, welded in` : FACE_NAMES[face];
  };
  return {
    title: tank.name,
    facts: [
      ["Holds", WATER_NAMES[tank.holds]],
      ["Inside, length × width × height", size(0)],
      ["Outside", size(2 * tank.wallMm)],
      ["Wall", formatLength(tank.wallMm, units)],
      ["Material", MATERIAL_NAMES[tank.material]],
      ["To the brim", formatQuantity(measureCapacityL(solid), "volume", units)],
      ["Empty, without fittings", formatQuantity(computeEmptyKg(tank), "weight", units)],
      ["Holes", String(tank.ports.length)],
    ],
    portHead: ["Port", "In", "Bore, thread", "From the rear", "From the right", "Invert or middle over the bottom"],
    ports: tank.ports.map((port) => [
      PORT_NAMES[port.kind],
      nameSideOf(port.id),
      port.thread === null
        ? formatLength(port.boreMm, units)
        : `${formatLength(port.boreMm, units)}, ${THREAD_NAMES[port.thread]}`,
      formatLength(port.atMm.x - min.x, units),
      formatLength(port.atMm.y - min.y, units),
      formatLength(port.atMm.z - min.z, units),
    ]),
    cornerHead: `Corners of the inside, ${describeOrigin(tank)}:`,
    corners:
      solid.shape === "prism"
        ? solid.profileMm.map(({ u, v }, i) => {
            const [lowU, lowV] = findLowest(solid.profileMm);
            return `${i + 1}: ${formatLength(u - lowU, units)}, ${formatLength(v - lowV, units)}`;
          })
        : [],
  };
}
