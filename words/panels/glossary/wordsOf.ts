import type { Shown } from "../../shown";

export const inPlainWords = "In plain words:";
export const whatIs = (word: Shown) => `What is that: ${word}`;
