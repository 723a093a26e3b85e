import { readDemo } from "@/tests/demoRigs";
import type { Hull } from "../design/rig";
import { listHullBlocks } from "./hullBlocks";
import { findHalfBreadthMm } from "./loft";

const boat = readDemo("setzkasten").rig.hull!;

/** A box of 4 × 2 m whose middle section is drawn in to 600 mm on either side. */
const waisted: Hull = {
  material: "laminate",
  thicknessMm: 25,
  sections: [0, 1_900, 2_100, 2_300, 4_000].map((xMm, i) => ({
    xMm,
    pointsMm: [
      { y: i === 2 ? 600 : 1_000, z: -700 },
      { y: i === 2 ? 600 : 1_000, z: 700 },
    ],
  })),
};

test("the inside of a block is the narrowest place of its stretch and band, less her thickness", () => {
  for (const hull of [boat, waisted]) {
    for (const { id, atMm, lengthMm, widthMm, heightMm } of listHullBlocks(hull)) {
      const inner = id.startsWith("hull-left") ? atMm.y : -(atMm.y + widthMm);
      const halves: number[] = [];
      for (let along = 0; along <= 40; along++) {
        for (let up = 0; up <= 20; up++) {
          const half = findHalfBreadthMm(hull, atMm.x + (lengthMm * along) / 40, atMm.z + (heightMm * up) / 20);
          if (half !== null) halves.push(half);
        }
      }
      const narrowest = Math.min(...halves);
      // never farther out than her inner skin; a millimetre of rounding, and what lies between two places that are read
      expect(inner).toBeLessThanOrEqual(Math.max(0, narrowest - hull.thicknessMm) + 1.5);
    }
  }
});

test("a waist between two places is not passed over: her own sections are read as well", () => {
  const blocks = listHullBlocks(waisted).filter(({ id }) => id.startsWith("hull-left"));
  const inners = new Set(blocks.filter(({ atMm }) => atMm.x === 2_000).map(({ atMm }) => atMm.y));
  expect([...inners]).toEqual([600 - 25]);
  // beside it she is as broad as she is
  expect(blocks.filter(({ atMm }) => atMm.x === 500).every(({ atMm }) => atMm.y === 975)).toBe(true);
});

test("port and starboard stand opposite each other, and say which they are", () => {
  for (const hull of [boat, waisted]) {
    const blocks = listHullBlocks(hull);
    const right = new Map(blocks.map((block) => [block.id, block]));
    expect(blocks.length).toBeGreaterThan(20);
    for (const left of blocks.filter(({ id }) => id.startsWith("hull-left"))) {
      const other = right.get(left.id.replace("left", "right"))!;
      expect(other).toEqual({
        ...left,
        id: other.id,
        name: "Hull, starboard",
        atMm: { ...left.atMm, y: -left.atMm.y - left.widthMm },
      });
      expect(left.name).toBe("Hull, port");
    }
  }
});
