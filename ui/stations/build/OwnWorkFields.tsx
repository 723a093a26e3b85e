"use client";
import { Trash2 } from "lucide-react";
import { useMemo, useState } from "react";
import { checkRule, settleOwnWork } from "@/core/build/ownSteps";
import { listSteps } from "@/core/build/steps";
import { freeId } from "@/core/design/freeId";
import type { BuildRecord } from "@/core/record/record";
import { records } from "@/store/records";
import { useWorkbench } from "@/store/useWorkbench";
import { tell } from "@/store/workbench";
import { describeRuleRefused, describeStep } from "@/words/build";
import * as WORDS from "@/words/panels/build/ownWorkFields";
import { Group } from "../../fields/Group";
import { Button } from "../../kit/Button";
import { Pick } from "../../kit/Pick";
import { TextField } from "../../kit/TextField";
import { useRecords } from "../useRecords";

const NEW_HOURS = 2;

/** Steps no drawing knows, and what must come before what by the builder's own rule: worktop before the carcass. */
export function OwnWorkFields() {
  const design = useWorkbench((state) => state.history!.design);
  const evaluation = useWorkbench((state) => state.evaluation!);
  const build = useRecords((state) => state.build);
  const { steps: own = [], rules = [] } = build;
  const { steps, dropped } = useMemo(
    () => settleOwnWork(listSteps(design, evaluation), { steps: own, rules }),
    [design, evaluation, own, rules],
  );
  const [first, setFirst] = useState<string | null>(null);
  const [then, setThen] = useState<string | null>(null);
  const [refusal, setRefusal] = useState<string | null>(null);
  const keep = (change: Partial<BuildRecord>) => {
    records
      .setOwnWork({ steps: own, rules, ...change })
      .catch(() => tell(WORDS.thatCouldNotBeKept, { tone: "warning" }));
  };
  const names = Object.fromEntries(steps.map((step) => [step.id, describeStep(step, design)]));
  const firstId = first !== null && names[first] ? first : steps[0]?.id;
  const thenId = then !== null && names[then] ? then : steps.find(({ id }) => id !== firstId)?.id;
  const addRule = () => {
    if (!firstId || !thenId) return;
    const checked =
      firstId === thenId ? ({ ok: false, way: [firstId] } as const) : checkRule(steps, { firstId, thenId });
    setRefusal(checked.ok ? null : describeRuleRefused(checked.way, steps, design));
    if (checked.ok) keep({ rules: [...rules, { firstId, thenId }] });
  };
  return (
    <Group title={WORDS.yourOwnStepsAndRules}>
      <TextField
        key={own.length}
        label={WORDS.oneMoreStep}
        value=""
        onCommit={(text) => {
          const name = text.trim();
          if (name === "") return null;
          const word =
            name
              .toLowerCase()
              .replace(/[^a-z0-9]+/g, "-")
              .replace(/^-|-$/g, "")
              .slice(0, 40) || "step";
          keep({ steps: [...own, { id: freeId(`own:${word}`, own), name: name.slice(0, 80), hours: NEW_HOURS }] });
          return null;
        }}
      />
      <ul>
        {own.map(({ id, name }) => (
          <li key={id} className="flex items-center gap-1 text-[13.5px]">
            <span className="flex-1">{name}</span>
            <Button
              look="bare"
              aria-label={WORDS.takeTheStepOut(name)}
              onClick={() =>
                keep({
                  steps: own.filter((step) => step.id !== id),
                  rules: rules.filter(({ firstId: a, thenId: b }) => a !== id && b !== id),
                })
              }
            >
              <Trash2 size={14} aria-hidden />
            </Button>
          </li>
        ))}
      </ul>
      {firstId && thenId && (
        <>
          <Pick label={WORDS.first} value={firstId} names={names} onPick={setFirst} />
          <Pick label={WORDS.andThen} value={thenId} names={names} onPick={setThen} />
          <Button onClick={addRule}>{WORDS.keepThisOrder}</Button>
        </>
      )}
      {refusal && (
        <p role="alert" className="py-1 text-[13px] text-signal">
          {refusal}
        </p>
      )}
      <ul aria-label={WORDS.yourRules}>
        {rules.map((rule) => {
          const { firstId: a, thenId: b } = rule;
          const isDropped = dropped.includes(rule) || !names[a] || !names[b];
          return (
            <li
              key={`${a}>${b}`}
              className="flex items-center gap-1 border-t border-rule py-0.5 text-[13px] leading-snug"
            >
              <span className="flex-1">
                {names[a] ?? a}
                {WORDS.thenIt} {names[b] ?? b}
                {isDropped && <strong className="text-warn"> {WORDS.restsTheDrawingHasNo}</strong>}
              </span>
              <Button
                look="bare"
                aria-label={WORDS.takeThisRuleOut}
                onClick={() => keep({ rules: rules.filter((one) => one !== rule) })}
              >
                <Trash2 size={14} aria-hidden />
              </Button>
            </li>
          );
        })}
      </ul>
    </Group>
  );
}
