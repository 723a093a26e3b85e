import type { Design } from "@/core/design/design";
import { listPoints } from "@/core/design/linePoints";
import type { PlanPoint } from "@/core/edits/drawnDrain";
import { toBlock } from "@/core/fit/obstacleBlock";
import { add, type Vec3 } from "@/core/geometry/vec";

/** A place that is measured from or to; its height is known only where a part is. */
export type MeasuredPoint = PlanPoint & { readonly z: number | null };

/** The part's own point nearest to a place in plan, within `withinMm`; else the place itself, without a height. */
export function snapToPart(design: Design, at: PlanPoint, withinMm: number): MeasuredPoint {
  const away = (p: PlanPoint) => Math.hypot(p.x - at.x, p.y - at.y);
  const nearest = listMeasured(design).reduce<Vec3 | null>(
    (best, p) => (away(p) <= withinMm && (!best || away(p) < away(best)) ? p : best),
    null,
  );
  return nearest ?? { ...at, z: null };
}

function listMeasured({ fixtures, tanks, lines, obstacles }: Design): Vec3[] {
  return [
    ...fixtures.map(({ outletMm }) => outletMm),
    ...tanks.flatMap(({ atMm, ports }) => [atMm, ...ports.map((port) => add(atMm, port.atMm))]),
    ...lines.flatMap((line) => listPoints(line)),
    ...obstacles.flatMap((obstacle) => {
      const { min, max } = toBlock(obstacle);
      return [min.x, max.x].flatMap((x) => [min.y, max.y].map((y) => ({ x, y, z: max.z })));
    }),
  ];
}

/** How far apart two points are, mm: along and across the rig, up where both heights are known, and straight. */
export function measureBetween(a: MeasuredPoint, b: MeasuredPoint) {
  const [along, across] = [Math.abs(b.x - a.x), Math.abs(b.y - a.y)];
  const up = a.z === null || b.z === null ? null : b.z - a.z;
  return { along, across, up, straight: Math.hypot(along, across, up ?? 0) };
}
