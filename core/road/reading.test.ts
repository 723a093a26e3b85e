import fc from "fast-check";
import { attitudes } from "@/tests/arbitraries";
import { DEMO_NAMES, FURNISHED, readDemo } from "@/tests/demoRigs";
import { LEVEL } from "../attitude/attitude";
import { measureCapacityL, measureExtent } from "../geometry/solid";
import { computeShownL } from "../tanks/senders";
import { computeReadL } from "./reading";

const tanks = [...DEMO_NAMES, FURNISHED].flatMap((name) => readDemo(name as "kranich").tanks);

test("a stick: dry is empty, wet to the top is full standing level, deeper is more, outside of the tank is no reading", () => {
  for (const tank of tanks) {
    const { min, max } = measureExtent(tank.solid);
    const high = max.z - min.z;
    expect(computeReadL(tank, LEVEL, { as: "dip", depthMm: 0 })).toBeCloseTo(0, 9);
    expect(computeReadL(tank, LEVEL, { as: "dip", depthMm: high })).toBeCloseTo(measureCapacityL(tank.solid), 6);
    expect(computeReadL(tank, LEVEL, { as: "dip", depthMm: high + 1 })).toBeNull();
    expect(computeReadL(tank, LEVEL, { as: "dip", depthMm: Number.NaN })).toBeNull();
  }
  fc.assert(
    fc.property(
      fc.constantFrom(...tanks),
      attitudes,
      fc.double({ min: 0, max: 0.9, noNaN: true }),
      (tank, attitude, share) => {
        const { min, max } = measureExtent(tank.solid);
        const at = (s: number) => computeReadL(tank, attitude, { as: "dip", depthMm: s * (max.z - min.z) })!;
        expect(at(share + 0.1)).toBeGreaterThanOrEqual(at(share) - 1e-9);
      },
    ),
  );
});

test("a stick in the middle of a box half full reads half, however it leans, while no corner is dry or covered", () => {
  // geometry: a plane through the middle of a box halves it
  const box = tanks.find(({ solid }) => solid.shape === "box")!;
  const { min, max } = measureExtent(box.solid);
  const depthMm = (max.z - min.z) / 2;
  for (const attitude of [LEVEL, { pitchDeg: 3, rollDeg: 0 }, { pitchDeg: -2, rollDeg: 4 }]) {
    expect(computeReadL(box, attitude, { as: "dip", depthMm })).toBeCloseTo(measureCapacityL(box.solid) / 2, 6);
  }
});

test("a gauge's mark is what makes the gauge show it; a mark it does not have is no reading", () => {
  for (const [i, bare] of tanks.entries()) {
    const { min, max } = measureExtent(bare.solid);
    const [lowMm, highMm] = [min.z + 30, max.z - 20];
    const kind = (["probes", "float", "pads"] as const)[i % 3]!;
    const sender = { kind, xMm: (min.x + max.x) / 2, yMm: (min.y + max.y) / 2, lowMm, highMm };
    const tank = { ...bare, sender };
    const litres = computeReadL(tank, LEVEL, { as: "mark", index: 0 })!;
    // as much as the mark stands for makes it show that much; a hair less and it shows less
    expect(computeShownL(tank, sender, LEVEL, litres + 1e-6)).toBeCloseTo(litres, 3);
    expect(computeShownL(tank, sender, LEVEL, Math.max(0, litres - 0.5))).toBeLessThanOrEqual(litres);
    expect(computeReadL(tank, LEVEL, { as: "mark", index: 99 })).toBeNull();
  }
  expect(computeReadL({ ...tanks[0]!, sender: null }, LEVEL, { as: "mark", index: 0 })).toBeNull();
});
