import type { Design } from "../design/design";
import type { FixtureKind } from "../design/plumbing";
import { USUAL_FIXTURES } from "../design/usualFixtures";
import { toGearBlock } from "../gear/gearBlock";
import { areApart, type Block } from "../geometry/blocks";
import { add, type Vec3, vec } from "../geometry/vec";
import { toBlock } from "./obstacleBlock";

/** What stands on the floor is taken to reach so high where nothing else is known, mm [T]. */
const HIGH_MM = 900;

/** The room a fixture takes over the floor, as it is usual for its kind, by the place of its outlet, mm. */
export function findFixtureRoom(kind: FixtureKind, outletMm: Vec3): Block {
  const { halfMm } = USUAL_FIXTURES[kind];
  const half = vec(halfMm, halfMm, 0);
  return {
    min: vec(outletMm.x - half.x, outletMm.y - half.y, 0),
    max: add(vec(outletMm.x, outletMm.y, HIGH_MM), half),
  };
}

/** In these somebody stands: nothing else does. */
const TRAYS: ReadonlySet<FixtureKind> = new Set(["showerTray", "bath"]);

/** The rooms over the floor in which somebody stands or sits to wash. */
export const listTrayRooms = ({ fixtures }: Pick<Design, "fixtures">): Block[] =>
  fixtures.flatMap(({ kind, outletMm }) => (TRAYS.has(kind) ? [findFixtureRoom(kind, outletMm)] : []));

/**
 * Whether nothing stands in a room over the floor: fixtures by their usual size, gear, and, unless it is let into furniture as a sink is,
 * what else stands on the rig. Sizes are usual ones: for where something is set first, not for judging it [T].
 */
export function isRoomFree(design: Design, room: Block, isLetIn: boolean): boolean {
  const taken = [
    ...design.fixtures.map(({ kind, outletMm }) => findFixtureRoom(kind, outletMm)),
    ...design.gear.map(toGearBlock),
    ...(isLetIn ? [] : design.obstacles.filter(({ kind }) => kind !== "window").map(toBlock)),
  ];
  return taken.every((other) => areApart(room, other));
}
