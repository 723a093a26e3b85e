"use client";
import { useMemo } from "react";
import { findColdSource, findUnwarmed } from "@/core/edits/fitHotWater";
import { useWorkbench } from "@/store/useWorkbench";
import { tell, undo } from "@/store/workbench";
import * as WORDS from "@/words/panels/loop/hotWaterAssistant";
import { Group } from "../../fields/Group";
import { useFit } from "../../fields/useFit";
import { Trade } from "../../glossary/Trade";
import { SearchButton } from "../../kit/SearchButton";

/** A heater with its valves, where there is none, and a warm tap beside each cold one, in one step. */
export function HotWaterAssistant() {
  const design = useWorkbench((state) => state.history!.design);
  const { search, stop, fitWhole } = useFit();
  const source = useMemo(() => findColdSource(design), [design]);
  const unwarmed = useMemo(() => findUnwarmed(design), [design]);
  const taps = (source ?? unwarmed)?.taps.length;
  if (!taps) return null;
  const told = unwarmed
    ? WORDS.coldBeside(
        unwarmed.run.heater.name,
        unwarmed.taps.map(({ fixture }) => fixture.name),
      )
    : WORDS.coldOnly(source!.name, taps);
  const fit = () =>
    fitWhole({ what: "hotWater" }, (refusal) => {
      if (refusal === null)
        tell(unwarmed ? WORDS.ledOn(taps) : WORDS.fitted(taps), { action: { label: WORDS.undo, run: undo } });
    });
  return (
    <Group title={WORDS.hotWater}>
      <p className="pb-1.5 text-[13px] leading-snug">
        <Trade>{told}</Trade>
      </p>
      <SearchButton search={search} looking={WORDS.fittingHotWater} onLook={fit} onStop={stop}>
        {unwarmed ? WORDS.leadHotWaterOn : WORDS.fitHotWater}
      </SearchButton>
      <p className="pt-1.5 text-[12px] leading-snug text-faint">
        {unwarmed ? WORDS.scalds : `${WORDS.scalds} ${WORDS.caution}`}
      </p>
    </Group>
  );
}
