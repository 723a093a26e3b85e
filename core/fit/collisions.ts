import type { Design } from "../design/design";
import type { Finding } from "../evaluate/findings";
import { buildDrainPath } from "../falls/drainPath";
import { type Block, measureLegGap } from "../geometry/blocks";
import { interpolate, type Vec3, vec } from "../geometry/vec";
import { clamp } from "../quantity/tolerance";
import { listLineLegs } from "./lineLegs";
import { toBlock, toTankBlock } from "./obstacleGaps";

/** A place where a pipe or a tank is too near to something, and the room that lacks, mm. */
export type Collision = {
  readonly id: string;
  /** The leg it is on and where along it, as a share; null for a tank. */
  readonly on: { readonly lineId: string; readonly leg: number; readonly share: number } | null;
  readonly atMm: Vec3;
  readonly lacksMm: number;
};

/** The place of every finding that something hits or is too near to something [C]. */
export function listCollisions(design: Design, findings: readonly Finding[]): Collision[] {
  return findings.flatMap((finding): Collision[] => {
    if (finding.code !== "legHitsObstacle" && finding.code !== "tankHitsObstacle") return [];
    const obstacle = design.obstacles.find(({ id }) => id === finding.obstacleId);
    if (!obstacle) return [];
    const place = findPlace(design, finding, toBlock(obstacle));
    if (!place) return [];
    return [{ id: finding.id, ...place, lacksMm: (finding.limit?.value ?? 0) - finding.gapMm }];
  });
}

function findPlace(design: Design, { at }: Finding, block: Block): Pick<Collision, "on" | "atMm"> | null {
  if (at.kind === "tank") {
    const tank = design.tanks.find(({ id }) => id === at.id);
    return tank ? { on: null, atMm: findMiddle(toTankBlock(tank), block) } : null;
  }
  const line = at.kind === "leg" ? design.lines.find(({ id }) => id === at.lineId) : undefined;
  if (at.kind !== "leg" || !line) return null;
  const legs = line.kind === "drain" ? buildDrainPath(design, line).ownLegs : listLineLegs(design, line);
  const leg = legs[at.index];
  if (!leg) return null;
  // the nearest stretch of the leg: the middle of what lies within a millimetre of the least distance
  const places = Array.from({ length: STEPS + 1 }, (_, i) => {
    const share = i / STEPS;
    const p = interpolate(leg.from, leg.to, share);
    return { p, share, away: measureLegGap(p, p, block) };
  });
  const least = Math.min(...places.map(({ away }) => away));
  const near = places.filter(({ away }) => away <= least + 1);
  const { p, share } = near[Math.floor(near.length / 2)]!;
  return { on: { lineId: line.id, leg: at.index, share }, atMm: p };
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
