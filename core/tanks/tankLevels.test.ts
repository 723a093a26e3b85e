import fc from "fast-check";
import { attitudes, networks } from "@/tests/arbitraries";
import { readDemo } from "@/tests/demoRigs";
import { computeUp, LEVEL } from "../attitude/attitude";
import { createDesign, USUAL_MEASURES } from "../design/createDesign";
import { createPort } from "../design/createPort";
import type { Design } from "../design/design";
import { withTrap } from "../design/lineItems";
import type { Port, Tank } from "../design/plumbing";
import { USUAL_TRAPS } from "../design/usualTraps";
import { buildNetwork } from "../falls/network";
import { vec } from "../geometry/vec";
import { listOpenings } from "./openings";
import { computeLeftBehindL, computeTankFull, listDrownings } from "./tankLevels";

const openingsOf = (design: Design, tank: Tank) => listOpenings(design, buildNetwork(design), tank);

const noseDown = computeUp({ pitchDeg: 3, rollDeg: 0 });
const design: Design = createDesign("t", "T", "van", USUAL_MEASURES.van);

function createTank(ports: Port[]): Tank {
  return { ...design.tanks[0]!, solid: { shape: "box", lengthMm: 800, widthMm: 400, heightMm: 200 }, ports };
}
const port = (id: string, kind: Port["kind"], x: number, z: number): Port =>
  createPort({ id, kind, atMm: vec(x, 200, z), boreMm: 19 });

// Worked by hand: box 800 × 400 × 200, nose down 3°, vent at the low end, outlet at the high end's bottom edge.
test("64 L box nose down 3°: full at 57.29 L by its vent, 6.71 L left behind, 50.58 L usable", () => {
  const tank = createTank([port("vent", "vent", 800, 200), port("dump", "outlet", 0, 0)]);
  const full = computeTankFull(tank, openingsOf(design, tank), noseDown);
  expect(full).toMatchObject({ by: "vent", openingId: "vent" });
  expect(full.litres).toBeCloseTo(57.29, 2);
  expect(computeLeftBehindL(tank, noseDown)).toBeCloseTo(6.71, 2);
  expect(full.litres - computeLeftBehindL(tank, noseDown)!).toBeCloseTo(50.58, 2);
});

test("the inlet ends the filling before a higher vent; a low sink ends it before both", () => {
  const tank = createTank([port("in", "inlet", 400, 150), port("vent", "vent", 400, 200)]);
  expect(computeTankFull(tank, openingsOf(design, tank), computeUp({ pitchDeg: 0, rollDeg: 0 })).by).toBe("inlet");
  const low = { ...design, fixtures: [{ ...design.fixtures[0]!, outletMm: vec(2300, 0, tank.atMm.z + 100) }] };
  const full = computeTankFull(tank, openingsOf(low, tank), computeUp({ pitchDeg: 0, rollDeg: 0 }));
  expect(full).toMatchObject({ by: "fixture", openingId: "sink" });
  expect(full.litres).toBeCloseTo(32, 6);
});

test("a tank without an outlet leaves behind nobody knows what", () => {
  expect(computeLeftBehindL(createTank([]), noseDown)).toBeNull();
});

test("the first opening to drown is the one that makes the tank full, and each later one takes more", () => {
  fc.assert(
    fc.property(networks, attitudes, (design, attitude) => {
      const tank = design.tanks[0]!;
      const up = computeUp(attitude);
      const openings = openingsOf(design, tank);
      const drownings = listDrownings(tank, openings, up);
      const full = computeTankFull(tank, openings, up);
      expect(drownings).toHaveLength(openings.length);
      if (full.by === "top")
        expect(drownings.every(({ litres }) => litres === null || litres >= full.litres - 1e-9)).toBe(true);
      else expect(drownings[0]!.litres).toBeCloseTo(full.litres, 9);
      const known = drownings.flatMap(({ litres }) => (litres === null ? [] : [litres]));
      expect(known).toEqual([...known].sort((a, b) => a - b));
    }),
    { numRuns: 60 },
  );
});

test("a membrane valve holds the tank back up to its rated head, and no further", () => {
  const kranich = readDemo("kranich");
  const rate = (heldMm: number): Design => ({
    ...kranich,
    fixtures: kranich.fixtures.map((f) => ({ ...f, outletMm: { ...f.outletMm, z: -220 } })),
    lines: kranich.lines.map((line) => (line.kind === "drain" ? withTrap(line, USUAL_TRAPS.membrane) : line)),
    rules: { ...kranich.rules, limits: { backHead: heldMm } },
  });
  const fullOf = (design: Design) =>
    computeTankFull(design.tanks[0]!, openingsOf(design, design.tanks[0]!), computeUp(LEVEL));
  expect(fullOf(rate(0)).by).toBe("fixture");
  expect(fullOf(rate(30)).litres).toBeGreaterThan(fullOf(rate(0)).litres);
  expect(fullOf(rate(500)).by).not.toBe("fixture");
});
