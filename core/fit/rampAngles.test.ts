import fc from "fast-check";
import { designs, mirrorDesign } from "@/tests/arbitraries";
import { readDemo } from "@/tests/demoRigs";
import type { Design } from "../design/design";
import { measureRampAngles } from "./rampAngles";

const kranich = readDemo("kranich");

/** A small box in the middle of a wheelbase, its underside so high over the ground. */
function hang(overGroundMm: number, wheelbaseMm: number, xMm: number): Design {
  const tank = kranich.tanks[0]!;
  const { wallMm } = tank;
  return {
    ...kranich,
    rig: {
      ...kranich.rig,
      axles: [
        { name: "rear", xMm: 0, spareKg: null },
        { name: "front", xMm: wheelbaseMm, spareKg: null },
      ],
    },
    tanks: [
      {
        ...tank,
        solid: { shape: "box", lengthMm: 20, widthMm: 20, heightMm: 20 },
        atMm: { x: xMm - 10, y: 0, z: kranich.rig.groundZMm + overGroundMm + wallMm },
        ports: [],
      },
    ],
    lines: [],
  };
}

// Computed from geometry; the figure of the trade's handbook: 2 atan(2h/wheelbase).
test("180 mm in the middle of 3,640 mm: a ridge of 11.30°", () => {
  const [ridge] = measureRampAngles(hang(180, 3640, 1820), []);
  expect(ridge).toMatchObject({ where: "between", part: { kind: "tank", id: "grey" } });
  expect(ridge!.angleDeg).toBeCloseTo(11.3, 1);
});

test("behind the last axle it is the ramp's own angle, before the first likewise", () => {
  const [behind] = measureRampAngles(hang(200, 3000, -800), []);
  expect(behind!.where).toBe("behind");
  // the far corner touches first
  expect(behind!.angleDeg).toBeCloseTo((Math.atan2(200, 800 + 10 + kranich.tanks[0]!.wallMm) * 180) / Math.PI, 6);
  expect(measureRampAngles(hang(200, 3000, 3900), [])[0]!.where).toBe("before");
});

test("higher is never worse; left and right are alike; a boat has no ramps", () => {
  fc.assert(
    fc.property(fc.integer({ min: 30, max: 400 }), fc.integer({ min: 100, max: 2900 }), (h, x) => {
      const low = measureRampAngles(hang(h, 3000, x), [])[0]!;
      const high = measureRampAngles(hang(h + 10, 3000, x), [])[0]!;
      expect(high.angleDeg).toBeGreaterThan(low.angleDeg);
    }),
  );
  fc.assert(
    fc.property(designs, (design) => {
      const rolling = { ...design, rig: { ...design.rig, kind: "van" as const, axles: kranich.rig.axles } };
      expect(measureRampAngles(mirrorDesign(rolling), [])).toEqual(measureRampAngles(rolling, []));
    }),
  );
  expect(measureRampAngles(readDemo("otter"), [])).toEqual([]);
});
