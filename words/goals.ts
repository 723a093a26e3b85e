import type { Design } from "@/core/design/design";
import type { Goal } from "@/core/edits/drainEdits";

/** A place a drain can end in, in a few words. */
export function describeGoal(goal: Goal, design: Design): string {
  if (goal.kind === "line") return design.lines.find((line) => line.id === goal.lineId)?.name ?? goal.lineId;
  const tank = design.tanks.find((t) => t.id === goal.tankId);
  const inlets = tank?.ports.filter((port) => port.kind === "inlet") ?? [];
  const name = tank?.name ?? goal.tankId;
  return inlets.length > 1 ? `${name}, inlet ${inlets.findIndex((port) => port.id === goal.portId) + 1}` : name;
}
