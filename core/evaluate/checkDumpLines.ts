import type { Design } from "../design/design";
import type { DumpLine } from "../design/plumbing";
import { listPortEnds } from "../design/portEnds";
import { measureBoreVolumeL } from "../falls/ponding";
import { listShortPieces } from "../falls/shortPieces";
import { measureInMm, REACH_MM } from "../fit/rigSides";
import { add } from "../geometry/vec";
import { listLinePieces } from "../parts/linePieces";
import { findBranchEnd, listPointFittings, measureIntoDeg } from "../parts/pointFittings";
import { isAtLeast, SAME_HEIGHT_MM } from "../quantity/tolerance";
import { buildDumpRun, type DumpRun, lookUpDumpFall } from "../tanks/dumpRun";
import { listDumpBranches, listTanksBeside } from "../tanks/dumpWays";
import { AGAINST_DEG, measureJoinDeg } from "./checkJunctions";
import { createFinding, createGraded } from "./createFinding";
import type { Finding } from "./findings";

/** What stays in a sag and is not worth a word, L [T]. */
const NO_WORD_L = 0.02;
/** Every dump line: that it falls as the rig stands to dump, lets the tank run empty, is shut somewhere, and is reached. */
export const checkDumpLines = (design: Design): Finding[] =>
  design.lines.flatMap((line) => (line.kind === "dumpLine" ? checkDumpLine(design, line) : []));

function checkDumpLine(design: Design, line: DumpLine): Finding[] {
  const run = buildDumpRun(design, line);
  const at = { kind: "line", id: line.id } as const;
  const findings: Finding[] = [];
  if (run.humpMm > SAME_HEIGHT_MM) {
    findings.push(createFinding(at, { code: "dumpLineHigh", byMm: run.humpMm }));
  } else findings.push(...checkFall(design, run));
  const { valve } = run.outlet;
  if (!valve && run.valves.length === 0) findings.push(createFinding(at, { code: "dumpLineOpen" }));
  else if (!valve) {
    const severity = run.tank.holds === "black" ? "should" : "note";
    // before a valve of its own end only its own stands full, else all the way does
    const litres = line.endValve ? run.boreL : measureBoreVolumeL({ legs: run.wayLegs });
    findings.push(createGraded(severity, at, { code: "dumpLineFull", litres, holds: run.tank.holds }));
  }
  if (line.to.kind === "wye") findings.push(...checkWye(run));
  else {
    const insideMm = measureInsideMm(design, line);
    if (insideMm > REACH_MM) findings.push(createFinding(at, { code: "dumpEndInside", insideMm }));
  }
  const points = listPointFittings(design, line, run.legs);
  const short = listShortPieces(listLinePieces(run.legs, points), findEndTakeOff(run)).map(
    ({ leg, lengthMm, needsMm }) =>
      createFinding({ kind: "leg", lineId: line.id, index: leg.index }, { code: "legTooShort", lengthMm, needsMm }),
  );
  return [...findings, ...short, ...checkMixing(design, run)];
}

// What the wye it ends in takes of its last piece.
function findEndTakeOff({ line, legs, wayLegs }: DumpRun): number | null {
  const joined = wayLegs.slice(legs.length);
  if (line.to.kind !== "wye" || joined.length === 0) return null;
  return findBranchEnd("wye", line.pipe, joined[0]!.pipe, measureIntoDeg(legs, joined)).takeOffMm;
}

// Against the flow what is let go heaps up there and runs back up the main one.
function checkWye({ line, legs, wayLegs }: DumpRun): Finding[] {
  const last = legs.findLast(({ lengthMm }) => lengthMm > 0);
  const next = wayLegs.slice(legs.length).find(({ lengthMm }) => lengthMm > 0);
  const angleDeg = last && next ? measureJoinDeg(last, next) : null;
  if (!last || angleDeg === null || angleDeg <= AGAINST_DEG) return [];
  return [createFinding({ kind: "leg", lineId: line.id, index: last.index }, { code: "branchAgainstFlow", angleDeg })];
}

/**
 * Several tanks on one coupling: each needs a valve of its own before they meet, or what one lets go rises into the other;
 * drinking water is never one of them, valve or not, as a valve leaks [T].
 */
function checkMixing(design: Design, { line, tank, outlet }: DumpRun): Finding[] {
  const others = listTanksBeside(design, line);
  if (others.length === 0) return [];
  const at = { kind: "line", id: line.id } as const;
  const foreign = others.find(({ holds }) => holds !== tank.holds);
  if (tank.holds === "fresh" && foreign) {
    return [createFinding(at, { code: "dumpLineDirtiesFresh", tankName: tank.name, otherName: foreign.name })];
  }
  // its end valve lies before the others only where nothing joins it
  const isShut = outlet.valve || (line.endValve && listDumpBranches(design, line.id).length === 0);
  if (isShut) return [];
  const other = foreign ?? others[0]!;
  return [
    createGraded(foreign ? "must" : "should", at, {
      code: "dumpLinesMix",
      tankName: tank.name,
      otherName: other.name,
      other: other.holds,
    }),
  ];
}

// The weakest leg is named; what stays in all of them is said with it.
function checkFall(design: Design, { line, legs, staysL }: DumpRun): Finding[] {
  const limit = lookUpDumpFall(design, line);
  const least = limit.value ?? 0;
  const short = legs.filter(({ slopeMmPerM }) => slopeMmPerM !== null && !isAtLeast(slopeMmPerM, least));
  const [worst] = [...short].sort((a, b) => a.slopeMmPerM! - b.slopeMmPerM!);
  if (!worst) return [];
  const at = { kind: "leg", lineId: line.id, index: worst.index } as const;
  const litres = staysL > NO_WORD_L ? staysL : 0;
  return [createFinding(at, { code: "dumpLineFlat", slopeMmPerM: worst.slopeMmPerM!, litres }, limit)];
}

/** How far the end of a dump line lies in from the nearest edge of the rig, mm; 0 where it reaches it. */
export const measureInsideMm = (design: Pick<Design, "rig">, { pointsMm }: DumpLine): number =>
  Math.max(0, measureInMm(design.rig, pointsMm.at(-1)!));

/** A black tank's own outlet that no line leads on from: a hose is put on it by hand, so it must be within reach. */
export function checkBlackOutlets({ rig, tanks, lines }: Design): Finding[] {
  if (rig.kind === "boat") return [];
  return tanks.flatMap((tank): Finding[] => {
    if (tank.holds !== "black") return [];
    return tank.ports.flatMap(({ id, kind, atMm }): Finding[] => {
      if (kind !== "outlet") return [];
      const isLed = lines.some((line) =>
        listPortEnds(line).some(({ tankId, portId }) => tankId === tank.id && portId === id),
      );
      const insideMm = measureInMm(rig, add(tank.atMm, atMm));
      if (isLed || insideMm <= REACH_MM) return [];
      return [createFinding({ kind: "port", tankId: tank.id, id }, { code: "blackOutletInside", insideMm })];
    });
  });
}
