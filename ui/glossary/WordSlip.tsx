"use client";
import type { RefObject } from "react";
import { view as look } from "@/store/workbench";
import { GLOSSARY, type GlossaryName } from "@/words/glossary";
import * as WORDS from "@/words/panels/glossary/wordSlip";
import { Button } from "../kit/Button";
import { Slip } from "../kit/Slip";
import { WordDrawing } from "./WordDrawing";

type WordSlipProps = {
  readonly anchor: RefObject<HTMLElement | SVGElement | null>;
  readonly word: GlossaryName;
  readonly onClose: () => void;
};

/** What a word of the trade means, with its picture, on a slip of paper beside it. */
export function WordSlip({ anchor, word, onClose }: WordSlipProps) {
  const { plain, also } = GLOSSARY.find((one) => one.word === word)!;
  return (
    <Slip anchor={anchor} label={word} onClose={onClose}>
      <WordDrawing word={word} className="float-right ml-3 h-[72px] w-[120px]" />
      <h3 className="plate text-[17px] leading-tight">{word}</h3>
      {also.length > 0 && (
        <p className="text-[12.5px] text-faint">
          {WORDS.also} {also.join(", ")}
        </p>
      )}
      <p className="pt-1 text-[14px] leading-snug">{plain}</p>
      <Button
        look="bare"
        className="clear-both mt-1"
        onClick={() => {
          onClose();
          look({ overlay: "handbook" });
        }}
      >
        {WORDS.allWords}
      </Button>
    </Slip>
  );
}
