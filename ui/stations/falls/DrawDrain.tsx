"use client";
import { buildDrawDrain, listGoals } from "@/core/edits/drainEdits";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look } from "@/store/workbench";
import { describeGoal } from "@/words/goals";
import * as WORDS from "@/words/panels/falls/drawDrain";
import { useEdits } from "../../fields/useEdits";
import { Trade } from "../../glossary/Trade";
import { Button } from "../../kit/Button";

/** For fixtures without a drain: one tap draws the straightest there is, to be bent into shape. */
export function DrawDrain() {
  const design = useWorkbench((state) => state.history!.design);
  const units = useWorkbench((state) => state.units);
  const { apply } = useEdits();
  const undrained = design.fixtures.filter(
    (f) => !design.lines.some((line) => line.kind === "drain" && line.fromFixture === f.id),
  );
  const goals = listGoals(design, null);
  if (undrained.length === 0) return null;
  if (goals.length === 0)
    return (
      <p className="px-3 py-2 text-faint">
        <Trade>{WORDS.aDrainNeedsATank}</Trade>
      </p>
    );
  return undrained.map((fixture) => (
    <div key={fixture.id} className="px-3 py-2">
      <p className="text-[13px] text-faint">
        <Trade>{WORDS.drawADrainFrom}</Trade> {fixture.name} <Trade>{WORDS.to}</Trade>
      </p>
      <div className="mt-1 flex flex-wrap gap-1">
        {goals.map((goal) => (
          <Button
            key={Object.values(goal).join(":")}
            look="plate"
            onClick={() => {
              const edit = buildDrawDrain(design, fixture.id, goal);
              if (edit?.at.kind === "line" && apply(edit) === null) look({ drainId: edit.at.id });
            }}
          >
            {describeGoal(goal, design, units)}
          </Button>
        ))}
      </div>
    </div>
  ));
}
