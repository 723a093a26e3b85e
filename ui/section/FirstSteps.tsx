"use client";
import { buildAddFixture } from "@/core/edits/fixtureEdits";
import { buildAddTank } from "@/core/edits/tankEdits";
import { useWorkbench } from "@/store/useWorkbench";
import { change, view as look, workbench } from "@/store/workbench";
import * as WORDS from "@/words/panels/section/firstSteps";
import { Button } from "../kit/Button";

/** Where no drain is to be shown: what comes next, and the press that does it. */
export function FirstSteps() {
  const hasTank = useWorkbench((state) => state.history!.design.tanks.some(({ holds }) => holds !== "fresh"));
  const fixtures = useWorkbench((state) => state.history!.design.fixtures.length);
  const now = () => workbench.getState().history!.design;
  const hang = () => {
    change(buildAddTank(now(), "grey", WORDS.greyTank));
  };
  const add = () => {
    const edit = buildAddFixture(now(), "kitchenSink", WORDS.kitchenSink);
    if (change(edit).ok) look({ station: "falls", drainId: null });
  };
  return (
    <div className="flex max-w-[30rem] flex-col items-center gap-3">
      <p className="text-faint">
        {!hasTank
          ? WORDS.thereIsNothingToJudge
          : fixtures === 0
            ? WORDS.nowTheFirstFixtureIt
            : WORDS.noFixtureHasADrain}
      </p>
      {!hasTank && (
        <Button look="plate" onClick={hang}>
          {WORDS.hangAGreyTank}
        </Button>
      )}
      {hasTank && fixtures === 0 && (
        <Button look="plate" onClick={add}>
          {WORDS.addAKitchenSink}
        </Button>
      )}
    </div>
  );
}
