import { OUTLET_CD } from "../air/dumping";
import type { Port } from "../design/plumbing";
import type { Rig } from "../design/rig";

/** The way out of a tank: outlet, valve and hose as one bore that passes as much, and the head the hose adds. */
export type OutletWay = {
  readonly boreMm: number;
  readonly dropMm: number;
  /** Which of them is the narrowest. */
  readonly narrowest: "outlet" | "valve" | "hose";
  readonly narrowestMm: number;
};

/** Friction factor of a dump hose, ribbed inside [T]. */
const HOSE_FRICTION = 0.04;

/**
 * What stands behind an outlet, taken together: the narrowest bore of outlet, valve and hose, and the friction of the
 * hose put into a bore that passes as much without it: b (1 + Cd² f L/D (b/D)⁴)^(−1/4). Lengths in mm > 0, drop ≥ 0.
 * Source: Darcy and Weisbach with Torricelli [C on T: f 0.04]. Without valve and hose it is the outlet itself.
 */
export function findOutletWay({ boreMm, valve }: Pick<Port, "boreMm" | "valve">, hose: Rig["dumpHose"]): OutletWay {
  const parts = [
    { narrowest: "outlet", narrowestMm: boreMm },
    ...(valve ? ([{ narrowest: "valve", narrowestMm: valve.boreMm }] as const) : []),
    ...(hose ? ([{ narrowest: "hose", narrowestMm: hose.innerMm }] as const) : []),
  ] as const;
  const least = parts.reduce((a, b) => (b.narrowestMm < a.narrowestMm ? b : a));
  const friction = hose ? HOSE_FRICTION * (hose.lengthMm / hose.innerMm) * (least.narrowestMm / hose.innerMm) ** 4 : 0;
  return {
    ...least,
    boreMm: least.narrowestMm * (1 + OUTLET_CD ** 2 * friction) ** -0.25,
    dropMm: hose?.dropMm ?? 0,
  };
}
