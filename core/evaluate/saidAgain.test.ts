import fc from "fast-check";
import { networks } from "@/tests/arbitraries";
import { type Case, isLess, isMore, listChain, type Told, tellTraps } from "@/tests/trapsToldAgain";
import { computeUp, LEVEL } from "../attitude/attitude";
import type { Design } from "../design/design";
import { findBranchVent, findTrap, withTrap } from "../design/lineItems";
import { type Drain, TRAP_KINDS } from "../design/plumbing";
import type { Leg } from "../falls/drainPath";
import { computeFillRatio, computeManningFlow } from "../falls/manning";
import { buildNetwork, releaseOf } from "../falls/network";
import { dot, subtract } from "../geometry/vec";
import { toCodeBoreMm } from "../parts/pipes";
import { lookUpLimit } from "../rules/lookUpLimit";
import { PACK_IDS } from "../rules/packIds";
import { evaluate } from "./evaluate";
import type { Evaluation } from "./evaluation";
import type { Finding, FindingCode } from "./findings";
import { listParkedStandings } from "./parkedAttitudes";

// What is said of any network of drains, told a second time from its figures in the plainest way there is: each code here
// must be said as often, of the same part and with the same figures, and no more.

/** Traps of all kinds and sizes, so that each of what can be wrong with one is there. */
const networksOfTraps: fc.Arbitrary<Design> = fc
  .record({
    design: networks,
    pack: fc.constantFrom(...PACK_IDS),
    clearanceMm: fc.constantFrom(null, 0, 15),
    nightAir: fc.constantFrom(null, -15),
    cleanVelocity: fc.constantFrom(null, 1.5),
    minFall: fc.constantFrom(null, 400),
    traps: fc.array(
      fc.record({
        kind: fc.constantFrom(...TRAP_KINDS),
        sealMm: fc.constantFrom(0, 10, 38, 50, 80, 130),
        dropMm: fc.integer({ min: 0, max: 400 }),
        spanMm: fc.integer({ min: 0, max: 300 }),
        hasCleanout: fc.boolean(),
      }),
      { minLength: 1, maxLength: 4 },
    ),
  })
  .map(({ design, pack, traps, ...own }) => {
    const { clearanceMm, nightAir, cleanVelocity, minFall } = own;
    const limits = {
      ...(clearanceMm === null ? {} : { holeClearance: clearanceMm }),
      ...(nightAir === null ? {} : { nightAir }),
      ...(cleanVelocity === null ? {} : { cleanVelocity }),
      ...(minFall === null ? {} : { minFall }),
    };
    return {
      ...design,
      rules: { ...design.rules, pack, limits },
      lines: design.lines.map((line, i) =>
        line.kind === "drain" && findTrap(line) ? withTrap(line, traps[i % traps.length]!) : line,
      ),
    };
  });

// Each leg is told of once: backwards as it stands level, backwards somewhere it is parked, too flat, or barely enough.
function tellLegs({ design, result, drain, own, limit }: Case): Told[] {
  const vented = findBranchVent(drain) !== null;
  return own.flatMap((leg, index): Told[] => {
    if (leg.kind === "drop") return [];
    const at = { kind: "leg", lineId: drain.id, index };
    const minFall = lookUpLimit(design.rules, "minFall", { boreMm: toCodeBoreMm(leg.pipe), vented }).value ?? 0;
    const parkedFall = limit("parkedFall").value ?? 0;
    const fallAt = (up: { x: number; y: number; z: number }) => dot(up, subtract(leg.from, leg.to));
    const slackAt = (up: { x: number; y: number; z: number }, least: number) => {
      const fallMm = fallAt(up);
      return (fallMm - (Math.sqrt(Math.max(0, leg.lengthMm ** 2 - fallMm ** 2)) * least) / 1000) / up.z;
    };
    const fallMm = leg.from.z - leg.to.z;
    const levelMm = slackAt(computeUp(LEVEL), minFall);
    const parkedMm = Math.min(...listParkedStandings(design.rig).map(({ up }) => slackAt(up, parkedFall)));
    const leastMm = Math.min(levelMm, parkedMm);
    const shortMm = -leastMm;
    const slopeMmPerM = leg.planLengthMm > 0 ? (fallMm / leg.planLengthMm) * 1000 : 0;
    if (fallMm < 0) return [{ code: "legBackwards", at, shortMm }];
    if (isLess(parkedMm, 0)) return [{ code: "legBackwardsParked", at, shortMm }];
    if (isLess(levelMm, 0)) return [{ code: "legBelowMinFall", at, shortMm, slopeMmPerM }];
    const handMm = (limit("layTolerance").value ?? 0) * Math.min(1, leg.planLengthMm / 1000);
    if (leg.planLengthMm > 0 && isLess(leastMm, handMm))
      return [{ code: "legBarely", at, inHandMm: leastMm, toleranceMm: handMm }];
    return result.minFalls[index]!.value === minFall ? [] : [{ code: "legBarely", at, wrongLimit: true }];
  });
}

function tellFlow({ result, drain, own, limit }: Case): Told[] {
  const told: Told[] = [];
  const { flow } = result;
  const at = { kind: "line", id: drain.id };
  const most = limit("maxFall").value;
  own.forEach((leg, index) => {
    if (most === null || leg.kind === "drop" || leg.planLengthMm === 0) return;
    const slopeMmPerM = ((leg.from.z - leg.to.z) * 1000) / leg.planLengthMm;
    if (isMore(slopeMmPerM, most))
      told.push({
        code: "legTooSteep",
        at: { kind: "leg", lineId: drain.id, index },
        slopeMmPerM,
      });
  });
  const { inflowLps, capacityLps, slope, surge, velocityMps } = flow;
  if (capacityLps !== null && slope! > 0 && isLess(capacityLps, inflowLps))
    told.push({ code: "drainSlow", at, capacityLps, inflowLps });
  if (surge && surge.surgeLps > inflowLps && isLess(surge.capacityLps, surge.surgeLps))
    told.push({
      code: "runsFull",
      at: { kind: "leg", lineId: drain.id, index: surge.legIndex },
      capacityLps: surge.capacityLps,
      surgeLps: surge.surgeLps,
    });
  if (velocityMps > 0 && isLess(velocityMps, limit("cleanVelocity").value!))
    told.push({ code: "belowCleanVelocity", at, velocityMps });
  return told;
}

function tellBores({ design, result, drain, fixture, own }: Case): Told[] {
  const steps: { at: object; fromMm: number; toMm: number }[] = [
    { at: { kind: "line", id: drain.id }, fromMm: fixture.boreMm, toMm: drain.pipe.innerMm },
    ...own.slice(1).map((leg, index) => ({
      at: { kind: "bend", lineId: drain.id, index },
      fromMm: own[index]!.pipe.innerMm,
      toMm: leg.pipe.innerMm,
    })),
  ];
  const { to } = drain;
  const fromMm = own.at(-1)!.pipe.innerMm;
  const joined = result.legs[own.length];
  if (to.kind === "junction" && joined)
    steps.push({ at: { kind: "leg", lineId: drain.id, index: own.length - 1 }, fromMm, toMm: joined.pipe.innerMm });
  if (to.kind === "inlet") {
    const { boreMm } = design.tanks.find(({ id }) => id === to.tankId)!.ports.find(({ id }) => id === to.portId)!;
    steps.push({ at: { kind: "port", tankId: to.tankId, id: to.portId }, fromMm, toMm: boreMm });
  }
  return steps.flatMap((step): Told[] => (step.fromMm > step.toMm ? [{ code: "narrowsDownstream", ...step }] : []));
}

// Into a lying pipe a branch comes with the flow and by a wye; two points at one place are one.
function tellJoint({ result, drain, own }: Case): Told[] {
  const last = own.filter(({ lengthMm }) => lengthMm > 0).at(-1);
  const next = result.legs.slice(own.length).find(({ lengthMm }) => lengthMm > 0);
  if (drain.to.kind !== "junction" || !last || !next) return [];
  const lies = ({ kind, planLengthMm }: Leg) => kind === "run" && planLengthMm > 0;
  if (!lies(last) || !lies(next)) return [];
  const heading = ({ from, to }: Leg) => Math.atan2(to.y - from.y, to.x - from.x);
  const turn = Math.abs(heading(last) - heading(next));
  const angleDeg = (Math.min(turn, 2 * Math.PI - turn) * 180) / Math.PI;
  const at = { kind: "leg", lineId: drain.id, index: last.index };
  if (angleDeg > 91) return [{ code: "branchAgainstFlow", at, angleDeg }];
  return drain.to.fitting === "tee" ? [{ code: "teeOnTheFlat", at }] : [];
}

/** All drains whose water is in a leg of a drain. */
const listInLeg = (design: Design, { lineId, index }: Pick<Leg, "lineId" | "index">): Drain[] =>
  design.lines.filter(
    (line): line is Drain =>
      line.kind === "drain" &&
      // it comes in at bend b, where leg b + 1 begins
      listChain(design, line).some(({ line: { id }, first }, i) => id === lineId && (i === 0 || first + 1 <= index)),
  );

/** One bowl let go and the taps of the rest; what runs alone does so. */
function sumFlowLps(design: Design, drains: readonly Drain[]): number {
  const all = drains.map((drain) => {
    const fixture = design.fixtures.find(({ id }) => id === drain.fromFixture)!;
    return { fixture, releaseLps: releaseOf(drain, fixture) };
  });
  const together = all.filter(({ fixture }) => !fixture.runsAlone);
  const taps = together.reduce((sum, { fixture }) => sum + fixture.inflowLps, 0);
  const extra = Math.max(0, ...together.map(({ fixture, releaseLps }) => releaseLps - fixture.inflowLps));
  return Math.max(taps + extra, ...all.filter(({ fixture }) => fixture.runsAlone).map(({ releaseLps }) => releaseLps));
}

function tellNeighbours({ design, result, drain, fixture, own, limit }: Case): Told[] {
  const told: Told[] = [];
  const slopeOf = (leg: Leg) => (leg.from.z - leg.to.z) / leg.planLengthMm;
  const falls = (leg: Leg) => leg.kind === "run" && leg.planLengthMm > 0 && slopeOf(leg) > 0;
  const isJoined = design.lines.some((line) => line.kind === "drain" && line.to.kind === "junction");
  if (!isJoined) return [];
  if ((findTrap(drain)?.sealMm ?? 0) > 0 && !findBranchVent(drain)) {
    const most = limit("drainFill").value ?? 1;
    for (const leg of result.legs.filter(falls)) {
      const othersLps = sumFlowLps(
        design,
        listInLeg(design, leg).filter(({ id }) => id !== drain.id),
      );
      const { innerMm, manningN } = leg.pipe;
      const fillRatio = computeFillRatio(innerMm / 1000, othersLps / 1000, slopeOf(leg), manningN) ?? 1;
      if (othersLps <= 0 || fillRatio <= most) continue;
      told.push({
        code: "siphonedByOthers",
        at: { kind: "trap", lineId: drain.id },
        fillRatio,
        othersLps,
      });
      break;
    }
  }
  for (const leg of own.filter(falls)) {
    const those = listInLeg(design, leg);
    const inflow = { own: fixture.inflowLps, all: leg.inflowLps };
    if (inflow.all <= inflow.own) continue;
    const { innerMm, manningN } = leg.pipe;
    const capacityLps = computeManningFlow(innerMm / 1000, 0.938, slopeOf(leg), manningN).flowM3PerS * 1000;
    const inflowLps = sumFlowLps(design, those);
    if (inflowLps <= capacityLps) continue;
    const fixtures = those.map(({ fromFixture }) => design.fixtures.find(({ id }) => id === fromFixture)!);
    const lowest = fixtures.reduce((a, b) => (b.outletMm.z < a.outletMm.z ? b : a));
    told.push({
      code: "floodedByOthers",
      at: { kind: "fixture", id: lowest.id },
      inflowLps,
      capacityLps,
    });
    break;
  }
  return told;
}

const CODES = new Set<FindingCode>([
  ...(["trapMissing", "trapsInSeries", "flapInDrain", "sealShallow", "sealDeep", "sealSlops", "trapFreezes"] as const),
  ...([
    "trapSiphons",
    "trapArmLong",
    "trapUnreachable",
    "trapInFloor",
    "ventAtTrap",
    "legBackwards",
    "legBackwardsParked",
  ] as const),
  ...(["legBelowMinFall", "legBarely", "legTooSteep", "drainSlow", "runsFull", "belowCleanVelocity"] as const),
  ...(["narrowsDownstream", "branchAgainstFlow", "teeOnTheFlat", "siphonedByOthers", "floodedByOthers"] as const),
]);

/** Summed in another order a figure is another one in its last places. */
const nearly = (told: Told): object =>
  Object.fromEntries(
    Object.entries(told).map(([key, value]) => [key, typeof value === "number" ? expect.closeTo(value, 6) : value]),
  );

const toKey = ({ code, at }: { readonly code: string; readonly at: object }): string => `${code} ${JSON.stringify(at)}`;

function tellAgain(design: Design, { drains }: Evaluation): Told[] {
  const network = buildNetwork(design);
  const all = drains.flatMap((result): Told[] => {
    const drain = network.drains.get(result.lineId)!;
    const boreMm = toCodeBoreMm(drain.pipe);
    const one: Case = {
      design,
      result,
      drain,
      fixture: network.fixtures.get(drain.fromFixture)!,
      own: result.legs.slice(0, result.ownLegs),
      limit: (id) => lookUpLimit(design.rules, id, { boreMm }),
    };
    return [tellTraps, tellLegs, tellFlow, tellBores, tellJoint, tellNeighbours].flatMap((tell) => tell(one));
  });
  // the same of the same part is said once, for the drain that comes first
  return [...new Map(all.toReversed().map((told) => [toKey(told), told])).values()];
}

test("of any network everything is said that its figures say, once, of the right part and with those figures", () => {
  const met = new Map<string, number>();
  fc.assert(
    fc.property(networksOfTraps, (design) => {
      const evaluation = evaluate(design, LEVEL);
      const again = tellAgain(design, evaluation);
      // dump lines that join are told of elsewhere
      const isDump = (id: string) => design.lines.find((line) => line.id === id)?.kind === "dumpLine";
      const said = evaluation.findings.filter(
        ({ code, at }) => CODES.has(code) && !("lineId" in at && isDump(at.lineId)),
      );
      expect(said.map(toKey).sort()).toEqual(again.map(toKey).sort());
      const byKey = new Map<string, Finding>(said.map((finding) => [toKey(finding), finding]));
      for (const told of again) {
        expect(byKey.get(toKey(told))).toMatchObject(nearly(told));
        met.set(told.code, (met.get(told.code) ?? 0) + 1);
      }
    }),
    { numRuns: 100 },
  );
  // and each of them was there
  expect([...CODES].filter((code) => !met.has(code))).toEqual([]);
});
