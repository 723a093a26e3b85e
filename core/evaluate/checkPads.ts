import type { Design } from "../design/design";
import { readNight } from "../frost/night";
import { computeTankFrost } from "../frost/tankFrost";
import { lookUpLimit } from "../rules/lookUpLimit";
import { createFinding } from "./createFinding";
import type { Finding } from "./findings";

/** Heating pads of tanks under the floor that do not hold them through the night of the rules. Afloat the water warms them. */
export function checkPads({ tanks, rig, rules }: Design): readonly Finding[] {
  const night = readNight(rules);
  if (night.airC >= 0 || rig.kind === "boat") return [];
  return tanks.flatMap((tank) => {
    const watts = tank.padW ?? 0;
    if (watts <= 0 || tank.atMm.z >= 0) return [];
    const wantedW = computeTankFrost(tank, 1, night).holdW;
    if (watts >= wantedW) return [];
    const at = { kind: "tank", id: tank.id } as const;
    return [createFinding(at, { code: "padWeak", watts, wantedW }, lookUpLimit(rules, "nightAir"))];
  });
}
