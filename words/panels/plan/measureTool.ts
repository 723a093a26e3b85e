import type { Shown } from "../../shown";

export const measureArrowKeysMoveEnter = "Measure: arrow keys move, Enter sets the first place and then the second";
export const straight = (straight: Shown) => `${straight} straight`;
export const alongAcross = (along: Shown, across: Shown, which: Shown) => `${along} along, ${across} across${which}`;
export const down = "down";
export const up = "up";
