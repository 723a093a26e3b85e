import type { Design } from "../design/design";
import { measureFloorMm } from "../design/floor";
import type { Fixing, Tank } from "../design/plumbing";
import type { ObstacleKind } from "../design/rig";
import type { Leg } from "../falls/drainPath";
import { toBlock } from "../fit/obstacleBlock";
import { toTankBlock } from "../fit/obstacleGaps";
import { isSetIn, toGearBlock } from "../gear/gearBlock";
import { type Block, measureLegGap } from "../geometry/blocks";
import { type Vec3, vec } from "../geometry/vec";
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
export const DRILL_MM = 60;
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

/** Something that stands so near to the floor that a bolt there goes into it. */
export type InTheWay = {
  readonly id: string;
  readonly name: string;
  readonly block: Block;
  readonly isFrame: boolean;
};

/**
 * What the bolts of a tank must not come into: a fuel tank close under the floor, a wheel's well, a frame, another tank, a pump or
 * toilet that stands over them. Only near the floor, for how a bracket reaches down is not known. Empty on a boat, whose floor is no hull [C on T].
 */
export function listInTheWay(design: Design, tank: Tank): InTheWay[] {
  if (design.rig.kind === "boat") return [];
  const lowMm = findLowMm(design, tank);
  return [
    ...design.obstacles
      .filter(({ kind }) => IN_THE_WAY.includes(kind))
      .map((one) => ({ id: one.id, name: one.name, block: toBlock(one), isFrame: FRAME.includes(one.kind) })),
    ...design.tanks
      .filter(({ id }) => id !== tank.id)
      .map((one) => ({ id: one.id, name: one.name, block: toTankBlock(one), isFrame: false })),
    ...design.gear
      .filter((one) => !isSetIn(one))
      .map((one) => ({ id: one.id, name: one.name, block: toGearBlock(one), isFrame: false })),
  ].filter(({ block }) => block.min.z < HEAD_MM && lowMm < block.max.z);
}

const findLowMm = (design: Design, { atMm }: Tank): number =>
  -measureFloorMm(design) - (atMm.z >= 0 ? DRILL_MM : NUT_MM);

/** Half a large washer, mm. */
export const measureReachMm = ({ size }: Fixing): number => (Number(size.slice(1)) * WASHER) / 2;

function listBolts(design: Design, tank: Tank): Block[] {
  const { fixing, atMm } = tank;
  if (!fixing) return [];
  const reach = measureReachMm(fixing);
  const lowMm = findLowMm(design, tank);
  return listBoltPlaces(tank, fixing).map(({ x, y }) => ({
    min: { x: atMm.x + x - reach, y: atMm.y + y - reach, z: lowMm },
    max: { x: atMm.x + x + reach, y: atMm.y + y + reach, z: HEAD_MM },
  }));
}

/** Lines of the rig with their legs, given by their inverts. */
export type Pipes = readonly { readonly id: string; readonly name: string; readonly legs: readonly Leg[] }[];

/** What its bolts go into, lines among it, with how many of them. Source: geometry [C on T]. */
export function listBoltHits(design: Design, tank: Tank, pipes: Pipes): BoltHit[] {
  if (design.rig.kind === "boat") return [];
  const bolts = listBolts(design, tank);
  const tell = (
    obstacleId: string,
    obstacleName: string,
    isFrame: boolean,
    isIn: (bolt: Block) => boolean,
  ): BoltHit[] => {
    const count = bolts.filter(isIn).length;
    return count === 0 ? [] : [{ obstacleId, obstacleName, bolts: count, isFrame }];
  };
  const lowMm = findLowMm(design, tank);
  return [
    ...listInTheWay(design, tank).flatMap(({ id, name, block, isFrame }) =>
      tell(id, name, isFrame, (bolt) => meet(bolt, block)),
    ),
    ...pipes.flatMap(({ id, name, legs }) => {
      const near = legs.filter(
        ({ from, to, pipe }) => Math.min(from.z, to.z) < HEAD_MM && Math.max(from.z, to.z) + pipe.outerMm > lowMm,
      );
      return near.length === 0 ? [] : tell(id, name, false, (bolt) => near.some((leg) => isInPipe(leg, bolt)));
    }),
  ];
}

// A leg is given by its invert; what is drilled is the pipe about its middle.
function isInPipe({ from, to, pipe }: Leg, bolt: Block): boolean {
  const middle = (p: Vec3): Vec3 => vec(p.x, p.y, p.z + pipe.innerMm / 2);
  return measureLegGap(middle(from), middle(to), bolt) < pipe.outerMm / 2;
}

/** Which of its bolts go into something, by their place in the list. */
export function listStruck(design: Design, tank: Tank): number[] {
  const others = listInTheWay(design, tank);
  return listBolts(design, tank).flatMap((bolt, i) => (others.some(({ block }) => meet(bolt, block)) ? [i] : []));
}

const meetAlong = (axis: "x" | "y" | "z", a: Block, b: Block): boolean =>
  a.min[axis] < b.max[axis] && b.min[axis] < a.max[axis];

const meet = (a: Block, b: Block): boolean => (["x", "y", "z"] as const).every((axis) => meetAlong(axis, a, b));

/**
 * How many bolts of a tank stand outside the floor and on no frame, and the farthest of them by so much, mm. What hangs on a
 * drawbar is bolted to it. Source: geometry [C].
 */
export function measureBoltsOff(design: Design, tank: Tank): { readonly bolts: number; readonly byMm: number } {
  const { lengthMm, widthMm } = design.rig;
  const frames = design.obstacles.filter(({ kind }) => FRAME.includes(kind)).map(toBlock);
  const off = listBolts(design, tank)
    .filter((bolt) => !frames.some((frame) => (["x", "y"] as const).every((axis) => meetAlong(axis, bolt, frame))))
    .map(({ min, max }) => {
      const [x, y] = [(min.x + max.x) / 2, (min.y + max.y) / 2];
      return Math.max(-x, x - lengthMm, Math.abs(y) - widthMm / 2);
    })
    .filter((byMm) => byMm > 0);
  return { bolts: off.length, byMm: Math.max(0, ...off) };
}
