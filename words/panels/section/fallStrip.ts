import type { Shown } from "../../shown";

export const fallBudget = "Fall budget";
export const asItStands = "As it stands";
export const fallInHand = (standNames: Shown) => `Fall in hand, ${standNames}`;
export const short = "short";
export const inHand = "in hand";
export const trap = "trap";
export const heightTheTrapTakes = (where: Shown) => `Height the trap takes, ${where}`;
export const drops = "drops";
export const heightSpentInDrops = (where: Shown) => `Height spent in drops, ${where}`;
export const leg = (leg: Shown, where: Shown, which: Shown) => `Leg ${leg}, ${where}${which}`;
export const leg2 = "leg";
export const level = "Level";
export const worst = "Worst";
export const theWeakestRunItDecides = ", the weakest run: it decides";
