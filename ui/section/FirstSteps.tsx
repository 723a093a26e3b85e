"use client";
import { buildAddFixture } from "@/core/edits/fixtureEdits";
import { buildAddTank } from "@/core/edits/tankEdits";
import { useWorkbench } from "@/store/useWorkbench";
import { change, view as look, workbench } from "@/store/workbench";
import { Button } from "../kit/Button";

/** Where no drain is to be shown: what comes next, and the press that does it. */
export function FirstSteps() {
  const hasTank = useWorkbench((state) => state.history!.design.tanks.some(({ holds }) => holds !== "fresh"));
  const fixtures = useWorkbench((state) => state.history!.design.fixtures.length);
  const now = () => workbench.getState().history!.design;
  const hang = () => {
    change(buildAddTank(now(), "grey", "Grey tank"));
  };
  const add = () => {
    const edit = buildAddFixture(now(), "kitchenSink", "Kitchen sink");
    if (change(edit).ok) look({ station: "falls", drainId: null });
  };
  return (
    <div className="flex max-w-[30rem] flex-col items-center gap-3">
      <p className="text-faint">
        {!hasTank
          ? "There is nothing to judge yet. First the tank: it hangs where there is room, and you move it."
          : fixtures === 0
            ? "Now the first fixture: it comes with trap, drain and an inlet of its own."
            : "No fixture has a drain yet. Draw one at the station Falls, or pick the finding that says so."}
      </p>
      {!hasTank && (
        <Button look="plate" onClick={hang}>
          Hang a grey tank
        </Button>
      )}
      {hasTank && fixtures === 0 && (
        <Button look="plate" onClick={add}>
          Add a kitchen sink
        </Button>
      )}
    </div>
  );
}
