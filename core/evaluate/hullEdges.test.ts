import fc from "fast-check";
import { readDemo } from "@/tests/demoRigs";
import { findAll } from "@/tests/findingEdges";
import type { Design } from "../design/design";
import { toNodes } from "../design/nodes";
import type { Hose } from "../design/plumbing";
import { listLineLegs } from "../fit/lineLegs";
import { placeGearPort } from "../gear/gearPorts";
import { type Vec3, vec } from "../geometry/vec";
import { computeHydrostatics } from "../hull/hydrostatics";
import { measureLoadedSinkMm } from "../hull/loadedLine";
import { findHalfBreadthMm, sectionAt } from "../hull/loft";
import { measureOverWater } from "../hull/overWater";
import { listFittings } from "../through/fittings";
import { checkHull } from "./checkHull";
import { listParkedStandings } from "./parkedAttitudes";

// What her sections say, worked out a second time.

const boat = readDemo("setzkasten");
const hull = boat.rig.hull!;
const hose = boat.lines.find((line): line is Hose => line.kind === "hose")!;
const fittings = listFittings(boat).map((piece) => placeGearPort(piece, "in"));
const withRig = (given: object): Design => ({ ...boat, rig: { ...boat.rig, ...given } });
const told = <C extends string>(design: Design, code: C) =>
  checkHull(design).filter((f): f is Extract<typeof f, { code: C }> => f.code === code);

/** How far the middle of a pipe lies out through the inside of her skin at a place, mm; null where there is no skin. */
function outAt({ x, y, z }: Vec3): number | null {
  const section = sectionAt(hull, x);
  if (!section || z > section[section.length - 1]!.z) return null;
  const half = findHalfBreadthMm(hull, x, z);
  return half === null ? section[0]!.z + hull.thicknessMm - z : Math.abs(y) + hull.thicknessMm - half;
}

test("a hose anywhere in her: as far as the worst of seven places a leg stands out of her skin, and none near a fitting", () => {
  const { x, y, z } = placeGearPort(boat.gear.find(({ id }) => id === "bowl")!, "waste");
  const met = { told: 0, free: 0 };
  fc.assert(
    fc.property(
      fc.array(
        fc.record({
          dx: fc.integer({ min: -2500, max: 2500 }),
          y: fc.integer({ min: -1700, max: 1700 }),
          dz: fc.integer({ min: -900, max: 900 }),
        }),
        { minLength: 1, maxLength: 3 },
      ),
      (points) => {
        const pointsMm = toNodes(points.map((p) => vec(x + p.dx, y + p.y, z + p.dz)));
        const line: Hose = { ...hose, id: "any", pointsMm };
        const design = { ...boat, lines: [line] };
        let worst = 0;
        for (const { from, to } of listLineLegs(design, line))
          for (const k of [0, 1, 2, 3, 4, 5, 6]) {
            const at = vec(
              ...((["x", "y", "z"] as const).map((axis) => from[axis] + ((to[axis] - from[axis]) * k) / 6) as [
                number,
                number,
                number,
              ]),
            );
            const isNear = fittings.some((f) => Math.hypot(f.x - at.x, f.y - at.y, f.z - at.z) < 260);
            const out = outAt(at);
            if (!isNear && out !== null) worst = Math.max(worst, out + line.pipe.outerMm / 2);
          }
        const said = told(design, "lineOffHull").map(({ at, byMm }) => [at, byMm]);
        expect(said).toEqual(worst > 0 ? [[{ kind: "line", id: "any" }, expect.closeTo(worst, 6)]] : []);
        met[worst > 0 ? "told" : "free"] += 1;
      },
    ),
    { numRuns: 120 },
  );
  expect(met.told).toBeGreaterThan(0);
});

test("bolts of a tank wherever it stands: those whose drill, 60 mm under its foot, comes within half a washer of her skin", () => {
  const met = { told: 0, free: 0 };
  const [tank] = boat.tanks;
  fc.assert(
    fc.property(
      fc.record({
        dx: fc.integer({ min: -1500, max: 2500 }),
        y: fc.integer({ min: -900, max: 400 }),
        z: fc.integer({ min: -700, max: -200 }),
      }),
      fc.constantFrom("M6" as const, "M12" as const),
      ({ dx, y, z }, size) => {
        const atMm = vec(tank!.atMm.x + dx, y, z);
        const placesMm = [vec(0, 0, 0), vec(300, 250, 0), vec(600, 500, 0)].map((p) => ({ x: p.x, y: p.y }));
        const moved = { ...tank!, atMm, fixing: { ...tank!.fixing!, size, placesMm } };
        const washerMm = size === "M6" ? 9 : 18;
        const footMm = z - tank!.wallMm - tank!.insulationMm;
        const bolts = placesMm.filter((place) => {
          const out = outAt(vec(atMm.x + place.x, atMm.y + place.y, footMm - 60));
          return out !== null && out + washerMm > 0;
        }).length;
        const said = told({ ...boat, tanks: [moved], lines: [] }, "boltThroughSkin");
        expect(said.map((finding) => [finding.at, finding.bolts])).toEqual(
          bolts > 0 ? [[{ kind: "tank", id: tank!.id }, bolts]] : [],
        );
        met[bolts > 0 ? "told" : "free"] += 1;
      },
    ),
    { numRuns: 120 },
  );
  expect(Math.min(met.told, met.free)).toBeGreaterThan(5);
  expect(told({ ...boat, tanks: boat.tanks.map((one) => ({ ...one, fixing: null })) }, "boltThroughSkin")).toEqual([]);
});

test("a drain and a breather are held against her skin as well; only a breather's last leg may go through it", () => {
  const drain = boat.lines.find((line) => line.kind === "drain")!;
  const vent = boat.lines.find((line) => line.kind === "vent")!;
  const out = 4_000;
  const push = <L extends typeof drain | typeof vent>(line: L, at: number): Design => {
    const move = (p: Vec3 & { id: string }, i: number) => (i === at ? { ...p, y: p.y < 0 ? -out : out } : p);
    const moved =
      line.kind === "drain"
        ? { ...line, bendsMm: line.bendsMm.map(move) }
        : { ...line, pointsMm: line.pointsMm.map(move) };
    return { ...boat, lines: boat.lines.map((one) => (one.id === line.id ? moved : one)) };
  };
  const isSaid = (design: Design, id: string) =>
    told(design, "lineOffHull").some(({ at }) => at.kind === "line" && at.id === id);
  expect(isSaid(boat, drain.id)).toBe(false);
  expect(isSaid(push(drain, 0), drain.id)).toBe(true);
  expect(isSaid(boat, vent.id)).toBe(false);
  // its end goes out through her side; the point before it may not
  const last = vent.pointsMm.length - 1;
  const longer: Design = {
    ...boat,
    lines: boat.lines.map((one) =>
      one.id === vent.id
        ? {
            ...vent,
            pointsMm: [
              ...vent.pointsMm,
              {
                ...vent.pointsMm[last]!,
                id: "more",
                z: boat.rig.waterlineZMm! + 100,
                y: vent.pointsMm[last]!.y < 0 ? -out : out,
              },
            ],
          }
        : one,
    ),
  };
  expect(isSaid(longer, vent.id)).toBe(false);
  const twice: Design = {
    ...longer,
    lines: longer.lines.map((one) =>
      one.kind === "vent" && one.id === vent.id
        ? {
            ...one,
            pointsMm: [...one.pointsMm, { ...one.pointsMm.at(-1)!, id: "most", y: one.pointsMm.at(-1)!.y * 1.2 }],
          }
        : one,
    ),
  };
  expect(isSaid(twice, vent.id)).toBe(vent.to.kind === "openAir");
});

test("her weight may be off by 15 %, and none that was said is off; where nothing holds her up, that is told", () => {
  const { displacementKg } = computeHydrostatics(hull, boat.rig.waterlineZMm!)!;
  const off = (share: number) =>
    told(withRig({ displacementKg: displacementKg / (1 + share) }), "weightDiffers").map((f) => [
      f.reckonedKg,
      f.saidKg,
    ]);
  expect(off(0.1499)).toEqual([]);
  expect(off(-0.1499)).toEqual([]);
  expect(off(0.1501)).toEqual([[displacementKg, expect.closeTo(displacementKg / 1.1501, 6)]]);
  expect(off(-0.1501)).toEqual([[displacementKg, expect.closeTo(displacementKg / 0.8499, 6)]]);
  expect(told(withRig({ displacementKg: null }), "weightDiffers")).toEqual([]);
  const aground = withRig({ waterlineZMm: -9_000, displacementKg: 2_000 });
  expect(told(aground, "floatsNowhere")).toHaveLength(1);
  expect(told(aground, "weightDiffers")).toEqual([]);
  expect(told(boat, "floatsNowhere")).toEqual([]);
  for (const none of [
    withRig({ waterlineZMm: null }),
    withRig({ hull: null }),
    withRig({ hull: null, waterlineZMm: null }),
  ])
    expect(checkHull(none)).toEqual([]);
});

test("water over her deck: the lowest of her sheer at any standing, deeper by what her full tanks weigh", () => {
  const overAt = (design: Design): number => {
    const sinkMm = measureLoadedSinkMm(design) ?? 0;
    const stands = [{ pitchDeg: 0, rollDeg: 0 }, ...listParkedStandings(design.rig).map(({ attitude }) => attitude)];
    return Math.min(
      ...design.rig.hull!.sections.flatMap(({ xMm, pointsMm }) => {
        const { y, z } = pointsMm[pointsMm.length - 1]!;
        return [y, -y].flatMap((side) =>
          stands.map((attitude) => measureOverWater(design, vec(xMm, side, z), attitude, sinkMm) ?? Infinity),
        );
      }),
    );
  };
  expect(measureLoadedSinkMm(boat)).toBeGreaterThan(0);
  expect(overAt(boat)).toBeGreaterThan(0);
  expect(told(boat, "waterOverDeck")).toEqual([]);
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 900 }), fc.integer({ min: 0, max: 20 }), (upMm, heel) => {
      const envelope = { noseDownDeg: 2, noseUpDeg: 2, leftLowDeg: heel, rightLowDeg: heel };
      const deep = withRig({ waterlineZMm: boat.rig.waterlineZMm! + upMm, envelope });
      const over = overAt(deep);
      const said = told(deep, "waterOverDeck").map(({ byMm }) => byMm);
      expect(said).toEqual(over < 0 ? [expect.closeTo(-over, 6)] : []);
    }),
    { numRuns: 40 },
  );
  expect(findAll(withRig({ waterlineZMm: boat.rig.waterlineZMm! + 2_000 }), "waterOverDeck")).toHaveLength(1);
});

test("a boat without a waterline is told that nothing is judged of the sea; a must where she has holes in her skin", () => {
  expect(findAll(boat, "noWaterline")).toEqual([]);
  const dry = withRig({ waterlineZMm: null });
  expect(findAll(dry, "noWaterline")).toMatchObject([{ severity: "must", at: { kind: "rig" } }]);
  const whole = readDemo("otter");
  expect(whole.gear.some(({ spec }) => spec.kind === "skinFitting")).toBe(false);
  const still = { ...whole, rig: { ...whole.rig, waterlineZMm: null } };
  expect(findAll(still, "noWaterline")).toMatchObject([{ severity: "should" }]);
  const van = readDemo("kranich");
  expect([van.rig.waterlineZMm, findAll(van, "noWaterline")]).toEqual([null, []]);
});

test("a rig or boat that is only ever level is told so; the least tilt, or one place, is enough", () => {
  for (const name of ["kranich", "otter", "lesesaal"] as const) {
    const rigged = readDemo(name);
    const level = { noseDownDeg: 0, noseUpDeg: 0, leftLowDeg: 0, rightLowDeg: 0 };
    const withEnvelope = (given: object, standings: Design["rig"]["standings"] = []): Design => ({
      ...rigged,
      rig: { ...rigged.rig, envelope: { ...level, ...given }, standings },
    });
    expect(findAll(rigged, "parkedLevelOnly")).toEqual([]);
    expect(findAll(withEnvelope({}), "parkedLevelOnly")).toMatchObject([{ isAfloat: name === "otter" }]);
    expect(findAll(withEnvelope({ leftLowDeg: 0.1 }), "parkedLevelOnly")).toEqual([]);
    const place = { id: "lane", name: "Lane", attitude: { pitchDeg: 1, rollDeg: 0 } };
    expect(findAll(withEnvelope({}, [place]), "parkedLevelOnly")).toEqual([]);
    expect(findAll({ ...withEnvelope({}), fixtures: [], lines: [] }, "parkedLevelOnly")).toEqual([]);
  }
});
