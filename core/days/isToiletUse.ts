import type { Use } from "../design/habits";

/** Whether a use is done on a toilet, or would be where there is one. */
export const isToiletUse = ({ kind }: Pick<Use, "kind">): boolean => kind === "toilet" || kind === "urine";
