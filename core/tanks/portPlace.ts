import type { Design } from "../design/design";
import type { Drain, Port, Tank } from "../design/plumbing";
import { measureExtent } from "../geometry/solid";

/** How high a port's invert is over the inside bottom of its tank, mm [C]. */
export const measurePortUpMm = (tank: Tank, { atMm }: Pick<Port, "atMm">): number =>
  atMm.z - measureExtent(tank.solid).min.z;

/** The drains that end at an inlet. */
export const listServed = (design: Design, tankId: string, portId: string): Drain[] =>
  design.lines.filter(
    (line): line is Drain =>
      line.kind === "drain" && line.to.kind === "inlet" && line.to.tankId === tankId && line.to.portId === portId,
  );
