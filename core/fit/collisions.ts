import type { Design } from "../design/design";
import type { Finding } from "../evaluate/findings";
import { buildDrainPath } from "../falls/drainPath";
import { type Block, measureLegGap } from "../geometry/blocks";
import { interpolate, type Vec3, vec } from "../geometry/vec";
import { clamp } from "../quantity/tolerance";
import { toBlock, toTankBlock } from "./obstacleGaps";

/** A place where a pipe or a tank is too near to something, and the room that lacks, mm. */
export type Collision = {
  readonly id: string;
  readonly lineId: string | null;
  readonly atMm: Vec3;
  readonly lacksMm: number;
};

/** The place of every finding that something hits or is too near to something [C]. */
export function listCollisions(design: Design, findings: readonly Finding[]): Collision[] {
  return findings.flatMap((finding): Collision[] => {
    if (finding.code !== "legHitsObstacle" && finding.code !== "tankHitsObstacle") return [];
    const obstacle = design.obstacles.find(({ id }) => id === finding.obstacleId);
    if (!obstacle) return [];
    const atMm = findPlace(design, finding, toBlock(obstacle));
    if (!atMm) return [];
    const lineId = finding.at.kind === "leg" ? finding.at.lineId : null;
    return [{ id: finding.id, lineId, atMm, lacksMm: (finding.limit?.value ?? 0) - finding.gapMm }];
  });
}

function findPlace(design: Design, { at }: Finding, block: Block): Vec3 | null {
  if (at.kind === "tank") {
    const tank = design.tanks.find(({ id }) => id === at.id);
    return tank ? findMiddle(toTankBlock(tank), block) : null;
  }
  const line = at.kind === "leg" ? design.lines.find(({ id }) => id === at.lineId) : undefined;
  if (at.kind !== "leg" || line?.kind !== "drain") return null;
  const leg = buildDrainPath(design, line).ownLegs[at.index];
  if (!leg) return null;
  // the nearest stretch of the leg: the middle of what lies within a millimetre of the least distance
  const places = Array.from({ length: STEPS + 1 }, (_, i) => {
    const p = interpolate(leg.from, leg.to, i / STEPS);
    return { p, away: measureLegGap(p, p, block) };
  });
  const least = Math.min(...places.map(({ away }) => away));
  const near = places.filter(({ away }) => away <= least + 1);
  return near[Math.floor(near.length / 2)]!.p;
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
