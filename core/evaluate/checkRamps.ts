import type { Design } from "../design/design";
import type { Low } from "../fit/lows";
import type { RampAngle } from "../fit/rampAngles";
import { isAtLeast } from "../quantity/tolerance";
import { lookUpLimit } from "../rules/lookUpLimit";
import { createFinding } from "./createFinding";
import type { Finding } from "./findings";

/** What would touch the ground on a ridge or a ramp. */
export function checkRamps(design: Design, ramps: readonly RampAngle[], lows: readonly Low[]): Finding[] {
  return [...checkAngles(design, ramps), ...checkSills(design, lows)];
}

// Pipes and gear must not hang lower than the sills, or, where those were not measured, than the ground. Of tanks it is told with them.
function checkSills(design: Design, lows: readonly Low[]): Finding[] {
  const { rig, rules } = design;
  if (rig.kind === "boat") return [];
  const sill = lookUpLimit(rules, "sillGap");
  const leastMm = (rig.sillZMm ?? rig.groundZMm) - rig.groundZMm + (sill.value ?? 0);
  // all lows of one part name it by the same object
  const lowest = new Map<Low["part"], Low>();
  for (const low of lows) {
    const { part, overGroundMm } = low;
    if (part.kind !== "tank" && overGroundMm < (lowest.get(part)?.overGroundMm ?? Infinity)) lowest.set(part, low);
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
