import type { Shown } from "../../shown";

export const codeOf = (at: Shown, length: Shown) => `Code ${at} of ${length}`;
export const code = "code";
export const codesInTurn = "codes in turn";
