import type { Design } from "../design/design";
import type { GearOf } from "../design/gear";
import { computeAirGapMm } from "../gear/airGap";
import { isAtLeast } from "../quantity/tolerance";
import { lookUpLimit } from "../rules/lookUpLimit";
import { createFinding } from "./createFinding";
import type { Finding } from "./findings";
import { listParkedStandings } from "./parkedAttitudes";

/** An air gap keeps what is drunk from what is not only while it is high enough, however the rig is parked. */
export function checkAirGaps(design: Design): Finding[] {
  const limit = lookUpLimit(design.rules, "airGap");
  return design.gear.flatMap((piece): Finding[] => {
    if (piece.spec.kind !== "airGap") return [];
    const { gapMm } = piece.spec;
    const leastMm = findLeastMm(design, piece as GearOf<"airGap">, limit.value ?? 0);
    if (isAtLeast(gapMm, leastMm)) return [];
    return [createFinding({ kind: "gear", id: piece.id }, { code: "airGapLow", gapMm, leastMm }, limit)];
  });
}

// Its funnel runs over at its rim, half its width from the spout.
function findLeastMm({ rig, lines }: Design, { id, sizeMm }: GearOf<"airGap">, limitMm: number): number {
  const spouts = lines.flatMap((line) =>
    line.kind === "hose" &&
    [line.from, line.to].some((end) => end.kind === "gear" && end.gearId === id && end.port === "in")
      ? [line.pipe.innerMm]
      : [],
  );
  const tilt = Math.max(...listParkedStandings(rig).map(({ up }) => Math.hypot(up.x, up.y) / up.z));
  return computeAirGapMm(Math.max(0, ...spouts), Math.max(sizeMm.x, sizeMm.y) / 2, tilt, limitMm);
}
