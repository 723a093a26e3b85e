"use client";
import { Printer } from "lucide-react";
import { useState } from "react";
import { findSum, SUMS, type Sum } from "@/core/sums/catalogue";
import * as WORDS from "@/words/panels/sums/sumsSheet";
import { STANDINGS } from "@/words/sources";
import { SUM_WORDS } from "@/words/sums";
import { Button } from "../kit/Button";
import { printPart } from "../kit/printPart";
import { Sheet } from "../kit/Sheet";
import { SumFields } from "./SumFields";

/** Every sum by itself, to be looked up in the shop: no design is needed, and none is changed. */
export function SumsSheet({ onClose }: { readonly onClose: () => void }) {
  const [query, setQuery] = useState("");
  const [id, setId] = useState<string>(SUMS[0]!.id);
  const found = SUMS.filter((sum) => matches(sum, query));
  const sum = findSum(id);
  return (
    <Sheet size="wide" title={WORDS.sums} about={WORDS.oneFigureWithoutADesign} onClose={onClose}>
      <div className="grid gap-5 desk:grid-cols-[20rem_1fr]">
        <div>
          <input
            type="search"
            aria-label={WORDS.searchTheSums}
            placeholder={WORDS.searchTrapBoreFrost}
            value={query}
            onChange={(event) => setQuery(event.target.value)}
            className="mb-2 min-h-9 w-full border-b border-edge bg-sheet px-2 phone:min-h-11"
          />
          <ul className="desk:max-h-[58vh] desk:overflow-y-auto phone:max-h-52 phone:overflow-y-auto">
            {found.map((one) => (
              <li key={one.id}>
                <button
                  type="button"
                  aria-pressed={one.id === id}
                  onClick={() => setId(one.id)}
                  className={`block min-h-8 w-full px-2 py-1 text-left text-[13.5px] leading-snug phone:min-h-11 ${one.id === id ? "bg-pick font-semibold text-enamel" : "hover:bg-pick/60"}`}
                >
                  {SUM_WORDS[one.id].title}
                </button>
              </li>
            ))}
            {found.length === 0 && <li className="px-2 text-faint">{WORDS.noSumByThatName}</li>}
          </ul>
        </div>
        {sum && <OneSum key={sum.id} sum={sum} />}
      </div>
    </Sheet>
  );
}

function OneSum({ sum }: { readonly sum: Sum }) {
  const words = SUM_WORDS[sum.id];
  const start = Object.fromEntries(sum.terms.map(({ name, usual }) => [name, usual]));
  return (
    <article className="max-w-md" data-sum>
      <h3 className="plate text-[19px] leading-tight">{words.title}</h3>
      <div className="figures my-2 border-y border-rule py-1.5 text-[17px]">
        {words.formula.split(";  ").map((line) => (
          <p key={line}>{line}</p>
        ))}
      </div>
      <SumFields sum={sum} start={start} />
      <p className="mt-3">{words.plain}</p>
      <p className="mt-1 text-[12.5px] text-faint" title={STANDINGS[sum.standing].long}>
        {words.source} ({STANDINGS[sum.standing].short}).
      </p>
      <Button className="mt-2" onClick={(event) => printPart(event.currentTarget.closest("[data-sum]"))}>
        <Printer size={14} aria-hidden /> {WORDS.print}
      </Button>
    </article>
  );
}

function matches({ id }: Sum, query: string): boolean {
  const { title, plain, terms } = SUM_WORDS[id];
  const text = [title, plain, ...Object.values(terms)].join(" ").toLowerCase();
  return query
    .toLowerCase()
    .split(/\s+/)
    .every((word) => text.includes(word));
}
