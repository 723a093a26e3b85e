import fc from "fast-check";
import { attitudes } from "@/tests/arbitraries";
import { readDemo } from "@/tests/demoRigs";
import { createPort } from "../design/createPort";
import type { Rig } from "../design/rig";
import { vec } from "../geometry/vec";
import { measureAbovePortL } from "./abovePort";

const kranich = readDemo("kranich");
const solid = { shape: "box" as const, lengthMm: 800, widthMm: 400, heightMm: 200 };
const ports = [0, 50, 200].map((z) => createPort({ id: `at-${z}`, kind: "outlet", atMm: vec(0, 200, z), boreMm: 19 }));
const tank = { ...kranich.tanks[0]!, solid, ports };
const level: Rig = {
  ...kranich.rig,
  envelope: { noseDownDeg: 0, noseUpDeg: 0, leftLowDeg: 0, rightLowDeg: 0 },
  standings: [],
};

// A box of 800 × 400 × 200 mm holds 64 L; anybody can work out what stands over a height of it.
test("level, what runs out of a full tank by a port is what stands over it; by one nobody knows, all of it", () => {
  const out = (portId: string) => measureAbovePortL({ rig: level }, tank, portId);
  expect(out("at-0")).toBeCloseTo(64, 6);
  expect(out("at-50")).toBeCloseTo(48, 6);
  expect(out("at-200")).toBeCloseTo(0, 6);
  expect(out("gone")).toBeCloseTo(64, 6);
});

test("however else it may stand, no less runs out, and never more than it holds", () => {
  fc.assert(
    fc.property(attitudes, (attitude) => {
      const rig = { ...level, standings: [{ id: "s", name: "Slope", attitude }] };
      for (const { id, atMm } of ports) {
        const litres = measureAbovePortL({ rig }, tank, id);
        expect(litres).toBeGreaterThanOrEqual(64 * (1 - atMm.z / 200) - 1e-6);
        expect(litres).toBeLessThanOrEqual(64 + 1e-6);
      }
    }),
    { numRuns: 30 },
  );
});
