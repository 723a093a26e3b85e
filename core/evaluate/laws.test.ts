import fc from "fast-check";
import { attitudes } from "@/tests/arbitraries";
import { DEMO_NAMES, readDemo } from "@/tests/demoRigs";
import type { Attitude } from "../attitude/attitude";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { Node } from "../design/plumbing";
import { FIXTURE_KINDS } from "../design/plumbing";
import { buildAddFixture } from "../edits/fixtureEdits";
import { add, type Vec3, vec } from "../geometry/vec";
import { evaluate } from "./evaluate";
import { computeStandingMap, STANDING_STATES } from "./standingMap";

// Sample rigs with more fixtures than they came with: several drains on one tank.
const rigs: fc.Arbitrary<Design> = fc
  .record({
    name: fc.constantFrom(...DEMO_NAMES),
    kinds: fc.array(fc.constantFrom(...FIXTURE_KINDS), { minLength: 1, maxLength: 4 }),
  })
  .map(({ name, kinds }) =>
    kinds.reduce<Design>((design, kind, i) => {
      const outcome = applyEdit(design, buildAddFixture(design, kind, `No. ${i}`)!);
      if (!outcome.ok) throw new Error(JSON.stringify(outcome.faults));
      return outcome.design;
    }, readDemo(name)),
  );

const drainsOf = (design: Design, attitude: Attitude) =>
  new Map(evaluate(design, attitude).drains.map((drain) => [drain.lineId, drain]));

test("a drain's sums do not depend on what else drains into the tank", () => {
  fc.assert(
    fc.property(rigs, attitudes, (design, attitude) => {
      const together = drainsOf(design, attitude);
      for (const line of design.lines) {
        if (line.kind !== "drain") continue;
        const alone = drainsOf({ ...design, lines: [line] }, attitude).get(line.id)!;
        expect(together.get(line.id)).toEqual(alone);
      }
    }),
    { numRuns: 40 },
  );
});

test("the order in which parts stand in the file changes no figure", () => {
  fc.assert(
    fc.property(rigs, attitudes, (design, attitude) => {
      const shuffled: Design = {
        ...design,
        lines: [...design.lines].reverse(),
        fixtures: [...design.fixtures].reverse(),
        obstacles: [...design.obstacles].reverse(),
      };
      const [one, other] = [evaluate(design, attitude), evaluate(shuffled, attitude)];
      expect([...drainsOf(shuffled, attitude)].sort()).toEqual([...drainsOf(design, attitude)].sort());
      expect(other.tanks.map((t) => t.usableHereL)).toEqual(one.tanks.map((t) => t.usableHereL));
      expect(other.findings.map((f) => f.id).sort()).toEqual(one.findings.map((f) => f.id).sort());
    }),
    { numRuns: 40 },
  );
});

// Everything on the rig, moved as one.
function shiftAll(design: Design, by: Vec3): Design {
  const move = (p: Vec3): Vec3 => add(p, by);
  const moveNode = (node: Node): Node => ({ ...add(node, by), id: node.id });
  return {
    ...design,
    obstacles: design.obstacles.map((o) => ({ ...o, atMm: move(o.atMm) })),
    fixtures: design.fixtures.map((f) => ({ ...f, outletMm: move(f.outletMm) })),
    tanks: design.tanks.map((t) => ({ ...t, atMm: move(t.atMm) })),
    lines: design.lines.map((line) =>
      line.kind === "drain"
        ? { ...line, bendsMm: line.bendsMm.map(moveNode) }
        : { ...line, pointsMm: line.pointsMm.map(moveNode) },
    ),
  };
}

test("plumbing moved along and across the rig as one falls, fills and holds the same", () => {
  const plan = fc.integer({ min: -300, max: 300 });
  fc.assert(
    fc.property(rigs, attitudes, plan, plan, (design, attitude, x, y) => {
      const one = evaluate(design, attitude);
      const other = evaluate(shiftAll(design, vec(x, y, 0)), attitude);
      one.drains.forEach((drain, i) => {
        expect(other.drains[i]!.here.inHandMm).toBeCloseTo(drain.here.inHandMm, 6);
        expect(other.drains[i]!.pondedL).toBeCloseTo(drain.pondedL, 6);
        expect(other.drains[i]!.arm.lengthMm).toBeCloseTo(drain.arm.lengthMm, 6);
      });
      one.tanks.forEach((tank, i) => {
        expect(other.tanks[i]!.here.litres).toBeCloseTo(tank.here.litres, 6);
        expect(other.tanks[i]!.leftL ?? 0).toBeCloseTo(tank.leftL ?? 0, 6);
      });
    }),
    { numRuns: 40 },
  );
});

test("what is asked for, what is spent and what is left always make up the height there is", () => {
  fc.assert(
    fc.property(rigs, attitudes, (design, attitude) => {
      for (const drain of evaluate(design, attitude).drains) {
        for (const budget of [drain.level, drain.here, drain.worst]) {
          const spent = budget.trapMm + budget.dropsMm + budget.neededMm + budget.leftMm;
          expect(spent).toBeCloseTo(budget.availableMm, 6);
          expect(budget.inHandMm).toBeLessThanOrEqual(budget.weakestLeg < 0 ? Infinity : budget.leftMm + 1e-9);
        }
      }
    }),
    { numRuns: 60 },
  );
});

test("usable litres lie between nothing and the tank; the worst standing never holds more than level", () => {
  fc.assert(
    fc.property(rigs, attitudes, (design, attitude) => {
      for (const tank of evaluate(design, attitude).tanks) {
        for (const litres of [tank.usableHereL, tank.usableLevelL, tank.usableWorstL]) {
          expect(litres).toBeGreaterThanOrEqual(0);
          expect(litres).toBeLessThanOrEqual(tank.capacityL + 1e-9);
        }
        expect(tank.usableWorstL).toBeLessThanOrEqual(tank.usableLevelL + 1e-9);
      }
    }),
    { numRuns: 60 },
  );
});

test("the standing map of several drains is the worst of their maps, cell by cell", () => {
  fc.assert(
    fc.property(rigs, (design) => {
      const frame = { size: 7, rangeDeg: 6 };
      const whole = computeStandingMap(design, frame)!;
      const parts = design.lines
        .filter((line) => line.kind === "drain")
        .map((line) => computeStandingMap({ ...design, lines: [line] }, frame)!);
      // a drain that only drops has no run that could turn: it says 0 everywhere, and the others decide
      const running = parts.filter(({ inHandMm }) => inHandMm.some((inHand) => inHand !== 0));
      whole.inHandMm.forEach((inHand, cell) => {
        const least = running.length === 0 ? 0 : Math.min(...running.map((p) => p.inHandMm[cell]!));
        expect(inHand).toBeCloseTo(least, 3);
        const worst = Math.max(...parts.map((p) => p.states[cell]!));
        // a drain may be drowned only because another one is lower: then the whole says more than its parts
        expect(whole.states[cell]!).toBeGreaterThanOrEqual(Math.min(worst, STANDING_STATES.indexOf("blocked")));
      });
    }),
    { numRuns: 15 },
  );
});
