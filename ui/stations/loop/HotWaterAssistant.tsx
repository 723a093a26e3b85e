"use client";
import { useMemo } from "react";
import { findColdSource } from "@/core/edits/fitHotWater";
import { useWorkbench } from "@/store/useWorkbench";
import { tell, undo } from "@/store/workbench";
import * as WORDS from "@/words/panels/loop/hotWaterAssistant";
import { Group } from "../../fields/Group";
import { useFit } from "../../fields/useFit";
import { Trade } from "../../glossary/Trade";
import { SearchButton } from "../../kit/SearchButton";

/** A heater with its valves, and a warm tap beside each cold one, in one step. */
export function HotWaterAssistant() {
  const design = useWorkbench((state) => state.history!.design);
  const { search, stop, fitWhole } = useFit();
  const source = useMemo(() => findColdSource(design), [design]);
  if (!source) return null;
  const taps = source.taps.length;
  const fit = () =>
    fitWhole({ what: "hotWater" }, (refusal) => {
      if (refusal === null) tell(WORDS.fitted(taps), { action: { label: WORDS.undo, run: undo } });
    });
  return (
    <Group title={WORDS.hotWater}>
      <p className="pb-1.5 text-[13px] leading-snug">
        <Trade>{WORDS.coldOnly(source.name, taps)}</Trade>
      </p>
      <SearchButton search={search} looking={WORDS.fittingHotWater} onLook={fit} onStop={stop}>
        {WORDS.fitHotWater}
      </SearchButton>
      <p className="pt-1.5 text-[12px] leading-snug text-faint">{WORDS.caution}</p>
    </Group>
  );
}
