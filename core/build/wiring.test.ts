import fc from "fast-check";
import { LOOP_NAMES, readDemo } from "@/tests/demoRigs";
import { type Load, listLoads, listWires, type Supply, sizeWire } from "./wiring";

const at = (x: number): Load => ({ id: "a", name: "Pump", watts: 70, atMm: { x, y: 0, z: 0 }, isOutside: false });
const supply: Supply = { volts: 12, boxMm: { x: 0, y: 0, z: 0 }, dropShare: 0.03 };

// Worked by hand: 2 × 5 m × 0.0192 × 5.83 A / 0.36 V = 3.11 mm².
test("70 W at 12 V over 5 m at 3 %: 5.83 A, 3.11 mm², so 4 mm² and 7.5 A", () => {
  const wire = sizeWire(at(5_000 / 1.15), supply);
  expect(wire.amps).toBeCloseTo(5.833, 3);
  expect(wire.lengthMm).toBeCloseTo(5_000, 6);
  expect(wire.leastMm2).toBeCloseTo(3.11, 2);
  expect(wire).toMatchObject({ sizeMm2: 4, fuseA: 7.5, wantsRelay: false });
});

test("the drop is kept, the fuse never lets through more than the cable bears, 24 V never wants more copper", () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 600 }), fc.integer({ min: 100, max: 12_000 }), (watts, x) => {
      const wire = sizeWire({ ...at(x), watts }, supply);
      const high = sizeWire({ ...at(x), watts }, { ...supply, volts: 24 });
      expect(high.leastMm2).toBeLessThan(wire.leastMm2);
      if (wire.sizeMm2 === null) return expect(wire.fuseA).toBeNull();
      expect(wire.dropShare).toBeLessThanOrEqual(supply.dropShare + 1e-9);
      expect(wire.fuseA!).toBeGreaterThanOrEqual(wire.amps * 1.25 - 1e-9);
      if (high.sizeMm2 !== null) expect(high.sizeMm2).toBeLessThanOrEqual(wire.sizeMm2);
    }),
  );
});

test("every pump and lamp of a loop has its cable, a tank under a cold floor its pad", () => {
  for (const name of LOOP_NAMES) {
    const design = readDemo(name);
    const ids = listLoads(design).map(({ id }) => id);
    for (const { id, spec } of design.gear)
      if (spec.kind === "pump" || spec.kind === "uvLamp") expect(ids).toContain(id);
    expect(listWires(design, supply).every(({ lengthMm, amps }) => lengthMm > 0 && amps > 0)).toBe(true);
  }
  expect(listLoads(readDemo("kranich")).map(({ id }) => id)).toEqual(["pad-grey"]);
  // whatever it holds, fresh water freezes no later; inside it is warm
  const pads = listLoads(readDemo("kranich-loop")).filter(({ id }) => id.startsWith("pad-"));
  expect(pads.map(({ id }) => id)).toEqual(readDemo("kranich-loop").tanks.map(({ id }) => `pad-${id}`));
  const inside = readDemo("kranich").tanks.map((tank) => ({ ...tank, atMm: { ...tank.atMm, z: 0 } }));
  expect(listLoads({ ...readDemo("kranich"), tanks: inside })).toEqual([]);
});
