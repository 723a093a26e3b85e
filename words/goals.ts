import type { Design } from "@/core/design/design";
import type { Drain } from "@/core/design/plumbing";
import type { Goal } from "@/core/edits/drainEdits";
import { listServed } from "@/core/tanks/portPlace";
import { speakFor } from "./afloat";
import { describePortPlace } from "./ports";
import type { Units } from "./units";

/** A place a drain can end in, in a few words: an inlet by the wall it is in and how high, where there are several. */
export function describeGoal(goal: Goal, design: Design, units: Units): string {
  if (goal.kind === "line") return design.lines.find((line) => line.id === goal.lineId)?.name ?? goal.lineId;
  if (goal.kind === "ground") return speakFor(design.rig.kind)("Open, onto the ground");
  if (goal.kind === "vessel")
    return design.habits.vessels.find(({ id }) => id === goal.vesselId)?.name ?? goal.vesselId;
  if (goal.kind === "overboard" || goal.kind === "sump") {
    const name = design.gear.find(({ id }) => id === goal.gearId)?.name ?? goal.gearId;
    return goal.kind === "sump" ? name : `Overboard, ${name}`;
  }
  const tank = design.tanks.find((t) => t.id === goal.tankId);
  const port = tank?.ports.find(({ id }) => id === goal.portId);
  if (!tank || !port) return goal.tankId;
  const isOnly = tank.ports.filter(({ kind }) => kind === "inlet").length === 1;
  return isOnly ? tank.name : `${tank.name}, ${describePortPlace(tank, port, design, units)}`;
}

/** The same as a choice for a drain: an inlet that another one sits on says so. */
export function describeChoice(goal: Goal, drain: Drain, design: Design, units: Units): string {
  const text = describeGoal(goal, design, units);
  if (goal.kind !== "inlet") return text;
  const other = listServed(design, goal.tankId, goal.portId).find(({ id }) => id !== drain.id);
  return other ? `${text}: ${other.name} sits there` : text;
}
