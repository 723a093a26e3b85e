import fc from "fast-check";
import { designs, mirrorDesign } from "@/tests/arbitraries";
import { readDemo } from "@/tests/demoRigs";
import { computeUp } from "../attitude/attitude";
import { measureSignedArea } from "../geometry/polygon";
import { dot, vec } from "../geometry/vec";
import { layOutTankRear, projectRear, unprojectRear } from "./rearView";

const rolls = fc.double({ min: -20, max: 20, noNaN: true });
const spot = fc.double({ min: -3000, max: 3000, noNaN: true });

test("heights from behind are true heights, and a pull goes back to where it came from", () => {
  fc.assert(
    fc.property(rolls, spot, spot, (rollDeg, y, z) => {
      const p = projectRear(vec(500, y, z), rollDeg);
      expect(p.v).toBeCloseTo(dot(computeUp({ pitchDeg: 0, rollDeg }), vec(0, y, z)), 6);
      const back = unprojectRear(p, rollDeg);
      expect(back.y).toBeCloseTo(y, 6);
      expect(back.z).toBeCloseTo(z, 6);
    }),
  );
});

test("a mirrored rig looks mirrored from behind", () => {
  fc.assert(
    fc.property(designs, rolls, (design, rollDeg) => {
      const one = layOutTankRear(design.tanks[0]!, rollDeg, 20);
      const other = layOutTankRear(mirrorDesign(design).tanks[0]!, -rollDeg, 20);
      expect(Math.abs(measureSignedArea(other.water))).toBeCloseTo(Math.abs(measureSignedArea(one.water)), 3);
      expect(Math.max(...other.outline.map((p) => p.u))).toBeCloseTo(-Math.min(...one.outline.map((p) => p.u)), 6);
    }),
  );
});

test("the water drawn is the water there is: its area times the tank's length", () => {
  const tank = readDemo("kranich").tanks[0]!;
  const { water } = layOutTankRear(tank, 2, 25);
  const lengthMm = tank.solid.shape === "box" ? tank.solid.lengthMm : 0;
  expect((Math.abs(measureSignedArea(water)) * lengthMm) / 1e6).toBeCloseTo(25, 2);
});
