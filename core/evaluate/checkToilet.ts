import type { DrainPath } from "../falls/drainPath";
import { createFinding } from "./createFinding";
import type { Finding } from "./findings";

/** What solids fall through must be as wide as 3 in pipe or 75 mm waste [P: IPC 710.1, from memory, 95 %]. */
const TOILET_BORE_MM = 70;
/** A run longer than this lets the water go on and the solids lie [T]. */
const TOILET_RUN_MM = 1_000;

/** What can be said against the way from a gravity toilet to its tank, through the drains it joins and the inlet too. */
export function checkToilet({ drain, fixture, inlet, legs }: DrainPath): Finding[] {
  if (fixture.kind !== "gravityToilet") return [];
  const findings: Finding[] = [];
  const boreMm = Math.min(inlet?.boreMm ?? Infinity, ...legs.map(({ pipe }) => pipe.innerMm));
  if (boreMm < TOILET_BORE_MM) {
    findings.push(
      createFinding(
        { kind: "line", id: drain.id },
        { code: "toiletNarrow", boreMm, wantedMm: TOILET_BORE_MM, isPumped: false },
      ),
    );
  }
  const runMm = legs.reduce((sum, leg) => (leg.kind === "run" ? sum + leg.planLengthMm : sum), 0);
  if (runMm > TOILET_RUN_MM) {
    findings.push(createFinding({ kind: "line", id: drain.id }, { code: "toiletLongRun", lengthMm: runMm }));
  }
  return findings;
}
