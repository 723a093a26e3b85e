"use client";
import * as WORDS from "@/words/panels/glossary/wordsOf";
import { useTradeWords } from "./useTradeWords";
import { WordLink } from "./WordLink";

/** The words of the trade in a text that cannot hold links itself, each opening to what it means. */
export function WordsOf({ text }: { readonly text: string }) {
  const found = useTradeWords()?.listWords(text) ?? [];
  if (found.length === 0) return null;
  return (
    <p className="mt-1.5 text-[12.5px] leading-relaxed text-faint">
      {WORDS.inPlainWords}{" "}
      {found.map((word, i) => (
        <span key={word}>
          {i > 0 && ", "}
          <WordLink word={word} className="underline phone:inline-flex phone:min-h-11 phone:items-center">
            {word.toLowerCase()}
          </WordLink>
        </span>
      ))}
    </p>
  );
}

/** A mark behind a heading that has a word of the trade. */
export function WordMark({ text }: { readonly text: string }) {
  const [word] = useTradeWords()?.listWords(text) ?? [];
  if (!word) return null;
  return (
    <WordLink
      word={word}
      label={WORDS.whatIs(word)}
      className="inline-flex size-6 shrink-0 items-center justify-center text-[13px] text-faint phone:size-11"
    >
      <span aria-hidden>?</span>
    </WordLink>
  );
}
