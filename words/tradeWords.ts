import { GLOSSARY, type GlossaryName } from "./glossary";

/** A stretch of a text; with the word of the trade it is, at the first place it stands. */
export type TextPiece = { readonly text: string; readonly word: GlossaryName | null };

/** Other forms that stand in our sentences. */
const FORMS: Readonly<Record<string, GlossaryName>> = {
  tee: "Tee and wye",
  wye: "Tee and wye",
  precharge: "Pre-charge",
};
/** Words that mean something else more often than not: a pitch is a place to stand, a slope one on the ground. */
const ELSEWHERE: readonly string[] = ["pitch", "lock", "tie", "diameter", "slope", "siphon"];

const NAMES: ReadonlyMap<string, GlossaryName> = new Map(
  [
    ...GLOSSARY.flatMap(({ word, also }) => [word, ...also].map((form) => [form.toLowerCase(), word] as const)),
    ...Object.entries(FORMS),
  ].filter(([form]) => !ELSEWHERE.includes(form)),
);

// The longest first: a trap arm is no trap.
const ALL = [...NAMES.keys()].sort((a, b) => b.length - a.length);
const FIND = new RegExp(`(?<![\\w-])(${ALL.join("|")})(s?)(?![\\w-])`, "giu");

/** A text in pieces: each word of the trade by itself where it stands first, all else as it was. Joined they are the text. */
export function splitAtWords(text: string): TextPiece[] {
  const pieces: TextPiece[] = [];
  const told = new Set<GlossaryName>();
  let from = 0;
  for (const { 0: found, 1: form, index } of text.matchAll(FIND)) {
    const word = NAMES.get(form!.toLowerCase())!;
    if (told.has(word)) continue;
    told.add(word);
    if (index > from) pieces.push({ text: text.slice(from, index), word: null });
    pieces.push({ text: found, word });
    from = index + found.length;
  }
  if (from < text.length || pieces.length === 0) pieces.push({ text: text.slice(from), word: null });
  return pieces;
}

/** The words of the trade in a text, in the order they come. */
export const listWords = (text: string): GlossaryName[] => splitAtWords(text).flatMap(({ word }) => word ?? []);

/** What a word means, in plain English. */
export const findMeaning = (name: GlossaryName): string => GLOSSARY.find(({ word }) => word === name)!.plain;
