import { useState } from "react";
import type { GlossaryName } from "@/words/glossary";
import { findMeaning, listWords } from "@/words/tradeWords";
import { WordDrawing } from "../glossary/WordDrawing";

/** The words of the trade on a card, each to be pressed for what it means; one is open at a time. */
export function UnderWords({ text }: { readonly text: string }) {
  const [open, setOpen] = useState<GlossaryName | null>(null);
  const words = listWords(text);
  if (words.length === 0) return null;
  return (
    <div className="pt-3">
      <div className="flex flex-wrap gap-x-4">
        {words.map((word) => (
          <button
            key={word}
            type="button"
            aria-expanded={word === open}
            className="min-h-14 text-[17px] text-enamel underline decoration-dotted underline-offset-4"
            onClick={() => setOpen(word === open ? null : word)}
          >
            {word}
          </button>
        ))}
      </div>
      {open && words.includes(open) && (
        <div className="flex items-start gap-3 border-l-4 border-enamel pl-3">
          <p className="flex-1 text-[19px] leading-snug">{findMeaning(open)}</p>
          <WordDrawing word={open} className="h-[72px] w-[120px] shrink-0" />
        </div>
      )}
    </div>
  );
}
