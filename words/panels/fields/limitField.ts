import type { Shown } from "../../shown";

export const backToThePacksFigure = (name: Shown) => `Back to the pack's figure: ${name}`;
