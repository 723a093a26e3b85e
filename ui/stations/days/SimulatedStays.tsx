"use client";
import { Dices } from "lucide-react";
import { useWorkbench } from "@/store/useWorkbench";
import { workbench } from "@/store/workbench";
import { describeForecast } from "@/words/days";
import * as WORDS from "@/words/panels/days/simulatedStays";
import { ask } from "@/workers/client";
import { SearchButton } from "../../kit/SearchButton";
import { useSearch } from "../../kit/useSearch";

const JOURNEYS = 10_000;
const DAYS = 30;
/** The same stays each time, so that two designs are held against the same luck. */
const SEED = 1;

/** Stays lived from use to use, where one tank hangs on another: what ended them, and how often. */
export function SimulatedStays() {
  const design = useWorkbench((state) => state.dragBase ?? state.history!.design);
  const { search, look, stop } = useSearch((_, onProgress, signal) => {
    const { balance } = workbench.getState().evaluation!;
    return ask("days", { balance, stand: "here", days: DAYS, journeys: JOURNEYS, seed: SEED }, { onProgress, signal });
  });
  const lived = search.status === "found" && search.design === design ? search.answer : null;
  return (
    <div className="pt-1" data-testid="simulated">
      <SearchButton search={search} looking={WORDS.livingThroughTheStays} onLook={look} onStop={stop}>
        <Dices size={14} aria-hidden /> {WORDS.liveThrough10000Stays}
      </SearchButton>
      {lived && (
        <ul className="pt-1 text-[13.5px]">
          {lived.map((store) => (
            <li key={store.storeId} className="py-0.5">
              {describeForecast(design, store)}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
