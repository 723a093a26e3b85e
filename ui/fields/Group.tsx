import type { ReactNode } from "react";
import { type PartRef, toPartKey } from "@/core/design/part";
import { WordMark } from "../glossary/WordsOf";
import { useSay } from "../kit/useSay";

/** A group of measures under a name of its own. */
export function Group({
  title,
  children,
  aside,
  part,
}: {
  readonly title: string;
  readonly children: ReactNode;
  readonly aside?: ReactNode;
  /** What it is all about: it and its place on the stage light each other up. */
  readonly part?: PartRef;
}) {
  const say = useSay();
  return (
    <fieldset
      {...(part ? { "data-part": toPartKey(part) } : {})}
      className="later border-t border-rule px-3 py-2 first:border-t-0"
    >
      <legend className="sr-only">{say(title)}</legend>
      <div className="flex min-h-7 items-center justify-between">
        <span className="flex items-center">
          <span className="plate text-[15px]" aria-hidden>
            {say(title)}
          </span>
          <WordMark text={say(title)} />
        </span>
        {aside}
      </div>
      {children}
    </fieldset>
  );
}
