import type { Design } from "../design/design";
import type { Gear } from "../design/gear";
import type { Line, Tank } from "../design/plumbing";
import { listPortEnds } from "../design/portEnds";
import type { DrainPath, Leg } from "../falls/drainPath";
import { findLegRoom, GIVES_MM, goesThroughOwn, measureLegClash, measureLegIn, measureTankClash } from "../fit/clashes";
import { listLineLegs } from "../fit/lineLegs";
import { listTankBlocks } from "../fit/tankBlocks";
import { isSetIn, toGearBlock } from "../gear/gearBlock";
import { areApart } from "../geometry/blocks";
import { measureLength, subtract, type Vec3 } from "../geometry/vec";
import { createRecall } from "../quantity/recall";
import { createFinding } from "./createFinding";
import type { Finding } from "./findings";

/** A line as it lies: its own legs, and the room they take from corner to corner. */
type Laid = { readonly line: Line; readonly legs: readonly Leg[]; readonly min: Vec3; readonly max: Vec3 };

/**
 * What of the builder's own parts takes the same room: tanks, lines through tanks, pipes through pipes. Each is told of the
 * first it runs into. Hoses are soft and are led past each other by hand; only a tank stops them.
 */
export function checkClashes(design: Design, paths: readonly DrainPath[]): Finding[] {
  const own = new Map(paths.map((path) => [path.drain.id, path.ownLegs]));
  const laid = sortById(design.lines).map((line) => lay(line, own.get(line.id) ?? listLineLegs(design, line)));
  const rigid = laid.filter(({ line }) => line.kind !== "hose");
  const tanks = sortById(design.tanks);
  const gear = design.gear.filter((piece) => !isSetIn(piece));
  return [
    ...tanks.flatMap((tank, i) => checkTanks(tank, tanks.slice(0, i))),
    ...laid.flatMap((one) => checkInParts(one, tanks, gear)),
    ...rigid.flatMap((one, i) => checkPipes(one, rigid, i)),
  ];
}

// by name of the file and not by place in it: which of two is told must not hang on their order
const sortById = <T extends { readonly id: string }>(parts: readonly T[]): T[] =>
  [...parts].sort((a, b) => (a.id < b.id ? -1 : 1));

function lay(line: Line, legs: readonly Leg[]): Laid {
  let [minX, minY, minZ, maxX, maxY, maxZ] = [Infinity, Infinity, Infinity, -Infinity, -Infinity, -Infinity];
  for (const leg of legs) {
    const { min, max } = findLegRoom(leg);
    minX = Math.min(minX, min.x);
    minY = Math.min(minY, min.y);
    minZ = Math.min(minZ, min.z);
    maxX = Math.max(maxX, max.x);
    maxY = Math.max(maxY, max.y);
    maxZ = Math.max(maxZ, max.z);
  }
  return { line, legs, min: { x: minX, y: minY, z: minZ }, max: { x: maxX, y: maxY, z: maxZ } };
}

function checkTanks(tank: Tank, before: readonly Tank[]): Finding[] {
  const at = { kind: "tank", id: tank.id } as const;
  return before.flatMap((other): Finding[] => {
    const deepMm = measureTankClash(tank, other);
    if (deepMm <= GIVES_MM) return [];
    return [createFinding(at, { code: "tanksClash", otherId: other.id, otherName: other.name, deepMm })];
  });
}

const recallInParts = createRecall<Line, readonly Finding[]>();

// A line that did not move, among tanks and gear that did not either, is not looked at again.
const checkInParts = (laid: Laid, tanks: readonly Tank[], gear: readonly Gear[]): readonly Finding[] =>
  recallInParts(laid.line, [laid.legs, ...tanks, ...gear], () => [
    ...checkInTanks(laid, tanks),
    // a hose is led past a pump by hand
    ...(laid.line.kind === "hose" ? [] : checkInGear(laid, gear)),
  ]);

function checkInTanks(laid: Laid, tanks: readonly Tank[]): Finding[] {
  const { line, legs } = laid;
  const joined = listPortEnds(line).map(({ tankId }) => tankId);
  return tanks.flatMap((tank): Finding[] => {
    const isOwn = joined.includes(tank.id);
    const blocks = listTankBlocks(tank).filter((block) => !areApart(laid, block));
    if (blocks.length === 0) return [];
    // the hose of a pump that stands in the tank begins there
    if (
      line.kind === "hose" &&
      !isOwn &&
      listEnds(laid).some((end) => blocks.some((block) => !areApart({ min: end, max: end }, block)))
    )
      return [];
    const leg = legs.find((one) => {
      const near = blocks.filter((block) => !areApart(findLegRoom(one), block));
      if (near.length === 0) return false;
      return isOwn ? goesThroughOwn(one, tank) : near.some((block) => measureLegIn(one, block) > GIVES_MM);
    });
    return leg ? [tellInPart(leg, tank, isOwn)] : [];
  });
}

function checkInGear(laid: Laid, gear: readonly Gear[]): Finding[] {
  const { line, legs } = laid;
  return gear.flatMap((piece): Finding[] => {
    if ("gearId" in line.to && line.to.gearId === piece.id) return [];
    const block = toGearBlock(piece);
    if (areApart(laid, block)) return [];
    const leg = legs.find((one) => measureLegIn(one, block) > GIVES_MM);
    return leg ? [tellInPart(leg, piece, false)] : [];
  });
}

const tellInPart = ({ lineId, index }: Leg, { id, name }: Tank | Gear, isOwn: boolean): Finding =>
  createFinding({ kind: "leg", lineId, index }, { code: "legInPart", otherId: id, otherName: name, isOwn });

function checkPipes(one: Laid, all: readonly Laid[], before: number): Finding[] {
  for (let i = 0; i < before; i++) {
    const other = all[i]!;
    if (areApart(one, other)) continue;
    const joints = listJoints(one, other);
    for (const leg of one.legs) {
      const room = findLegRoom(leg);
      if (areApart(room, other)) continue;
      for (const beside of other.legs) {
        if (areApart(room, findLegRoom(beside))) continue;
        const deepMm = measureLegClash(leg, beside, joints);
        if (deepMm <= GIVES_MM) continue;
        const at = { kind: "leg", lineId: one.line.id, index: leg.index } as const;
        const { id: otherId, name: otherName } = other.line;
        return [createFinding(at, { code: "pipesClash", otherId, otherName, otherLeg: beside.index, deepMm })];
      }
    }
  }
  return [];
}

/** Ends nearer than this are in one place, mm. */
const ONE_PLACE_MM = 1;

const listEnds = ({ legs }: Laid): Vec3[] => (legs.length === 0 ? [] : [legs[0]!.from, legs.at(-1)!.to]);

// Where two lines are joined: one ends on the other, or both end in one place.
function listJoints(one: Laid, other: Laid): Vec3[] {
  const isOn = (a: Laid, b: Laid) => "lineId" in a.line.to && a.line.to.lineId === b.line.id;
  return [
    ...(isOn(one, other) ? listEnds(one).slice(-1) : []),
    ...(isOn(other, one) ? listEnds(other).slice(-1) : []),
    ...listEnds(one).filter((a) => listEnds(other).some((b) => measureLength(subtract(a, b)) < ONE_PLACE_MM)),
  ];
}
