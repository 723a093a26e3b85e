import type { Design } from "../design/design";
import { measureFloorMm } from "../design/floor";
import { buildMove } from "../design/moves";
import type { Tank } from "../design/plumbing";
import type { Finding, FindingCode } from "../evaluate/findings";
import { buildDrainPath, type Leg } from "../falls/drainPath";
import { listLineLegs } from "../fit/lineLegs";
import { findClearance, toTankBlock } from "../fit/obstacleGaps";
import { findPartBlock } from "../fit/partBlock";
import { findSideThrough } from "../fit/sideBlocks";
import { toFloorBlock } from "../fit/tankBlocks";
import { toGearBlock } from "../gear/gearBlock";
import { add, vec } from "../geometry/vec";
import { proposeLegClear, proposeLegPast, proposePartClear } from "./clearRemedies";
import type { Remedy } from "./remedy";
import { proposeShrunk } from "./smallerTank";

type Of<C extends FindingCode> = Extract<Finding, { readonly code: C }>;

/** Between two parts that were in one place a hand's thickness is left, mm [T]. */
const APART_MM = 20;

/** A leg led past the tank or the gear it goes through. */
export function proposeLegOut(design: Design, { at, otherId }: Of<"legInPart">): Remedy[] {
  const line = at.kind === "leg" ? design.lines.find(({ id }) => id === at.lineId) : undefined;
  const block = findPartBlock(design, otherId);
  if (!line || at.kind !== "leg" || !block) return [];
  const legs: readonly Leg[] =
    line.kind === "drain" ? buildDrainPath(design, line).ownLegs : listLineLegs(design, line);
  const leg = legs[at.index];
  return leg ? proposeLegPast(line, leg, block) : [];
}

/** One of two pipes moved off the other: the one that is told, else the one it runs into. */
export function proposePipesApart(design: Design, { at, otherId, otherLeg, deepMm }: Of<"pipesClash">): Remedy[] {
  if (at.kind !== "leg") return [];
  const missingMm = Math.ceil(deepMm) + 1;
  return [at, { lineId: otherId, index: otherLeg }].flatMap(({ lineId, index }) => {
    const line = design.lines.find(({ id }) => id === lineId);
    return line ? proposeLegClear(line, { lineId, index }, missingMm) : [];
  });
}

/** A tank moved off the other, or so much smaller. */
export function proposeTanksApart(design: Design, { at, otherId }: Of<"tanksClash">): Remedy[] {
  const [tank, other] = [at.kind === "tank" ? at.id : "", otherId].map((id) => design.tanks.find((t) => t.id === id));
  if (!tank || !other) return [];
  const [own, taken] = [toTankBlock(tank), toTankBlock(other)];
  return [
    ...proposePartClear(design, { kind: "tank", id: tank.id }, own, taken, APART_MM),
    ...proposeShrunk(tank, own, taken, APART_MM),
  ];
}

/** A tank hung lower, or stood higher, until it is clear of the floor. */
export function proposeOutOfFloor(design: Design, tank: Tank, deepMm: number): Remedy[] {
  const byMm = Math.ceil(deepMm) + 1;
  const { min } = toTankBlock(tank);
  // out of the side it reaches in from: one that stands inside is lifted
  return (min.z > -measureFloorMm(design) ? (["up", "down"] as const) : (["down", "up"] as const)).flatMap((way) => {
    const to = add(tank.atMm, vec(0, 0, way === "up" ? byMm : -byMm));
    const move = buildMove(design, { kind: "tank", id: tank.id }, to);
    return move ? [{ byMm, way, edit: { ...move, code: "moveClear" as const } }] : [];
  });
}

/** A piece of gear moved off what stands in its room. */
export function proposeGearClear(design: Design, { at, otherId }: Of<"gearClashes">): Remedy[] {
  const piece = at.kind === "gear" ? design.gear.find(({ id }) => id === at.id) : undefined;
  const block = findPartBlock(design, otherId);
  if (!piece || !block) return [];
  const obstacle = design.obstacles.find(({ id }) => id === otherId);
  const own = toGearBlock(piece);
  // out of a cabinet's side it may go inward too
  const side = obstacle ? findSideThrough(own, obstacle) : null;
  const clearMm = side ? 0 : obstacle ? (findClearance(design.rules, obstacle).value ?? 0) : APART_MM;
  return proposePartClear(design, { kind: "gear", id: piece.id }, own, side ?? block, clearMm);
}

/** A piece of gear set on the floor, or under it, whichever is nearer. */
export function proposeGearOutOfFloor(design: Design, { at }: Of<"gearInFloor">): Remedy[] {
  const piece = at.kind === "gear" ? design.gear.find(({ id }) => id === at.id) : undefined;
  return piece
    ? proposePartClear(design, { kind: "gear", id: piece.id }, toGearBlock(piece), toFloorBlock(design), 0)
    : [];
}

/** A housing set so high that it can be opened. */
export function proposeGearRaised(design: Design, { at, wantedMm, roomMm }: Of<"gearShutIn">): Remedy[] {
  const piece = at.kind === "gear" ? design.gear.find(({ id }) => id === at.id) : undefined;
  if (!piece) return [];
  const byMm = Math.ceil(wantedMm - roomMm);
  const move = buildMove(design, { kind: "gear", id: piece.id }, add(piece.atMm, vec(0, 0, byMm)));
  return move ? [{ byMm, way: "up", edit: { ...move, code: "moveClear" } }] : [];
}
