"use client";
import { Trash2 } from "lucide-react";
import { useState } from "react";
import { freeId } from "@/core/design/freeId";
import { toFlowLpm } from "@/core/edits/habitEdits";
import { useWorkbench } from "@/store/useWorkbench";
import * as WORDS from "@/words/panels/days/bucketAndWatch";
import { formatQuantity } from "@/words/units";
import { Group } from "../../fields/Group";
import { useEdits } from "../../fields/useEdits";
import { Trade } from "../../glossary/Trade";
import { Button } from "../../kit/Button";
import { NumberField } from "../../kit/NumberField";
import { Pick } from "../../kit/Pick";

const AT = { kind: "habits" } as const;

/** What a tap or shower gives, measured with bucket and watch, kept with its day. */
export function BucketAndWatch() {
  const { fixtures, habits } = useWorkbench((state) => state.history!.design);
  const units = useWorkbench((state) => state.units);
  const { insert, remove } = useEdits();
  const [chosen, setChosen] = useState<string | null>(null);
  const [litres, setLitres] = useState(5);
  const [seconds, setSeconds] = useState(60);
  const fixtureId = fixtures.some(({ id }) => id === chosen) ? chosen! : fixtures[0]!.id;
  const nameOf = (id: string) => fixtures.find((fixture) => fixture.id === id)?.name ?? id;
  const [refusal, setRefusal] = useState<string | null>(null);
  const keep = () => {
    const on = new Date().toISOString().slice(0, 10);
    const value = { id: freeId("flow", habits.flows), fixtureId, litres, seconds, on };
    setRefusal(insert(AT, ["habits", "flows"], habits.flows.length, value));
  };
  const flow = (l: number, s: number) => formatQuantity(toFlowLpm(l, s) / 60, "flow", units);
  const take = (set: (value: number) => void) => (value: number | null) => {
    if (value === null || value <= 0) return WORDS.moreThanNothingPleaseWatch;
    set(value);
    return null;
  };
  return (
    <Group title={WORDS.bucketAndWatch}>
      <Pick
        label={WORDS.tapAt}
        value={fixtureId}
        names={Object.fromEntries(fixtures.map(({ id, name }) => [id, name]))}
        onPick={setChosen}
      />
      <NumberField label={WORDS.ranIntoTheBucket} value={litres} quantity="volume" onCommit={take(setLitres)} />
      <NumberField label={WORDS.inIt} value={seconds} quantity="seconds" onCommit={take(setSeconds)} />
      <div className="flex items-center justify-between gap-2">
        <span className="figures text-[17px]" data-testid="measured-flow">
          {flow(litres, seconds)}
        </span>
        <Button onClick={keep}>{WORDS.keepIt}</Button>
      </div>
      {refusal && (
        <p role="alert" className="text-[12.5px] text-signal">
          {refusal}
        </p>
      )}
      <ul>
        {habits.flows.map(({ id, fixtureId: at, litres: l, seconds: s, on }) => (
          <li key={id} className="flex items-center justify-between gap-2 border-t border-rule text-[13px]">
            <span className="min-w-0 flex-1">
              {nameOf(at)}, {on}
            </span>
            <span className="figures text-[15px]">{flow(l, s)}</span>
            <Button
              look="bare"
              aria-label={WORDS.forget(nameOf(at), on)}
              onClick={() => remove(AT, ["habits", "flows", id])}
            >
              <Trash2 size={14} aria-hidden />
            </Button>
          </li>
        ))}
      </ul>
      <p className="text-[12px] leading-snug text-faint">
        <Trade>{WORDS.minutesTimesThisIsWhat}</Trade>
      </p>
    </Group>
  );
}
