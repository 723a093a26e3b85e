"use client";
import { useMemo } from "react";
import { listUntapped } from "@/core/edits/fitSupply";
import { listTapRuns } from "@/core/gear/tapRuns";
import { useWorkbench } from "@/store/useWorkbench";
import { tell, undo } from "@/store/workbench";
import * as WORDS from "@/words/panels/loop/supplyAssistant";
import { Group } from "../../fields/Group";
import { useFit } from "../../fields/useFit";
import { Trade } from "../../glossary/Trade";
import { SearchButton } from "../../kit/SearchButton";

/** Fresh water to a tap over every fixture that has none, in one step. */
export function SupplyAssistant() {
  const design = useWorkbench((state) => state.history!.design);
  const { search, stop, fitWhole } = useFit();
  const untapped = useMemo(() => listUntapped(design), [design]);
  const [run] = useMemo(() => listTapRuns(design).cold, [design]);
  if (untapped.length === 0) return null;
  const lay = () =>
    fitWhole({ what: "supply" }, (refusal) => {
      if (refusal === null) tell(WORDS.laid(untapped.length), { action: { label: WORDS.undo, run: undo } });
    });
  return (
    <Group title={WORDS.waterToTheTaps}>
      <p className="pb-1.5 text-[13px] leading-snug">
        <Trade>
          {WORDS.noTapYet(
            untapped.map(({ name }) => name),
            run?.push.name,
          )}
        </Trade>
      </p>
      <SearchButton search={search} looking={WORDS.layingWater} onLook={lay} onStop={stop}>
        {WORDS.layWaterToTheTaps}
      </SearchButton>
    </Group>
  );
}
