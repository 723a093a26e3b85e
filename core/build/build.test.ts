import fc from "fast-check";
import { networks } from "@/tests/arbitraries";
import { DEMO_NAMES, FURNISHED, readDemo } from "@/tests/demoRigs";
import { evaluate } from "../evaluate/evaluate";
import { buildDrainPath } from "../falls/drainPath";
import { listParts } from "../parts/listParts";
import { type Cut, listCuts, planBars } from "./cuts";
import { listOpenSteps, listSteps, orderSteps } from "./steps";

test("no step comes before what it needs, of any network; ticked off one by one all are done", () => {
  fc.assert(
    fc.property(networks, (design) => {
      const steps = listSteps(design, evaluate(design));
      const order = orderSteps(steps);
      if (!order.ok) throw new Error(order.circle.join(", "));
      expect(order.steps).toHaveLength(steps.length);
      const done = new Set<string>();
      for (const { id, after } of order.steps) {
        for (const before of after) expect(done.has(before)).toBe(true);
        expect(listOpenSteps(steps, done).map((step) => step.id)).toContain(id);
        done.add(id);
      }
      expect(listOpenSteps(steps, done)).toEqual([]);
    }),
    { numRuns: 40 },
  );
});

test("two steps that need each other are named", () => {
  const step = (id: string, after: string[]) => ({
    id,
    kind: "closeUp" as const,
    at: { kind: "rig" as const },
    after,
    hours: 1,
  });
  expect(orderSteps([step("a", ["b"]), step("b", ["a"]), step("c", [])])).toEqual({ ok: false, circle: ["a", "b"] });
});

test.each([...DEMO_NAMES, FURNISHED] as const)(
  "%s: nothing is closed up before its trial, a breather comes before the filling",
  (name) => {
    const design = readDemo(name);
    const steps = listSteps(design, evaluate(design));
    const order = orderSteps(steps);
    if (!order.ok) throw new Error(order.circle.join(", "));
    const at = (id: string) => order.steps.findIndex((step) => step.id === id);
    for (const line of design.lines) {
      if (line.kind === "vent") expect(at(`layVent:${line.id}`)).toBeLessThan(at(`trialTank:${line.fromTank}`));
      if (line.kind === "drain") expect(at(`trialDrain:${line.id}`)).toBeLessThan(at("closeUp:all"));
    }
  },
);

test("middle to middle the pieces of a drain add up to the way as drawn", () => {
  fc.assert(
    fc.property(networks, (design) => {
      const cuts = listCuts(design);
      for (const line of design.lines) {
        if (line.kind !== "drain") continue;
        const drawn = buildDrainPath(design, line).ownLegs.reduce((sum, leg) => sum + leg.lengthMm, 0);
        const sum = cuts.filter(({ lineId }) => lineId === line.id).reduce((all, { centreMm }) => all + centreMm, 0);
        expect(sum).toBeCloseTo(drawn, 6);
      }
      expect(new Set(cuts.map(({ mark }) => mark)).size).toBe(cuts.length);
    }),
    { numRuns: 40 },
  );
});

const PIPE = { innerMm: 36.4, outerMm: 40, manningN: 0.009 };
const toCuts = (lengths: readonly number[]): Cut[] =>
  lengths.map((cutMm, i) => ({ mark: `P${i}`, lineId: "any", leg: i, pipe: PIPE, centreMm: cutMm, cutMm, ends: null }));

// The least number of bars, by trying every way.
function leastBars(lengths: readonly number[], stock: number): number {
  let best = lengths.length;
  const put = (i: number, bars: number[]): void => {
    if (bars.length >= best) return;
    if (i === lengths.length) {
      best = bars.length;
      return;
    }
    bars.forEach((used, b) => {
      if (used + lengths[i]! + 3 <= stock) put(i + 1, bars.with(b, used + lengths[i]! + 3));
    });
    put(i + 1, [...bars, lengths[i]!]);
  };
  put(0, []);
  return best;
}

test("no bar is overfilled, none is more than one over the least, every piece is sawn or named", () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 60, max: 2_400 }), { minLength: 1, maxLength: 7 }), (lengths) => {
      const [plan] = planBars(toCuts(lengths), 2_000);
      const fitting = lengths.filter((mm) => mm <= 2_000);
      expect(plan!.tooLong).toHaveLength(lengths.length - fitting.length);
      for (const { cuts, restMm } of plan!.bars) {
        const used = cuts.reduce((sum, { cutMm }) => sum + cutMm, 0) + 3 * (cuts.length - 1);
        expect(used + restMm).toBeCloseTo(2_000, 9);
        expect(restMm).toBeGreaterThanOrEqual(-1e-9);
      }
      if (fitting.length > 0) expect(plan!.bars.length).toBeLessThanOrEqual(leastBars(fitting, 2_000) + 1);
    }),
    { numRuns: 60 },
  );
});

test("the bends at the ends of the pieces are those of the parts list, and two pieces tell the same of the bend between them", () => {
  fc.assert(
    fc.property(networks, (design) => {
      const listed = listParts(design).reduce((sum, part) => (part.kind === "bend" ? sum + part.count : sum), 0);
      const rigid = listCuts(design).filter(({ ends }) => ends !== null);
      let bends = 0;
      for (const { lineId, leg, ends } of rigid) {
        const [, last] = ends!;
        if (last.kind === "bend") bends += 1;
        const next = rigid.find((cut) => cut.lineId === lineId && cut.leg === leg + 1);
        if (next && (last.kind === "bend" || last.kind === "straight")) expect(next.ends![0]).toEqual(last);
      }
      expect(bends).toBeLessThanOrEqual(listed);
    }),
    { numRuns: 40 },
  );
});
