import type { Shown } from "../../shown";

export const theBookCouldNotBe =
  "The book could not be made. Try again; without a network open the page once with one.";
export const book = "Book";
export const everythingOnPaperForThe =
  "Everything on paper for the workshop: drawings, holes in full size, cuts, parts, order, trials.";
export const whatIsInIt = "What is in it";
export const paper = "Paper";
export const makingIt = "Making it…";
export const bookAsPdf = "Book as PDF";
export const drawingsAsFiles = "Drawings as files";
export const planAndHolesComeIn = "Plan and holes come in full size, lengths of the drains too.";
export const as = (drawingNames: Shown, toUpperCase: Shown) => `${drawingNames} as ${toUpperCase}`;
export const letter = "Letter";
