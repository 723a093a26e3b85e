import fc from "fast-check";
import { readDemo } from "@/tests/demoRigs";
import { evaluate } from "../evaluate/evaluate";
import { addOwnWork, checkRule, type OwnRule, settleOwnWork } from "./ownSteps";
import { listSteps, moveStep, orderSteps } from "./steps";

const RIGS = ["kranich", "lesesaal-furnished", "puppenwagen", "otter-heads"] as const;
const stepsOf = (name: (typeof RIGS)[number]) => {
  const design = readDemo(name);
  return listSteps(design, evaluate(design));
};
const OWN = [
  { id: "own:worktop", name: "Worktop", hours: 3 },
  { id: "own:carcass", name: "Carcass", hours: 6 },
];

test("a rule that is let in is kept by every order; one that is refused stands against the graph on a real way", () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...RIGS),
      fc.array(fc.tuple(fc.nat(), fc.nat()), { minLength: 1, maxLength: 8 }),
      fc.array(fc.nat(), { maxLength: 12 }),
      (rig, pairs, wishes) => {
        const base = stepsOf(rig);
        let rules: OwnRule[] = [];
        for (const [a, b] of pairs) {
          const all = addOwnWork(base, { steps: OWN, rules });
          const rule = { firstId: all[a % all.length]!.id, thenId: all[b % all.length]!.id };
          if (rule.firstId === rule.thenId) continue;
          const checked = checkRule(all, rule);
          if (checked.ok) rules = [...rules, rule];
          else {
            // each needs the next, from the first to the second
            expect([checked.way[0], checked.way.at(-1)]).toEqual([rule.firstId, rule.thenId]);
            checked.way.slice(1).forEach((id, i) => {
              expect(all.find((step) => step.id === checked.way[i])!.after).toContain(id);
            });
          }
        }
        const all = addOwnWork(base, { steps: OWN, rules });
        const wished = wishes.map((n) => all[n % all.length]!.id);
        const order = orderSteps(all, wished);
        if (!order.ok) throw new Error("a circle was let in");
        const place = new Map(order.steps.map(({ id }, i) => [id, i]));
        for (const { firstId, thenId } of rules) expect(place.get(firstId)!).toBeLessThan(place.get(thenId)!);
        expect(order.steps).toHaveLength(base.length + OWN.length);
      },
    ),
    { numRuns: 30 },
  );
});

test("worktop before the carcass: it cannot be pulled after it, and what is gone from the drawing rests", () => {
  const base = stepsOf("kranich");
  const rules = [
    { firstId: "own:worktop", thenId: "own:carcass" },
    { firstId: "own:carcass", thenId: "hangTank:no-such-tank" },
  ];
  const { steps, dropped } = settleOwnWork(base, { steps: OWN, rules });
  expect(dropped).toEqual([]);
  const order = orderSteps(steps);
  if (!order.ok) throw new Error("circle");
  expect(moveStep(order.steps, "own:worktop", "own:carcass", "after")).toEqual({
    ok: false,
    stepId: "own:carcass",
    needsId: "own:worktop",
  });
});

test("rules that have come to need each other are left out one by one, and nothing else is lost", () => {
  const base = stepsOf("lesesaal-furnished");
  const hang = base.find(({ kind }) => kind === "hangTank")!;
  const needed = hang.after[0]!;
  const rules = [
    { firstId: "own:worktop", thenId: "own:carcass" },
    { firstId: hang.id, thenId: needed },
  ];
  const { steps, dropped } = settleOwnWork(base, { steps: OWN, rules });
  expect(dropped).toEqual([rules[1]]);
  expect(orderSteps(steps).ok).toBe(true);
});

test("what holds a tank is there before it is lifted, and no hole is left for after closing up", () => {
  for (const rig of RIGS) {
    const order = orderSteps(stepsOf(rig));
    if (!order.ok) throw new Error("circle");
    const at = (id: string) => order.steps.findIndex((step) => step.id === id);
    for (const { id, kind } of order.steps) {
      if (kind === "fitFixing") expect(at(id)).toBeLessThan(at(id.replace("fitFixing", "hangTank")));
      if (kind === "drillHole" || kind === "layVent") expect(at(id)).toBeLessThan(at("closeUp:all"));
    }
  }
});
