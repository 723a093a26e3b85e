import fc from "fast-check";
import { attitudes, designs, networks } from "@/tests/arbitraries";
import { DEMO_NAMES, readDemo } from "@/tests/demoRigs";
import { SAMPLE_FIXING } from "@/tests/sampleFixing";
import { type Airway, computeAirwayPressurePa } from "../air/airPressure";
import { computeDumping } from "../air/dumping";
import type { Attitude } from "../attitude/attitude";
import type { Design } from "../design/design";
import { evaluate } from "../evaluate/evaluate";
import { computeManningFlow } from "../falls/manning";
import { computeFloorHole } from "../fit/holeSize";
import { degToRad, radToDeg } from "../quantity/convert";
import { computeSealAfterMm } from "../traps/sealPressure";
import { computeDrivingLossMm, computeDryWeeks } from "../traps/sealRisks";
import { computeSealAfterSiphonMm } from "../traps/trapRisks";
import { findWorking } from "./findWorking";
import { listWorkings } from "./listWorkings";
import { type FormulaId, STANDS, type Working } from "./working";

const read = (working: Working, symbol: string): number => working.terms.find((t) => t.symbol === symbol)!.value;

// What a reader with a pocket calculator gets from the terms shown must be the result shown.
const RECOMPUTE: Partial<Record<FormulaId, (w: Working) => number>> = {
  fallInHand: recomputeBudget,
  legFall: (w) => {
    expect(recomputeFall(w)).toBeCloseTo(read(w, "f"), 6);
    return read(w, "f") - read(w, "N");
  },
  dropFall: recomputeFall,
  trapHeight: recomputeFall,
  dropsHeight: (w) => w.terms.reduce((sum, { value }) => sum + value, 0),
  rampsToRun: recomputeRamps,
  rampsToLevel: recomputeRamps,
  sealAfterDump: (w) => computeSealAfterMm(read(w, "H"), read(w, "p")),
  dumpSuction: (w) => computeDumping(read(w, "h") / 1000, read(w, "D") / 1000, readAirway(w), read(w, "Cd")).suctionPa,
  fillPressure: (w) => computeAirwayPressurePa(read(w, "Qin") / 1000, readAirway(w)),
  sealSiphon: (w) => computeSealAfterSiphonMm(read(w, "H"), read(w, "f"), read(w, "D")),
  sealSuction: (w) => computeSealAfterMm(read(w, "H"), read(w, "p")),
  sealPressure: (w) => Math.max(0, read(w, "H") - (read(w, "p") / (2 * 998.2 * 9.80665)) * 1000),
  breakover: (w) => radToDeg(Math.atan(read(w, "h") / read(w, "a")) + Math.atan(read(w, "h") / read(w, "b"))),
  rampEnd: (w) => radToDeg(Math.atan(read(w, "h") / read(w, "a"))),
  floorHole: (w) => computeFloorHole(read(w, "d"), degToRad(read(w, "θ")), read(w, "t"), read(w, "c")).lengthMm,
  tankFreezing: (w) =>
    ((read(w, "m") * 4186) / read(w, "UA") / 3600) * Math.log((read(w, "T0") - read(w, "Ta")) / -read(w, "Ta")),
  tankIce: (w) => (0.1 * read(w, "m") * 334_000) / (read(w, "UA") * -read(w, "Ta")) / 3600,
  padPower: (w) => read(w, "UA") * (read(w, "Th") - read(w, "Ta")),
  boltUse: (w) => read(w, "V") / read(w, "VR") + read(w, "T") / (1.4 * read(w, "TR")),
  heldUse: (w) => read(w, "f") * (read(w, "V") / read(w, "FV") + read(w, "T") / read(w, "FT")),
  sealDriving: (w) => read(w, "H") - computeDrivingLossMm(read(w, "s"), read(w, "a"), read(w, "H")),
  sealDrying: (w) => computeDryWeeks(read(w, "H"), read(w, "e")),
  tankCapacity: (w) => (read(w, "A") * read(w, "L")) / 1e6,
  tankUsable: (w) => Math.max(0, read(w, "Vf") - read(w, "Vl")),
  storeDays: (w) => read(w, "V") / read(w, "q"),
  drainVelocity: (w) =>
    computeManningFlow(read(w, "D") / 1000, read(w, "yD"), read(w, "S") / 1000, read(w, "n")).velocityMps,
  drainCapacity: (w) =>
    computeManningFlow(read(w, "D") / 1000, read(w, "yD"), read(w, "S") / 1000, read(w, "n")).flowM3PerS * 1000,
};

// the breather's pipes, one after the other
function readAirway(w: Working): Airway {
  const bores = w.terms.filter(({ symbol }) => /^d\d*$/.test(symbol));
  return bores.map(({ symbol, value }) => {
    const nth = symbol.slice(1);
    return { boreM: value / 1000, lengthM: read(w, `L${nth}`) / 1000, lossK: read(w, `K${nth}`) };
  });
}

// each wheel's height over a level plane, wanted less here
function recomputeRamps(w: Working): number {
  const up = (p: string, r: string) => ({
    x: -Math.sin(degToRad(read(w, p))),
    y: Math.cos(degToRad(read(w, p))) * Math.sin(degToRad(read(w, r))),
  });
  const [here, wanted] = [up("p", "r"), up("pw", "rw")];
  const wheels = w.terms.filter(({ symbol }) => /^x\d/.test(symbol)).map((_, i) => i + 1);
  const lifts = wheels.map((i) => (wanted.x - here.x) * read(w, `x${i}`) + (wanted.y - here.y) * read(w, `y${i}`));
  for (const [k, i] of wheels.entries()) expect(lifts[k]! - Math.min(...lifts)).toBeCloseTo(read(w, `h${i}`), 6);
  return Math.max(...lifts) - Math.min(...lifts);
}

// u · (dx, dy, dz), written out as the words give it
function recomputeFall(w: Working): number {
  const [p, r] = [degToRad(read(w, "p")), degToRad(read(w, "r"))];
  return (
    -Math.sin(p) * read(w, "dx") + Math.cos(p) * Math.sin(r) * read(w, "dy") + Math.cos(p) * Math.cos(r) * read(w, "dz")
  );
}

function recomputeBudget(w: Working): number {
  const left = read(w, "H") - read(w, "t") - read(w, "d") - read(w, "N");
  expect(left).toBeCloseTo(read(w, "R"), 6);
  return Math.min(left, read(w, "w"));
}

test("every working's result follows from the terms it shows", () => {
  const seen = new Set<FormulaId>();
  const check = (design: Design, attitude: Attitude) => {
    for (const working of listWorkings(design, evaluate(design, attitude))) {
      const recompute = RECOMPUTE[working.formula];
      if (!recompute) continue;
      // a drain that cannot carry its inflow has no speed to show
      if (working.formula === "drainVelocity" && working.result.value === 0) continue;
      seen.add(working.formula);
      expect(recompute(working)).toBeCloseTo(working.result.value, 6);
    }
  };
  fc.assert(fc.property(fc.oneof(designs, networks), attitudes, check));
  // the sample rigs have axles, which a random one has not
  for (const name of DEMO_NAMES)
    fc.assert(
      fc.property(attitudes, (attitude) => check(readDemo(name), attitude)),
      { numRuns: 20 },
    );
  // and with its tank held by straps
  const [tank, ...others] = readDemo("kranich").tanks;
  const fixing = { ...SAMPLE_FIXING, bolts: 6, heldKN: 6, heldShearKN: 6 };
  check({ ...readDemo("kranich"), tanks: [{ ...tank!, fixing }, ...others] }, { pitchDeg: 1, rollDeg: 0 });
  expect([...seen].sort()).toEqual(Object.keys(RECOMPUTE).sort());
});

test("a drain's heights open level, here and at the worst, and add up to what there is", () => {
  const attitude = { pitchDeg: 2, rollDeg: -1.5 };
  const workings = listWorkings(readDemo("lesesaal"), evaluate(readDemo("lesesaal"), attitude));
  for (const stand of STANDS) {
    const of = (formula: FormulaId) => workings.filter((w) => w.formula === formula && w.stand === stand);
    const sum = (ws: readonly Working[], pick: (w: Working) => number) => ws.reduce((all, w) => all + pick(w), 0);
    const available = sum(of("fallInHand"), (w) => read(w, "H"));
    const spent =
      sum(of("trapHeight"), (w) => w.result.value) +
      sum(of("dropFall"), (w) => w.result.value) +
      sum(of("legFall"), (w) => read(w, "f"));
    expect(of("fallInHand").length).toBeGreaterThan(0);
    expect(spent).toBeCloseTo(available, 6);
  }
});

test("a finding with a number opens to the sum that made it", () => {
  const opened = new Set<string>();
  fc.assert(
    fc.property(fc.oneof(designs, networks), attitudes, (design, attitude) => {
      const evaluation = evaluate(design, attitude);
      const workings = listWorkings(design, evaluation);
      for (const finding of evaluation.findings) {
        const working = findWorking(finding, workings);
        if (!working) continue;
        opened.add(finding.code);
        if (finding.code === "legBackwards") expect(-working.result.value).toBeLessThanOrEqual(finding.shortMm + 1e-6);
        if (finding.code === "inletDrownsEarly") expect(working.result.value).toBe(finding.litres);
        if (finding.code === "passageSlants") expect(working.result.value).toBe(finding.lengthMm);
        if (finding.code === "ventThrottles") expect(working.result.value).toBe(finding.suctionPa);
        if ("attitude" in finding) expect(working.attitude).toEqual(finding.attitude);
      }
    }),
    { numRuns: 150 },
  );
  for (const code of ["legBackwards", "inletDrownsEarly", "passageSlants"]) {
    expect(opened).toContain(code);
  }
});

test("a name finds one working, and every one of a sample rig has a limit that says where it comes from", () => {
  for (const name of ["kranich", "lesesaal", "puppenwagen", "otter"] as const) {
    const design = readDemo(name);
    const workings = listWorkings(design, evaluate(design));
    expect(new Set(workings.map((w) => w.id)).size).toBe(workings.length);
    for (const { limit } of workings) if (limit) expect(limit.source).toBeTruthy();
  }
});
