import type { Design } from "../design/design";
import type { DrainPath } from "../falls/drainPath";
import { radToDeg } from "../quantity/convert";
import { type Low, listLows } from "./lows";

export type RampAngle = {
  readonly where: "between" | "behind" | "before";
  readonly angleDeg: number;
  /** What touches first. */
  readonly part: Low["part"];
  readonly xMm: number;
  readonly overGroundMm: number;
};

/**
 * Sharpest ridge the rig crosses and steepest ramps it takes before the plumbing touches, degrees; wheels stand at one
 * point each, which is on the safe side. Between axles a and b before and behind: atan(h/a) + atan(h/b); beyond the last
 * axle atan(h/a). Only what hangs below the floor counts; a boat, and a rig without axles, has none.
 * Source: geometry [C]. Example: 180 mm in the middle of 3,640 mm → 11.30°.
 */
export function measureRampAngles(
  design: Design,
  paths: readonly DrainPath[],
  lows: readonly Low[] = listLows(design, paths),
): RampAngle[] {
  const { rig } = design;
  if (rig.kind === "boat" || rig.axles.length === 0) return [];
  const wheels = rig.axles.map(({ xMm }) => xMm).sort((a, b) => a - b);
  const worst = new Map<RampAngle["where"], RampAngle>();
  for (const low of lows) {
    const { where, angleDeg } = measureAt(low, wheels);
    const known = worst.get(where);
    if (!known || angleDeg < known.angleDeg) worst.set(where, { where, angleDeg, ...low });
  }
  return (["between", "behind", "before"] as const).flatMap((where) => worst.get(where) ?? []);
}

/** The angle at one point x, h over the ground, mm, for wheels in order from the rear. */
function measureAt({ xMm, overGroundMm: h }: Low, wheels: readonly number[]): Pick<RampAngle, "where" | "angleDeg"> {
  const angle = (distanceMm: number) => radToDeg(Math.atan2(Math.max(0, h), Math.abs(distanceMm)));
  const behind = wheels.findLast((wheel) => wheel <= xMm);
  const before = wheels.find((wheel) => wheel >= xMm);
  if (behind !== undefined && before !== undefined) {
    return { where: "between", angleDeg: angle(xMm - behind) + angle(before - xMm) };
  }
  return behind === undefined
    ? { where: "behind", angleDeg: angle(before! - xMm) }
    : { where: "before", angleDeg: angle(xMm - behind) };
}
