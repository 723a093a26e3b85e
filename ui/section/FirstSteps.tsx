"use client";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look } from "@/store/workbench";
import * as WORDS from "@/words/panels/section/firstSteps";
import { useFit } from "../fields/useFit";
import { Button } from "../kit/Button";
import { SearchProgress } from "../kit/SearchProgress";

/** Where no drain is to be shown: what comes next, and the press that does it. */
export function FirstSteps() {
  const hasTank = useWorkbench((state) => state.history!.design.tanks.some(({ holds }) => holds !== "fresh"));
  const fixtures = useWorkbench((state) => state.history!.design.fixtures.length);
  const { search, stop, fitWhole } = useFit();
  const hang = () => void fitWhole({ what: "tank", holds: "grey", name: WORDS.greyTank });
  const add = () =>
    void fitWhole({ what: "fixture", kind: "kitchenSink", name: WORDS.kitchenSink }, (refusal) => {
      if (refusal === null) look({ station: "falls", drainId: null });
    });
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
      <SearchProgress search={search} looking={WORDS.lookingForItsPlace} onStop={stop} />
    </div>
  );
}
