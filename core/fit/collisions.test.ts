import fc from "fast-check";
import { networks } from "@/tests/arbitraries";
import { readDemo } from "@/tests/demoRigs";
import type { Obstacle } from "../design/rig";
import { evaluate } from "../evaluate/evaluate";
import { buildDrainPath } from "../falls/drainPath";
import { measureLegGap } from "../geometry/blocks";
import { interpolate } from "../geometry/vec";
import { listCollisions } from "./collisions";
import { isHit } from "./hits";
import { toBlock } from "./obstacleBlock";

const block: Obstacle = {
  id: "block",
  name: "Block",
  kind: "crossMember",
  atMm: { x: 1000, y: -200, z: -300 },
  lengthMm: 400,
  widthMm: 400,
  heightMm: 280,
};

test("every pipe that hits something is marked on its own leg, as near to it as the leg ever comes", () => {
  let marked = 0;
  fc.assert(
    fc.property(networks, (random) => {
      const design = { ...random, obstacles: [block] };
      const { findings } = evaluate(design);
      const marks = listCollisions(design, findings);
      expect(marks).toHaveLength(findings.filter(isHit).length);
      for (const { id, on, atMm, lacksMm } of marks) {
        expect(lacksMm ?? 1).toBeGreaterThan(0);
        if (!id.startsWith("legHitsObstacle")) continue;
        const line = design.lines.find(({ id }) => id === on?.lineId);
        if (!on || line?.kind !== "drain") continue;
        const { from, to } = buildDrainPath(design, line).ownLegs[on.leg]!;
        expect(interpolate(from, to, on.share)).toEqual(atMm);
        expect(measureLegGap(atMm, atMm, toBlock(block))).toBeLessThan(measureLegGap(from, to, toBlock(block)) + 30);
        marked += 1;
      }
    }),
  );
  expect(marked).toBeGreaterThan(30);
});

test("a tank that reaches into something is marked in what both share", () => {
  const kranich = readDemo("kranich");
  const tank = kranich.tanks[0]!;
  const beside = { ...block, atMm: { x: tank.atMm.x - 380, y: tank.atMm.y, z: tank.atMm.z } };
  const design = { ...kranich, obstacles: [beside] };
  const [mark] = listCollisions(design, evaluate(design).findings);
  expect(mark!.on).toBeNull();
  expect(mark!.atMm.x).toBeGreaterThan(tank.atMm.x - 10);
  expect(mark!.atMm.x).toBeLessThan(tank.atMm.x + 21);
});
