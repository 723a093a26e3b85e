import type { Design } from "../design/design";
import type { RampAngle } from "../fit/rampAngles";
import { isAtLeast } from "../quantity/tolerance";
import { lookUpLimit } from "../rules/lookUpLimit";
import { createFinding } from "./createFinding";
import type { Finding } from "./findings";

/** What would touch the ground on a ridge or a ramp. */
export function checkRamps(design: Design, ramps: readonly RampAngle[]): Finding[] {
  return ramps.flatMap(({ where, angleDeg, part, overGroundMm }) => {
    const limit = lookUpLimit(design.rules, where === "between" ? "breakover" : "rampEnd");
    return isAtLeast(angleDeg, limit.value ?? 0)
      ? []
      : [createFinding(part, { code: "touchesRamp", where, angleDeg, overGroundMm }, limit)];
  });
}
