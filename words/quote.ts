/** Of what a file holds no more is repeated than this, characters and pieces. */
const LONGEST = 80;
const MOST = 5;

// biome-ignore lint/suspicious/noControlCharactersInRegex: they are what is looked for
const UNSEEN = /[\u0000-\u001f\u007f-\u009f\u200e\u200f\u202a-\u202e\u2066-\u2069]/g;

const cut = (text: string): string => {
  const seen = text.replace(UNSEEN, "");
  const letters = [...seen];
  return letters.length > LONGEST ? `${letters.slice(0, LONGEST).join("")}…` : seen;
};

/** A piece of a file as it may be said: without what cannot be seen, and not longer than a line. */
export const quote = (text: string): string => `“${cut(text)}”`;

/** Several of them, the first five by name. */
export function quoteList(texts: readonly string[]): string {
  const named = texts.slice(0, MOST).map(cut).join(", ");
  return texts.length > MOST ? `${named} and ${texts.length - MOST} more` : named;
}
