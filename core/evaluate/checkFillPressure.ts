import type { Design } from "../design/design";
import { computeFillPressure } from "../gear/fillPressure";
import { lookUpLimit } from "../rules/lookUpLimit";
import { createFinding } from "./createFinding";
import type { Finding } from "./findings";

/** Tanks that a tap outside or a pump presses harder than they bear when they are full and it goes on: see `computeFillPressure`. */
export function checkFillPressure(design: Design): Finding[] {
  const limit = lookUpLimit(design.rules, "tankColumn");
  const bearsKPa = limit.value;
  if (bearsKPa === null) return [];
  return design.tanks.flatMap((tank): Finding[] => {
    const pressed = computeFillPressure(design, tank, bearsKPa);
    if (!pressed) return [];
    const { by, vent, flowLpm, pressureKPa, leastBoreMm } = pressed;
    const numbers = {
      code: "fillPresses",
      otherId: by.id,
      otherName: by.name,
      ventId: vent.id,
      ventName: vent.name,
      boreMm: vent.pipe.innerMm,
      flowLpm,
      pressureKPa,
      leastBoreMm,
    } as const;
    return [createFinding({ kind: "tank", id: tank.id }, numbers, limit)];
  });
}
