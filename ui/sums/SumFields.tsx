"use client";
import { useState } from "react";
import { type Sum, solveFor, workOut } from "@/core/sums/catalogue";
import type { SumValues } from "@/core/sums/sum";
import { useWorkbench } from "@/store/useWorkbench";
import * as WORDS from "@/words/panels/sums/sumFields";
import { describeSumFault, SUM_WORDS } from "@/words/sums";
import { formatQuantity } from "@/words/units";
import { Button } from "../kit/Button";
import { NumberField } from "../kit/NumberField";

type SumFieldsProps = {
  readonly sum: Sum;
  readonly start: SumValues;
  /** What the result should just come to; asked for where there is none. */
  readonly limit?: number | null;
};

/** A sum with values to play with: nothing of the design changes. What would just satisfy the limit is solved backwards. */
export function SumFields({ sum, start, limit = null }: SumFieldsProps) {
  const units = useWorkbench((state) => state.units);
  const [values, setValues] = useState(start);
  const [wanted, setWanted] = useState<number | null>(limit);
  const outcome = workOut(sum, values);
  const words = SUM_WORDS[sum.id];
  const { quantity } = sum.result;
  const put = (name: string, value: number | null): string | null => {
    if (value === null) return null;
    const next = { ...values, [name]: value };
    const tried = workOut(sum, next);
    if (!tried.ok && tried.fault.code === "outOfRange" && tried.fault.name === name) {
      return describeSumFault(tried.fault, sum, units);
    }
    setValues(next);
    return null;
  };
  return (
    <div className="flex flex-col">
      {sum.terms.map(({ name, quantity: kind }) => (
        <NumberField
          key={name}
          label={`${name}, ${words.terms[name]}`}
          value={values[name] ?? null}
          quantity={kind}
          onCommit={(value) => put(name, value)}
        />
      ))}
      <p className="mt-1 flex items-baseline justify-between gap-3 border-t border-ink pt-1.5">
        <span>
          {sum.result.name}, {words.result}
        </span>
        <output className="figures text-[20px]" data-testid="sum-result">
          {outcome.ok ? formatQuantity(outcome.value, quantity, units) : WORDS.none}
        </output>
      </p>
      {!outcome.ok && <p className="text-[12.5px] text-signal">{describeSumFault(outcome.fault, sum, units)}</p>}
      <NumberField
        label={WORDS.wanted(sum.result.name)}
        value={wanted}
        quantity={quantity}
        clearable
        onCommit={(value) => {
          setWanted(value);
          return null;
        }}
      />
      {wanted !== null && (
        <ul className="text-[13px]">
          {sum.terms.map((term) => {
            const value = solveFor(sum, values, term.name, wanted);
            return (
              <li key={term.name} className="flex items-baseline justify-between gap-2 border-t border-rule py-0.5">
                <span className="text-faint">
                  {term.name} {WORDS.aloneWouldHaveToBe}
                </span>
                {value === null ? (
                  <span className="text-faint">{WORDS.noValueDoes}</span>
                ) : (
                  <Button look="bare" onClick={() => put(term.name, value)} title={WORDS.tryIt}>
                    <span className="figures text-[15px]">{formatQuantity(value, term.quantity, units)}</span>
                  </Button>
                )}
              </li>
            );
          })}
        </ul>
      )}
    </div>
  );
}
