/** The parts of the book of a build, in its order. */
export const BOOK_PART_NAMES = {
  cover: "Cover and what is to be settled",
  waterway: "Waterway",
  plan: "Plan",
  sections: "Drains unrolled",
  holes: "Holes, listed and in full size",
  cuts: "Cut list and bars",
  parts: "Parts",
  order: "Order of work",
  trials: "Trials sheet",
  cautions: "Cautions",
} as const;
export type BookPartId = keyof typeof BOOK_PART_NAMES;

/** Drawings that are handed out by themselves. */
export const DRAWING_NAMES = {
  plan: "Plan",
  section: "Drains unrolled",
  waterway: "Waterway",
  holes: "Holes",
} as const;
