import type { Shown } from "../../shown";

export const leg = (i: Shown) => `Leg ${i}`;
export const dropLeg = (i: Shown) => `Drop, leg ${i}`;
export const drop = (fallMm: Shown) => `drop ${fallMm}`;
export const trapSeal = "Trap seal";
export const seal = (sealMm: Shown) => `seal ${sealMm}`;
export const tankFullAt = "Tank full at";
export const full = (litres: Shown) => `full ${litres}`;
export const short = (length: string) => `${length} short`;
export const inHand = (length: string) => `${length} in hand`;
