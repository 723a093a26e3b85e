import type { Shown } from "../../shown";

export const fromTo = (least: Shown, most: Shown) => `From ${least} to ${most}.`;
