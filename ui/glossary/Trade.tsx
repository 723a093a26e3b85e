"use client";
import { useSay } from "../kit/useSay";
import { useTradeWords } from "./useTradeWords";
import { WordLink } from "./WordLink";

/** A text of ours, in the words of the open rig, whose words of the trade open to what they mean. Not inside a button or label. */
export function Trade({ children }: { readonly children: string }) {
  return <ToldTrade>{useSay()(children)}</ToldTrade>;
}

/** The same for a text that names what the builder named, and is told in the words of the rig already. */
export function ToldTrade({ children }: { readonly children: string }) {
  const words = useTradeWords();
  if (!words) return children;
  let at = 0;
  return words.splitAtWords(children).map((piece) => {
    const key = at;
    at += piece.text.length;
    return piece.word ? (
      <WordLink key={key} word={piece.word}>
        {piece.text}
      </WordLink>
    ) : (
      piece.text
    );
  });
}
