import type { Shown } from "../../shown";

export const itCannotBeLaidSo = "It cannot be laid so.";
export const theDrainOfIsDrawn = (name: Shown) => `The drain of ${name} is drawn.`;
export const drawTheDrainOfArrow = (name: Shown) =>
  `Draw the drain of ${name}: arrow keys move, Enter sets a bend, Backspace takes it back`;
export const endsIn = (goal: Shown) => `ends in ${goal}`;
export const undo = "Undo";
