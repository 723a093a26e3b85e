import fc from "fast-check";
import { networks } from "@/tests/arbitraries";
import { DEMO_NAMES, FURNISHED, readDemo } from "@/tests/demoRigs";
import { SAMPLE_FIXING } from "@/tests/sampleFixing";
import type { Design } from "../design/design";
import { findSealMm, findTrap, withTrap } from "../design/lineItems";
import { toNodes } from "../design/nodes";
import { toPartKey } from "../design/part";
import type { Drain, Line, Tank } from "../design/plumbing";
import { evaluate } from "./evaluate";
import type { Finding } from "./findings";

const rigs: fc.Arbitrary<Design> = fc.oneof(fc.constantFrom(...DEMO_NAMES, FURNISHED).map(readDemo), networks);
const idsOf = (design: Design, codes: readonly Finding["code"][]) =>
  new Set(
    evaluate(design)
      .findings.filter(({ code }) => codes.includes(code))
      .map(({ id }) => id),
  );

const mapTanks = (design: Design, change: (tank: Tank) => Tank): Design => ({
  ...design,
  tanks: design.tanks.map(change),
});
const mapLines = (design: Design, change: (line: Line) => Line): Design => ({
  ...design,
  lines: design.lines.map(change),
});

/** Nothing of these kinds is found in the second that was not in the first. */
function expectNothingNew(before: Design, after: Design, codes: readonly Finding["code"][]): void {
  const known = idsOf(before, codes);
  expect([...idsOf(after, codes)].filter((id) => !known.has(id))).toEqual([]);
}

const SEAL: readonly Finding["code"][] = [
  "sealShallow",
  "sealSlops",
  "sealBlown",
  "sealSucked",
  "sealTogether",
  "trapSiphons",
];
const AIR: readonly Finding["code"][] = ["ventThrottles", "sealSucked", "sealBlown", "sealTogether", "sharedAirSucks"];
const FIXING: readonly Finding["code"][] = [
  "fixingWeak",
  "fixingTips",
  "fixingSlides",
  "fixingNoPlate",
  "fixingUnrated",
];

test("a deeper seal adds nothing against seals", () => {
  fc.assert(
    fc.property(rigs, fc.integer({ min: 1, max: 40 }), (design, moreMm) => {
      const deeper = mapLines(design, (line) =>
        line.kind === "drain" && findSealMm(line) !== null
          ? withTrap(line, { ...findTrap(line)!, sealMm: findSealMm(line)! + moreMm })
          : line,
      );
      expectNothingNew(design, deeper, SEAL);
    }),
    { numRuns: 60 },
  );
});

test("a wider breather adds nothing against air", () => {
  fc.assert(
    fc.property(rigs, fc.integer({ min: 1, max: 30 }), (design, moreMm) => {
      const wider = mapLines(design, (line) =>
        line.kind === "vent"
          ? {
              ...line,
              pipe: { ...line.pipe, innerMm: line.pipe.innerMm + moreMm, outerMm: line.pipe.outerMm + moreMm },
            }
          : line,
      );
      expectNothingNew(design, wider, AIR);
    }),
    { numRuns: 60 },
  );
});

test("more bolts, larger ones, a plate, an end stop add nothing against the fixing", () => {
  const fixings = fc.record({
    kind: fc.constantFrom("straps", "brackets", "onFloor"),
    bolts: fc.integer({ min: 2, max: 5 }).map((pairs) => pairs * 2),
    heldKN: fc.option(fc.integer({ min: 1, max: 20 })),
    hasPlate: fc.boolean(),
    hasEndStop: fc.boolean(),
  });
  fc.assert(
    fc.property(fc.constantFrom(...DEMO_NAMES), fixings, (name, given) => {
      const fixing = { ...SAMPLE_FIXING, ...given, heldShearKN: given.heldKN } as const;
      const before = mapTanks(readDemo(name), (tank) => ({ ...tank, fixing }));
      const safer = { ...fixing, bolts: fixing.bolts * 2, size: "M12", hasPlate: true, hasEndStop: true } as const;
      expectNothingNew(
        before,
        mapTanks(before, (tank) => ({ ...tank, fixing: safer })),
        FIXING,
      );
    }),
    { numRuns: 40 },
  );
});

const ROOM: readonly Finding["code"][] = ["legHitsObstacle", "legInPart", "pipesClash", "lineOffHull", "partBelowSill"];

test("thicker lagging never takes a collision away", () => {
  fc.assert(
    fc.property(rigs, fc.integer({ min: 1, max: 150 }), (design, moreMm) => {
      const thicker = mapTanks(design, (tank) => ({
        ...tank,
        insulationMm: Math.min(200, tank.insulationMm + moreMm),
      }));
      expectNothingNew(thicker, design, ["tankHitsObstacle", "tankBelowSill"]);
      const sleeved = mapLines(design, (line) =>
        line.kind === "vent" ? line : { ...line, insulationMm: Math.min(100, moreMm) },
      );
      // of what a line meets the first is told: which leg and what that is may change
      const rooms = (one: Design) => [...idsOf(one, ROOM)].map((id) => id.replace(/leg:([^:]+):.*/, "$1"));
      const now = new Set(rooms(sleeved));
      expect(rooms(design).filter((id) => !now.has(id))).toEqual([]);
    }),
    { numRuns: 60 },
  );
});

test("one more tank or breather somewhere else takes away nothing that is found", () => {
  const WHOLE: readonly Finding["code"][] = ["noTankYet", "noFixtureYet", "wasteEndsStay", "ontoGround"];
  fc.assert(
    fc.property(rigs, fc.boolean(), (design, withBreather) => {
      const { tanks, lines } = design;
      const base = tanks[0]!;
      const other: Tank = {
        ...base,
        id: "another",
        name: "Another",
        atMm: { ...base.atMm, x: base.atMm.x + 9_000 },
        link: null,
        ports: [{ ...base.ports[0]!, id: "air", kind: "vent" }],
      };
      const breather: Line = {
        id: "another-vent",
        name: "Another breather",
        kind: "vent",
        pipe: { innerMm: 19, outerMm: 25, manningN: 0.01 },
        fromTank: "another",
        fromPort: "air",
        to: { kind: "openAir", hasMesh: true },
        pointsMm: toNodes([{ x: base.atMm.x + 9_100, y: 0, z: 900 }]),
      };
      const after = { ...design, tanks: [...tanks, other], lines: withBreather ? [...lines, breather] : lines };
      const now = new Set(evaluate(after).findings.map(({ id }) => id));
      const gone = evaluate(design).findings.filter(({ id, code }) => !now.has(id) && !WHOLE.includes(code));
      expect(gone).toEqual([]);
    }),
    { numRuns: 60 },
  );
});

test("a point that is put down twice changes nothing that is found, on any line of a tree", () => {
  fc.assert(
    fc.property(networks, fc.nat(), fc.nat(), (design, which, where) => {
      const drains = design.lines.filter((line): line is Drain => line.kind === "drain");
      const { id } = drains[which % drains.length]!;
      const lines = design.lines.map((line) => {
        if (line.kind !== "drain" || line.id !== id) return line;
        const at = where % line.bendsMm.length;
        const twin = { ...line.bendsMm[at]!, id: "twin" };
        return { ...line, bendsMm: [...line.bendsMm.slice(0, at + 1), twin, ...line.bendsMm.slice(at + 1)] };
      });
      const tell = (one: Design) =>
        evaluate(one)
          .findings.map(({ code, severity, at }) => `${severity} ${code} ${"lineId" in at ? at.lineId : toPartKey(at)}`)
          .sort();
      expect(tell({ ...design, lines })).toEqual(tell(design));
    }),
    { numRuns: 60 },
  );
});
