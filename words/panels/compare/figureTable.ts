import type { Shown } from "../../shown";

export const bothDesignsInFigures = "Both designs in figures";
export const figure = "Figure";
export const everyFigureIsTheSame = "Every figure is the same.";
export const onlyWhatDiffers = "Only what differs";
export const theSameShow = (which: Shown) => `${which} the same: show`;
export const figuresAre = (count: number) => (count === 1 ? "One figure is" : `${count} figures are`);
