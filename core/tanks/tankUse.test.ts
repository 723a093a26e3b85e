import fc from "fast-check";
import { attitudes, prisms } from "@/tests/arbitraries";
import { DEMO_NAMES, readDemo } from "@/tests/demoRigs";
import { box, senders, shaped } from "@/tests/tankShapes";
import { computeUp, LEVEL } from "../attitude/attitude";
import { createPort } from "../design/createPort";
import type { Sender } from "../design/plumbing";
import { readNight } from "../frost/night";
import { computeTankFrost, computeWallLoss } from "../frost/tankFrost";
import { measureCapacityL, measureExtent, type Solid } from "../geometry/solid";
import { buildHeightField, measureVolumeBelowL } from "../geometry/volumeBelow";
import { computeTankLoads, listUnplaced, shareByLever } from "./axleLoads";
import { computeDips, listDepths } from "./dipChart";
import { computeEmptying, computeSideFlow } from "./emptying";
import { computeSenderError, computeShownL, findBestPlace } from "./senders";
import { computeEmptyKg, measureSurfaceM2 } from "./shell";

const kranich = readDemo("kranich").tanks[0]!;
const level = computeUp(LEVEL);
const cylinder = fc.record({
  shape: fc.constant("cylinder" as const),
  axis: fc.constantFrom("x" as const, "y" as const, "z" as const),
  lengthMm: fc.integer({ min: 100, max: 1500 }),
  diameterMm: fc.integer({ min: 60, max: 600 }),
});
const outletAt = (x: number, y: number, boreMm: number) =>
  createPort({ id: "dump", kind: "outlet", atMm: { x, y, z: 0 }, boreMm });

test("a round tank holds π d²/4 of its length, lying or standing", () => {
  fc.assert(
    fc.property(cylinder, (solid) => {
      const exactL = ((Math.PI / 4) * solid.diameterMm ** 2 * solid.lengthMm) / 1e6;
      expect(measureCapacityL(solid) / exactL).toBeCloseTo(1, 9);
    }),
  );
});

// Published: the segment of a circle, any book of geometry; half full is half of it.
test("a lying round tank filled to a depth holds the segment of its circle, within a thousandth", () => {
  fc.assert(
    fc.property(fc.integer({ min: 100, max: 600 }), fc.double({ min: 0.05, max: 0.95, noNaN: true }), (d, share) => {
      const solid: Solid = { shape: "cylinder", axis: "x", lengthMm: 1000, diameterMm: d };
      const y = d * share;
      const theta = 2 * Math.acos(1 - (2 * y) / d);
      const exactL = ((d * d) / 8) * (theta - Math.sin(theta)) * 1e-3;
      const field = buildHeightField(solid, level);
      expect(Math.abs(measureVolumeBelowL(field, y) - exactL)).toBeLessThan(0.0015 * measureCapacityL(solid));
    }),
  );
});

test("surface and weight: a box and a cylinder by hand, and twice the wall is twice the weight", () => {
  expect(measureSurfaceM2(box(800, 400, 200))).toBeCloseTo(2 * (0.32 + 0.16 + 0.08), 9);
  const round: Solid = { shape: "cylinder", axis: "z", lengthMm: 500, diameterMm: 300 };
  expect(measureSurfaceM2(round)).toBeCloseTo(2 * (Math.PI / 4) * 0.09 + Math.PI * 0.3 * 0.5, 2);
  const tank = shaped(box(800, 400, 200));
  // 1.12 m² of 6 mm polyethylene at 950 kg/m³
  expect(computeEmptyKg(tank)).toBeCloseTo(6.384, 3);
  expect(computeEmptyKg({ ...tank, wallMm: 12 })).toBeCloseTo(2 * 6.384, 3);
});

test("dip chart: litres never fall with the depth, and end at the whole tank; on the level the place makes no difference", () => {
  fc.assert(
    fc.property(prisms, attitudes, (solid, attitude) => {
      const tank = shaped(solid);
      const { min, max } = measureExtent(solid);
      const middle = { xMm: (min.x + max.x) / 2, yMm: (min.y + max.y) / 2 };
      const dips = computeDips(
        tank,
        computeUp(attitude),
        middle,
        listDepths(max.z - min.z, 20).map((z) => min.z + z),
      );
      for (const [i, dip] of dips.entries()) {
        expect(dip.litres).toBeGreaterThanOrEqual((dips[i - 1]?.litres ?? 0) - 1e-9);
      }
      const corner = computeDips(tank, level, { xMm: min.x, yMm: min.y }, [min.z + 10]);
      expect(computeDips(tank, level, middle, [min.z + 10])[0]!.litres).toBeCloseTo(corner[0]!.litres, 9);
      expect(computeDips(tank, level, middle, [max.z])[0]!.litres).toBeCloseTo(measureCapacityL(solid), 6);
    }),
    { numRuns: 60 },
  );
});

test("what a sender shows never falls as the tank fills, is within the tank, and a float is right on the level", () => {
  const tank = shaped(box(800, 400, 200));
  fc.assert(
    fc.property(senders, attitudes, (sender, attitude) => {
      let before = 0;
      for (let litres = 0; litres <= 64; litres += 4) {
        const shown = computeShownL(tank, sender, attitude, litres);
        expect(shown).toBeGreaterThanOrEqual(before - 1e-9);
        expect(shown).toBeLessThanOrEqual(64 + 1e-9);
        before = shown;
      }
      const float = { ...sender, kind: "float", lowMm: 0, highMm: 200 } as const;
      expect(computeShownL(tank, float, LEVEL, 30)).toBeCloseTo(30, 6);
    }),
    { numRuns: 60 },
  );
});

test("a float in the middle is least out when the rig leans either way, and the search finds it", () => {
  const tank = shaped(box(800, 400, 200));
  const leaning = [-3, 3].flatMap((pitchDeg) => [-2, 2].map((rollDeg) => ({ pitchDeg, rollDeg })));
  const corner: Sender = { kind: "float", xMm: 20, yMm: 20, lowMm: 0, highMm: 200 };
  const best = findBestPlace(tank, corner, leaning, 50);
  expect(best).toMatchObject({ xMm: 400, yMm: 200 });
  const out = (sender: Sender) => computeSenderError(tank, sender, leaning, 50).mostOverL;
  // at the corner 3° and 2° over half the tank are 28 mm, or 9 L
  expect(out(corner)).toBeGreaterThan(7);
  expect(out(best)).toBeLessThan(out(corner) / 3);
});

// Computed from physics (Torricelli), worked in the trade's handbook: 0.5 m², 200 mm, 38 mm, Cd 0.6.
test("200 mm over 0.5 m² run out through 38 mm in the bottom in 148.4 s; at the side the full bore takes 95.4 s", () => {
  const solid = box(1000, 500, 200);
  const bottom = shaped(solid, { ports: [outletAt(500, 250, 38)] });
  const { seconds, leftL } = computeEmptying(bottom, bottom.ports[0]!, level, 100);
  expect(leftL).toBeLessThan(0.1);
  // 148.4 s to the last drop; t goes with √h1 − √h2, and it is watched until it only trickles
  expect(Math.abs(seconds - 148.4 * (1 - Math.sqrt(leftL / 100)))).toBeLessThan(0.5);
  const side = shaped(solid, { ports: [outletAt(0, 250, 38)] });
  const { curve } = computeEmptying(side, side.ports[0]!, level, 100);
  const atBoreTop = curve.find(({ litres }) => litres <= 500 * 0.038)!;
  expect(Math.abs(atBoreTop.second - 95.4)).toBeLessThan(1);
});

test("running out: the curve falls, time rises, a falling hose helps, a breather never does", () => {
  fc.assert(
    fc.property(prisms, attitudes, fc.integer({ min: 15, max: 60 }), (solid, attitude, bore) => {
      const { min, max } = measureExtent(solid);
      const outlet = {
        ...outletAt((min.x + max.x) / 2, min.y, bore),
        atMm: { x: (min.x + max.x) / 2, y: min.y, z: min.z },
      };
      const tank = shaped(solid, { ports: [outlet] });
      const up = computeUp(attitude);
      const fromL = measureCapacityL(solid) * 0.9;
      const open = computeEmptying(tank, outlet, up, fromL);
      open.curve.forEach((point, i) => {
        const before = open.curve[i - 1];
        if (!before) return;
        expect(point.second).toBeGreaterThan(before.second);
        expect(point.litres).toBeLessThan(before.litres);
      });
      expect(open.leftL).toBeGreaterThanOrEqual(0);
      expect(open.curve.at(-1)!.litres).toBe(open.leftL);
      // a bore in the wall never takes as long as a day
      expect(open.seconds).toBeLessThan(86_400);
      const airway = [{ boreM: 0.012, lengthM: 2, lossK: 3 }];
      expect(computeEmptying(tank, outlet, up, fromL, { airway }).seconds).toBeGreaterThanOrEqual(open.seconds - 1e-6);
      expect(computeEmptying(tank, outlet, up, fromL, { dropM: 0.3 }).seconds).toBeLessThanOrEqual(open.seconds + 1e-6);
    }),
    { numRuns: 12 },
  );
});

test("a bore in the wall passes as the full bore under its centre once it is covered, and nothing when dry", () => {
  expect(computeSideFlow(0, 0.038)).toEqual({ areaM2: 0, headM: 0 });
  const { areaM2, headM } = computeSideFlow(0.2, 0.038);
  expect(areaM2).toBeCloseTo((Math.PI / 4) * 0.038 ** 2, 12);
  expect(headM).toBeCloseTo(0.2 - 0.019, 9);
});

// Computed from the lever; the figures of the trade's handbook.
test("99.82 kg 1.2 m behind the rear axle of 3.64 m put 132.7 kg on the rear and lift the front by 32.9", () => {
  const [rear, front] = shareByLever(99.82, -1200, [0, 3640]);
  expect(rear).toBeCloseTo(132.7, 1);
  expect(front).toBeCloseTo(-32.9, 1);
});

test.each(DEMO_NAMES)("%s: axles and sides each carry all of the tanks together", (name) => {
  const loads = computeTankLoads(readDemo(name));
  if (!loads) return;
  const onAxles = loads.axles.reduce((sum, { fullKg }) => sum + fullKg, 0);
  expect(onAxles).toBeCloseTo(loads.fullKg, 6);
  expect(loads.leftKg + loads.rightKg).toBeCloseTo(loads.fullKg, 6);
  expect(loads.fullKg).toBeGreaterThan(loads.emptyKg);
});

// Computed; the figures of the trade's handbook: films 10 and 100, 5 mm of 0.4, 20 mm of 0.034.
test("a lagged wall loses 1.407 W/m²K, bare 9; lagging never makes a tank freeze sooner", () => {
  expect(computeWallLoss(5, 0.4, 20, { innerFilm: 100, outerFilm: 10, foamK: 0.034 })).toBeCloseTo(1.407, 3);
  expect(computeWallLoss(5, 0.4, 0, { innerFilm: 100, outerFilm: 9, foamK: 0.034 })).toBe(9);
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 100 }), fc.integer({ min: 1, max: 100 }), (lagging, more) => {
      const at = (insulationMm: number) =>
        computeTankFrost({ ...kranich, insulationMm }, 0.8, readNight(readDemo("kranich").rules));
      expect(at(lagging + more).hoursToFreezing).toBeGreaterThan(at(lagging).hoursToFreezing!);
      expect(at(lagging + more).holdW).toBeLessThan(at(lagging).holdW);
    }),
  );
});

test("two axles close together carry as one; what is left is the coupling's, by moments", () => {
  const base = readDemo("puppenwagen");
  const one = base.rig.axles[0]!;
  const spare = 150;
  const tandem = {
    ...base,
    rig: {
      ...base.rig,
      axles: [
        { ...one, name: "Front", xMm: one.xMm + 450, spareKg: spare },
        { ...one, name: "Rear", xMm: one.xMm - 450, spareKg: spare + 80 },
      ],
    },
  };
  const [alone, two] = [computeTankLoads(base)!, computeTankLoads(tandem)!];
  expect(two.axles.map(({ name }) => name)).toEqual(["Rear and Front", "Coupling"]);
  // the pair stands where the one axle stood, so the moments are the same
  expect(two.axles[0]!.fullKg).toBeCloseTo(alone.axles[0]!.fullKg, 9);
  // an even share each: the weaker one decides
  expect(two.axles[0]!.spareKg).toBe(2 * spare);
});

test("water that is carried in vessels has no place on the axles, and is named with its weight", () => {
  const base = readDemo("kranich");
  const vessel = { id: "can", name: "Canister", holds: "fresh" as const, litres: 20 };
  const of = (on: "rig" | "tow") => listUnplaced({ habits: { ...base.habits, vessels: [{ ...vessel, on }] } });
  expect(of("rig")[0]!.name).toBe("Canister");
  expect(of("rig")[0]!.fullKg).toBeCloseTo(19.96, 2);
  expect(of("tow")).toEqual([]);
});
