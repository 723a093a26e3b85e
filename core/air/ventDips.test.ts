import fc from "fast-check";
import { attitudes } from "@/tests/arbitraries";
import { DEMO_NAMES, readDemo } from "@/tests/demoRigs";
import { type Attitude, LEVEL, mirrorAttitude } from "../attitude/attitude";
import { toNodes } from "../design/nodes";
import type { Tank, Vent } from "../design/plumbing";
import { type Vec3, vec } from "../geometry/vec";
import { findVentDip } from "./ventDips";
import { buildVentPath } from "./ventPath";

const kranich = readDemo("kranich");
const tank = kranich.tanks[0]!;
const vent = kranich.lines.find((line): line is Vent => line.kind === "vent")!;
const route = (...pointsMm: Vec3[]): Vent => ({ ...vent, pointsMm: toNodes(pointsMm) });
/** The dip of a breather of that tank, which stands alone. */
const dipOf = (of: Tank, line: Vent, at: readonly Attitude[]) =>
  findVentDip(buildVentPath({ ...kranich, tanks: [of], lines: [line] }, line), at);
const foot = vec(tank.atMm.x + 400, tank.atMm.y + 225, tank.atMm.z + 190);

const portZ = tank.ports.find((port) => port.id === vent.fromPort)!.atMm.z;

const points = fc.array(
  fc.record({
    x: fc.double({ min: 0, max: 3000, noNaN: true }),
    y: fc.double({ min: -900, max: 900, noNaN: true }),
    z: fc.double({ min: -400, max: 1500, noNaN: true }),
  }),
  { minLength: 1, maxLength: 6 },
);

test("a loop under the floor holds water as deep as its lower side is high", () => {
  const dip = dipOf(tank, route(vec(foot.x, 600, -110), vec(foot.x, 700, -200), vec(foot.x, 800, 900)), [LEVEL]);
  expect(dip).toMatchObject({ point: 1, attitude: LEVEL });
  // from the point before it, 110 below the floor, down to 200
  expect(dip!.deepMm).toBeCloseTo(Math.max(-110, tank.atMm.z + portZ) + 200, 6);
});

test("one that rises all the way has none level, and may get one by tilting", () => {
  const rising = route(vec(foot.x, foot.y + 600, foot.z + 20), vec(foot.x, foot.y + 600, 900));
  expect(dipOf(tank, rising, [LEVEL])).toBeNull();
  expect(dipOf(tank, rising, [LEVEL, { pitchDeg: 0, rollDeg: -8 }])).not.toBeNull();
});

test("seen in a mirror the dips are as deep, and more standings never make the deepest less", () => {
  const flip = ({ x, y, z }: Vec3): Vec3 => ({ x, y: -y, z });
  fc.assert(
    fc.property(points, attitudes, attitudes, (pointsMm, one, other) => {
      const here = dipOf(tank, route(...pointsMm), [one])?.deepMm ?? 0;
      const both = dipOf(tank, route(...pointsMm), [one, other])?.deepMm ?? 0;
      expect(both).toBeGreaterThanOrEqual(here);
      const width = tank.solid.shape === "box" ? tank.solid.widthMm : 0;
      const mirrored = {
        ...tank,
        atMm: { ...tank.atMm, y: -tank.atMm.y - width },
        ports: tank.ports.map((port) => ({ ...port, atMm: { ...port.atMm, y: width - port.atMm.y } })),
      };
      const there = dipOf(mirrored, route(...pointsMm.map(flip)), [mirrorAttitude(one)])?.deepMm ?? 0;
      expect(there).toBeCloseTo(here, 6);
    }),
  );
});

test("no breather of a sample rig that has one dips standing level", () => {
  for (const name of DEMO_NAMES) {
    const design = readDemo(name);
    for (const line of design.lines) {
      if (line.kind === "vent") expect(findVentDip(buildVentPath(design, line), [LEVEL])).toBeNull();
    }
  }
});
