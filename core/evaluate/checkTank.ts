import { isPumpedOut, isPumpedOverboard } from "../air/pumpOut";
import type { Design } from "../design/design";
import type { Tank } from "../design/plumbing";
import type { Network } from "../falls/network";
import { GIVES_MM } from "../fit/clashes";
import { measureSillGapMm, measureTankGaps } from "../fit/obstacleGaps";
import { measureInFloorMm } from "../fit/tankBlocks";
import { measureExtent } from "../geometry/solid";
import { isAtLeast, isAtMost } from "../quantity/tolerance";
import { lookUpLimit } from "../rules/lookUpLimit";
import { listLevelGroup } from "../tanks/linkedTanks";
import { computeWaterColumn } from "../tanks/waterColumn";
import { checkFixing } from "./checkFixing";
import { checkObstacleGaps } from "./checkObstacleGaps";
import { checkPorts } from "./checkPorts";
import { checkVents } from "./checkVents";
import { createFinding, createGraded } from "./createFinding";
import type { TankResult } from "./evaluation";
import type { Finding } from "./findings";

/** Everything that can be said against one tank. */
export function checkTank(design: Design, network: Network, tank: Tank, result: TankResult): Finding[] {
  const at = { kind: "tank", id: tank.id } as const;
  const findings: Finding[] = [];
  // one outlet serves all that share a level; what is pumped over needs none
  const outlets = listLevelGroup(design, tank).flatMap(({ ports }) => ports.filter(({ kind }) => kind === "outlet"));
  const isLetOut = () =>
    tank.link?.kind === "pumped" || isPumpedOut(design, tank.id) || isPumpedOverboard(design, tank.id);
  if (outlets.length === 0 && !isLetOut()) findings.push(createFinding(at, { code: "tankNoOutlet" }));
  if (isUnfed(design, tank)) findings.push(createFinding(at, { code: "tankUnfed" }));
  findings.push(...checkPorts(design, tank));
  findings.push(...checkFixing(design, tank));
  if (tank.sender) {
    const { min, max } = measureExtent(tank.solid);
    const heightMm = max.z - min.z;
    const { lowMm, highMm, xMm, yMm } = tank.sender;
    const besideMm = Math.max(min.x - xMm, xMm - max.x, min.y - yMm, yMm - max.y);
    if (!isAtMost(besideMm, 0)) findings.push(createFinding(at, { code: "senderBeside", besideMm }));
    if (tank.sender.kind !== "fullOnly" && lowMm >= highMm)
      findings.push(createFinding(at, { code: "senderReversed" }));
    if (tank.sender.kind !== "pads" && !tank.ports.some(({ kind }) => kind === "sender"))
      findings.push(createFinding(at, { code: "senderUndrawn" }));
    if (highMm > heightMm) findings.push(createFinding(at, { code: "senderLong", highMm, heightMm }));
  }
  findings.push(...checkVents(design, tank));
  findings.push(
    ...checkDumping(design, result),
    ...checkDraws(design, result),

    ...checkLeft(design, result),
  );
  findings.push(...checkFirstToDrown(design, tank, result));
  const bears = lookUpLimit(design.rules, "tankColumn");
  const column = computeWaterColumn(design, network, tank);
  if (column && !isAtMost(column.pressureKPa, bears.value ?? Infinity)) {
    findings.push(createFinding(at, { code: "tankPressed", ...column }, bears));
  }
  const sill = lookUpLimit(design.rules, "sillGap");
  const sillGapMm = measureSillGapMm(design, tank);
  if (sillGapMm !== null && !isAtLeast(sillGapMm, sill.value ?? 0)) {
    findings.push(createFinding(at, { code: "tankBelowSill", byMm: (sill.value ?? 0) - sillGapMm }, sill));
  }
  const inFloorMm = measureInFloorMm(design, tank);
  if (inFloorMm > GIVES_MM) findings.push(createFinding(at, { code: "tankInFloor", deepMm: inFloorMm }));
  findings.push(
    ...checkObstacleGaps(design, measureTankGaps(design, tank), ({ obstacle, gapMm, within }, limit) =>
      createFinding(
        at,
        {
          code: "tankHitsObstacle",
          obstacleId: obstacle.id,
          obstacleName: obstacle.name,
          gapMm,
          within: within ?? null,
        },
        limit,
      ),
    ),
  );
  return findings;
}

// Fresh water is filled in by hand; of any other a tank takes what a line or another tank brings. A free inlet is told by itself.
function isUnfed({ lines, tanks }: Design, { id, holds, ports, link }: Tank): boolean {
  if (holds === "fresh" || link?.kind === "communicating" || ports.some(({ kind }) => kind === "inlet")) return false;
  const isHosed = lines.some(
    (line) => line.kind === "hose" && [line.from, line.to].some((end) => end.kind === "tank" && end.tankId === id),
  );
  return !isHosed && !tanks.some((other) => other.link?.toTank === id);
}

// The valve opens on a full tank: the breather must let in what the outlet lets out.
function checkDumping({ rules }: Design, { air }: TankResult): Finding[] {
  if (!air) return [];
  const limit = lookUpLimit(rules, "ventSuction");
  const { suctionPa, breaksSeal, weakestSealMm, leastBoreMm } = air;
  if (isAtMost(suctionPa, limit.value ?? Infinity) && !breaksSeal) return [];
  const at = { kind: "line", id: air.ventId } as const;
  const numbers = { code: "ventThrottles", suctionPa, breaksSeal, sealMm: weakestSealMm ?? 0, leastBoreMm } as const;
  return [createGraded(breaksSeal ? "must" : "should", at, numbers, limit)];
}

/** So much of a tank that never comes out is a word, and so much of it a pity, as shares [T]. */
const LEFT_SHARES = { note: 0.1, should: 0.25 } as const;

// What lies under its outlet as the rig stands to dump goes round with it and rots.
function checkLeft({ rig }: Design, { tankId, leftL, capacityL }: TankResult): Finding[] {
  if (leftL === null || leftL < LEFT_SHARES.note * capacityL) return [];
  const numbers = { code: "dumpLeaves", leftL, capacityL, attitude: rig.dumpAttitude } as const;
  const severity = leftL < LEFT_SHARES.should * capacityL ? "note" : "should";
  return [createGraded(severity, { kind: "tank", id: tankId }, numbers)];
}

// A pump does not slow as an outlet does, be it a station's or the tank's own.
function checkDraws(design: Design, { draws }: TankResult): Finding[] {
  const limit = lookUpLimit(design.rules, "ventSuction");
  return draws.flatMap(({ pumps, flowLps, ventId, suctionPa, breaksSeal, weakestSealMm, leastBoreMm }) => {
    if (isAtMost(suctionPa, limit.value ?? Infinity) && !breaksSeal) return [];
    const sealMm = weakestSealMm ?? 0;
    const pumpNames = pumps.map(({ name }) => name).join(", ");
    const numbers =
      pumps.length === 0
        ? ({ code: "pumpOutSucks", suctionPa, breaksSeal, sealMm, leastBoreMm } as const)
        : ({ code: "pumpSucks", pumpNames, flowLps, suctionPa, breaksSeal, sealMm, leastBoreMm } as const);
    return [createGraded(breaksSeal ? "must" : "should", { kind: "line", id: ventId }, numbers, limit)];
  });
}

function checkFirstToDrown(design: Design, tank: Tank, result: TankResult): Finding[] {
  const { worst, capacityL } = result;
  const { litres, attitude, openingId, openingOf } = worst;
  // what drowns first in another tank of the same level is said of that one
  if (openingOf !== null && openingOf !== tank.id) return [];
  const use = lookUpLimit(design.rules, "tankUse");
  const port = { kind: "port", tankId: tank.id, id: openingId ?? "" } as const;
  if (worst.by === "fixture") {
    const at = { kind: "fixture", id: openingId! } as const;
    return [createFinding(at, { code: "fixtureDrownsFirst", attitude, litres })];
  }
  const early = !isAtLeast(litres / capacityL, use.value ?? 0);
  if (worst.by === "vent" && early) {
    return [createFinding(port, { code: "ventDrownsFirst", attitude, litres }, use)];
  }
  if (worst.by === "inlet" && early) {
    return [createFinding(port, { code: "inletDrownsEarly", attitude, litres, capacityL }, use)];
  }
  return [];
}
