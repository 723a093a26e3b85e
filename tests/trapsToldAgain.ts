import type { Design } from "@/core/design/design";
import { findBranchVent, findJunctionBend, findLineTrap, findTrap, listInlinePieces } from "@/core/design/lineItems";
import type { Drain, Fixture } from "@/core/design/plumbing";
import type { DrainResult } from "@/core/evaluate/evaluation";
import type { FindingCode } from "@/core/evaluate/findings";
import { findPipeOf, type Leg } from "@/core/falls/drainPath";
import type { LimitId } from "@/core/rules/limitIds";
import { type Limit, lookUpLimit } from "@/core/rules/lookUpLimit";

/** A finding told a second time, in the plainest way there is, from the figures of a result. */
export type Told = { readonly code: FindingCode; readonly at: object } & Record<string, unknown>;

export const isLess = (value: number, limit: number): boolean => value < limit - 1e-9 * Math.max(1, Math.abs(limit));
export const isMore = (value: number, limit: number): boolean => isLess(-value, -limit);

export type Case = {
  readonly design: Design;
  readonly result: DrainResult;
  readonly drain: Drain;
  readonly fixture: Fixture;
  readonly own: readonly Leg[];
  readonly limit: (id: LimitId) => Limit;
};

/** All drains a drain's water runs through, itself first, each with the bend it comes in at. */
export function listChain(design: Design, drain: Drain): { readonly line: Drain; readonly first: number }[] {
  const chain = [{ line: drain, first: 0 }];
  for (let { to } = drain; to.kind === "junction"; ) {
    const { lineId } = to;
    const line = design.lines.find((one): one is Drain => one.id === lineId && one.kind === "drain")!;
    chain.push({ line, first: findJunctionBend(line, to) });
    to = line.to;
  }
  return chain;
}

// The water leans by its legs' distance times the push, and half of that goes over, or all where it leans by all.
function tellSlop(spanMm: number, sealMm: number, at: object, limit: Case["limit"]): Told[] {
  const leansMm = spanMm * limit("drivingPush").value!;
  const breaks = leansMm >= sealMm;
  const leftMm = breaks ? 0 : sealMm - leansMm / 2;
  if (!breaks && !isLess(leftMm, limit("sealInUse").value ?? 0)) return [];
  return [{ code: "sealSlops", at, lossMm: sealMm - leftMm, leftMm, breaks }];
}

/** What is said of the traps a drain's water goes through, told a second time. */
export function tellTraps({ design, result, drain, fixture, own, limit }: Case): Told[] {
  const told: Told[] = [];
  const at = { kind: "trap", lineId: drain.id };
  const atBend = (lineId: string, index: number) => ({ kind: "bend", lineId, index });
  const [trap, lineTrap] = [findTrap(drain), findLineTrap(drain)];
  const sealMm = trap?.sealMm ?? 0;
  const onWay = listChain(design, drain).flatMap(({ line, first }) => {
    const inLine = findLineTrap(line);
    return inLine && inLine.bend >= first ? [{ lineId: line.id, bend: inLine.bend }] : [];
  });
  if (!trap && onWay.length === 0 && fixture.kind !== "gravityToilet")
    told.push({ code: "trapMissing", at: { kind: "line", id: drain.id } });
  if (onWay.length + (sealMm > 0 ? 1 : 0) > 1) {
    const [{ lineId, bend }] = onWay as [(typeof onWay)[number]];
    told.push({ code: "trapsInSeries", at: lineId === drain.id ? atBend(lineId, bend) : at });
  }
  for (const { bend, piece } of listInlinePieces(drain))
    if (piece === "nonReturn") told.push({ code: "flapInDrain", at: atBend(drain.id, bend) });
  const least = limit("sealLeast").value;
  const most = limit("sealMost").value;
  if (sealMm > 0) {
    if (least !== null && isLess(sealMm, least)) told.push({ code: "sealShallow", at, sealMm });
    if (most !== null && isMore(sealMm, most)) told.push({ code: "sealDeep", at, sealMm });
    const inUse = limit("sealInUse").value ?? 0;
    const risks = result.trapRisks!;
    told.push(...tellSlop(trap!.spanMm, sealMm, at, limit));
    const vent = findBranchVent(drain);
    const leastMm = limit("ventBehindTrap").value! * drain.pipe.innerMm;
    if (vent && isLess(vent.fromWeirMm, Math.floor(leastMm))) {
      const [first] = own.filter(({ lengthMm }) => lengthMm > 0);
      const hasRoom = first?.kind === "run" && !isLess(first.lengthMm, leastMm);
      told.push({
        code: "ventAtTrap",
        at: { kind: "line", id: drain.id },
        fromWeirMm: vent.fromWeirMm,
        leastMm,
        hasRoom,
      });
    }
    if (risks.frostHours !== null) told.push({ code: "trapFreezes", at, hours: risks.frostHours });
    const boreMm = drain.pipe.innerMm;
    if (isMore(result.armFallMm, boreMm) && isLess(risks.afterSiphonMm, inUse))
      told.push({ code: "trapSiphons", at, fallMm: result.armFallMm, boreMm, leftMm: risks.afterSiphonMm });
    const allowedMm = result.armAllowedMm;
    if (allowedMm !== null && isMore(result.arm.lengthMm, allowedMm))
      told.push({ code: "trapArmLong", at, lengthMm: result.arm.lengthMm, allowedMm });
  }
  if (lineTrap) {
    const where = atBend(drain.id, lineTrap.bend);
    if (least !== null && isLess(lineTrap.sealMm, least))
      told.push({ code: "sealShallow", at: where, sealMm: lineTrap.sealMm });
    if (!lineTrap.hasCleanout && drain.bendsMm[lineTrap.bend]!.z < 0) told.push({ code: "trapUnreachable", at: where });
    const [pipe, behind] = [findPipeOf(drain, lineTrap.bend), findPipeOf(drain, lineTrap.bend + 1)];
    told.push(...tellSlop(3 * pipe.innerMm, lineTrap.sealMm, where, limit));
    // from there to the tank nothing lets air in: all its fall less a bore hangs on the seal, half of which is lost
    const fallMm = drain.bendsMm[lineTrap.bend]!.z - result.nodesMm.at(-1)!.z;
    const boreMm = Math.min(pipe.innerMm, behind.innerMm);
    const hangsMm = Math.max(0, fallMm - boreMm);
    const leftMm = hangsMm >= lineTrap.sealMm ? 0 : lineTrap.sealMm - hangsMm / 2;
    if (isMore(fallMm, boreMm) && isLess(leftMm, limit("sealInUse").value ?? 0))
      told.push({ code: "trapSiphons", at: where, fallMm, boreMm, leftMm });
    const hours = result.lineTrapRisks!.frostHours;
    if (hours !== null) told.push({ code: "trapFreezes", at: where, hours });
  }
  const weir = result.nodesMm[0]!;
  if (trap?.hasCleanout === false && weir.z < 0) told.push({ code: "trapUnreachable", at });
  return [...told, ...tellTrapInFloor(design, drain, result)];
}

// Where the bottom of its bend lies below the top of the floor, and the outlet above its underside.
function tellTrapInFloor(design: Design, drain: Drain, { nodesMm, outletMm }: DrainResult): Told[] {
  const trap = findTrap(drain);
  if (!trap) return [];
  const weir = nodesMm[0]!;
  const { innerMm, outerMm } = drain.pipe;
  const wallMm = (outerMm - innerMm) / 2;
  const bottomMm = trap.sealMm > 0 ? weir.z - trap.sealMm - innerMm - wallMm : weir.z - wallMm;
  const floorMm = design.rig.floorLayers.reduce((sum, { thicknessMm }) => sum + thicknessMm, 0);
  if (bottomMm >= 0 || outletMm.z <= -floorMm) return [];
  const widthMm = outerMm + 2 * (lookUpLimit(design.rules, "holeClearance").value ?? 0);
  const endsInFloor = weir.z + innerMm > -floorMm;
  return [
    {
      code: "trapInFloor",
      at: { kind: "trap", lineId: drain.id },
      severity: endsInFloor ? "should" : "note",
      deepMm: Math.min(-bottomMm, floorMm),
      lengthMm: (endsInFloor ? Math.hypot(weir.x - outletMm.x, weir.y - outletMm.y) : 0) + widthMm,
      widthMm,
      endsInFloor,
    },
  ];
}
