import type { Port, Tank } from "../design/plumbing";
import type { Vec2 } from "../geometry/polygon";
import { measureExtent, toPrism } from "../geometry/solid";

/** A direction along one of the rig's axes. */
export type Heading = { readonly axis: "x" | "y"; readonly sense: 1 | -1 };

/**
 * A tank seen from the side across a heading: corners with u along the heading from the inlet and v up from the
 * tank's bottom, mm. A profile pushed across the heading shows its steps, any other its rectangle.
 */
export function outlineTank(tank: Tank, inlet: Port, heading: Heading): { corners: Vec2[]; near: number; far: number } {
  const { solid } = tank;
  const { min, max } = measureExtent(solid);
  const across = heading.axis === "x" ? "y" : "x";
  const prism = toPrism(solid);
  const local: readonly Vec2[] =
    prism.axis === across
      ? prism.profileMm
      : [
          { u: min[heading.axis], v: min.z },
          { u: max[heading.axis], v: min.z },
          { u: max[heading.axis], v: max.z },
          { u: min[heading.axis], v: max.z },
        ];
  const corners = local.map((c) => ({ u: (c.u - inlet.atMm[heading.axis]) * heading.sense, v: c.v }));
  const us = corners.map((c) => c.u);
  return { corners, near: Math.min(...us), far: Math.max(...us) };
}
