"use client";
import { useMemo } from "react";
import { listRungs } from "@/core/days/lengthenStay";
import { listNeeds } from "@/core/days/rhythm";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look, tell, undo } from "@/store/workbench";
import { describeNeed, describeRung } from "@/words/days";
import * as WORDS from "@/words/panels/days/stayLadder";
import { formatDays } from "@/words/units";
import { Group } from "../../fields/Group";
import { useEdits } from "../../fields/useEdits";
import { Trade } from "../../glossary/Trade";
import { Button } from "../../kit/Button";
import { NumberField } from "../../kit/NumberField";

/** What would lengthen the stay, most days first, each done with one press; and what so many days would take. */
export function StayLadder() {
  // while something is pulled the ladder waits: it weighs every change by the whole design
  const design = useWorkbench((state) => state.dragBase ?? state.history!.design);
  const balance = useWorkbench((state) => state.evaluation?.balance ?? null);
  const wanted = useWorkbench((state) => state.wantedDays);
  const units = useWorkbench((state) => state.units);
  const { apply } = useEdits();
  const rungs = useMemo(() => listRungs(design), [design]);
  const { certainty } = design.habits;
  const needs = useMemo(
    () =>
      balance && wanted !== null
        ? listNeeds(balance, wanted, certainty).filter(({ missingL }) => missingL > 0.05)
        : null,
    [balance, wanted, certainty],
  );
  const wish = (days: number | null) => {
    if (days !== null && (days < 1 || days > 60 || !Number.isInteger(days))) return WORDS.wholeDaysFrom1To;
    look({ wantedDays: days });
    return null;
  };
  if (!balance?.endsBy.here) return null;
  return (
    <Group title={WORDS.longer}>
      <NumberField label={WORDS.iWantToStay} value={wanted} quantity="days" clearable onCommit={wish} />
      {needs && wanted !== null && (
        <div data-testid="needs" className="pb-1 text-[13.5px]">
          {needs.length === 0 ? (
            <p>
              <Trade>{WORDS.thatHoldsAsWished}</Trade>
            </p>
          ) : (
            <ul>
              {needs.map((need) => (
                <li key={need.storeId} className="py-0.5">
                  {describeNeed(design, need, units)}
                </li>
              ))}
            </ul>
          )}
        </div>
      )}
      {rungs.length > 0 && (
        <>
          <p className="pt-1 text-[12.5px] text-faint">
            <Trade>{WORDS.eachByItselfStandingLevel}</Trade>
          </p>
          <ol data-testid="ladder">
            {rungs.map((rung) => {
              const text = describeRung(rung, units);
              return (
                <li key={`${rung.code} ${rung.name}`} className="flex items-center gap-2 border-b border-rule py-1">
                  <span className="min-w-0 flex-1 text-[13.5px] leading-snug">{text}</span>
                  <span className="figures text-[15px] whitespace-nowrap">+{formatDays(rung.gainedDays)}</span>
                  <Button
                    aria-label={WORDS.doIt(text)}
                    onClick={() => {
                      if (apply(rung.edit) === null)
                        tell(WORDS.isDone(text), { action: { label: WORDS.undo, run: undo } });
                    }}
                  >
                    {WORDS.doIt2}
                  </Button>
                </li>
              );
            })}
          </ol>
          <p className="pt-1 text-[12px] leading-snug text-faint">
            <Trade>{WORDS.aLargerTankGrowsTo}</Trade>
          </p>
        </>
      )}
    </Group>
  );
}
