import type { Design } from "../design/design";
import { toPartKey } from "../design/part";
import type { DrainPath } from "../falls/drainPath";
import { type Low, listLows } from "../fit/lows";
import type { RampAngle } from "../fit/rampAngles";
import { isAtLeast } from "../quantity/tolerance";
import { lookUpLimit } from "../rules/lookUpLimit";
import { createFinding } from "./createFinding";
import type { Finding } from "./findings";

/** What would touch the ground on a ridge or a ramp. */
export function checkRamps(design: Design, ramps: readonly RampAngle[], paths: readonly DrainPath[]): Finding[] {
  return [...checkAngles(design, ramps), ...checkSills(design, paths)];
}

// Pipes and gear must not hang lower than the sills, or, where those were not measured, than the ground. Of tanks it is told with them.
function checkSills(design: Design, paths: readonly DrainPath[]): Finding[] {
  const { rig, rules } = design;
  if (rig.kind === "boat") return [];
  const sill = lookUpLimit(rules, "sillGap");
  const leastMm = (rig.sillZMm ?? rig.groundZMm) - rig.groundZMm + (sill.value ?? 0);
  const lowest = new Map<string, Low>();
  for (const low of listLows(design, paths)) {
    const key = toPartKey(low.part);
    if (low.part.kind !== "tank" && low.overGroundMm < (lowest.get(key)?.overGroundMm ?? Infinity))
      lowest.set(key, low);
  }
  return [...lowest.values()].flatMap(({ part, overGroundMm }) =>
    isAtLeast(overGroundMm, leastMm)
      ? []
      : [createFinding(part, { code: "partBelowSill", byMm: leastMm - overGroundMm }, sill)],
  );
}

function checkAngles(design: Design, ramps: readonly RampAngle[]): Finding[] {
  return ramps.flatMap(({ where, angleDeg, part, overGroundMm }) => {
    const limit = lookUpLimit(design.rules, where === "between" ? "breakover" : "rampEnd");
    return isAtLeast(angleDeg, limit.value ?? 0)
      ? []
      : [createFinding(part, { code: "touchesRamp", where, angleDeg, overGroundMm }, limit)];
  });
}
