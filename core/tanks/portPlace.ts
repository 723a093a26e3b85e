import type { Design } from "../design/design";
import type { Drain, Port, Tank } from "../design/plumbing";
import { measureExtent } from "../geometry/solid";

/** The sides of a tank as a builder names them. */
export const TANK_SIDES = ["front", "rear", "left", "right", "top", "bottom"] as const;
export type TankSide = (typeof TANK_SIDES)[number];

/** An outlet's valve or a bend hides what a tape cannot see: nearer than this to the top or bottom it sits in it, mm. */
const AT_EDGE_MM = 1;

/** The side of a tank a port sits in: the nearest by the tank's extent; top and bottom only where it lies in them [C]. */
export function findPortSide(tank: Tank, { atMm, kind }: Pick<Port, "atMm" | "kind">): TankSide {
  const { min, max } = measureExtent(tank.solid);
  const walls = [
    { side: "front", gap: max.x - atMm.x },
    { side: "rear", gap: atMm.x - min.x },
    { side: "left", gap: max.y - atMm.y },
    { side: "right", gap: atMm.y - min.y },
  ] as const;
  const wall = walls.reduce((a, b) => (b.gap < a.gap ? b : a));
  if (max.z - atMm.z <= AT_EDGE_MM) return "top";
  // an outlet at the lowest edge of a wall is in the wall; one away from all walls is in the bottom
  if (wall.gap > AT_EDGE_MM && atMm.z - min.z <= AT_EDGE_MM && kind !== "inlet") return "bottom";
  return wall.side;
}

/** How high a port's invert is over the inside bottom of its tank, mm [C]. */
export const measurePortUpMm = (tank: Tank, { atMm }: Pick<Port, "atMm">): number =>
  atMm.z - measureExtent(tank.solid).min.z;

/** The drains that end at an inlet. */
export const listServed = (design: Design, tankId: string, portId: string): Drain[] =>
  design.lines.filter(
    (line): line is Drain =>
      line.kind === "drain" && line.to.kind === "inlet" && line.to.tankId === tankId && line.to.portId === portId,
  );
