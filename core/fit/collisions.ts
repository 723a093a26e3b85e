import type { Design } from "../design/design";
import type { Finding } from "../evaluate/findings";
import type { Leg } from "../falls/drainPath";
import { type Block, measureLegGap } from "../geometry/blocks";
import { measureApartMm } from "../geometry/straight";
import { interpolate, type Vec3, vec } from "../geometry/vec";
import { clamp } from "../quantity/tolerance";
import { toAxis } from "./clashes";
import { type Hit, isHit } from "./hits";
import { listOwnLegs } from "./lineLegs";
import { findPartBlock } from "./partBlock";
import { findSideNear, findSideThrough } from "./sideBlocks";

/** A place where two things take the same room, or are too near to each other, and the room that lacks, mm. */
export type Collision = {
  readonly id: string;
  /** The leg it is on and where along it, as a share; null for a tank or a piece of gear. */
  readonly on: { readonly lineId: string; readonly leg: number; readonly share: number } | null;
  readonly atMm: Vec3;
  /** Null where a line goes right through: how far it is to be led round is not one figure. */
  readonly lacksMm: number | null;
};

/** The place of every finding that something hits or is too near to something [C]. */
export function listCollisions(design: Design, findings: readonly Finding[]): Collision[] {
  return findings.flatMap((finding): Collision[] => {
    if (!isHit(finding)) return [];
    const place = findPlace(design, finding);
    return place ? [{ id: finding.id, ...place, lacksMm: findLack(finding) }] : [];
  });
}

function findLack(finding: Hit): number | null {
  switch (finding.code) {
    case "legInPart":
      return null;
    case "pipesClash":
    case "tanksClash":
      return finding.deepMm;
    default:
      if (finding.within !== null) return -finding.gapMm;
      return (finding.limit?.value ?? 0) - finding.gapMm;
  }
}

function findPlace(design: Design, finding: Hit): Pick<Collision, "on" | "atMm"> | null {
  const { at } = finding;
  if (finding.code === "pipesClash") {
    const leg = findLeg(design, at);
    const other = findLeg(design, { kind: "leg", lineId: finding.otherId, index: finding.otherLeg });
    if (!leg || !other) return null;
    const axis = toAxis(other);
    const up = leg.pipe.innerMm / 2;
    return findNearestOn(leg, (p) => measureApartMm(toPoint({ ...p, z: p.z + up }), axis));
  }
  const otherId = "obstacleId" in finding ? finding.obstacleId : finding.otherId;
  const block = findPartBlock(design, otherId);
  if (!block) return null;
  const sided =
    "within" in finding && finding.within !== null ? design.obstacles.find(({ id }) => id === otherId) : null;
  if (at.kind === "leg") {
    const leg = findLeg(design, at);
    if (!leg) return null;
    const other = (sided && findSideNear(interpolate(leg.from, leg.to, 0.5), sided)) ?? block;
    return findNearestOn(leg, (p) => measureLegGap(p, p, other));
  }
  const own = at.kind === "tank" || at.kind === "gear" ? findPartBlock(design, at.id) : null;
  return own && { on: null, atMm: findMiddle(own, (sided && findSideThrough(own, sided)) ?? block) };
}

const toPoint = (p: Vec3) => ({ from: p, to: p });

function findLeg(design: Design, at: Finding["at"]): Leg | null {
  const line = at.kind === "leg" ? design.lines.find(({ id }) => id === at.lineId) : undefined;
  if (at.kind !== "leg" || !line) return null;
  const legs = listOwnLegs(design, line);
  return legs[at.index] ?? null;
}

// The nearest stretch of the leg: the middle of what lies within a millimetre of the least distance.
function findNearestOn(leg: Leg, measureAway: (p: Vec3) => number): Pick<Collision, "on" | "atMm"> {
  const places = Array.from({ length: STEPS + 1 }, (_, i) => {
    const share = i / STEPS;
    const p = interpolate(leg.from, leg.to, share);
    return { p, share, away: measureAway(p) };
  });
  const least = Math.min(...places.map(({ away }) => away));
  const near = places.filter(({ away }) => away <= least + 1);
  const { p, share } = near[Math.floor(near.length / 2)]!;
  return { on: { lineId: leg.lineId, leg: leg.index, share }, atMm: p };
}

const STEPS = 60;

// The middle of what two blocks share, or of the gap between them.
function findMiddle(a: Block, b: Block): Vec3 {
  const along = (axis: "x" | "y" | "z") => {
    const [low, high] = [Math.max(a.min[axis], b.min[axis]), Math.min(a.max[axis], b.max[axis])];
    return clamp((low + high) / 2, Math.min(a.min[axis], b.min[axis]), Math.max(a.max[axis], b.max[axis]));
  };
  return vec(along("x"), along("y"), along("z"));
}
