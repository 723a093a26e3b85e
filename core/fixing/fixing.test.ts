import fc from "fast-check";
import { readDemo } from "@/tests/demoRigs";
import { SAMPLE_FIXING } from "@/tests/sampleFixing";
import { BOLT_SIZES, FASTENERS, FIXING_KINDS, type Fixing } from "../design/plumbing";
import { CRASH_CLASSES, type CrashClass } from "../design/rig";
import { computeBoltGroup, type GroupLoad } from "./boltGroup";
import { findBoltHoleMm, findBoltTorqueNm } from "./boltWork";
import { computeBolt, computeFixing, computeUtilisation, listLoadCases, slidesOut } from "./fixing";

const tank = readDemo("kranich").tanks[0]!;
const ratings = fc.option(fc.integer({ min: 1, max: 30 }));
const fixings: fc.Arbitrary<Fixing> = fc.record({
  kind: fc.constantFrom(...FIXING_KINDS),
  fastener: fc.constantFrom(...FASTENERS),
  bolts: fc.integer({ min: 4, max: 12 }),
  size: fc.constantFrom(...BOLT_SIZES),
  placesMm: fc.constant(null),
  heldKN: ratings,
  heldShearKN: ratings,
  heldFactor: fc.double({ min: 1, max: 4, noNaN: true }),
  strapKN: ratings,
  hasPlate: fc.boolean(),
  hasEndStop: fc.boolean(),
});
const van = (crashClass: CrashClass) => ({ kind: "van", crashClass }) as const;
const casesOf = (fixing: Fixing, crash: CrashClass) => computeFixing(tank, fixing, van(crash))!;

// Published: EN 1993-1-8 with ISO 898-1, from memory; the figures of the trade's handbook.
test("M8 8.8 bears 14.05 kN in shear and 21.08 in tension; 5 and 4 together use 0.491 of it", () => {
  const bolt = computeBolt("M8");
  expect(bolt.shearKN).toBeCloseTo(14.05, 2);
  expect(bolt.tensionKN).toBeCloseTo(21.08, 2);
  expect(computeUtilisation(bolt, 5, 4)).toBeCloseTo(0.491, 3);
});

test("four bolts at ±300, ±200: 4 kN hang, 1 kN forward 100 mm below them pulls 1.083 kN at the rear, worked by hand", () => {
  const places = [300, -300].flatMap((x) => [200, -200].map((y) => ({ x, y })));
  const load = { pushXKN: 1, pushYKN: 0, pullKN: 4, at: { x: 0, y: 0 }, leverMm: 100 };
  const bolts = computeBoltGroup(places, load).bolts!;
  expect(bolts.map(({ tensionKN }) => tensionKN).sort()).toEqual([
    expect.closeTo(0.91667, 4),
    expect.closeTo(0.91667, 4),
    expect.closeTo(1.08333, 4),
    expect.closeTo(1.08333, 4),
  ]);
  expect(bolts.every(({ shearKN }) => Math.abs(shearKN - 0.25) < 1e-12)).toBe(true);
});

const place = fc.record({ x: fc.integer({ min: -900, max: 900 }), y: fc.integer({ min: -600, max: 600 }) });
const kN = fc.double({ min: -20, max: 20, noNaN: true });
const loads: fc.Arbitrary<GroupLoad> = fc.record({
  pushXKN: kN,
  pushYKN: kN,
  // so much that no bolt is pressed, so that all of them stand in the equations
  pullKN: fc.constant(5_000),
  at: place,
  leverMm: fc.integer({ min: 0, max: 400 }),
});

// Least work of a stiff plate on equal springs: the forces that fulfil the six equations with the least sum of squares,
// by a general solver (Gauss with pivoting) on A Aᵀ. Common practice of statics, no source.
test("any pattern, askew too: pulls and shears are those of equilibrium with least work", () => {
  fc.assert(
    fc.property(fc.uniqueArray(place, { minLength: 3, maxLength: 9 }), loads, (places, load) => {
      const group = computeBoltGroup(places, load);
      const pull = leastWork(
        [places.map(() => 1), places.map(({ x }) => x), places.map(({ y }) => y)],
        [
          load.pullKN,
          load.pullKN * load.at.x - load.pushXKN * load.leverMm,
          load.pullKN * load.at.y - load.pushYKN * load.leverMm,
        ],
      );
      fc.pre(pull !== null && group.bolts !== null && pull.every((force) => force >= 0));
      group.bolts!.forEach(({ tensionKN }, i) => {
        expect(tensionKN).toBeCloseTo(pull![i]!, 5);
      });
      const shear = leastWork(
        [
          [...places.map(() => 1), ...places.map(() => 0)],
          [...places.map(() => 0), ...places.map(() => 1)],
          [...places.map(({ y }) => -y), ...places.map(({ x }) => x)],
        ],
        [load.pushXKN, load.pushYKN, load.at.x * load.pushYKN - load.at.y * load.pushXKN],
      )!;
      group.bolts!.forEach(({ shearKN }, i) => {
        expect(shearKN).toBeCloseTo(Math.hypot(shear[i]!, shear[places.length + i]!), 5);
      });
    }),
    { numRuns: 200 },
  );
});

function leastWork(rows: readonly (readonly number[])[], wanted: readonly number[]): number[] | null {
  const n = rows.length;
  const m = rows.map((a, i) => [...rows.map((b) => a.reduce((sum, v, k) => sum + v * b[k]!, 0)), wanted[i]!]);
  for (let c = 0; c < n; c++) {
    const pivot = m.slice(c).reduce((best, row, k) => (Math.abs(row[c]!) > Math.abs(m[best]![c]!) ? c + k : best), c);
    [m[c], m[pivot]] = [m[pivot]!, m[c]!];
    if (Math.abs(m[c]![c]!) < 1e-3) return null;
    for (let r = 0; r < n; r++) {
      if (r === c) continue;
      const k = m[r]![c]! / m[c]![c]!;
      for (let j = c; j <= n; j++) m[r]![j]! -= k * m[c]![j]!;
    }
  }
  const by = m.map((row, i) => row[n]! / row[i]!);
  return rows[0]!.map((_, k) => rows.reduce((sum, row, i) => sum + row[k]! * by[i]!, 0));
}

test("one bolt, and bolts in one line across a push, hold nothing: null and never NaN", () => {
  const push = { pushXKN: 1, pushYKN: 0, pullKN: 1, at: { x: 0, y: 0 }, leverMm: 50 };
  expect(computeBoltGroup([{ x: 0, y: 0 }], push).bolts).toBeNull();
  const row = [-200, 0, 200].map((y) => ({ x: 0, y }));
  expect(computeBoltGroup(row, push).bolts).toBeNull();
  expect(computeBoltGroup(row, { ...push, pushXKN: 0, pushYKN: 1 }).bolts).not.toBeNull();
  expect(computeFixing(tank, { ...SAMPLE_FIXING, bolts: 1 }, van("none"))).toBeNull();
  expect(computeFixing(tank, { ...SAMPLE_FIXING, placesMm: row, bolts: 3 }, van("m1n1"))).toBeNull();
});

test("every case of the class is reckoned; more bolts never use more of the worst", () => {
  fc.assert(
    fc.property(fixings, fc.constantFrom(...CRASH_CLASSES), (fixing, crash) => {
      // rows of two and more, even, so that the pattern keeps its middle
      const even = { ...fixing, bolts: fixing.bolts - (fixing.bolts % 2) };
      const once = casesOf(even, crash);
      expect(once.map(({ load }) => load.id)).toEqual(listLoadCases(van(crash)).map(({ id }) => id));
      const more = casesOf({ ...even, bolts: even.bolts * 2 }, crash);
      once.forEach((result, i) => {
        expect(Number.isFinite(result.utilisation)).toBe(true);
        expect(more[i]!.utilisation).toBeLessThanOrEqual(result.utilisation + 1e-9);
      });
    }),
  );
});

test("braking into a bend takes more than either alone", () => {
  const [braking, cornering, road] = casesOf({ ...SAMPLE_FIXING, kind: "brackets" }, "none");
  expect(road!.load.id).toBe("road");
  expect(road!.utilisation).toBeGreaterThan(Math.max(braking!.utilisation, cornering!.utilisation));
});

test("what pulls scales with the mass: a tank twice as long pulls twice as hard on the track", () => {
  const of = (lengthMm: number) =>
    computeFixing(
      { ...tank, wallMm: 0.5, solid: { shape: "box", lengthMm, widthMm: 450, heightMm: 190 } },
      SAMPLE_FIXING,
      van("m1n1"),
    )!.find(({ load }) => load.id === "track")!;
  // the track case only pulls down: three times the weight, shared by four
  expect(of(800).tensionKN / of(400).tensionKN).toBeGreaterThan(1.98);
  expect(of(800).tensionKN / of(400).tensionKN).toBeLessThan(2.001);
});

test("the weakest is named: strap, what the bolt sits in, or the bolt", () => {
  const crash = (fixing: Partial<Fixing>) =>
    casesOf({ ...SAMPLE_FIXING, bolts: 6, ...fixing }, "m1n1").find(({ load }) => load.id === "crashForward")!;
  expect(crash({ fastener: "rivetNut", size: "M10", strapKN: 0.3 }).weakest).toBe("strap");
  expect(crash({ kind: "brackets", heldKN: 2, heldShearKN: 2 }).weakest).toBe("held");
  expect(crash({ kind: "brackets", heldKN: 90, heldShearKN: 90 }).weakest).toBe("bolt");
  expect(crash({ kind: "brackets" }).weakest).toBeNull();
  // brackets have no strap
  expect(crash({ kind: "brackets", strapKN: 0.01, heldKN: 90, heldShearKN: 90 }).weakest).toBe("bolt");
});

test("a factor on the ratings counts as if they were so much less", () => {
  fc.assert(
    fc.property(fc.double({ min: 1, max: 5, noNaN: true }), (heldFactor) => {
      const whole = casesOf({ ...SAMPLE_FIXING, heldKN: 6, heldShearKN: 4, heldFactor }, "m1n1");
      const less = casesOf({ ...SAMPLE_FIXING, heldKN: 6 / heldFactor, heldShearKN: 4 / heldFactor }, "m1n1");
      whole.forEach((one, i) => {
        expect(one.ofHeld).toBeCloseTo(less[i]!.ofHeld!, 9);
      });
    }),
  );
});

test("straps without an end stop let the tank slide under braking already; brackets do not", () => {
  expect(slidesOut(SAMPLE_FIXING, van("none"))).toBe(true);
  expect(slidesOut({ ...SAMPLE_FIXING, hasEndStop: true }, van("m1n1"))).toBe(false);
  expect(slidesOut({ ...SAMPLE_FIXING, kind: "brackets" }, van("m1n1"))).toBe(false);
});

test("a bolt goes through a hole wider than itself, a rivet nut wants a wider one, and only a through bolt has a torque of its own", () => {
  const sizes = { M6: 6, M8: 8, M10: 10, M12: 12 } as const;
  for (const [size, mm] of Object.entries(sizes) as ["M6", number][]) {
    const through = findBoltHoleMm({ fastener: "through", size })!;
    const nut = findBoltHoleMm({ fastener: "rivetNut", size })!;
    expect([through > mm, through <= mm * 1.15, nut > through]).toEqual([true, true, true]);
    expect(findBoltHoleMm({ fastener: "selfTapping", size })).toBeNull();
    // T = 0.2 F d with the bolt pulled to some 50 to 90 % of its proof load. Source: common practice for dry steel, from memory
    const proofKN = { M6: 11.6, M8: 21.2, M10: 33.7, M12: 48.9 }[size];
    const share = findBoltTorqueNm({ fastener: "through", size })! / (0.2 * proofKN * mm);
    expect([share > 0.5, share < 0.9]).toEqual([true, true]);
    expect(findBoltTorqueNm({ fastener: "rivetNut", size })).toBeNull();
  }
});
