import type { Design, Surroundings } from "../design/design";
import { type DrainPath, listLineTraps } from "../falls/drainPath";
import { isAtLeast, isAtMost } from "../quantity/tolerance";
import { lookUpLimit } from "../rules/lookUpLimit";
import { computeSealBreakPa } from "../traps/sealPressure";
import type { TrapAir } from "../traps/trapRisks";
import { createFinding } from "./createFinding";
import type { DrainResult } from "./evaluation";
import type { Finding } from "./findings";

/** What can be said against the traps a drain's water goes through: under the fixture and in the line. */
export function checkTraps(design: Surroundings, path: DrainPath, result: DrainResult): Finding[] {
  const { trap, lineTrap, id: lineId } = path.drain;
  const onWay = listLineTraps(path);
  const at = { kind: "trap", lineId } as const;
  const findings: Finding[] = [];
  if (!trap && onWay.length === 0) {
    findings.push(createFinding("must", { kind: "line", id: lineId }, { code: "trapMissing" }));
  }
  // between two seals the air has no way out: each gurgles the other empty
  const [first] = onWay;
  if (first && ((trap && trap.sealMm > 0) || onWay.length > 1)) {
    const inLine = { kind: "bend", lineId: first.lineId, index: first.bend } as const;
    if (first.lineId === lineId) findings.push(createFinding("should", inLine, { code: "trapsInSeries" }));
    else findings.push(createFinding("should", at, { code: "trapsInSeries" }));
  }
  if (trap && trap.sealMm > 0) findings.push(...checkSeal(design, path, result, trap.sealMm));
  if (lineTrap) findings.push(...checkLineTrap(design, path, result));
  if (trap?.kind === "running" && !trap.hasCleanout && isUnderFloor(path.nodesMm[0]!.z)) {
    findings.push(createFinding("should", at, { code: "trapUnreachable" }));
  }
  return findings;
}

const isUnderFloor = (zMm: number): boolean => zMm < 0;

function checkSeal(design: Surroundings, path: DrainPath, result: DrainResult, sealMm: number): Finding[] {
  const { branchVent, id: lineId } = path.drain;
  const at = { kind: "trap", lineId } as const;
  const findings: Finding[] = [];
  const least = lookUpLimit(design.rules, "sealLeast", { boreMm: path.pipe.innerMm });
  const most = lookUpLimit(design.rules, "sealMost", { boreMm: path.pipe.innerMm });
  if (least.value !== null && !isAtLeast(sealMm, least.value)) {
    findings.push(createFinding("should", at, { code: "sealShallow", sealMm }, least));
  }
  if (most.value !== null && !isAtMost(sealMm, most.value)) {
    findings.push(createFinding("note", at, { code: "sealDeep", sealMm }, most));
  }
  const inUse = lookUpLimit(design.rules, "sealInUse");
  const { trapRisks } = result;
  if (trapRisks && !isAtLeast(trapRisks.afterDrivingMm, inUse.value ?? 0)) {
    const { drivingLossMm: lossMm, afterDrivingMm: leftMm } = trapRisks;
    findings.push(createFinding("should", at, { code: "sealSlops", lossMm, leftMm }, inUse));
  }
  if (trapRisks?.frostHours != null && Number.isFinite(trapRisks.frostHours)) {
    const limit = lookUpLimit(design.rules, "nightAir");
    findings.push(createFinding("note", at, { code: "trapFreezes", hours: trapRisks.frostHours }, limit));
  }
  const { arm, armAllowedMm, armLimit } = result;
  if (!isAtMost(arm.lengthMm, armAllowedMm)) {
    const severity = armLimit.standing === "C" && branchVent ? "note" : "should";
    findings.push(
      createFinding(severity, at, { code: "trapArmLong", lengthMm: arm.lengthMm, allowedMm: armAllowedMm }, armLimit),
    );
  }
  return findings;
}

function checkLineTrap(design: Surroundings, path: DrainPath, result: DrainResult): Finding[] {
  const { lineTrap, id: lineId, bendsMm } = path.drain;
  if (!lineTrap) return [];
  const at = { kind: "bend", lineId, index: lineTrap.bend } as const;
  const findings: Finding[] = [];
  const least = lookUpLimit(design.rules, "sealLeast", { boreMm: path.pipe.innerMm });
  if (least.value !== null && !isAtLeast(lineTrap.sealMm, least.value)) {
    findings.push(createFinding("should", at, { code: "sealShallow", sealMm: lineTrap.sealMm }, least));
  }
  if (!lineTrap.hasCleanout && isUnderFloor(bendsMm[lineTrap.bend]!.z)) {
    findings.push(createFinding("should", at, { code: "trapUnreachable" }));
  }
  const hours = result.lineTrapRisks?.frostHours;
  if (hours != null && Number.isFinite(hours)) {
    findings.push(createFinding("note", at, { code: "trapFreezes", hours }, lookUpLimit(design.rules, "nightAir")));
  }
  return findings;
}

/** Pressure in the tank blows a seal out at twice what breaks it by suction. */
export function checkTrapAir(design: Design, { lineId, pressurePa }: TrapAir): Finding[] {
  const line = design.lines.find(({ id }) => id === lineId);
  const sealMm = line?.kind === "drain" ? (line.trap?.sealMm ?? 0) : 0;
  if (sealMm === 0 || pressurePa < 2 * computeSealBreakPa(sealMm)) return [];
  return [createFinding("must", { kind: "trap", lineId }, { code: "sealBlown", pressurePa, sealMm })];
}
