import type { Design } from "../design/design";
import type { Edit } from "../design/editOps";
import { buildPutItems, findLineTrap, findTrap } from "../design/lineItems";
import type { PartRef } from "../design/part";
import type { Drain } from "../design/plumbing";
import { USUAL_TRAPS } from "../design/usualTraps";
import type { Finding } from "../evaluate/findings";
import { measureLineTrapSpanMm } from "../falls/drainPath";
import { toCodeBoreMm } from "../parts/pipes";
import { lookUpLimit, lookUpValue } from "../rules/lookUpLimit";
import { computeDrivingLossMm } from "../traps/sealRisks";
import { proposeWiderVents } from "./airRemedies";
import { proposeBranchVent } from "./partRemedies";
import type { Remedy } from "./remedy";

/** Seals are sold in these depths, mm [T]. */
const SOLD_SEALS_MM = [50, 60, 75, 100] as const;

/** A trap with the seal the rules ask for. */
export function proposeSeal(design: Design, drain: Drain): Remedy[] {
  const sealMm = lookUpLimit(design.rules, "sealLeast", { boreMm: toCodeBoreMm(drain.pipe) }).value;
  const trap = findTrap(drain);
  if (!trap || sealMm === null) return [];
  return putSeal(drain, toTrap(drain), sealMm, "deepenSeal", sealMm - trap.sealMm);
}

/** A trap with no more seal than the rules let it have. */
export function proposeShallowerSeal(design: Design, drain: Drain): Remedy[] {
  const { value } = lookUpLimit(design.rules, "sealMost", { boreMm: toCodeBoreMm(drain.pipe) });
  return value === null ? [] : putSeal(drain, toTrap(drain), value, "setSeal", value);
}

/** What keeps a seal against the air of a tank: a wider breather, air on its branch, or more water in the trap. */
export function proposeSteadyAir(design: Design, at: PartRef, drain: Drain): Remedy[] {
  const isInLine = at.kind === "bend";
  const trap = isInLine ? findLineTrap(drain) : findTrap(drain);
  const mostMm = lookUpLimit(design.rules, "sealMost", { boreMm: toCodeBoreMm(drain.pipe) }).value ?? Infinity;
  return [
    ...proposeWiderVents(design),
    ...(isInLine ? [] : [...proposeBranchVent(design, drain), ...proposeBottleTrap(drain)]),
    ...SOLD_SEALS_MM.flatMap((sealMm) =>
      trap && sealMm > trap.sealMm && sealMm <= mostMm ? putSeal(drain, at, sealMm, "setSeal", sealMm) : [],
    ),
  ];
}

/** A seal that stands being pushed: legs nearer together, or more water. */
export function proposeSteadySeal(
  design: Design,
  drain: Drain,
  { at: where, limit }: Extract<Finding, { readonly code: "sealSlops" }>,
): Remedy[] {
  const pushG = lookUpValue(design.rules, "drivingPush");
  const findDeeper = (sealMm: number, spanMm: number) =>
    SOLD_SEALS_MM.find((mm) => mm > sealMm && mm - computeDrivingLossMm(spanMm, pushG, mm) >= (limit?.value ?? 0));
  const trap = findTrap(drain);
  const lineTrap = findLineTrap(drain);
  if (where.kind === "bend") {
    const sealMm = lineTrap && findDeeper(lineTrap.sealMm, measureLineTrapSpanMm(drain, lineTrap.bend));
    return sealMm ? putSeal(drain, where, sealMm, "deepenSeal", sealMm - lineTrap.sealMm) : [];
  }
  const deep = trap && findDeeper(trap.sealMm, trap.spanMm);
  return [
    ...(trap && deep ? putSeal(drain, where, deep, "deepenSeal", deep - trap.sealMm) : []),
    ...proposeBottleTrap(drain),
  ];
}

/** A bottle trap, whose legs stand nearer together: less of its water is thrown out on the road. */
export function proposeBottleTrap(drain: Drain): Remedy[] {
  const trap = findTrap(drain);
  if (!trap || trap.spanMm <= USUAL_TRAPS.bottle.spanMm) return [];
  const ops = [
    buildPutItems(drain, { trap: { ...USUAL_TRAPS.bottle, sealMm: Math.max(trap.sealMm, USUAL_TRAPS.bottle.sealMm) } }),
  ];
  return [{ byMm: null, edit: { code: "fitBottleTrap", at: toTrap(drain), ops } }];
}

const toTrap = ({ id }: Drain) => ({ kind: "trap", lineId: id }) as const;

function putSeal(drain: Drain, where: PartRef, sealMm: number, code: Edit["code"], byMm: number): Remedy[] {
  const [trap, lineTrap] = [findTrap(drain), findLineTrap(drain)];
  const isInLine = where.kind === "bend";
  const given = isInLine ? lineTrap && { lineTrap: { ...lineTrap, sealMm } } : trap && { trap: { ...trap, sealMm } };
  return given ? [{ byMm, isByLeast: true, edit: { code, at: where, ops: [buildPutItems(drain, given)] } }] : [];
}
