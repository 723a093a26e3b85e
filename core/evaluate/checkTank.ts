import { findVentDip } from "../air/ventDips";
import type { Design } from "../design/design";
import type { Tank, Vent } from "../design/plumbing";
import { measureSillGapMm, measureTankGaps, toTankBlock } from "../fit/obstacleGaps";
import { isAtLeast, isAtMost } from "../quantity/tolerance";
import { lookUpLimit } from "../rules/lookUpLimit";
import { checkObstacleGaps } from "./checkObstacleGaps";
import { createFinding } from "./createFinding";
import type { TankResult } from "./evaluation";
import type { Finding } from "./findings";
import { listParkedStandings } from "./parkedAttitudes";

/** Everything that can be said against one tank. */
export function checkTank(design: Design, tank: Tank, result: TankResult): Finding[] {
  const at = { kind: "tank", id: tank.id } as const;
  const findings: Finding[] = [];
  if (!tank.ports.some((port) => port.kind === "outlet"))
    findings.push(createFinding("must", at, { code: "tankNoOutlet" }));
  findings.push(...checkAir(design, tank));
  findings.push(...checkDumping(design, result));
  findings.push(...checkFirstToDrown(design, tank, result));
  const sill = lookUpLimit(design.rules, "sillGap");
  const sillGapMm = measureSillGapMm(design, tank);
  if (sillGapMm !== null && !isAtLeast(sillGapMm, sill.value ?? 0)) {
    findings.push(createFinding("should", at, { code: "tankBelowSill", byMm: (sill.value ?? 0) - sillGapMm }, sill));
  }
  findings.push(
    ...checkObstacleGaps(design, measureTankGaps(design, tank), (obstacle, gapMm, limit) =>
      createFinding(
        "must",
        at,
        { code: "tankHitsObstacle", obstacleId: obstacle.id, obstacleName: obstacle.name, gapMm },
        limit,
      ),
    ),
  );
  return findings;
}

// A tank needs an open breather that ends above the tank itself.
function checkAir(design: Design, tank: Tank): Finding[] {
  const vents = design.lines.filter((line): line is Vent => line.kind === "vent" && line.fromTank === tank.id);
  if (vents.length === 0) return [createFinding("must", { kind: "tank", id: tank.id }, { code: "tankUnvented" })];
  const topMm = toTankBlock(tank).max.z;
  const parked = listParkedStandings(design.rig).map(({ attitude }) => attitude);
  return vents.flatMap((vent) => {
    const dip = findVentDip(tank, vent, parked);
    // what stands in a dip closes the breather once it is as deep as the bore
    const dips =
      dip && dip.deepMm >= vent.pipe.innerMm
        ? [
            createFinding(
              "should",
              { kind: "bend", lineId: vent.id, index: dip.point },
              {
                code: "ventDips",
                deepMm: dip.deepMm,
                boreMm: vent.pipe.innerMm,
                attitude: dip.attitude,
              },
            ),
          ]
        : [];
    const endMm = vent.pointsMm[vent.pointsMm.length - 1]!.z;
    const highest = Math.max(...vent.pointsMm.map((p) => p.z));
    if (highest > topMm) return dips;
    return [...dips, createFinding("should", { kind: "line", id: vent.id }, { code: "ventEndsLow", endMm, topMm })];
  });
}

// The valve opens on a full tank: the breather must let in what the outlet lets out.
function checkDumping(design: Design, { air }: TankResult): Finding[] {
  if (!air) return [];
  const limit = lookUpLimit(design.rules, "ventSuction");
  const { suctionPa, breaksSeal, weakestSealMm, leastBoreMm } = air;
  if (isAtMost(suctionPa, limit.value ?? Infinity) && !breaksSeal) return [];
  const at = { kind: "line", id: air.ventId } as const;
  const numbers = { code: "ventThrottles", suctionPa, breaksSeal, sealMm: weakestSealMm ?? 0, leastBoreMm } as const;
  return [createFinding(breaksSeal ? "must" : "should", at, numbers, limit)];
}

function checkFirstToDrown(design: Design, tank: Tank, result: TankResult): Finding[] {
  const { worst, capacityL } = result;
  const { litres, attitude, openingId } = worst;
  const use = lookUpLimit(design.rules, "tankUse");
  const port = { kind: "port", tankId: tank.id, id: openingId ?? "" } as const;
  if (worst.by === "fixture") {
    const at = { kind: "fixture", id: openingId! } as const;
    return [createFinding("must", at, { code: "fixtureDrownsFirst", attitude, litres })];
  }
  const early = !isAtLeast(litres / capacityL, use.value ?? 0);
  if (worst.by === "vent" && early) {
    return [createFinding("should", port, { code: "ventDrownsFirst", attitude, litres }, use)];
  }
  if (worst.by === "inlet" && early) {
    return [createFinding("should", port, { code: "inletDrownsEarly", attitude, litres, capacityL }, use)];
  }
  return [];
}
