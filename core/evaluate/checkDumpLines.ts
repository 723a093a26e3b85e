import type { Design } from "../design/design";
import type { DumpLine } from "../design/plumbing";
import { isAtLeast, SAME_HEIGHT_MM } from "../quantity/tolerance";
import { buildDumpRun, type DumpRun, lookUpDumpFall } from "../tanks/dumpRun";
import { createFinding, createGraded } from "./createFinding";
import type { Finding } from "./findings";

/** What stays in a sag and is not worth a word, L [T]. */
const NO_WORD_L = 0.02;
/** A coupling is reached by hand from beside the rig up to so far in under it, mm [T]. */
const REACH_MM = 200;

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
  if (!valve && !line.endValve) findings.push(createFinding(at, { code: "dumpLineOpen" }));
  if (!valve && line.endValve) {
    const severity = run.tank.holds === "black" ? "should" : "note";
    findings.push(createGraded(severity, at, { code: "dumpLineFull", litres: run.boreL, holds: run.tank.holds }));
  }
  const insideMm = measureInsideMm(design, line);
  if (insideMm > REACH_MM) findings.push(createFinding(at, { code: "dumpEndInside", insideMm }));
  return findings;
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
export function measureInsideMm({ rig }: Pick<Design, "rig">, { pointsMm }: DumpLine): number {
  const end = pointsMm.at(-1)!;
  return Math.max(0, Math.min(rig.widthMm / 2 - Math.abs(end.y), end.x, rig.lengthMm - end.x));
}
