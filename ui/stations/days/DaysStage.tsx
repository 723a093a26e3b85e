"use client";
import { useEffect, useMemo, useRef, useState } from "react";
import { MOST_DAYS } from "@/core/days/accrual";
import { useWorkbench } from "@/store/useWorkbench";
import { describeEnd } from "@/words/days";
import * as WORDS from "@/words/panels/days/daysStage";
import { describeStore } from "@/words/stores";
import { formatDays } from "@/words/units";
import { Trade } from "../../glossary/Trade";
import { useSide } from "../useSide";
import { LevelChart } from "./LevelChart";
import { StretchStrip } from "./StretchStrip";
import { WantedDays } from "./WantedDays";

const LEAST_DAYS = 7;
const ROW_LEAST_PX = 104;
const ROW_MOST_PX = 190;
/** Kept for the days themselves and how they are lived, px. */
const FOOT_PX = 136;

/** The levels of all tanks over the days, the day the stay ends, and the line that is pulled to the day it should. */
export function DaysStage() {
  const side = useSide();
  const design = useWorkbench((state) => state.history!.design);
  const balance = useWorkbench((state) => state.evaluation?.balance ?? null);
  const wanted = useWorkbench((state) => state.wantedDays);
  const box = useRef<HTMLDivElement>(null);
  const [{ widthPx, heightPx }, setSize] = useState({ widthPx: 640, heightPx: 400 });
  useEffect(() => {
    const element = box.current;
    if (!element) return;
    const observer = new ResizeObserver(
      ([entry]) =>
        entry && setSize({ widthPx: Math.max(240, entry.contentRect.width), heightPx: entry.contentRect.height }),
    );
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  const moving = useMemo(() => balance?.stores.filter(({ days }) => days.here !== null) ?? [], [balance]);
  const ends = balance?.endsBy.here ?? null;
  // the first end stands in the middle, and what is wished is always on the sheet
  const span = Math.max(LEAST_DAYS, Math.ceil((ends?.days ?? 3) * 2), (wanted ?? 0) + 1);
  const days = Math.min(MOST_DAYS, span);
  const rowPx = Math.min(
    ROW_MOST_PX,
    Math.max(ROW_LEAST_PX, Math.floor((heightPx - FOOT_PX) / Math.max(1, moving.length))),
  );
  return (
    <section aria-label={WORDS.days} className="flex min-h-0 flex-1 flex-col bg-sheet">
      <header className="border-b border-rule px-3 py-2">
        <h2 className="text-[15px] leading-snug font-semibold" data-testid="days-verdict">
          {balance ? describeEnd(design, balance) : ""}
        </h2>
        <p className="text-[12.5px] text-faint">
          <Trade>{WORDS.lineHalfOfAllStays}</Trade>
        </p>
      </header>
      <div
        ref={box}
        className="min-h-0 flex-1 overflow-y-auto"
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls has to be reached by keys
        tabIndex={0}
        role="group"
        aria-label={WORDS.levelsOverTheDays}
      >
        {balance && moving.length > 0 ? (
          <>
            {moving.map(({ store, holds, roomL }) => (
              <LevelChart
                key={store.id}
                name={describeStore(store.id, design)}
                holds={holds}
                roomL={roomL.here}
                stretches={balance.stretches}
                storeId={store.id}
                days={days}
                wanted={wanted}
                widthPx={widthPx}
                heightPx={rowPx}
              />
            ))}
            <StretchStrip days={days} widthPx={widthPx} />
            <WantedDays days={days} widthPx={widthPx} endDay={ends?.days ?? null} />
          </>
        ) : (
          <p className="px-3 py-4">
            <Trade>{WORDS.nothingFillsOrEmptiesYet(side)}</Trade>
          </p>
        )}
      </div>
      {ends && wanted !== null && (
        <p className="border-t border-rule px-3 py-1.5 text-[13.5px]">
          {wanted > ends.days
            ? WORDS.wishedReachedWhatIsMissing(formatDays(wanted), formatDays(ends.days))
            : WORDS.wishedOnTheMeanIt(formatDays(wanted), formatDays(ends.days))}
        </p>
      )}
    </section>
  );
}
