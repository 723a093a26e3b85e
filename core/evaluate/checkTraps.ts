import type { Surroundings } from "../design/design";
import { leavesOverMm, measureFloorMm } from "../design/floor";
import { findBranchVent, findLineTrap, findTrap, listInlinePieces } from "../design/lineItems";
import type { PartRef } from "../design/part";
import { type DrainPath, findPipeOf, listLineTraps } from "../falls/drainPath";
import { measurePlanLength, subtract } from "../geometry/vec";
import { toCodeBoreMm } from "../parts/pipes";
import { isAtLeast, isAtMost } from "../quantity/tolerance";
import { lookUpLimit, lookUpValue } from "../rules/lookUpLimit";
import { computeSealBreakPa } from "../traps/sealPressure";
import { measureArmFallMm } from "../traps/trapArm";
import type { TrapAir, TrapRisks } from "../traps/trapRisks";
import { findTrapBottomMm } from "../traps/trapRoom";
import { createFinding, createGraded } from "./createFinding";
import type { DrainResult } from "./evaluation";
import type { Finding } from "./findings";

/** What can be said against the traps a drain's water goes through: under the fixture and in the line. */
export function checkTraps(design: Surroundings, path: DrainPath, result: DrainResult): Finding[] {
  const { id: lineId } = path.drain;
  const trap = findTrap(path.drain);
  const lineTrap = findLineTrap(path.drain);
  const onWay = listLineTraps(path);
  const at = { kind: "trap", lineId } as const;
  const findings: Finding[] = [];
  // a gravity toilet shuts itself with a flap
  if (!trap && onWay.length === 0 && path.fixture.kind !== "gravityToilet") {
    findings.push(createFinding({ kind: "line", id: lineId }, { code: "trapMissing" }));
  }
  // between two seals the air has no way out: each gurgles the other empty
  const [first] = onWay;
  if (first && ((trap && trap.sealMm > 0) || onWay.length > 1)) {
    const inLine = { kind: "bend", lineId: first.lineId, index: first.bend } as const;
    if (first.lineId === lineId) findings.push(createFinding(inLine, { code: "trapsInSeries" }));
    else findings.push(createFinding(at, { code: "trapsInSeries" }));
  }
  for (const { bend, piece } of listInlinePieces(path.drain)) {
    if (piece !== "nonReturn") continue;
    findings.push(createFinding({ kind: "bend", lineId, index: bend }, { code: "flapInDrain" }));
  }
  if (trap && trap.sealMm > 0) findings.push(...checkSeal(design, path, result, trap.sealMm));
  if (lineTrap) findings.push(...checkLineTrap(design, path, result));
  findings.push(...checkTrapInFloor(design, path));
  if (trap && !trap.hasCleanout && isUnderFloor(path.nodesMm[0]!.z)) {
    findings.push(createFinding(at, { code: "trapUnreachable" }));
  }
  return findings;
}

// From the outlet down to the bottom of its bend the trap takes room: where that is the floor, the floor must be cut out.
function checkTrapInFloor(design: Surroundings, { drain, outletMm, nodesMm, pipe }: DrainPath): Finding[] {
  const { id: lineId } = drain;
  const trap = findTrap(drain);
  const weir = nodesMm[0]!;
  if (!trap) return [];
  const bottomMm = findTrapBottomMm(weir.z, trap, pipe);
  const undersideMm = -measureFloorMm(design);
  if (bottomMm >= 0 || outletMm.z <= undersideMm) return [];
  const roomMm = pipe.outerMm + 2 * Math.max(0, lookUpValue(design.rules, "holeClearance"));
  const endsInFloor = leavesOverMm(weir.z, pipe, undersideMm);
  const numbers = {
    code: "trapInFloor",
    deepMm: Math.min(-bottomMm, -undersideMm),
    // hung under the floor whole it wants no more than a round hole for its tailpiece
    lengthMm: endsInFloor ? measurePlanLength(subtract(weir, outletMm)) + roomMm : roomMm,
    widthMm: roomMm,
    endsInFloor,
  } as const;
  return [createGraded(endsInFloor ? "should" : "note", { kind: "trap", lineId }, numbers)];
}

const isUnderFloor = (zMm: number): boolean => zMm < 0;

function checkSeal(design: Surroundings, path: DrainPath, result: DrainResult, sealMm: number): Finding[] {
  const { id: lineId } = path.drain;
  const at = { kind: "trap", lineId } as const;
  const findings: Finding[] = [];
  const least = lookUpLimit(design.rules, "sealLeast", { boreMm: toCodeBoreMm(path.pipe) });
  const most = lookUpLimit(design.rules, "sealMost", { boreMm: toCodeBoreMm(path.pipe) });
  if (least.value !== null && !isAtLeast(sealMm, least.value)) {
    findings.push(createFinding(at, { code: "sealShallow", sealMm }, least));
  }
  if (most.value !== null && !isAtMost(sealMm, most.value)) {
    findings.push(createFinding(at, { code: "sealDeep", sealMm }, most));
  }
  const inUse = lookUpLimit(design.rules, "sealInUse");
  const { trapRisks } = result;
  if (trapRisks) findings.push(...checkSlop(design, at, trapRisks));
  if (trapRisks?.frostHours != null) {
    const limit = lookUpLimit(design.rules, "nightAir");
    findings.push(createFinding(at, { code: "trapFreezes", hours: trapRisks.frostHours }, limit));
  }
  // whatever length a pack publishes: past one bore of fall the pipe behind the trap can fill and suck
  const { armFallMm } = result;
  const boreMm = path.pipe.innerMm;
  if (trapRisks && !isAtMost(armFallMm, boreMm) && !isAtLeast(trapRisks.afterSiphonMm, inUse.value ?? 0)) {
    const leftMm = trapRisks.afterSiphonMm;
    findings.push(createFinding(at, { code: "trapSiphons", fallMm: armFallMm, boreMm, leftMm }, inUse));
  }
  findings.push(...checkVentPlace(design, path));
  const { arm, armAllowedMm, armLimit } = result;
  if (armAllowedMm !== null && !isAtMost(arm.lengthMm, armAllowedMm)) {
    findings.push(
      createFinding(at, { code: "trapArmLong", lengthMm: arm.lengthMm, allowedMm: armAllowedMm }, armLimit),
    );
  }
  return findings;
}

// Once the push tilts the water by the whole seal it breaks through.
function checkSlop({ rules }: Surroundings, at: PartRef, { drivingLossMm: lossMm, afterDrivingMm: leftMm }: TrapRisks) {
  const inUse = lookUpLimit(rules, "sealInUse");
  if (leftMm > 0 && isAtLeast(leftMm, inUse.value ?? 0)) return [];
  return [createFinding(at, { code: "sealSlops", lossMm, leftMm, breaks: leftMm <= 0 }, inUse)];
}

// Right behind the trap what splashes up fouls a vent until it is shut.
function checkVentPlace({ rules }: Surroundings, { drain, pipe, ownLegs }: DrainPath): Finding[] {
  const vent = findBranchVent(drain);
  if (!vent) return [];
  const limit = lookUpLimit(rules, "ventBehindTrap");
  const leastMm = (limit.value ?? 0) * pipe.innerMm;
  // where it is set in whole millimetres
  if (isAtLeast(vent.fromWeirMm, Math.floor(leastMm))) return [];
  // where the pipe goes down before that there is no better place on it
  const first = ownLegs.find(({ lengthMm }) => lengthMm > 0);
  const hasRoom = first?.kind === "run" && isAtLeast(first.lengthMm, leastMm);
  const numbers = { code: "ventAtTrap", fromWeirMm: vent.fromWeirMm, leastMm, hasRoom } as const;
  return [createGraded(hasRoom ? "should" : "note", { kind: "line", id: drain.id }, numbers, limit)];
}

function checkLineTrap(design: Surroundings, path: DrainPath, result: DrainResult): Finding[] {
  const { id: lineId, bendsMm } = path.drain;
  const lineTrap = findLineTrap(path.drain);
  if (!lineTrap) return [];
  const at = { kind: "bend", lineId, index: lineTrap.bend } as const;
  const findings: Finding[] = [];
  const least = lookUpLimit(design.rules, "sealLeast", { boreMm: toCodeBoreMm(path.pipe) });
  if (least.value !== null && !isAtLeast(lineTrap.sealMm, least.value)) {
    findings.push(createFinding(at, { code: "sealShallow", sealMm: lineTrap.sealMm }, least));
  }
  if (!lineTrap.hasCleanout && isUnderFloor(bendsMm[lineTrap.bend]!.z)) {
    findings.push(createFinding(at, { code: "trapUnreachable" }));
  }
  const { lineTrapRisks: risks } = result;
  if (risks) {
    findings.push(...checkSlop(design, at, risks));
    // what lies behind it has no air before the tank's
    const fallMm = measureArmFallMm(path, lineTrap.bend + 1);
    const boreMm = Math.min(...[0, 1].map((on) => findPipeOf(path.drain, lineTrap.bend + on).innerMm));
    const inUse = lookUpLimit(design.rules, "sealInUse");
    const leftMm = risks.afterSiphonMm;
    if (!isAtMost(fallMm, boreMm) && !isAtLeast(leftMm, inUse.value ?? 0)) {
      findings.push(createFinding(at, { code: "trapSiphons", fallMm, boreMm, leftMm }, inUse));
    }
  }
  const hours = risks?.frostHours;
  if (hours != null) {
    findings.push(createFinding(at, { code: "trapFreezes", hours }, lookUpLimit(design.rules, "nightAir")));
  }
  return findings;
}

/** What the tank's air does to one trap: pressure blows a seal out at twice what breaks it by suction. */
export function checkTrapAir({
  lineId,
  bend,
  sealMm,
  suctionPa,
  suctionBy: by,
  isShared,
  pressurePa,
  isPressureShared,
  togetherMm,
}: TrapAir): Finding[] {
  const at = bend === null ? ({ kind: "trap", lineId } as const) : ({ kind: "bend", lineId, index: bend } as const);
  const findings: Finding[] = [];
  if (sealMm > 0 && pressurePa >= 2 * computeSealBreakPa(sealMm)) {
    findings.push(createFinding(at, { code: "sealBlown", pressurePa, sealMm, isShared: isPressureShared }));
  }
  // each by itself is told elsewhere; here what they do together, unless one of them does it alone
  if (sealMm > 0 && togetherMm <= 0 && suctionPa < computeSealBreakPa(sealMm)) {
    findings.push(createFinding(at, { code: "sealTogether", leftMm: togetherMm, sealMm, by }));
  }
  // that of a trap under a fixture is said of its own tank's breather that throttles
  if ((bend !== null || isShared) && sealMm > 0 && suctionPa >= computeSealBreakPa(sealMm)) {
    findings.push(createFinding(at, { code: "sealSucked", suctionPa, sealMm, by, isShared }));
  }
  return findings;
}
