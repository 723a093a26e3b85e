import type { Design } from "../design/design";
import type { Tank } from "../design/plumbing";
import type { ObstacleKind } from "../design/rig";
import { measureFloorMm } from "../fit/floor";
import { toBlock, toTankBlock } from "../fit/obstacleGaps";
import type { Block } from "../geometry/blocks";
import { listBoltPlaces } from "./boltPlaces";

/** What bolts of a tank go into where they go through the floor: by its id, so many of them. */
export type BoltHit = {
  readonly obstacleId: string;
  readonly obstacleName: string;
  readonly bolts: number;
  /** A frame that may be drilled where its maker says so. */
  readonly isFrame: boolean;
};

/** A flange, a nut and the end of a bolt reach so far under the floor, a drill from above comes out so far, mm [T]. */
const NUT_MM = 40;
const DRILL_MM = 60;
/** Above the floor its head or nut is so high, mm [T]. */
const HEAD_MM = 20;
/** A large washer is three times the bolt across [P: ISO 7093, from memory, 90 %]. */
const WASHER = 3;

const FRAME: readonly ObstacleKind[] = ["chassisRail", "crossMember"];
/** Not a cabinet or a seat: there a hand gets at the nut. */
const IN_THE_WAY: readonly ObstacleKind[] = [
  ...FRAME,
  "fuelTank",
  "exhaust",
  "axle",
  "shaft",
  "spareWheel",
  "wheelArch",
];

/**
 * Where the bolts of a tank go through the floor into what is there: a fuel tank close under it, a wheel's well, a frame, another
 * tank. Only near the floor, for how a bracket reaches down is not known. Empty on a boat, whose floor is no hull [C on T].
 */
export function listBoltHits(design: Design, tank: Tank): BoltHit[] {
  const { fixing, atMm } = tank;
  if (!fixing || design.rig.kind === "boat") return [];
  const reach = (Number(fixing.size.slice(1)) * WASHER) / 2;
  const lowMm = -measureFloorMm(design) - (atMm.z >= 0 ? DRILL_MM : NUT_MM);
  const bolts = listBoltPlaces(tank, fixing).map(
    ({ x, y }): Block => ({
      min: { x: atMm.x + x - reach, y: atMm.y + y - reach, z: lowMm },
      max: { x: atMm.x + x + reach, y: atMm.y + y + reach, z: HEAD_MM },
    }),
  );
  const hit = (obstacleId: string, obstacleName: string, block: Block, isFrame: boolean): BoltHit[] => {
    const count = bolts.filter((bolt) => meet(bolt, block)).length;
    return count === 0 ? [] : [{ obstacleId, obstacleName, bolts: count, isFrame }];
  };
  return [
    ...design.obstacles.flatMap((one) =>
      IN_THE_WAY.includes(one.kind) ? hit(one.id, one.name, toBlock(one), FRAME.includes(one.kind)) : [],
    ),
    ...design.tanks.flatMap((one) => (one.id === tank.id ? [] : hit(one.id, one.name, toTankBlock(one), false))),
  ];
}

const meet = (a: Block, b: Block): boolean =>
  (["x", "y", "z"] as const).every((axis) => a.min[axis] < b.max[axis] && b.min[axis] < a.max[axis]);

/** How many bolts of a tank stand outside the floor, and the farthest of them by so much, mm. Source: geometry [C]. */
export function measureBoltsOff({ rig }: Design, tank: Tank): { readonly bolts: number; readonly byMm: number } {
  const { fixing, atMm } = tank;
  const off = fixing
    ? listBoltPlaces(tank, fixing)
        .map(({ x, y }) => Math.max(-(atMm.x + x), atMm.x + x - rig.lengthMm, Math.abs(atMm.y + y) - rig.widthMm / 2))
        .filter((byMm) => byMm > 0)
    : [];
  return { bolts: off.length, byMm: Math.max(0, ...off) };
}
