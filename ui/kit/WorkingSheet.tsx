"use client";
import { useState } from "react";
import { isLevel } from "@/core/attitude/attitude";
import { LIMITS } from "@/core/rules/limitIds";
import { findSum } from "@/core/sums/catalogue";
import { SUM_OF_FORMULA } from "@/core/sums/sumOfFormula";
import { listWorkings } from "@/core/workings/listWorkings";
import type { Working } from "@/core/workings/working";
import { useWorkbench } from "@/store/useWorkbench";
import { describeAttitude } from "@/words/attitudes";
import { describePart } from "@/words/describePart";
import { formatLimit } from "@/words/formatLimit";
import { describeSymbol, FORMULA_WORDS, STAND_WORDS } from "@/words/formulas";
import { LIMIT_NAMES } from "@/words/limits";
import * as WORDS from "@/words/panels/kit/workingSheet";
import { describeLimitSource, STANDINGS } from "@/words/sources";
import { formatQuantity } from "@/words/units";
import { SumFields } from "../sums/SumFields";
import { Button } from "./Button";
import { useSay } from "./useSay";

/** How a figure came about: the sum, what was put in, and the limit it is held against. */
export function WorkingSheet({ working: id }: { readonly working: string }) {
  const say = useSay();
  const design = useWorkbench((state) => state.history?.design);
  const evaluation = useWorkbench((state) => state.evaluation);
  const units = useWorkbench((state) => state.units);
  const fillShare = useWorkbench((state) => state.fillShare);
  if (!design || !evaluation) return null;
  const working = listWorkings(design, evaluation, fillShare).find((w) => w.id === id);
  if (!working) return <p>{WORDS.thisFigureIsNoLonger}</p>;
  const words = FORMULA_WORDS[working.formula];
  const { limit, attitude, result } = working;
  return (
    <div className="text-[13.5px]">
      <h3 className="plate text-[17px] leading-tight">{say(words.title)}</h3>
      <p className="text-faint">
        {describePart(working.at, design)}
        {working.stand && `, ${STAND_WORDS[working.stand]}`}
        {attitude &&
          working.stand !== "level" &&
          `, ${isLevel(attitude) ? STAND_WORDS.level : describeAttitude(attitude, design.rig.kind)}`}
      </p>
      <div className="figures my-2 border-y border-rule py-1.5 text-[16px]">
        {words.sum.split(";  ").map((sum) => (
          <p key={sum}>{sum}</p>
        ))}
      </div>
      <table className="figures w-full text-[15px]">
        <tbody>
          {working.terms.map((term) => (
            <tr key={term.symbol}>
              <td className="w-10 align-top text-faint">{term.symbol}</td>
              <td className="pr-2 text-faint">{say(describeSymbol(working.formula, term.symbol))}</td>
              <td className="text-right whitespace-nowrap">{formatQuantity(term.value, term.quantity, units)}</td>
            </tr>
          ))}
          <tr className="border-t border-ink">
            <td className="pt-0.5 text-faint">{result.symbol}</td>
            <td className="pt-0.5 pr-2">{say(describeSymbol(working.formula, result.symbol))}</td>
            <td className="pt-0.5 text-right text-[18px] whitespace-nowrap">
              {formatQuantity(result.value, result.quantity, units)}
            </td>
          </tr>
        </tbody>
      </table>
      <TryValues working={working} />
      <p className="mt-2">{words.plain}</p>
      {limit && (
        <p className="mt-2 border-t border-rule pt-2 text-faint" title={STANDINGS[limit.standing].long}>
          {LIMIT_NAMES[limit.id].name}:{" "}
          <span className="figures text-[15px] text-ink">
            {limit.value === null && limit.standing === "C"
              ? WORDS.computedHere
              : formatLimit(limit.value, LIMITS[limit.id], units)}
          </span>
          . {describeLimitSource(limit)}.
        </p>
      )}
    </div>
  );
}

// Where the working is a sum of the catalogue, its values can be changed here without touching the design.
function TryValues({ working }: { readonly working: Working }) {
  const [isOpen, setIsOpen] = useState(false);
  const match = SUM_OF_FORMULA[working.formula];
  const sum = match ? findSum(match.sum) : null;
  if (!match || !sum) return null;
  const start = Object.fromEntries(
    working.terms.flatMap(({ symbol, value }) => (match.terms[symbol] ? [[match.terms[symbol], value]] : [])),
  );
  if (sum.terms.some(({ name }) => start[name] === undefined)) return null;
  if (!isOpen) {
    return (
      <Button className="mt-2" onClick={() => setIsOpen(true)}>
        {WORDS.tryOtherValues}
      </Button>
    );
  }
  return (
    <div className="mt-2 border-t border-rule pt-1">
      <p className="pb-1 text-[12.5px] text-faint">{WORDS.nothingOfTheDesignChanges}</p>
      <SumFields
        sum={sum}
        start={start}
        limit={sum.result.quantity === working.result.quantity ? (working.limit?.value ?? null) : null}
      />
    </div>
  );
}
