import fc from "fast-check";
import { readDemo } from "@/tests/demoRigs";
import { buildReshape, TANK_SHAPES } from "../edits/tankEdits";
import { measureExtent } from "../geometry/solid";
import { applyEdit } from "./edit";
import type { Tank } from "./plumbing";
import { buildResize } from "./resizeTank";

const kranich = readDemo("kranich");
const own = kranich.tanks[0]!;
const held: Tank = {
  ...own,
  sender: { kind: "float", xMm: 750, yMm: 60, lowMm: 15, highMm: 170 },
  fixing: own.fixing && {
    ...own.fixing,
    bolts: 4,
    placesMm: [
      { x: -20, y: 50 },
      { x: -20, y: 400 },
      { x: 820, y: 50 },
      { x: 820, y: 400 },
    ],
  },
};
const design = { ...kranich, tanks: [held] };
const resize = (edit: ReturnType<typeof buildResize>): Tank => {
  const outcome = applyEdit(design, edit);
  if (!outcome.ok) throw new Error("not taken");
  return outcome.design.tanks[0]!;
};

test("bolts and gauge keep their distance from the end of the tank they are nearer to", () => {
  if (held.solid.shape !== "box" || !held.fixing) throw new Error("another sample");
  const { lengthMm } = held.solid;
  const after = resize(buildResize(held, { lengthMm: lengthMm - 200 }));
  expect(after.fixing!.placesMm!.map(({ x }) => x)).toEqual([-20, -20, 620, 620]);
  expect(after.sender).toMatchObject({ xMm: 550, yMm: 60, lowMm: 15, highMm: 170 });
  expect(resize(buildResize(held, { heightMm: 120 })).sender!.highMm).toBeLessThanOrEqual(120);
});

test("whatever size or shape is chosen, the gauge stands in the tank", () => {
  const size = fc.constantFrom("lengthMm", "widthMm", "heightMm");
  fc.assert(
    fc.property(size, fc.integer({ min: 60, max: 1_500 }), fc.constantFrom(...TANK_SHAPES), (key, mm, shape) => {
      const reshape = buildReshape(held, shape);
      for (const tank of [resize(buildResize(held, { [key]: mm })), ...(reshape ? [resize(reshape)] : [])]) {
        const { min, max } = measureExtent(tank.solid);
        const { xMm, yMm, lowMm, highMm } = tank.sender!;
        expect(xMm >= min.x && xMm <= max.x && yMm >= min.y && yMm <= max.y).toBe(true);
        expect(highMm).toBeGreaterThan(lowMm);
        if (lowMm + 1 < max.z) expect(highMm).toBeLessThanOrEqual(max.z + 1e-9);
      }
    }),
  );
});
