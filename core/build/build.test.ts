import fc from "fast-check";
import { networks } from "@/tests/arbitraries";
import { DEMO_NAMES, FURNISHED, readDemo } from "@/tests/demoRigs";
import { evaluate } from "../evaluate/evaluate";
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
