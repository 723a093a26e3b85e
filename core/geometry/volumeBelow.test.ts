import fc from "fast-check";
import Module from "manifold-3d";
import { attitudes, prisms } from "@/tests/arbitraries";
import { computeUp } from "../attitude/attitude";
import { computeLevelForVolume } from "./levelForVolume";
import { measureCapacityL, type PrismSolid, type Solid } from "./solid";
import { mirror, type Vec3 } from "./vec";
import { buildHeightField, measureVolumeBelowL } from "./volumeBelow";

const BOX: Solid = { shape: "box", lengthMm: 800, widthMm: 400, heightMm: 200 };
const share = fc.double({ min: 0, max: 1, noNaN: true });

function levelAt(solid: Solid, up: Vec3, at: number): number {
  const { lowestMm, highestMm } = buildHeightField(solid, up);
  return lowestMm + (highestMm - lowestMm) * at;
}

// Worked by hand: a box of 64.0 L, nose down 3°; the water's surface is a plane through the named point.
test("tilted 64 L box: 57.29 L below a vent at the low end, 6.71 L below the high end's bottom edge", () => {
  const up = computeUp({ pitchDeg: 3, rollDeg: 0 });
  const field = buildHeightField(BOX, up);
  const heightAt = (x: number, z: number) => up.x * x + up.z * z;
  expect(field.capacityL).toBeCloseTo(64, 9);
  expect(measureVolumeBelowL(field, heightAt(800, 200))).toBeCloseTo(57.29, 2);
  expect(measureVolumeBelowL(field, heightAt(0, 0))).toBeCloseTo(6.71, 2);
});

test("volume rises with level, from nothing to the capacity", () => {
  fc.assert(
    fc.property(prisms, attitudes, share, share, (solid, attitude, a, b) => {
      const up = computeUp(attitude);
      const field = buildHeightField(solid, up);
      const low = measureVolumeBelowL(field, levelAt(solid, up, Math.min(a, b)));
      const high = measureVolumeBelowL(field, levelAt(solid, up, Math.max(a, b)));
      expect(low).toBeGreaterThanOrEqual(-1e-9);
      expect(high).toBeGreaterThanOrEqual(low - 1e-9 * field.capacityL);
      expect(high).toBeLessThanOrEqual(field.capacityL * (1 + 1e-12));
      expect(field.capacityL).toBeCloseTo(measureCapacityL(solid), 8);
    }),
  );
});

test("the level of a volume gives the volume of the level", () => {
  fc.assert(
    fc.property(prisms, attitudes, share, (solid, attitude, part) => {
      const field = buildHeightField(solid, computeUp(attitude));
      const wanted = field.capacityL * part;
      expect(measureVolumeBelowL(field, computeLevelForVolume(field, wanted))).toBeCloseTo(wanted, 6);
    }),
  );
});

test("what is above one way up is below the other", () => {
  fc.assert(
    fc.property(prisms, attitudes, share, (solid, attitude, at) => {
      const up = computeUp(attitude);
      const down = { x: -up.x, y: -up.y, z: -up.z };
      const level = levelAt(solid, up, at);
      const below = measureVolumeBelowL(buildHeightField(solid, up), level);
      const above = measureVolumeBelowL(buildHeightField(solid, down), -level);
      expect(below + above).toBeCloseTo(measureCapacityL(solid), 6);
    }),
  );
});

test("a mirrored tank at the mirrored attitude holds the same", () => {
  fc.assert(
    fc.property(prisms, attitudes, share, (solid, attitude, at) => {
      if (solid.axis !== "x") return;
      const flipped: PrismSolid = { ...solid, profileMm: solid.profileMm.map((c) => ({ u: -c.u, v: c.v })) };
      const up = computeUp(attitude);
      const level = levelAt(solid, up, at);
      const one = measureVolumeBelowL(buildHeightField(solid, up), level);
      const other = measureVolumeBelowL(buildHeightField(flipped, mirror(up)), level);
      expect(other).toBeCloseTo(one, 7);
    }),
  );
});

// Outside check: the same prisms cut by the same planes in a general geometry kernel (manifold-3d, from the registry).
test("agrees with a general geometry kernel on random prisms and attitudes to 1e-6", async () => {
  const kernel = await Module();
  kernel.setup();
  fc.assert(
    fc.property(prisms, attitudes, share, (solid, attitude, at) => {
      const up = computeUp(attitude);
      const level = levelAt(solid, up, at);
      // the kernel pushes its profile along z: name the axes anew instead of turning the body
      const [u, v, w] =
        solid.axis === "x" ? [up.y, up.z, up.x] : solid.axis === "y" ? [up.x, up.z, up.y] : [up.x, up.y, up.z];
      const outline = new kernel.CrossSection([solid.profileMm.map((c): [number, number] => [c.u, c.v])]);
      const body = outline.extrude(solid.lengthMm);
      const cut = body.trimByPlane([-u, -v, -w], -level);
      const expected = cut.volume() / 1e6;
      for (const thing of [outline, body, cut]) thing.delete();
      const actual = measureVolumeBelowL(buildHeightField(solid, up), level);
      expect(Math.abs(actual - expected)).toBeLessThan(1e-6 * Math.max(1, measureCapacityL(solid)));
    }),
    { numRuns: 150 },
  );
});
