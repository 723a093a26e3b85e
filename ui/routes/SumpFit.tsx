"use client";
import type { Drain } from "@/core/design/plumbing";
import { mayHaveSump, SUMP_GOALS, type SumpGoal } from "@/core/edits/fitSump";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look, tell, undo } from "@/store/workbench";
import * as WORDS from "@/words/panels/routes/sumpFit";
import { useFit } from "../fields/useFit";
import { Trade } from "../glossary/Trade";
import { SearchButton } from "../kit/SearchButton";

/** For what lies too low to drain: a sump beside it, from which a float pump sends the water up. */
export function SumpFit({ drain }: { readonly drain: Drain }) {
  const design = useWorkbench((state) => state.dragBase ?? state.history!.design);
  const { search, stop, fitWhole } = useFit();
  const fixture = design.fixtures.find(({ id }) => id === drain.fromFixture);
  if (!fixture || !mayHaveSump(design, fixture)) return null;
  const goals = SUMP_GOALS.filter((goal) =>
    goal === "overboard"
      ? design.rig.waterlineZMm !== null
      : design.tanks.some(({ holds }) => holds === "grey" || holds === "black"),
  );
  const fitSump = (goal: SumpGoal) =>
    fitWhole({ what: "sump", fixtureId: fixture.id, goal }, (refusal) => {
      if (refusal !== null) return;
      look({ drainId: drain.id });
      tell(WORDS.fitted(fixture.name), { action: { label: WORDS.undo, run: undo } });
    });
  return (
    <div className="mt-2 border-t border-rule pt-2">
      <p className="pb-1 text-[12.5px] leading-snug">
        <Trade>
          {goals.includes("overboard") ? `${WORDS.tooLowToDrain} ${WORDS.overboardCaution}` : WORDS.tooLowToDrain}
        </Trade>
      </p>
      <div className="flex flex-wrap gap-1.5">
        {goals.map((goal) => (
          <SearchButton
            key={goal}
            search={search}
            looking={WORDS.lookingForItsPlace}
            onLook={() => fitSump(goal)}
            onStop={stop}
          >
            {WORDS.GOALS[goal]}
          </SearchButton>
        ))}
      </div>
    </div>
  );
}
