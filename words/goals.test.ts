import type { Drain } from "@/core/design/plumbing";
import { listGoals } from "@/core/edits/drainEdits";
import { readDemo } from "@/tests/demoRigs";
import { describeChoice, describeGoal } from "./goals";

test("of the inlets a drain can be led to, those another one sits on say so, its own and free ones do not", () => {
  const design = readDemo("lesesaal-furnished");
  const drains = design.lines.filter((line): line is Drain => line.kind === "drain");
  for (const drain of drains) {
    for (const goal of listGoals(design, drain.id)) {
      const plain = describeGoal(goal, design, "metric");
      const there = drains.find(
        ({ id, to }) => id !== drain.id && to.kind === "inlet" && goal.kind === "inlet" && to.portId === goal.portId,
      );
      expect(describeChoice(goal, drain, design, "metric")).toBe(there ? `${plain}: ${there.name} sits there` : plain);
    }
  }
});
