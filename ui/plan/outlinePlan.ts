import type { Tank } from "@/core/design/plumbing";
import { measureExtent, toPrism } from "@/core/geometry/solid";

/** What is seen of a tank from above: the profile itself when it was pushed upward, its extent otherwise. */
export function outlinePlan({ solid, atMm }: Tank): readonly (readonly [number, number])[] {
  const prism = toPrism(solid);
  if (prism.axis === "z") return prism.profileMm.map(({ u, v }) => [atMm.x + u, atMm.y + v] as const);
  const { min, max } = measureExtent(solid);
  const [x0, x1, y0, y1] = [atMm.x + min.x, atMm.x + max.x, atMm.y + min.y, atMm.y + max.y];
  return [
    [x0, y0],
    [x1, y0],
    [x1, y1],
    [x0, y1],
  ];
}
