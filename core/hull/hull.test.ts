import fc from "fast-check";
import Module from "manifold-3d";
import { readDemo } from "@/tests/demoRigs";
import { computeUp } from "../attitude/attitude";
import type { Hull, HullSection } from "../design/rig";
import { vec } from "../geometry/vec";
import { measureVolumeBelowL } from "../geometry/volumeBelow";
import { computeFullKg } from "../tanks/shell";
import { listHullBlocks } from "./hullBlocks";
import { buildHullField, computeHydrostatics, findLowestSheerMm, listSkin } from "./hydrostatics";
import { measureLoadedSinkMm } from "./loadedLine";
import { findHalfBreadthMm, sectionAt } from "./loft";

const of = (sections: readonly HullSection[]): Hull => ({
  material: "laminate",
  thicknessMm: 10,
  sections: [...sections],
});
const box = (length: number, half: number, low: number, high: number): Hull =>
  of(
    [0, length / 2, length].map((xMm) => ({
      xMm,
      pointsMm: [
        { y: half, z: low },
        { y: half, z: high },
      ],
    })),
  );

const sections = fc
  .array(
    fc.record({
      gap: fc.integer({ min: 200, max: 2_000 }),
      points: fc.array(fc.record({ y: fc.integer({ min: 0, max: 1_500 }), rise: fc.integer({ min: 20, max: 500 }) }), {
        minLength: 2,
        maxLength: 6,
      }),
    }),
    { minLength: 3, maxLength: 6 },
  )
  .map((list): Hull => {
    let x = -400;
    return of(
      list.map(({ gap, points }) => {
        x += gap;
        let z = -900;
        return {
          xMm: x,
          pointsMm: points.map(({ y, rise }, i) => {
            z += i === 0 ? 0 : rise;
            return { y: i === points.length - 1 ? Math.max(100, y) : y, z };
          }),
        };
      }),
    );
  });

test("a box floats as by hand: 4 × 2 m, half a metre deep, weighs 4,100 kg of sea water, BM 667 mm, along 2,667 mm", () => {
  const figures = computeHydrostatics(box(4_000, 1_000, -500, 600), 0)!;
  expect(figures.displacementKg).toBeCloseTo(4_100, 3);
  expect(figures.bmMm).toBeCloseTo(2_000 ** 2 / (12 * 500), 1);
  expect(figures.bmAlongMm / (4_000 ** 2 / (12 * 500))).toBeCloseTo(1, 3);
  expect(figures.middleXMm).toBeCloseTo(2_000, 6);
  expect(figures.kgPerCm).toBeCloseTo(82, 3);
});

test("a wedge floats as by hand: half the box's weight, BM B²/6T", () => {
  const wedge = of(
    [0, 2_000, 4_000].map((xMm) => ({
      xMm,
      pointsMm: [
        { y: 0, z: -500 },
        { y: 1_000, z: 0 },
        { y: 1_000, z: 400 },
      ],
    })),
  );
  const figures = computeHydrostatics(wedge, 0)!;
  expect(figures.displacementKg).toBeCloseTo(2_050, 3);
  expect(figures.bmMm).toBeCloseTo(2_000 ** 2 / (6 * 500), 1);
});

test("volumes of lofted sections below any plane are those of a geometry kernel (manifold)", async () => {
  const wasm = await Module();
  wasm.setup();
  let held = 0;
  fc.assert(
    fc.property(
      sections,
      fc.double({ min: -12, max: 12, noNaN: true }),
      fc.double({ min: -5, max: 5, noNaN: true }),
      fc.double({ min: 0.1, max: 0.9, noNaN: true }),
      (hull, rollDeg, pitchDeg, share) => {
        const up = computeUp({ rollDeg, pitchDeg });
        const field = buildHullField(hull, up);
        const level = field.lowestMm + share * (field.highestMm - field.lowestMm);
        const skin = listSkin(hull);
        const key = new Map<string, number>();
        const points: number[] = [];
        const place = ({ x, y, z }: { x: number; y: number; z: number }) => {
          const name = [x, y + 0, z].map((n) => n.toFixed(6)).join(",");
          if (!key.has(name)) {
            key.set(name, key.size);
            points.push(x, y, z);
          }
          return key.get(name)!;
        };
        const corners = skin
          .map((triangle) => triangle.map(place))
          .filter(([a, b, c]) => a !== b && b !== c && a !== c);
        const build = (turned: boolean) =>
          new wasm.Manifold(
            new wasm.Mesh({
              numProp: 3,
              vertProperties: new Float32Array(points),
              triVerts: new Uint32Array(corners.flatMap(([a, b, c]) => (turned ? [a!, c!, b!] : [a!, b!, c!]))),
            }),
          );
        let solid: InstanceType<typeof wasm.Manifold>;
        try {
          solid = build(false);
          if (solid.volume() < 0) solid = build(true);
        } catch {
          // a keel of no width may pinch the skin to a line, which the kernel refuses
          return;
        }
        held += 1;
        const below = solid.trimByPlane([-up.x, -up.y, -up.z], -level);
        const kernelL = below.volume() / 1e6;
        expect(Math.abs(measureVolumeBelowL(field, level) - kernelL)).toBeLessThanOrEqual(1e-3 * Math.max(1, kernelL));
        expect(Math.abs(field.capacityL - solid.volume() / 1e6)).toBeLessThanOrEqual(1e-3 * field.capacityL);
      },
    ),
    { numRuns: 60 },
  );
  expect(held).toBeGreaterThan(15);
});

test("port and starboard are mirrors, and more water line is more weight", () => {
  fc.assert(
    fc.property(
      sections,
      fc.double({ min: -10, max: 10, noNaN: true }),
      fc.double({ min: -800, max: 200, noNaN: true }),
      (hull, rollDeg, z) => {
        const [one, other] = [rollDeg, -rollDeg].map((roll) =>
          buildHullField(hull, computeUp({ rollDeg: roll, pitchDeg: 0 })),
        );
        expect(measureVolumeBelowL(one!, z)).toBeCloseTo(measureVolumeBelowL(other!, z), 4);
        expect(measureVolumeBelowL(one!, z + 50)).toBeGreaterThanOrEqual(measureVolumeBelowL(one!, z) - 1e-9);
      },
    ),
    { numRuns: 40 },
  );
});

test("blocks of the hull stand inside her skin: nothing that is clear of them reaches through it", () => {
  fc.assert(
    fc.property(
      sections,
      fc.double({ min: 0.02, max: 0.98, noNaN: true }),
      fc.double({ min: 0.02, max: 0.98, noNaN: true }),
      (hull, along, up) => {
        const blocks = listHullBlocks(hull);
        expect(blocks.length).toBeLessThanOrEqual(120);
        expect(new Set(blocks.map(({ id }) => id)).size).toBe(blocks.length);
        const [first, last] = [hull.sections[0]!.xMm, hull.sections.at(-1)!.xMm];
        const x = first + along * (last - first);
        const section = sectionAt(hull, x)!;
        const z = section[0]!.z + up * (section.at(-1)!.z - section[0]!.z);
        const half = findHalfBreadthMm(hull, x, z);
        if (half === null) return;
        // a point in the skin lies in a block
        const y = half + 1;
        const isHeld = blocks.some(
          ({ atMm, lengthMm, widthMm, heightMm }) =>
            x >= atMm.x - 1 &&
            x <= atMm.x + lengthMm + 1 &&
            y >= atMm.y &&
            y <= atMm.y + widthMm &&
            z >= atMm.z - 1 &&
            z <= atMm.z + heightMm + 1,
        );
        expect([x, z, isHeld]).toEqual([x, z, true]);
      },
    ),
    { numRuns: 60 },
  );
});

test("off her ends, under her keel and over her sheer she is not", () => {
  const hull = box(4_000, 1_000, -500, 600);
  expect(findHalfBreadthMm(hull, -1, 0)).toBeNull();
  expect(findHalfBreadthMm(hull, 4_001, 0)).toBeNull();
  expect(findHalfBreadthMm(hull, 100, -501)).toBeNull();
  expect(findHalfBreadthMm(hull, 100, 601)).toBeNull();
  expect(findHalfBreadthMm(hull, 100, 0)).toBeCloseTo(1_000, 9);
  expect(findLowestSheerMm(hull)).toBe(600);
  expect(computeHydrostatics(hull, -600)).toBeNull();
  expect(buildHullField(hull, vec(0, 0, 1)).capacityL).toBeCloseTo(8_800, 6);
});

test("with her tanks full and in fresh water she lies deeper by what she has to displace more, never less", () => {
  const setzkasten = readDemo("setzkasten");
  const { rig, tanks } = setzkasten;
  const litresAt = (by: number) => measureVolumeBelowL(buildHullField(rig.hull!, vec(0, 0, 1)), rig.waterlineZMm! + by);
  const seaKg = litresAt(0) * 1.025;
  const kg = tanks.reduce((sum, tank) => sum + computeFullKg(tank), 0);
  for (const [has, weighsKg] of [
    [tanks, seaKg + kg],
    [[], seaKg],
  ] as const) {
    const sinkMm = measureLoadedSinkMm({ rig, tanks: [...has] })!;
    // exactly: where fresh water of what she weighs then is put aside
    const wantedL = weighsKg / 0.998;
    expect(litresAt(sinkMm)).toBeGreaterThanOrEqual(wantedL * 0.999);
    expect(litresAt(sinkMm)).toBeLessThan(wantedL * 1.05);
    expect(sinkMm).toBeGreaterThan(0);
    expect(sinkMm).toBeLessThan(200);
  }
  // a box of 4 × 2 m, 0.5 m deep: 4,000 L at sea are 4,108 L of fresh water, over 8 m²
  const barge = { ...rig, hull: box(4_000, 1_000, -500, 500), waterlineZMm: 0 };
  expect(measureLoadedSinkMm({ rig: barge, tanks: [] })).toBeCloseTo((4_000 * (1.025 / 0.998 - 1)) / 8, 1);
  expect(measureLoadedSinkMm(readDemo("kranich"))).toBeNull();
});
