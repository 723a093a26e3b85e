import fc from "fast-check";
import { attitudes, designs, mirrorDesign } from "@/tests/arbitraries";
import { computeUp, mirrorAttitude } from "../attitude/attitude";
import type { Design } from "../design/design";
import type { Drain } from "../design/plumbing";
import { measureSegmentArea } from "../geometry/circularSegment";
import { dot, interpolate, type Vec3, vec } from "../geometry/vec";
import { buildDrainPath, buildLeg, type DrainPath } from "./drainPath";
import { computePonds, measureBoreVolumeL } from "./ponding";

const toPath = (design: Design): DrainPath =>
  buildDrainPath(design, design.lines.find((line) => line.kind === "drain") as Drain);
const upright = vec(0, 0, 1);

function createPath(nodesMm: Vec3[], bore = 36.4): DrainPath {
  const pipe = { innerMm: bore, outerMm: bore + 4, manningN: 0.009 };
  const legs = nodesMm
    .slice(1)
    .map((to, index) => buildLeg(nodesMm[index]!, to, { lineId: "drain", index, pipe, inflowLps: 0.1, surgeLps: 0.1 }));
  return { nodesMm, legs, ownLegs: legs, pipe } as unknown as DrainPath;
}

test("a sag holds no more than its pipe, and never less than nothing", () => {
  fc.assert(
    fc.property(designs, attitudes, (design, attitude) => {
      const path = toPath(design);
      const litres = computePonds(path, computeUp(attitude)).reduce((sum, pond) => sum + pond.litres, 0);
      expect(litres).toBeGreaterThanOrEqual(0);
      expect(litres).toBeLessThanOrEqual(measureBoreVolumeL(path) * (1 + 1e-9));
    }),
  );
});

test("a mirrored rig holds the same water at the mirrored attitude", () => {
  fc.assert(
    fc.property(designs, attitudes, (design, attitude) => {
      const one = computePonds(toPath(design), computeUp(attitude));
      const other = computePonds(toPath(mirrorDesign(design)), computeUp(mirrorAttitude(attitude)));
      expect(other.map((pond) => pond.legIndex)).toEqual(one.map((pond) => pond.legIndex));
      one.forEach((pond, i) => {
        expect(other[i]!.litres).toBeCloseTo(pond.litres, 9);
      });
    }),
  );
});

test("a drain whose every leg falls keeps no water", () => {
  const path = createPath([vec(0, 0, 60), vec(1000, 0, 30), vec(1800, 400, 5), vec(2000, 400, 0)]);
  expect(computePonds(path, upright)).toEqual([]);
});

test("a belly fills to the lower of its ends: the downstream rise", () => {
  const path = createPath([vec(0, 0, 100), vec(1000, 0, 0), vec(1500, 0, 20), vec(2500, 0, -10)]);
  const ponds = computePonds(path, upright);
  expect(ponds.map((pond) => pond.legIndex)).toEqual([0, 1]);
  expect(ponds[0]).toMatchObject({ surfaceMm: 20, toShare: 1, fillsBore: false });
  expect(ponds[0]!.fromShare).toBeCloseTo(0.8, 9);
  expect(ponds[0]!.deepestMm).toBeCloseTo(20, 9);
});

// Independent way: add up thin slices across the pipe.
test("the litres agree with adding up thin slices", () => {
  const slope = fc.double({ min: -0.3, max: 0.3, noNaN: true });
  fc.assert(
    fc.property(slope, slope, (first, second) => {
      const path = createPath([vec(0, 0, first * 800), vec(800, 0, 0), vec(1400, 0, second * 600)]);
      const exact = computePonds(path, upright).reduce((sum, pond) => sum + pond.litres, 0);
      const slices = 3000;
      let sum = 0;
      path.legs.forEach((leg, i) => {
        const surface = Math.max(...path.nodesMm.slice(i + 1).map((node) => node.z));
        const cosine = leg.planLengthMm / leg.lengthMm;
        for (let k = 0; k < slices; k++) {
          const depth = (surface - dot(upright, interpolate(leg.from, leg.to, (k + 0.5) / slices))) / cosine;
          sum += (measureSegmentArea(36.4, depth) * leg.lengthMm) / slices / 1e6;
        }
      });
      expect(exact).toBeCloseTo(sum, 3);
    }),
    { numRuns: 40 },
  );
});

test("a bore that stands full lets no air through", () => {
  const [pond] = computePonds(createPath([vec(0, 0, 0), vec(500, 0, 40)]), upright);
  expect(pond).toMatchObject({ legIndex: 0, fillsBore: true });
});
