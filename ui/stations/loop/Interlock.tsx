"use client";
import { ShieldCheck } from "lucide-react";
import { useMemo } from "react";
import type { Design } from "@/core/design/design";
import { groupHazards, proveInterlock } from "@/core/gear/interlock";
import { listJoins } from "@/core/gear/joins";
import type { ShownWay } from "@/store/state";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look } from "@/store/workbench";
import {
  describeEveryPosition,
  describeHazard,
  describeJoin,
  describePumpProof,
  describePumpTurns,
  describeWrongTurns,
} from "@/words/interlock";
import * as WORDS from "@/words/panels/loop/interlock";
import { ask } from "@/workers/client";
import { Group } from "../../fields/Group";
import { Trade } from "../../glossary/Trade";
import { SearchButton } from "../../kit/SearchButton";
import { useSearch } from "../../kit/useSearch";

/** So many ways stand in the list; the rest are counted. */
const SHOWN = 12;

/** Every way for water to where it must not come: press one, and it is turned, fails and is drawn on the stage. */
export function Interlock() {
  const design = useWorkbench((state) => state.dragBase ?? state.history!.design);
  const shown = useWorkbench((state) => state.loopView.way);
  const hazards = useMemo(() => groupHazards(design, proveInterlock(design)), [design]);
  const joins = useMemo(() => listJoins(design), [design]);
  const {
    search,
    look: prove,
    stop,
  } = useSearch((given, onProgress, signal) => ask("everyPosition", { design: given }, { onProgress, signal }));
  const proven = search.status === "found" && search.design === design ? search.answer : null;
  return (
    <Group title={WORDS.whatCanGoWrong}>
      {hazards.length === 0 && (
        <p className="text-[13px]">
          <Trade>{WORDS.inTheStatesAsThey}</Trade>
        </p>
      )}
      <WayList
        ways={hazards.map(([hazard, ...alike]) => ({
          stateId: hazard.stateId,
          turns: [],
          failure: hazard.failure,
          links: hazard.way,
          text: describeHazard(design, hazard, alike.length),
        }))}
        shown={shown}
      />
      <div className="py-1" data-testid="every-position">
        <SearchButton search={search} looking={WORDS.provingEveryPosition} onLook={prove} onStop={stop}>
          <ShieldCheck size={14} aria-hidden /> {WORDS.proveEveryPosition}
        </SearchButton>
        {proven && (
          <>
            <p className="pt-1 text-[13px] leading-snug" role="status">
              {describeEveryPosition(proven)}
            </p>
            <WayList
              ways={proven.ways.map((way) => ({ ...toShown(design, way), stateId: way.stateId }))}
              shown={shown}
            />
            <p className="pt-1 text-[13px] leading-snug">{describePumpProof(proven)}</p>
            <WayList
              ways={proven.pumps.map((pump) => ({
                stateId: pump.stateId,
                turns: pump.turns,
                failure: null,
                links: [pump.gearId],
                text: describePumpTurns(design, pump),
              }))}
              shown={shown}
            />
          </>
        )}
      </div>
      {joins.length > 0 && <h4 className="pt-1 text-[13px] font-semibold">{WORDS.whereFreshWaterMeetsOther}</h4>}
      <ul>
        {joins.map((join) => (
          <li
            key={`${join.from}|${join.to}`}
            className={`py-0.5 text-[12.5px] leading-snug ${join.isEnough ? "" : "text-signal"}`}
          >
            {describeJoin(design, join)}
          </li>
        ))}
      </ul>
    </Group>
  );
}

const toShown = (design: Design, way: Parameters<typeof describeWrongTurns>[1]): ShownWay => ({
  turns: way.turns,
  failure: way.failure,
  links: way.way,
  text: describeWrongTurns(design, way),
});

type Listed = ShownWay & { readonly stateId: string };

function WayList({ ways, shown }: { readonly ways: readonly Listed[]; readonly shown: ShownWay | null }) {
  return (
    <ul>
      {ways.slice(0, SHOWN).map(({ stateId, ...way }) => {
        const isShown = shown?.text === way.text;
        return (
          <li key={way.text}>
            <button
              type="button"
              aria-pressed={isShown}
              onClick={() => look({ loopView: { stateId, way: isShown ? null : way } })}
              className={`min-h-7 w-full px-1 py-0.5 text-left text-[13px] leading-snug phone:min-h-11 ${isShown ? "bg-pick" : "hover:bg-pick/60"}`}
            >
              {way.text}
            </button>
          </li>
        );
      })}
      {ways.length > SHOWN && (
        <li className="px-1 text-[12.5px] text-faint">
          {WORDS.and} {ways.length - SHOWN} {WORDS.more}
        </li>
      )}
    </ul>
  );
}
