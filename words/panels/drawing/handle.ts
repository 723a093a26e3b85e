import type { Shown } from "../../shown";

export const inHandAtTheWorst = (inHandMm: Shown) => ` In hand at the worst ${inHandMm}.`;
