import type { Design } from "../design/design";
import { measureFloorMm } from "../design/floor";
import type { Tank } from "../design/plumbing";
import { type Block, measureBlockGap } from "../geometry/blocks";
import type { Vec2 } from "../geometry/polygon";
import { measureExtent, placeOnAxis, type Solid, toPrism } from "../geometry/solid";
import { add, type Vec3, vec } from "../geometry/vec";

type Covered = Pick<Tank, "solid" | "atMm" | "wallMm" | "insulationMm">;

// A solid never changes, and is held against every obstacle in every evaluation.
const SLABS = new WeakMap<Solid, readonly Block[]>();

/**
 * Outside of a tank as blocks, wall and lagging included, mm: a stepped profile is cut into slabs at its corners, each as high as the
 * profile is there, so that what stands in a step is not in the tank. A slope counts with the whole height of its slab, a
 * round tank with its largest sizes: both on the safe side [C].
 */
export function listTankBlocks({ solid, atMm, wallMm, insulationMm }: Covered): Block[] {
  let slabs = SLABS.get(solid);
  if (!slabs) {
    slabs = solid.shape === "prism" ? cutSlabs(solid) : [measureExtent(solid)];
    SLABS.set(solid, slabs);
  }
  const thick = wallMm + insulationMm;
  const wall = vec(thick, thick, thick);
  return slabs.map(({ min, max }) => ({
    min: add(add(atMm, min), vec(-thick, -thick, -thick)),
    max: add(add(atMm, max), wall),
  }));
}

/** How deep a tank reaches into the floor, from above or from below, mm; 0 or less where it stands clear of it [C]. */
export const measureInFloorMm = (design: Pick<Design, "rig">, tank: Covered): number =>
  measureBlocksInFloorMm(design, listTankBlocks(tank));

/** The same of anything, by the room it takes. */
export function measureBlocksInFloorMm(design: Pick<Design, "rig">, blocks: readonly Block[]): number {
  const floor = toFloorBlock(design);
  return -Math.min(...blocks.map((block) => measureBlockGap(block, floor)));
}

/** The floor as it is built up, from its underside to its top, mm. */
export const toFloorBlock = ({ rig }: Pick<Design, "rig">): Block => ({
  min: vec(0, -rig.widthMm / 2, -measureFloorMm({ rig })),
  max: vec(rig.lengthMm, rig.widthMm / 2, 0),
});

function cutSlabs(solid: Solid): Block[] {
  const { axis, lengthMm, profileMm } = toPrism(solid);
  const cuts = [...new Set(profileMm.map((p) => p.u))].sort((a, b) => a - b);
  return cuts.slice(1).flatMap((right, i) => {
    const left = cuts[i]!;
    const edges = listEdgesAcross(profileMm, left, right);
    // edges over the slab come in pairs: into the profile and out of it
    return Array.from({ length: Math.floor(edges.length / 2) }, (_, k): Block => {
      const [low, high] = [edges[2 * k]!, edges[2 * k + 1]!];
      const corner = (u: number, v: number, t: number): Vec3 => placeOnAxis(axis, { u, v }, t);
      return {
        min: corner(left, Math.min(low.atLeft, low.atRight), 0),
        max: corner(right, Math.max(high.atLeft, high.atRight), lengthMm),
      };
    });
  });
}

type Across = { readonly atLeft: number; readonly atRight: number };

// The edges that go over a slab from side to side, lowest first.
function listEdgesAcross(profile: readonly Vec2[], left: number, right: number): Across[] {
  return profile
    .flatMap((p, i): Across[] => {
      const q = profile[(i + 1) % profile.length]!;
      const [a, b] = p.u <= q.u ? [p, q] : [q, p];
      if (a.u > left || b.u < right || a.u === b.u) return [];
      const at = (u: number) => a.v + ((b.v - a.v) * (u - a.u)) / (b.u - a.u);
      return [{ atLeft: at(left), atRight: at(right) }];
    })
    .sort((a, b) => a.atLeft + a.atRight - b.atLeft - b.atRight);
}
