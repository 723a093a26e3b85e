import { listShortFlushes } from "../days/flush";
import { findUnusedToilet } from "../days/toiletUse";
import type { Design } from "../design/design";
import { listBowlLoops } from "../heads/bowlLoops";
import { measureHoseRun } from "../heads/hoseRun";
import { computeSmellYears, findFoulHoses, findMisledBowls } from "../heads/permeation";
import { computeStability } from "../heads/stability";
import { listSumps } from "../heads/sumpFigures";
import { createFinding, createGraded } from "./createFinding";
import type { Finding } from "./findings";

/** A tenth of GM gone is too much for one who sails her [T]. */
const MOST_GM_SHARE = 0.1;
/** A hose that smells sooner than this is changed before one has forgotten it, years [T]. */
const FEWEST_YEARS = 3;
/** A pump that starts oftener than this wears out its switch, an hour [T]. */
const MOST_STARTS = 60;

/** Hoses that kink or smell, sumps that are outrun or cycle, and surfaces that take a boat's stability. */
export function checkHeads(design: Design): Finding[] {
  const findings: Finding[] = [];
  for (const line of design.lines) {
    if (line.kind !== "hose") continue;
    const { tightest } = measureHoseRun(design, line);
    if (!tightest || tightest.radiusMm >= tightest.leastMm) continue;
    const { radiusMm, leastMm, point } = tightest;
    findings.push(
      createFinding({ kind: "bend", lineId: line.id, index: point }, { code: "hoseKinks", radiusMm, leastMm }),
    );
  }
  const foul = findFoulHoses(design);
  for (const line of design.lines) {
    if (line.kind !== "hose" || !foul.has(line.id)) continue;
    const years = computeSmellYears(design, line);
    const at = { kind: "line", id: line.id } as const;
    if (years === undefined) findings.push(createGraded("note", at, { code: "hoseSmells", years: null }));
    else if (years !== null && years < FEWEST_YEARS) {
      findings.push(createGraded("should", at, { code: "hoseSmells", years }));
    }
  }
  for (const { bowlId, into } of findMisledBowls(design)) {
    findings.push(createFinding({ kind: "gear", id: bowlId }, { code: "toiletNotBlack", into }));
  }
  for (const { sumpId, pumpLpm, inflowLpm, bandL, drainBackL, cyclesPerHour, surge } of listSumps(design)) {
    const at = { kind: "gear", id: sumpId } as const;
    if (pumpLpm === null) findings.push(createFinding(at, { code: "sumpNoPump" }));
    else if (pumpLpm <= inflowLpm) {
      findings.push(createFinding(at, { code: "sumpOutrun", pumpLps: pumpLpm / 60, inflowLps: inflowLpm / 60 }));
    } else if (drainBackL >= bandL || (cyclesPerHour ?? 0) > MOST_STARTS) {
      findings.push(createFinding(at, { code: "sumpCycles", drainBackL, bandL, perHour: cyclesPerHour ?? 0 }));
    }
    // without a pump, or outrun by the tap, it runs over anyway
    if (surge && pumpLpm !== null && pumpLpm > inflowLpm && surge.risesL > surge.roomL) {
      const { bowlL, risesL, roomL } = surge;
      const fixtureName = design.fixtures.find(({ id }) => id === surge.fixtureId)?.name ?? "";
      findings.push(createFinding(at, { code: "sumpSurges", fixtureName, bowlL, risesL, roomL }));
    }
  }
  for (const { bowl, loop, overMm } of listBowlLoops(design)) {
    if (overMm > 0) continue;
    const at = { kind: "gear", id: loop.id } as const;
    findings.push(
      createFinding(at, { code: "loopUnderBowl", underMm: -overMm, bowlName: bowl.name, otherId: bowl.id }),
    );
  }
  const unused = findUnusedToilet(design);
  if (unused) {
    const { at, ways } = unused;
    findings.push(createFinding(at, { code: "toiletUnused", wayName: ways[0]!.name, ways: ways.length }));
  }
  const [short, ...others] = listShortFlushes(design);
  if (short) {
    const { use, way, countedL, flushL } = short;
    const numbers = { useName: use.name, wayName: way.name, countedL, flushL, others: others.length };
    findings.push(createFinding({ kind: "habits" }, { code: "flushShort", ...numbers }));
  }
  const stability = computeStability(design);
  if (stability?.share != null && stability.share > MOST_GM_SHARE) {
    const { lossMm, share } = stability;
    const isJoined = stability.tanks.some(({ sharedMm }) => sharedMm > 0);
    findings.push(createFinding({ kind: "rig" }, { code: "gmEaten", lossMm, share, isJoined }));
  }
  return findings;
}
