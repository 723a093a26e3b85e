"use client";
import { useSyncExternalStore } from "react";

type TradeWords = Pick<typeof import("@/words/tradeWords"), "splitAtWords" | "listWords" | "findMeaning">;

let known: TradeWords | null = null;
let isAsked = false;
const waiting = new Set<() => void>();

/** A hand or a key on the page. */
const STIRS = ["pointermove", "pointerdown", "keydown"] as const;

// The words of the trade are fetched when a hand first moves over the page; until then every text stands as it is.
function ask(): void {
  if (isAsked) return;
  isAsked = true;
  const stir = () => {
    for (const kind of STIRS) window.removeEventListener(kind, stir);
    fetchWords();
  };
  for (const kind of STIRS) window.addEventListener(kind, stir, { passive: true });
}

function fetchWords(): void {
  import("@/words/tradeWords").then(
    ({ splitAtWords, listWords, findMeaning }) => {
      known = { splitAtWords, listWords, findMeaning };
      for (const tell of waiting) tell();
    },
    () => {
      // asked for again with the next text
      isAsked = false;
    },
  );
}

const subscribe = (tell: () => void) => {
  waiting.add(tell);
  ask();
  return () => void waiting.delete(tell);
};

/** The words of the trade and how they are found in a text; null until they are here. */
export const useTradeWords = (): TradeWords | null =>
  useSyncExternalStore(
    subscribe,
    () => known,
    () => null,
  );
