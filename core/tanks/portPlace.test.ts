import { ALL_DEMOS, readDemo } from "@/tests/demoRigs";
import { measureExtent } from "../geometry/solid";
import { listServed, measurePortUpMm } from "./portPlace";

test("which drains come in at an inlet, and how high a port sits", () => {
  for (const design of ALL_DEMOS) {
    for (const tank of design.tanks) {
      for (const port of tank.ports) {
        const served = listServed(design, tank.id, port.id);
        const here = design.lines.filter(({ kind, to }) => {
          return kind === "drain" && to.kind === "inlet" && to.tankId === tank.id && to.portId === port.id;
        });
        expect(served).toEqual(here);
        expect(measurePortUpMm(tank, port)).toBeCloseTo(port.atMm.z - measureExtent(tank.solid).min.z, 9);
      }
    }
  }
});

test("a port's height counts from the lowest corner of its tank, wherever its profile begins", () => {
  const profileMm = [
    { u: 0, v: 30 },
    { u: 400, v: 30 },
    { u: 400, v: 230 },
    { u: 0, v: 230 },
  ];
  const tank = {
    ...readDemo("kranich").tanks[0]!,
    solid: { shape: "prism", axis: "x", lengthMm: 600, profileMm } as const,
  };
  expect(measurePortUpMm(tank, { atMm: { x: 0, y: 0, z: 130 } })).toBe(100);
});
