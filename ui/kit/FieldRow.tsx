import type { ReactNode } from "react";
import { type PartRef, toPartKey } from "@/core/design/part";
import { useTradeWords } from "../glossary/useTradeWords";
import { useSay } from "./useSay";

type FieldRowProps = {
  readonly id: string;
  readonly label: string;
  readonly help?: string | undefined;
  readonly refusal?: string | null;
  readonly children: ReactNode;
  /** What it measures: it and its place on the stage light each other up. */
  readonly part?: PartRef | undefined;
  /** What is filled in stands under its label and not beside it. */
  readonly isStacked?: boolean;
};

/** A label, what is filled in, and under it what it means while a hand is in it, and the sentence when it was refused. */
export function FieldRow({ id, label, help, refusal, children, part, isStacked = false }: FieldRowProps) {
  const say = useSay();
  const words = useTradeWords();
  const [word] = help || !words ? [] : words.listWords(say(label));
  const meaning = word && words ? `${word}: ${words.findMeaning(word)}` : null;
  const under = help ? say(help) : meaning;
  return (
    <div className="group/field relative min-w-0" data-part={part && toPartKey(part)}>
      <div className={isStacked ? "flex flex-col pt-1" : "flex min-h-8 items-center gap-2 phone:min-h-11"}>
        <label htmlFor={id} className="min-w-0 flex-1 text-[13px] text-faint phone:text-[15px]">
          {say(label)}
        </label>
        {children}
      </div>
      {/* it lies over what follows and lets every press through, so that nothing moves under a hand that leaves the field */}
      {under && (
        <p
          id={`${id}-help`}
          className="pointer-events-none absolute inset-x-0 top-full z-20 hidden border border-edge bg-sheet px-1.5 py-1 text-[12.5px] leading-snug group-focus-within/field:block"
        >
          {under}
        </p>
      )}
      {refusal && (
        <p id={`${id}-why`} role="alert" className="pb-1 text-[12.5px] text-signal">
          {say(refusal)}
        </p>
      )}
    </div>
  );
}

/** How the place to write looks; figures and names share it. */
export const FIELD_LOOK = "h-7 border-b border-edge bg-sheet px-1.5 hover:bg-pick phone:h-10 phone:text-[17px]";
