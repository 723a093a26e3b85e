import type { Design } from "../design/design";
import { listGearFrost } from "../frost/gearFrost";
import { createRecall } from "../quantity/recall";
import { lookUpLimit } from "../rules/lookUpLimit";
import { createGraded } from "./createFinding";
import type { Finding } from "./findings";

const recallFrost = createRecall<Design["gear"], readonly Finding[]>();

/** Gear and hoses under the floor of a rig: told once, by what freezes first; the others are listed at Tanks. */
export function checkGearFrost(design: Design): readonly Finding[] {
  if (design.gear.length === 0) return [];
  const hoses = design.lines.filter(({ kind }) => kind === "hose");
  return recallFrost(design.gear, [design.tanks, design.rig, design.rules, ...hoses], () => {
    const [first, ...others] = listGearFrost(design);
    if (!first) return [];
    const limit = lookUpLimit(design.rules, "nightAir");
    // a hose is let run empty; a pump or a housing under the floor is the first to be forgotten
    const isAfloat = design.rig.kind === "boat";
    // afloat the water round a boat keeps her bilge from it
    const severity = !isAfloat && [first, ...others].some(({ kind }) => kind === "gear") ? "should" : "note";
    const numbers = { code: "gearFreezes", hours: first.hours, others: others.length, isAfloat } as const;
    return [createGraded(severity, first.at, numbers, limit)];
  });
}
