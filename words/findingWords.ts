/** A finding in words: what is wrong, why it matters, what to do. */
export type FindingWords = { readonly title: string; readonly why: string; readonly advice: string };
