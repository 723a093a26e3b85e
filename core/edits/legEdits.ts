import type { Design } from "../design/design";
import type { Edit, EditOp } from "../design/editOps";
import { roundTenth } from "../design/moves";
import type { Drain } from "../design/plumbing";
import { buildDrainPath } from "../falls/drainPath";
import { add, vec } from "../geometry/vec";
import { MM_PER_M } from "../quantity/convert";

const findDrain = (design: Design, lineId: string): Drain | null =>
  design.lines.find((line): line is Drain => line.kind === "drain" && line.id === lineId) ?? null;

const setBend = (lineId: string, bend: number, value: unknown): EditOp => ({
  op: "set",
  path: ["lines", lineId, "bendsMm", bend],
  value,
});

/**
 * Edit that gives one leg of a drain a fall, mm/m in [−500, 1000], standing level. The end toward the tank moves up or
 * down and takes what follows along; on the last leg, whose end is held, the upper end moves and takes what comes before
 * along up to the first drop. Null for a drop, a leg of no length, or a drain without a free bend there [C].
 */
export function buildSetFall(design: Design, lineId: string, legIndex: number, fallMmPerM: number): Edit | null {
  const drain = findDrain(design, lineId);
  if (!drain) return null;
  const { ownLegs } = buildDrainPath(design, drain);
  const leg = ownLegs[legIndex];
  if (!leg || leg.planLengthMm === 0) return null;
  const wantedMm = (leg.planLengthMm * fallMmPerM) / MM_PER_M;
  const byMm = wantedMm - (leg.from.z - leg.to.z);
  const isLast = legIndex === ownLegs.length - 1;
  const bends = isLast ? listBefore(ownLegs, legIndex) : listAfter(ownLegs, legIndex);
  if (bends.length === 0) return null;
  // a last leg gains fall by its upper end going up, the others by their lower end going down
  const shift = vec(0, 0, isLast ? byMm : -byMm);
  const ops = bends.map((bend) => setBend(lineId, bend, roundTenth(add(drain.bendsMm[bend]!, shift))));
  return { code: "setFall", at: { kind: "leg", lineId, index: legIndex }, ops };
}

type Legs = ReturnType<typeof buildDrainPath>["ownLegs"];

// From the leg's upper end up to the foot of the first drop, which takes up the difference.
function listBefore(legs: Legs, legIndex: number): number[] {
  const bends: number[] = [];
  for (let i = legIndex; i > 0; i--) {
    bends.push(i - 1);
    if (legs[i - 1]!.kind === "drop") break;
  }
  return bends;
}

// From the leg's lower end on to the head of the next drop, or to the last bend.
function listAfter(legs: Legs, legIndex: number): number[] {
  const bends: number[] = [];
  for (let i = legIndex + 1; i < legs.length; i++) {
    bends.push(i - 1);
    if (legs[i]!.kind === "drop") break;
  }
  return bends;
}

/**
 * Edit that pins both ends of each stretch between drops and lays the bends between them at one fall; the fall comes
 * out. Null where no bend lies between two runs [C].
 */
export function buildEvenFall(design: Design, lineId: string): Edit | null {
  const drain = findDrain(design, lineId);
  if (!drain) return null;
  const { ownLegs } = buildDrainPath(design, drain);
  const ops: EditOp[] = [];
  for (let i = 0; i < ownLegs.length; i++) {
    let end = i;
    while (end < ownLegs.length && ownLegs[end]!.kind === "run") end += 1;
    ops.push(...layEvenly(drain, ownLegs.slice(i, end), i));
    i = end;
  }
  return ops.length === 0 ? null : { code: "shareFall", at: { kind: "line", id: lineId }, ops };
}

function layEvenly(drain: Drain, legs: Legs, first: number): EditOp[] {
  const wholeMm = legs.reduce((sum, leg) => sum + leg.planLengthMm, 0);
  if (legs.length < 2 || wholeMm === 0) return [];
  const slope = (legs[0]!.from.z - legs.at(-1)!.to.z) / wholeMm;
  let z = legs[0]!.from.z;
  return legs.slice(0, -1).map((leg, i) => {
    z -= leg.planLengthMm * slope;
    return setBend(drain.id, first + i, roundTenth({ ...drain.bendsMm[first + i]!, z }));
  });
}
