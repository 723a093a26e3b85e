import type { ReactNode } from "react";
import { WordMark } from "../glossary/WordsOf";
import { useSay } from "../kit/useSay";

/** A group of measures under a name of its own. */
export function Group({
  title,
  children,
  aside,
}: {
  readonly title: string;
  readonly children: ReactNode;
  readonly aside?: ReactNode;
}) {
  const say = useSay();
  return (
    <fieldset className="later border-t border-rule px-3 py-2 first:border-t-0">
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
