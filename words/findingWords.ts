import type { Attitude } from "@/core/attitude/attitude";
import type { Design } from "@/core/design/design";
import type { Units } from "./units";

/** A finding in words: what is wrong, why it matters, what to do. */
export type FindingWords = { readonly title: string; readonly why: string; readonly advice: string };

/** What its words are made with: the part by its name, figures in the builder's units, the limit it breaks. */
export type Told = {
  readonly part: string;
  readonly length: (mm: number) => string;
  readonly litres: (l: number) => string;
  readonly stands: (attitude: Attitude) => string;
  readonly limit: string;
  readonly rigWord: string;
  readonly units: Units;
  readonly design: Design;
};
