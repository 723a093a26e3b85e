// biome-ignore lint/suspicious/noControlCharactersInRegex: they are what is taken out
const UNSEEN = /[\u0000-\u001f\u007f-\u009f\u200e\u200f\u202a-\u202e\u2066-\u2069]+/g;
// what a terminal takes for an order: from the escape to its last letter
// biome-ignore lint/suspicious/noControlCharactersInRegex: they are what is taken out
const ESCAPES = /\u001b(?:\[[0-9;?]*[ -/]*[@-~]|\][^\u0007\u001b]*(?:\u0007|\u001b\\)?|[@-Z\\-_])/g;

/** A name on one line without what cannot be seen: control characters, terminal sequences, overrides of direction. */
export const cleanName = (text: string): string => text.replace(ESCAPES, "").replace(UNSEEN, " ").trim();

/** A note of several lines, cleaned in the same way; line ends and tabs stay. */
export const cleanNote = (text: string): string =>
  text
    .replace(ESCAPES, "")
    .split(/(\r\n|[\n\t])/)
    .map((part) => (/^(\r\n|[\n\t])$/.test(part) ? part : part.replace(UNSEEN, "")))
    .join("");
