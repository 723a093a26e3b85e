"use client";

import { useMemo } from "react";
import { computeEveryoneAboard } from "@/core/days/everyoneAboard";
import { findRhythm } from "@/core/days/rhythm";
import { FRESH_ID } from "@/core/days/stores";
import { computeBalanceApart, sumSecondUnitKg } from "@/core/days/twoUnits";
import { comparePlainSchool, computeLoopRhythm } from "@/core/gear/loopRhythm";
import { toWorkingId } from "@/core/workings/working";
import { useWorkbench } from "@/store/useWorkbench";
import {
  CERTAINTY_NAMES,
  describeChance,
  describeEnd,
  describeEveryone,
  describeIdle,
  describeRhythm,
  describeRooms,
  describeStoreRoom,
  describeUnits,
  nameCertainty,
} from "@/words/days";
import { describeLoopRhythm, describePlainSchool } from "@/words/gear";
import * as WORDS from "@/words/panels/days/stayFigures";
import { describeStore } from "@/words/stores";
import { formatDays } from "@/words/units";
import { useEdits } from "../../fields/useEdits";
import { ToldTrade, Trade } from "../../glossary/Trade";
import { Figure } from "../../kit/Figure";
import { Pick } from "../../kit/Pick";
import { SimulatedStays } from "./SimulatedStays";

/** How long each store lasts, which of them ends the stay, and how often to dump and fill. */
export function StayFigures() {
  const design = useWorkbench((state) => state.history!.design);
  const balance = useWorkbench((state) => state.evaluation?.balance ?? null);
  const units = useWorkbench((state) => state.units);
  const { set } = useEdits();
  const { certainty } = design.habits;
  const rhythm = useMemo(() => balance && findRhythm(balance, certainty), [balance, certainty]);
  const tanks = useWorkbench((state) => state.evaluation?.tanks ?? null);
  const loop = useMemo(() => computeLoopRhythm(design), [design]);
  const everyone = useMemo(() => tanks && computeEveryoneAboard(design, tanks), [design, tanks]);
  const apart = useMemo(() => tanks && computeBalanceApart(design, tanks), [design, tanks]);
  if (!balance || !rhythm) return null;
  const longest = Math.max(1, ...balance.stores.map(({ days }) => days.here ?? 0));
  const first = balance.endsBy.here?.storeId;
  const fresh = balance.stores.find(({ store, days }) => store.id === FRESH_ID && days.here !== null);
  return (
    <div className="px-3 pt-2 pb-3">
      <div data-testid="stay">
        <p className="pb-1 text-[15px] desk:hidden leading-snug font-semibold">{describeEnd(design, balance)}</p>
        {balance.stores.map(({ store, holds, days, meanLPerDay, roomL, undrawnL }) => {
          const name = describeStore(store.id, design);
          const chances = rhythm.stores.find(({ storeId }) => storeId === store.id)!;
          return (
            <div key={store.id} className="py-1">
              <div className="flex items-baseline justify-between gap-2">
                <span className={`min-w-0 text-[13.5px] ${store.id === first ? "font-semibold" : ""}`}>{name}</span>
                {days.here === null ? (
                  <span className="text-[13px] text-faint">{describeIdle(holds)}</span>
                ) : (
                  <Figure
                    working={toWorkingId("storeDays", { kind: "store", id: store.id }, "here")}
                    label={WORDS.ends(name, holds === "fresh")}
                    className="text-right text-[17px] whitespace-nowrap"
                  >
                    {formatDays(days.here)}
                  </Figure>
                )}
              </div>
              {days.here !== null && (
                <>
                  <span className="block h-3 border border-ink bg-sheet">
                    <span
                      className={`block h-full bar-${holds === "fresh" ? "fresh" : "grey"}`}
                      style={{ width: `${Math.max(2, (days.here / longest) * 100).toFixed(1)}%` }}
                    />
                  </span>
                  <p className="text-[12.5px] leading-snug text-faint">
                    {describeStoreRoom({ holds, meanLPerDay, roomL, undrawnL }, units)}{" "}
                    {describeChance({ holds }, chances.lowDay, chances.highDay)}
                  </p>
                </>
              )}
            </div>
          );
        })}
      </div>
      <Pick
        label={WORDS.daysShouldHold}
        value={nameCertainty(certainty)}
        names={CERTAINTY_NAMES}
        onPick={(value) => set({ kind: "habits" }, ["habits", "certainty"], Number(value))}
      />
      <ul className="text-[13.5px]" data-testid="rhythm">
        {describeRhythm(design, balance, rhythm).map((line) => (
          <li key={line} className="py-0.5">
            <ToldTrade>{line}</ToldTrade>
          </li>
        ))}
      </ul>
      {describeRooms(design, balance, units).map((line) => (
        <p key={line} className="py-0.5 text-[13.5px] leading-snug">
          <ToldTrade>{line}</ToldTrade>
        </p>
      ))}
      {loop && (
        <p className="py-0.5 text-[13.5px] leading-snug" data-testid="loop-rhythm">
          {describeLoopRhythm(loop, units, balance.endsBy.here?.days ?? null)}{" "}
          {fresh && loop.showersPerDay > 0
            ? describePlainSchool(comparePlainSchool(loop, fresh.days.here!, fresh.meanLPerDay), units)
            : ""}
        </p>
      )}
      {everyone && (
        <p className="py-0.5 text-[13.5px] leading-snug" data-testid="everyone-aboard">
          {describeEveryone(design, everyone)}
        </p>
      )}
      {apart && (
        <p className="py-0.5 text-[13.5px] leading-snug" data-testid="two-units">
          {describeUnits(design, balance, apart, sumSecondUnitKg(design), units)}
        </p>
      )}
      <SimulatedStays />
      <p className="pt-1 text-[12px] leading-snug text-faint">
        <Trade>{WORDS.workedOutTankByTank}</Trade>
      </p>
    </div>
  );
}
