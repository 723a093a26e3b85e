import fc from "fast-check";
import { networks } from "@/tests/arbitraries";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import { parseDesign } from "../design/parseDesign";
import type { Drain } from "../design/plumbing";
import { evaluate } from "../evaluate/evaluate";
import { buildNetwork, followDrain } from "../falls/network";
import { measureLength, subtract } from "../geometry/vec";
import { buildDrawDrain, buildRedirect, listGoals } from "./drainEdits";

const drainsOf = (design: Design) => design.lines.filter((line): line is Drain => line.kind === "drain");

function apply(design: Design, edit: ReturnType<typeof buildRedirect>): Design {
  const outcome = edit ? applyEdit(design, edit) : null;
  if (!outcome?.ok) throw new Error(JSON.stringify(outcome?.faults));
  return outcome.design;
}

test("any drain can be led to any goal it is offered; the others end where they ended", () => {
  fc.assert(
    fc.property(networks, fc.nat(), fc.nat(), (design, which, where) => {
      const drains = drainsOf(design);
      const drain = drains[which % drains.length]!;
      const goals = listGoals(design, drain.id);
      const goal = goals[where % goals.length]!;
      const after = apply(design, buildRedirect(design, drain.id, goal));
      expect(parseDesign(after).ok).toBe(true);
      const moved = drainsOf(after).find(({ id }) => id === drain.id)!;
      if (goal.kind === "inlet") expect(moved.to).toEqual(goal);
      else if (goal.kind === "line") expect(moved.to).toMatchObject({ kind: "junction", lineId: goal.lineId });
      else expect(moved.to).toMatchObject(goal);
      // the end of every other path is the same inlet, and its junction still the same place
      const [before, later] = [evaluate(design), evaluate(after)];
      for (const result of before.drains) {
        const chain = followDrain(buildNetwork(design), drains.find(({ id }) => id === result.lineId)!);
        if (chain.some(({ id }) => id === drain.id)) continue;
        const same = later.drains.find(({ lineId }) => lineId === result.lineId)!;
        expect(same.tankId).toBe(result.tankId);
        // a bend put in is laid to a tenth of a millimetre, and a trap turns with it by as much
        expect(measureLength(subtract(same.nodesMm[0]!, result.nodesMm[0]!))).toBeLessThan(0.2);
      }
    }),
    { numRuns: 80 },
  );
});

test("no goal leads back to the drain itself, and every inlet is one", () => {
  fc.assert(
    fc.property(networks, (design) => {
      const network = buildNetwork(design);
      const inlets = design.tanks.flatMap((tank) => tank.ports.filter((port) => port.kind === "inlet"));
      for (const drain of drainsOf(design)) {
        const goals = listGoals(design, drain.id);
        expect(goals.filter((goal) => goal.kind === "inlet")).toHaveLength(inlets.length);
        for (const goal of goals) {
          if (goal.kind !== "line") continue;
          const chain = followDrain(network, network.drains.get(goal.lineId)!);
          expect(chain.some(({ id }) => id === drain.id)).toBe(false);
        }
      }
    }),
  );
});

test("a drain drawn anew comes to its goal and has a pipe no narrower than its fixture", () => {
  fc.assert(
    fc.property(networks, fc.nat(), fc.nat(), (design, which, where) => {
      const fixture = design.fixtures[which % design.fixtures.length]!;
      const goals = listGoals(design, null);
      const edit = buildDrawDrain(design, fixture.id, goals[where % goals.length]!)!;
      const after = apply(design, edit);
      const drawn = drainsOf(after).find(({ id }) => edit.at.kind === "line" && id === edit.at.id)!;
      expect(drawn.fromFixture).toBe(fixture.id);
      expect(drawn.pipe.innerMm).toBeGreaterThanOrEqual(Math.min(fixture.boreMm, 71.2));
      expect(evaluate(after).drains.find(({ lineId }) => lineId === drawn.id)!.legs.length).toBeGreaterThan(0);
    }),
    { numRuns: 80 },
  );
});

test("what is not there is not drawn and not led elsewhere", () => {
  fc.assert(
    fc.property(networks, (design) => {
      const [goal] = listGoals(design, null);
      expect(buildDrawDrain(design, "gone", goal!)).toBeNull();
      expect(buildRedirect(design, "gone", goal!)).toBeNull();
    }),
    { numRuns: 5 },
  );
});
