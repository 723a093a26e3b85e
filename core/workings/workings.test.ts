import fc from "fast-check";
import { attitudes, designs } from "@/tests/arbitraries";
import { readDemo } from "@/tests/demoRigs";
import { computeDumping } from "../air/dumping";
import { computeUp } from "../attitude/attitude";
import { evaluate } from "../evaluate/evaluate";
import { computeManningFlow } from "../falls/manning";
import { computeFloorHole } from "../fit/holeSize";
import { dot, vec } from "../geometry/vec";
import { degToRad } from "../quantity/convert";
import { computeSealAfterMm } from "../traps/sealPressure";
import { computeDrivingLossMm, computeDryWeeks } from "../traps/sealRisks";
import { listWorkings } from "./listWorkings";
import type { FormulaId, Working } from "./working";

const read = (working: Working, symbol: string): number => working.terms.find((t) => t.symbol === symbol)!.value;

// What a reader with a pocket calculator gets from the terms shown must be the result shown.
const RECOMPUTE: Partial<Record<FormulaId, (w: Working) => number>> = {
  fallInHandLevel: recomputeBudget,
  fallInHandHere: recomputeBudget,
  fallInHandWorst: recomputeBudget,
  legFall: (w) => read(w, "f") - read(w, "N"),
  sealAfterDump: (w) => computeSealAfterMm(read(w, "H"), read(w, "p")),
  dumpSuction: (w) =>
    computeDumping(read(w, "h") / 1000, read(w, "D") / 1000, {
      boreM: read(w, "d") / 1000,
      lengthM: read(w, "L") / 1000,
      lossK: read(w, "K"),
    }).suctionPa,
  floorHole: (w) => computeFloorHole(read(w, "d"), degToRad(read(w, "θ")), read(w, "t"), read(w, "c")).lengthMm,
  sealDriving: (w) => read(w, "H") - computeDrivingLossMm(read(w, "s"), read(w, "a"), read(w, "H")),
  sealDrying: (w) => computeDryWeeks(read(w, "H"), read(w, "e")),
  tankUsable: (w) => Math.max(0, read(w, "Vf") - read(w, "Vl")),
  daysToGreyFull: (w) => read(w, "V") / (read(w, "P") * read(w, "q")),
  daysToFreshEmpty: (w) => read(w, "Vw") / (read(w, "P") * (read(w, "q") + read(w, "qd"))),
  drainVelocity: (w) =>
    computeManningFlow(read(w, "D") / 1000, read(w, "yD"), read(w, "S") / 1000, read(w, "n")).velocityMps,
  drainCapacity: (w) =>
    computeManningFlow(read(w, "D") / 1000, read(w, "yD"), read(w, "S") / 1000, read(w, "n")).flowM3PerS * 1000,
};

function recomputeBudget(w: Working): number {
  const left = read(w, "H") - read(w, "t") - read(w, "d") - read(w, "N");
  expect(left).toBeCloseTo(read(w, "R"), 6);
  return Math.min(left, read(w, "w"));
}

test("every working's result follows from the terms it shows", () => {
  const seen = new Set<FormulaId>();
  fc.assert(
    fc.property(designs, attitudes, (design, attitude) => {
      for (const working of listWorkings(design, evaluate(design, attitude))) {
        const recompute = RECOMPUTE[working.formula];
        if (!recompute) continue;
        // a drain that cannot carry its inflow has no speed to show
        if (working.formula === "drainVelocity" && working.result.value === 0) continue;
        seen.add(working.formula);
        expect(recompute(working)).toBeCloseTo(working.result.value, 6);
      }
    }),
  );
  expect([...seen].sort()).toEqual(Object.keys(RECOMPUTE).sort());
});

test("the fall of a leg is the closed form of its ends at the attitude", () => {
  const design = readDemo("lesesaal");
  const attitude = { pitchDeg: 2, rollDeg: -1.5 };
  const evaluation = evaluate(design, attitude);
  const up = computeUp(attitude);
  const { legs } = evaluation.drains[0]!;
  for (const working of listWorkings(design, evaluation).filter((w) => w.formula === "legFall")) {
    const leg = legs[(working.at as { index: number }).index]!;
    const byHand = dot(
      up,
      vec(leg.from.x - leg.to.x, leg.from.y - leg.to.y, read(working, "z1") - read(working, "z2")),
    );
    expect(read(working, "f")).toBeCloseTo(byHand, 9);
    expect(read(working, "L")).toBeCloseTo(Math.hypot(leg.from.x - leg.to.x, leg.from.y - leg.to.y), 9);
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
