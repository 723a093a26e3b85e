import fc from "fast-check";
import { readDemo } from "@/tests/demoRigs";
import { SAMPLE_FIXING } from "@/tests/sampleFixing";
import { shaped } from "@/tests/tankShapes";
import { computeFixing } from "../fixing/fixing";
import { computeTankLoads, shareByLever } from "../tanks/axleLoads";
import { computeFullKg } from "../tanks/shell";
import { findCentroid, measureInside, type Vec2 } from "./polygon";
import { findCentre, measureExtent, type PrismSolid } from "./solid";

/** 800 mm long: half of it 100 mm deep, half 300; the deep half behind. */
const STEP: readonly Vec2[] = [
  { u: 0, v: 0 },
  { u: 400, v: 0 },
  { u: 400, v: 200 },
  { u: 800, v: 200 },
  { u: 800, v: 300 },
  { u: 0, v: 300 },
];
const stepped: PrismSolid = { shape: "prism", axis: "y", lengthMm: 500, profileMm: STEP };

test("a stepped tank weighs where its two halves do together: (3 · 200 + 600)/4 along, (3 · 150 + 250)/4 up", () => {
  expect(findCentre(stepped)).toEqual({ x: 300, y: 250, z: 175 });
  expect(findCentroid([...STEP].reverse())).toEqual({ u: 300, v: 175 });
  for (const solid of [
    { shape: "box", lengthMm: 800, widthMm: 500, heightMm: 300 },
    { shape: "cylinder", axis: "x", lengthMm: 800, diameterMm: 300 },
  ] as const) {
    const { max } = measureExtent(solid);
    expect(findCentre(solid)).toEqual({ x: max.x / 2, y: max.y / 2, z: max.z / 2 });
  }
});

test("the middle of any outline is the mean of the points of a fine grid that lie in it", () => {
  const outlines = fc
    .array(fc.integer({ min: 20, max: 300 }), { minLength: 3, maxLength: 6 })
    .map((depths): Vec2[] => [
      ...depths.map((v, i) => ({ u: i * 100, v: -v })),
      { u: (depths.length - 1) * 100, v: 0 },
      { u: 0, v: 0 },
    ]);
  fc.assert(
    fc.property(outlines, (outline) => {
      const inside: Vec2[] = [];
      for (let u = 2; u < 600; u += 4)
        for (let v = -298; v < 0; v += 4) if (measureInside(outline, { u, v }) > 0) inside.push({ u, v });
      const { u, v } = findCentroid(outline);
      const mean = (pick: (p: Vec2) => number) => inside.reduce((sum, p) => sum + pick(p), 0) / inside.length;
      expect(Math.abs(u - mean((p) => p.u))).toBeLessThan(2);
      expect(Math.abs(v - mean((p) => p.v))).toBeLessThan(2);
    }),
    { numRuns: 40 },
  );
});

test("axles bear a stepped tank where it is deep, and its rear bolts more than those in front", () => {
  const kranich = readDemo("kranich");
  const tank = { ...shaped(stepped), id: "stepped", atMm: { x: 1_000, y: 0, z: -400 } };
  const { axles } = computeTankLoads({ ...kranich, tanks: [tank] })!;
  const supports = [...kranich.rig.axles].sort((a, b) => a.xMm - b.xMm).map(({ xMm }) => xMm) as [number, number];
  const shares = shareByLever(computeFullKg(tank), 1_300, supports);
  expect(axles.map(({ fullKg }) => fullKg)).toEqual(shares);
  const fixing = { ...SAMPLE_FIXING, kind: "brackets", bolts: 4, placesMm: null } as const;
  const [road] = computeFixing(tank, fixing, { ...kranich.rig, crashClass: "none" })!;
  const level = computeFixing(
    { ...tank, solid: { shape: "box", lengthMm: 800, widthMm: 500, heightMm: 200 } },
    fixing,
    {
      ...kranich.rig,
      crashClass: "none",
    },
  )![0]!;
  // as many litres, but the weight lies nearer to the rear bolts
  expect(road!.tensionKN).toBeGreaterThan(level.tensionKN);
});
