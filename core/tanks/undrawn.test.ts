import fc from "fast-check";
import { readDemo } from "@/tests/demoRigs";
import { computeUp, LEVEL } from "../attitude/attitude";
import type { Design } from "../design/design";
import type { Port, Tank } from "../design/plumbing";
import { evaluate } from "../evaluate/evaluate";
import { computeUndrawnL } from "./undrawn";

const port = (kind: Port["kind"], x: number, z: number, boreMm: number): Port => ({
  id: `${kind}-${x}-${z}`,
  kind,
  atMm: { x, y: 225, z },
  boreMm,
  thread: null,
  fittingMm: 0,
  valve: null,
});

const base = readDemo("otter-heads");
const fresh = base.tanks.find(({ holds }) => holds === "fresh")!;
const box = (ports: readonly Port[]): Tank => ({
  ...fresh,
  atMm: { x: 0, y: 0, z: 0 },
  solid: { shape: "box", lengthMm: 800, widthMm: 450, heightMm: 200 },
  link: null,
  ports: [...ports],
});
const undrawn = (tank: Tank, up = computeUp(LEVEL)): number => computeUndrawnL({ tanks: [tank], lines: [] }, tank, up);

test("level, all below the crown of the hole stays: 800 × 450 mm times 39 mm", () => {
  expect(undrawn(box([port("draw", 0, 20, 19)]))).toBeCloseTo(0.8 * 0.45 * 39, 9);
  // of two holes the one that falls dry first
  expect(undrawn(box([port("draw", 0, 20, 19), port("draw", 800, 60, 10)]))).toBeCloseTo(0.8 * 0.45 * 70, 9);
  expect(undrawn(box([port("outlet", 0, 15, 19)]))).toBeCloseTo(0.8 * 0.45 * 15, 9);
  expect(undrawn(box([port("vent", 0, 200, 19)]))).toBe(0);
});

test("tilted, a wedge lies on the side the hole is not on: exact, by hand", () => {
  // nose up 2°: the hole at the front, x = 800, is the higher end, and the water stands deeper at the rear
  const pitch = 2;
  const t = Math.tan((pitch * Math.PI) / 180);
  const deepAtRear = 39 + 800 * t;
  const tank = box([port("draw", 800, 39, 0.0001)]);
  // the section is a trapezium from 39 mm at the hole to so much at the rear
  const litres = (0.45 * 0.8 * (39 + deepAtRear)) / 2;
  expect(undrawn(tank, computeUp({ pitchDeg: -pitch, rollDeg: 0 }))).toBeCloseTo(litres, 1);
});

test("what can be drawn and what cannot are never more than the tank, wherever the rig stands", () => {
  fc.assert(
    fc.property(
      fc.double({ min: -8, max: 8, noNaN: true }),
      fc.double({ min: -8, max: 8, noNaN: true }),
      fc.integer({ min: 0, max: 150 }),
      fc.constantFrom(0, 400, 800),
      (pitchDeg, rollDeg, z, x) => {
        const tank = {
          ...fresh,
          ports: [...fresh.ports.filter(({ kind }) => kind !== "draw"), port("draw", x, z, 19)],
        };
        const design: Design = {
          ...base,
          tanks: base.tanks.map((one) => (one.id === fresh.id ? tank : one)),
          lines: base.lines.filter(({ kind }) => kind !== "hose"),
        };
        const { tanks, balance } = evaluate(design, { pitchDeg, rollDeg });
        const result = tanks.find(({ tankId }) => tankId === fresh.id)!;
        expect(result.usableHereL + result.undrawnL!.here).toBeLessThanOrEqual(
          Math.max(result.here.litres, result.undrawnL!.here) + 1e-6,
        );
        expect(result.usableWorstL).toBeLessThanOrEqual(result.usableLevelL + 1e-6);
        const store = balance.stores.find(({ holds }) => holds === "fresh")!;
        const cans = design.habits.vessels.reduce((sum, one) => (one.holds === "fresh" ? sum + one.litres : sum), 0);
        expect(store.roomL.here).toBeCloseTo(result.usableHereL + cans, 9);
        expect(store.undrawnL).toBeCloseTo(result.undrawnL!.here, 9);
      },
    ),
    { numRuns: 60 },
  );
});
