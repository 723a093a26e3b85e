"use client";
import { useState } from "react";
import { useWorkbench } from "@/store/useWorkbench";
import { type Compared, listFigureRows } from "@/words/compare";
import * as WORDS from "@/words/panels/compare/figureTable";
import { Trade } from "../glossary/Trade";
import { Button } from "../kit/Button";

/** What both designs come to, side by side: first what differs, and on a press what is alike too. */
export function FigureTable({ here, there }: { readonly here: Compared; readonly there: Compared }) {
  const units = useWorkbench((state) => state.units);
  const [isWhole, setWhole] = useState(false);
  const rows = listFigureRows(here, there, units);
  const alike = rows.filter(({ isSame }) => isSame).length;
  const shown = isWhole ? rows : rows.filter(({ isSame }) => !isSame);
  return (
    <>
      <table className="w-full text-[14px]" aria-label={WORDS.bothDesignsInFigures}>
        <thead>
          <tr className="border-b border-ink text-left">
            <th className="font-normal text-faint">
              <span className="sr-only">{WORDS.figure}</span>
            </th>
            <th className="plate pb-1 text-right">{here.design.name}</th>
            <th className="plate pb-1 pl-3 text-right">{there.design.name}</th>
          </tr>
        </thead>
        <tbody>
          {shown.map(({ name, here: left, there: right, isSame }) => (
            <tr key={name} className="border-b border-rule">
              <th scope="row" className="py-1 text-left font-normal text-faint">
                {name}
              </th>
              <td className="figures text-right text-[16px] whitespace-nowrap">{left}</td>
              <td className={`figures pl-3 text-right text-[16px] whitespace-nowrap ${isSame ? "text-faint" : ""}`}>
                {right}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {shown.length === 0 && (
        <p className="py-1 text-faint">
          <Trade>{WORDS.everyFigureIsTheSame}</Trade>
        </p>
      )}
      {alike > 0 && (
        <Button look="bare" aria-expanded={isWhole} onClick={() => setWhole(!isWhole)}>
          {isWhole ? WORDS.onlyWhatDiffers : WORDS.theSameShow(WORDS.figuresAre(alike))}
        </Button>
      )}
    </>
  );
}
