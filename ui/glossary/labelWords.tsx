import { useSyncExternalStore } from "react";
import type { GlossaryName } from "@/words/glossary";
import { splitAtWords } from "@/words/tradeWords";
import { findLabel, findLetter, isWorked } from "./readLabels";
import { WordSlip } from "./WordSlip";

/** A hand that has rested so long over a label sees which word opens, ms. */
const REST_MS = 120;
/** A press that wandered further was a pull, px. */
const PULLED_PX = 4;

/** The label that is open, by its element, and its word. */
let opened: Found | null = null;
const waiting = new Set<() => void>();

function show(found: Found | null): void {
  opened = found;
  for (const tell of waiting) tell();
}

const subscribe = (tell: () => void) => {
  waiting.add(tell);
  return () => void waiting.delete(tell);
};

/** What the word of the label that was pressed means. */
export function LabelSlip() {
  const found = useSyncExternalStore(subscribe, () => opened);
  return (
    found && (
      <WordSlip key={found.word} anchor={{ current: found.label }} word={found.word} onClose={() => show(null)} />
    )
  );
}

type Found = { readonly label: SVGTextElement; readonly word: GlossaryName };

/** The word of the trade at a place of the page: the one that is pointed at, or else the first in its label. */
function findWord(page: Document, target: EventTarget | null, x: number, y: number): Found | null {
  if (!(target instanceof SVGElement) || isWorked(target)) return null;
  const label = findLabel(page, x, y);
  if (!label) return null;
  const letter = findLetter(label, x, y);
  let first: GlossaryName | null = null;
  let from = 0;
  for (const { text, word } of splitAtWords(label.textContent ?? "")) {
    if (word && letter >= from && letter < from + text.length) return { label, word };
    first ??= word;
    from += text.length;
  }
  return first && { label, word: first };
}

/** Lets a word of the trade in the label of a drawing open to what it means, where a press does nothing else. Returns how to stop it. */
export function openLabelWords(page: Document): () => void {
  const stop = new AbortController();
  const on = <K extends keyof DocumentEventMap>(kind: K, hear: (event: DocumentEventMap[K]) => void) =>
    page.addEventListener(kind, hear, { signal: stop.signal, passive: true, capture: true });
  const hint = hintAtWords(page);
  let pressed: { x: number; y: number; onOpened: boolean } | null = null;
  on("pointerdown", ({ clientX: x, clientY: y }) => {
    hint.away();
    // the slip may go with this press; the click behind it must not bring it back
    pressed = { x, y, onOpened: opened !== null && findLabel(page, x, y) === opened.label };
  });
  on("pointermove", ({ target, buttons, clientX, clientY }) =>
    hint.rest(buttons === 0 ? target : null, clientX, clientY),
  );
  on("click", ({ target, clientX: x, clientY: y }) => {
    const from = pressed;
    pressed = null;
    if (from?.onOpened) return show(null);
    if (!from || Math.hypot(x - from.x, y - from.y) > PULLED_PX) return;
    const found = findWord(page, target, x, y);
    if (found) show(found);
  });
  return () => {
    stop.abort();
    hint.away();
    show(null);
  };
}

/** Underlines the label a hand rests over when it opens, by its element alone, so that nothing is drawn anew. */
function hintAtWords(page: Document) {
  let timer: ReturnType<typeof setTimeout> | undefined;
  let undo = () => {};
  const away = () => {
    clearTimeout(timer);
    undo();
    undo = () => {};
  };
  const rest = (target: EventTarget | null, x: number, y: number) => {
    away();
    if (!(target instanceof SVGElement)) return;
    timer = setTimeout(() => {
      const label = findWord(page, target, x, y)?.label;
      if (!label?.ownerSVGElement) return;
      const ground = label.ownerSVGElement.style;
      const { cursor } = ground;
      undo = () => {
        label.style.removeProperty("text-decoration");
        ground.cursor = cursor;
      };
      label.style.textDecoration = "underline dotted";
      ground.cursor = "help";
    }, REST_MS);
  };
  return { away, rest };
}
