import type { Design } from "../design/design";
import type { Pipe } from "../design/plumbing";
import { buildLeg } from "../falls/drainPath";
import { isSetIn, toGearBlock } from "../gear/gearBlock";
import type { Vec3 } from "../geometry/vec";
import { GIVES_MM, measureLegClash, measureLegIn } from "./clashes";
import { listOwnLegs } from "./lineLegs";
import { listTankBlocks } from "./tankBlocks";

/** Whether a pipe along these inverts misses the builder's own parts: every tank but the one it begins at, gear that stands free, and pipes. */
export function isClearOfParts(design: Design, course: readonly Vec3[], pipe: Pipe, ownTankId: string): boolean {
  const blocks = [
    ...design.tanks.filter(({ id }) => id !== ownTankId).flatMap(listTankBlocks),
    ...design.gear.filter((piece) => !isSetIn(piece)).map(toGearBlock),
  ];
  const others = design.lines.flatMap((line) => (line.kind === "hose" ? [] : listOwnLegs(design, line)));
  return course.slice(1).every((to, index) => {
    const leg = buildLeg(course[index]!, to, { lineId: "", index, pipe, inflowLps: 0, surgeLps: 0 });
    return (
      blocks.every((block) => measureLegIn(leg, block) <= GIVES_MM) &&
      others.every((other) => measureLegClash(leg, other, []) <= GIVES_MM)
    );
  });
}
