import type { Design } from "../design/design";
import { findBranchVent } from "../design/lineItems";
import { listStraights } from "../falls/bends";
import type { DrainPath, Leg } from "../falls/drainPath";
import type { Network } from "../falls/network";
import { toCodeBoreMm } from "../parts/pipes";
import { isAtMost } from "../quantity/tolerance";
import { FIXTURE_UNITS } from "../rules/fixtureUnits";
import { lookUpLimit } from "../rules/lookUpLimit";
import { findAirMm } from "../traps/trapArm";
import { createFinding } from "./createFinding";
import type { Finding } from "./findings";

/** What building codes ask of a branch beyond fall, seal and length: bends, drop and load. */
export function checkCodes(design: Design, network: Network, paths: readonly DrainPath[]): Finding[] {
  return [...paths.flatMap((path) => checkUnvented(design, path)), ...checkUnits(design, network, paths)];
}

function checkUnvented({ rules }: Design, path: DrainPath): Finding[] {
  const at = { kind: "line", id: path.drain.id } as const;
  const of = { boreMm: toCodeBoreMm(path.pipe), vented: findBranchVent(path.drain) !== null };
  const [mostBends, mostDrop] = [lookUpLimit(rules, "branchBends", of), lookUpLimit(rules, "branchDrop", of)];
  const findings: Finding[] = [];
  const bends = countBends(path);
  if (mostBends.value !== null && bends > mostBends.value) {
    findings.push(createFinding(at, { code: "branchBends", bends }, mostBends));
  }
  const dropMm = measureDropMm(path);
  if (mostDrop.value !== null && !isAtMost(dropMm, mostDrop.value)) {
    findings.push(createFinding(at, { code: "branchDrops", dropMm }, mostDrop));
  }
  return findings;
}

/** Turns of a drain between its trap and the next air; the trap's own is not counted [C on P: DIN 1986-100, 90 %]. */
export function countBends(path: DrainPath): number {
  return Math.max(0, listStraights(listLegsToAir(path)).length - 1);
}

/** Height, mm, that a drain loses between its trap and the next air, standing level [C]. */
export function measureDropMm(path: DrainPath): number {
  const airMm = findAirMm(path);
  let alongMm = 0;
  return listLegsToAir(path).reduce((sum, leg) => {
    const share = Math.min(1, (airMm - alongMm) / leg.lengthMm);
    alongMm += leg.lengthMm;
    return sum + (leg.from.z - leg.to.z) * share;
  }, 0);
}

// Two points at one place are one.
function listLegsToAir(path: DrainPath): Leg[] {
  const airMm = findAirMm(path);
  let alongMm = 0;
  return path.legs.filter((leg) => {
    if (leg.lengthMm === 0 || alongMm >= airMm) return false;
    alongMm += leg.lengthMm;
    return true;
  });
}

// Said once a drain, at the first of its legs that gathers too much.
function checkUnits({ rules }: Design, network: Network, paths: readonly DrainPath[]): Finding[] {
  const loads = new Map<string, number>();
  const toKey = ({ lineId, index }: Leg) => `${lineId} ${index}`;
  for (const { legs, drain } of paths) {
    const kind = network.fixtures.get(drain.fromFixture)!.kind;
    for (const leg of legs) loads.set(toKey(leg), (loads.get(toKey(leg)) ?? 0) + FIXTURE_UNITS[kind]);
  }
  return paths.flatMap(({ drain, ownLegs }): Finding[] => {
    for (const leg of ownLegs) {
      const boreMm = toCodeBoreMm(leg.pipe);
      const most = lookUpLimit(rules, "branchUnits", { boreMm });
      const units = loads.get(toKey(leg))!;
      if (most.value === null || units <= most.value) continue;
      return [
        createFinding(
          { kind: "leg", lineId: drain.id, index: leg.index },
          { code: "branchOverloaded", units, boreMm: leg.pipe.innerMm },
          most,
        ),
      ];
    }
    return [];
  });
}
