import type { Shown } from "../../shown";

export const measures = (name: Shown) => `Measures: ${name}`;
