import fc from "fast-check";
import { readDemo } from "@/tests/demoRigs";
import { BOLT_SIZES, FASTENERS, FIXING_KINDS, type Fixing } from "../design/plumbing";
import { CRASH_CLASSES } from "../design/rig";
import { computeBolt, computeFixing, computeUtilisation, listLoadCases } from "./fixing";

const tank = readDemo("kranich").tanks[0]!;
const fixings: fc.Arbitrary<Fixing> = fc.record({
  kind: fc.constantFrom(...FIXING_KINDS),
  fastener: fc.constantFrom(...FASTENERS),
  bolts: fc.integer({ min: 2, max: 12 }),
  size: fc.constantFrom(...BOLT_SIZES),
  heldKN: fc.option(fc.integer({ min: 1, max: 30 })),
  strapKN: fc.option(fc.integer({ min: 1, max: 30 })),
});

// Published: EN 1993-1-8 with ISO 898-1, from memory; the figures of the trade's handbook.
test("M8 8.8 bears 14.05 kN in shear and 21.08 in tension; 5 and 4 together use 0.491 of it", () => {
  const bolt = computeBolt("M8");
  expect(bolt.shearKN).toBeCloseTo(14.05, 2);
  expect(bolt.tensionKN).toBeCloseTo(21.08, 2);
  expect(computeUtilisation(bolt, 5, 4)).toBeCloseTo(0.491, 3);
});

test("every case of the class is reckoned; more bolts always use less of each", () => {
  fc.assert(
    fc.property(fixings, fc.constantFrom(...CRASH_CLASSES), (fixing, crash) => {
      const once = computeFixing(tank, fixing, crash);
      const cases = listLoadCases(crash);
      expect(once.map(({ load }) => load.id)).toEqual(cases.map(({ id }) => id));
      const more = computeFixing(tank, { ...fixing, bolts: fixing.bolts + 2 }, crash);
      once.forEach((result, i) => {
        expect(result.utilisation).toBeGreaterThan(0);
        expect(more[i]!.utilisation).toBeLessThan(result.utilisation);
        expect(result.weakest === null).toBe(fixing.heldKN === null && result.utilisation === result.ofBolt);
      });
    }),
  );
});

test("what pulls scales with the mass: a tank twice as long pulls twice as hard on the track", () => {
  const fixing: Fixing = { kind: "straps", fastener: "through", bolts: 4, size: "M8", heldKN: null, strapKN: null };
  const of = (lengthMm: number, wallMm: number) =>
    computeFixing(
      { ...tank, wallMm, solid: { shape: "box", lengthMm, widthMm: 450, heightMm: 190 } },
      fixing,
      "m1n1",
    )[2]!;
  // the track case only pulls down: three times the weight, shared by four
  const short = of(400, 0.5);
  const long = of(800, 0.5);
  expect(long.tensionKN / short.tensionKN).toBeGreaterThan(1.98);
  expect(long.tensionKN / short.tensionKN).toBeLessThan(2.001);
});

test("a weak strap is named although what the bolts sit in has no rating", () => {
  const fixing: Fixing = { kind: "straps", fastener: "rivetNut", bolts: 4, size: "M10", heldKN: null, strapKN: 0.3 };
  const crash = computeFixing(tank, fixing, "m1n1").find(({ load }) => load.id === "crashForward")!;
  expect(crash.utilisation).toBeGreaterThan(crash.ofBolt);
  expect(crash.weakest).toBe("strap");
});

test("a weak rivet nut decides before the bolt does, and is named", () => {
  const fixing: Fixing = { kind: "brackets", fastener: "rivetNut", bolts: 6, size: "M8", heldKN: 2, strapKN: null };
  const crash = computeFixing(tank, fixing, "m1n1").find(({ load }) => load.id === "crashForward")!;
  expect(crash.weakest).toBe("held");
  expect(crash.utilisation).toBeGreaterThan(1);
  const strong = computeFixing(tank, { ...fixing, heldKN: 40 }, "m1n1").find(({ load }) => load.id === "crashForward")!;
  expect(strong.weakest).toBe("bolt");
});

test("a weak strap decides before bolts and what they sit in, and is named; brackets have none", () => {
  const fixing: Fixing = { kind: "straps", fastener: "through", bolts: 4, size: "M12", heldKN: 200, strapKN: 1 };
  for (const result of computeFixing(tank, fixing, "none")) {
    expect(result.weakest).toBe("strap");
    expect(result.utilisation).toBeCloseTo(2 * result.tensionKN, 9);
  }
  expect(computeFixing(tank, { ...fixing, kind: "brackets" }, "none")[0]!.weakest).not.toBe("strap");
});
