import fc from "fast-check";
import { attitudes, designs, mirrorDesign } from "@/tests/arbitraries";
import { DEMO_NAMES, FURNISHED, readDemo } from "@/tests/demoRigs";
import { LEVEL, mirrorAttitude } from "../attitude/attitude";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import { findTrap, toBeginning } from "../design/lineItems";
import { parseDesign } from "../design/parseDesign";
import { stripPlumbing } from "../design/stripPlumbing";
import { vec } from "../geometry/vec";
import { LIMIT_IDS } from "../rules/limitIds";
import { listWorkings } from "../workings/listWorkings";
import { evaluate } from "./evaluate";
import { computeStandingMap, STANDING_STATES } from "./standingMap";

const codes = (design: Design) => evaluate(design).findings.map((f) => `${f.severity} ${f.code}`);

test("the sample rigs say what their descriptions promise", () => {
  expect(codes(readDemo("kranich"))).toEqual(["note runsFull"]);
  expect(codes(readDemo("otter"))).toEqual(["note runsFull", "note hoseComesOff"]);
  expect(codes(readDemo("lesesaal"))).toEqual(["must legBackwardsParked", "note runsFull", "note wasteEndsStay"]);
  expect(codes(readDemo("puppenwagen"))).toEqual(["must trapMissing", "must tankUnvented"]);
});

test("same input, same bytes", () => {
  const once = JSON.stringify(evaluate(readDemo("lesesaal"), { pitchDeg: 1.5, rollDeg: -0.5 }));
  expect(JSON.stringify(evaluate(readDemo("lesesaal"), { pitchDeg: 1.5, rollDeg: -0.5 }))).toBe(once);
});

// Every number anywhere in a result, with where it stands.
function listNumbers(value: unknown, path = ""): [string, number][] {
  if (typeof value === "number") return [[path, value]];
  if (typeof value !== "object" || value === null) return [];
  return Object.entries(value).flatMap(([key, child]) => listNumbers(child, `${path}.${key}`));
}
// a stretch of pipe that does not fall has no bound, and says so
const UNBOUNDED = /\.(armAllowedMm|boreFallMm|slope)$/;

test("no design at any attitude gives a number that is none", () => {
  fc.assert(
    fc.property(designs, attitudes, (design, attitude) => {
      const evaluation = evaluate(design, attitude);
      for (const [path, value] of listNumbers({ evaluation, workings: listWorkings(design, evaluation) })) {
        if (Number.isNaN(value) || (!Number.isFinite(value) && !UNBOUNDED.test(path)))
          throw new Error(`${path}: ${value}`);
      }
    }),
  );
});

const ownLimits = fc.dictionary(
  fc.constantFrom(...LIMIT_IDS),
  fc.oneof(fc.constantFrom(-1_000, 0, 1e-9, 100_000), fc.integer({ min: -1_000, max: 100_000 })),
);

test("whatever limits a builder sets, every figure is a number and every finding can be told", () => {
  fc.assert(
    fc.property(designs, attitudes, ownLimits, (design, attitude, limits) => {
      const own = { ...design, rules: { ...design.rules, limits } };
      expect(parseDesign(own).ok).toBe(true);
      const evaluation = evaluate(own, attitude);
      for (const [path, value] of listNumbers({ evaluation, workings: listWorkings(own, evaluation) })) {
        if (Number.isNaN(value) || (!Number.isFinite(value) && !UNBOUNDED.test(path)))
          throw new Error(`${path}: ${value}`);
      }
    }),
  );
});

test("a mirrored rig at the mirrored attitude gives mirrored results", () => {
  fc.assert(
    fc.property(designs, attitudes, (design, attitude) => {
      const one = evaluate(design, attitude);
      const other = evaluate(mirrorDesign(design), mirrorAttitude(attitude));
      expect(other.findings.map((f) => f.id)).toEqual(one.findings.map((f) => f.id));
      one.drains.forEach((drain, i) => {
        const twin = other.drains[i]!;
        expect(twin.level.inHandMm).toBeCloseTo(drain.level.inHandMm, 6);
        expect(twin.here.inHandMm).toBeCloseTo(drain.here.inHandMm, 6);
        expect(twin.worst.inHandMm).toBeCloseTo(drain.worst.inHandMm, 6);
        expect(twin.pondedL).toBeCloseTo(drain.pondedL, 9);
      });
      one.tanks.forEach((tank, i) => {
        expect(other.tanks[i]!.usableHereL).toBeCloseTo(tank.usableHereL, 6);
        expect(other.tanks[i]!.worst.litres).toBeCloseTo(tank.worst.litres, 6);
      });
    }),
    { numRuns: 60 },
  );
});

test("the worst standing is no better than any place the rig is parked at", () => {
  fc.assert(
    fc.property(designs, fc.nat(8), (design, which) => {
      const { noseDownDeg, noseUpDeg, leftLowDeg, rightLowDeg } = design.rig.envelope;
      const pitchDeg = [0, noseDownDeg, -noseUpDeg][which % 3]!;
      const rollDeg = [0, rightLowDeg, -leftLowDeg][Math.floor(which / 3)]!;
      if (pitchDeg === 0 && rollDeg === 0) return;
      const here = evaluate(design, { pitchDeg, rollDeg });
      here.drains.forEach((drain) => {
        expect(drain.worst.inHandMm).toBeLessThanOrEqual(drain.here.inHandMm + 1e-9);
      });
      here.tanks.forEach((tank) => {
        expect(tank.worst.litres).toBeLessThanOrEqual(tank.here.litres + 1e-9);
      });
    }),
  );
});

function change(design: Design, path: (string | number)[], value: unknown): Design {
  const outcome = applyEdit(design, { code: "change", at: { kind: "rig" }, ops: [{ op: "set", path, value }] });
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.faults));
  return outcome.design;
}

const readTrapAlone = ({ lines }: Design) =>
  lines.flatMap((line) => (line.kind === "drain" ? toBeginning(findTrap(line)) : []));

test.each<[string, (string | number)[], unknown, string]>([
  [
    "a run that rises on level ground",
    ["lines", "sink-drain", "bendsMm", 1],
    vec(2300, 385, -180),
    "must legBackwards",
  ],
  [
    "a run with next to no fall, on a rig that never tilts",
    ["lines", "sink-drain", "bendsMm", 1],
    vec(2300, 385, -138),
    "must legBackwardsParked",
  ],
  ["a shallow seal", ["lines", "sink-drain", "items", 0, "trap", "sealMm"], 30, "should sealShallow"],
  ["a deep seal", ["lines", "sink-drain", "items", 0, "trap", "sealMm"], 120, "note sealDeep"],
  ["no branch vent", ["lines", "sink-drain", "items"], readTrapAlone(readDemo("kranich")), "should trapArmLong"],
  ["a tap the pipe cannot follow", ["fixtures", "sink", "inflowLps"], 3, "should drainSlow"],
  ["a narrow inlet", ["tanks", "grey", "ports", "inlet", "boreMm"], 25, "should narrowsDownstream"],
  ["a low inlet", ["tanks", "grey", "ports", "inlet", "atMm"], vec(800, 300, 60), "should inletDrownsEarly"],
  ["a tank that hangs low", ["tanks", "grey", "atMm"], vec(1150, -50, -400), "should tankBelowSill"],
  ["a tank in the exhaust's heat", ["tanks", "grey", "atMm"], vec(1150, -220, -290), "must tankHitsObstacle"],
  ["a bend in the fuel tank", ["lines", "sink-drain", "bendsMm", 1], vec(2600, 200, -150), "must legHitsObstacle"],
  ["a sink lower than its tank", ["fixtures", "sink", "outletMm"], vec(2300, 560, -250), "must fixtureDrownsFirst"],
  ["a breather that ends low", ["lines", "grey-vent", "pointsMm"], [vec(1550, 830, -300)], "should ventEndsLow"],
  ["steep small pipe in England", ["rules", "pack"], "england", "note legTooSteep"],
  ["a fixture without a drain", ["lines"], [], "must fixtureUndrained"],
  [
    "a tank without an outlet",
    ["tanks", "grey", "ports"],
    readDemo("kranich").tanks[0]!.ports.slice(0, 2),
    "must tankNoOutlet",
  ],
])("%s is found", (_, path, value, expected) => {
  expect(codes(change(readDemo("kranich"), path, value))).toContain(expected);
});

test("the standing map agrees with the evaluation, cell by cell", () => {
  const design = readDemo("lesesaal");
  const map = computeStandingMap(design, { size: 9, rangeDeg: 6 })!;
  const states = new Set<string>();
  for (let cell = 0; cell < 81; cell++) {
    const attitude = { pitchDeg: -6 + (cell % 9) * 1.5, rollDeg: -6 + Math.floor(cell / 9) * 1.5 };
    const { drains, tanks } = evaluate(design, attitude);
    const inHand = Math.min(
      ...drains.flatMap((d) => d.legs.flatMap((leg, i) => (leg.kind === "run" ? [d.here.legs[i]!.fallMm] : []))),
    );
    expect(map.inHandMm[cell]).toBeCloseTo(inHand, 3);
    expect(map.pondedL[cell]).toBeCloseTo(drains[0]!.pondedL, 5);
    expect(map.usableL[cell]).toBeCloseTo(tanks[0]!.usableHereL, 3);
    states.add(STANDING_STATES[map.states[cell]!]!);
  }
  expect([...states].sort()).toEqual(["blocked", "puddles", "runs"]);
});

test("a standing map can be stopped between two rows", () => {
  const rows: number[] = [];
  const stopped = computeStandingMap(readDemo("kranich"), { size: 9, rangeDeg: 6 }, (done) => rows.push(done) < 3);
  expect(stopped).toBeNull();
  expect(rows).toEqual([1, 2, 3]);
});

test("evaluation reads the design and leaves it alone", () => {
  const design = readDemo("kranich");
  const before = JSON.stringify(design);
  evaluate(design, LEVEL);
  expect(JSON.stringify(design)).toBe(before);
});

test("Lesesaal, furnished: twelve fixtures on one tank, joined on the way, and nothing that must be settled", () => {
  const furnished = readDemo(FURNISHED);
  const { drains, findings, trapAirs } = evaluate(furnished);
  expect(furnished.fixtures).toHaveLength(12);
  expect(drains).toHaveLength(12);
  expect(furnished.lines.filter((line) => line.kind === "drain" && line.to.kind === "junction").length).toBeGreaterThan(
    2,
  );
  expect(findings.filter(({ severity }) => severity === "must")).toEqual([]);
  for (const { worst } of drains) expect(worst.inHandMm).toBeGreaterThanOrEqual(0);
  expect(trapAirs).toHaveLength(12);
});

test("a bare rig has no plumbing, is told that there is nothing to judge, and keeps what is under it", () => {
  for (const name of DEMO_NAMES) {
    const design = readDemo(name);
    const bare = stripPlumbing(design);
    expect(parseDesign(bare)).toMatchObject({ ok: true });
    expect(bare.obstacles).toBe(design.obstacles);
    const evaluation = evaluate(bare);
    expect(evaluation).toMatchObject({ drains: [], tanks: [] });
    expect(evaluation.findings.map(({ code }) => code)).toEqual(["noTankYet", "noFixtureYet"]);
  }
});
