import { OUTLET_CD } from "../air/dumping";
import type { Port } from "../design/plumbing";
import type { Rig } from "../design/rig";
import type { DumpRun } from "./dumpRun";

/** The way out of a tank: outlet, valve, dump line and hose as one bore that passes as much, and the head that line and hose add. */
export type OutletWay = {
  readonly boreMm: number;
  readonly dropMm: number;
  /** Which of them is the narrowest. */
  readonly narrowest: "outlet" | "valve" | "dumpLine" | "endValve" | "hose";
  readonly narrowestMm: number;
};

/** Friction factor of a dump hose, ribbed inside, and of a dump line with a film of dirt [T]. */
const HOSE_FRICTION = 0.04;
const LINE_FRICTION = 0.03;
/** A bend takes as much as so many bores of straight pipe [T]. */
const BEND_BORES = 30;

/**
 * What stands behind an outlet, taken together: the narrowest bore of outlet, valves, dump lines and hose, and the friction
 * of lines and hose put into a bore that passes as much without it: b (1 + Cd² Σ f L/D (b/D)⁴)^(−1/4); each bend of the lines
 * counts as 30 bores of it. Lengths in mm > 0, drop ≥ 0. Source: Darcy and Weisbach with Torricelli [C on T: f 0.03 and
 * 0.04, bends]. With nothing behind it, it is the outlet itself.
 */
export function findOutletWay(
  { boreMm, valve }: Pick<Port, "boreMm" | "valve">,
  hose: Rig["dumpHose"],
  run: Pick<DumpRun, "wayLegs" | "valves" | "dropMm"> | null = null,
): OutletWay {
  // two points at one place are one bend
  const legs = (run?.wayLegs ?? []).filter(({ lengthMm }) => lengthMm > 0);
  const parts: readonly Pick<OutletWay, "narrowest" | "narrowestMm">[] = [
    { narrowest: "outlet", narrowestMm: boreMm },
    ...(valve ? ([{ narrowest: "valve", narrowestMm: valve.boreMm }] as const) : []),
    ...legs.map(({ pipe }) => ({ narrowest: "dumpLine", narrowestMm: pipe.innerMm }) as const),
    ...(run?.valves ?? []).map((one) => ({ narrowest: "endValve", narrowestMm: one.boreMm }) as const),
    ...(hose ? ([{ narrowest: "hose", narrowestMm: hose.innerMm }] as const) : []),
  ];
  const least = parts.reduce((a, b) => (b.narrowestMm < a.narrowestMm ? b : a));
  const rub = (factor: number, lengthMm: number, innerMm: number) =>
    factor * (lengthMm / innerMm) * (least.narrowestMm / innerMm) ** 4;
  const friction = legs.reduce(
    (sum, { lengthMm, pipe: { innerMm } }, i) =>
      sum + rub(LINE_FRICTION, lengthMm + (i > 0 ? BEND_BORES * innerMm : 0), innerMm),
    hose ? rub(HOSE_FRICTION, hose.lengthMm, hose.innerMm) : 0,
  );
  return {
    ...least,
    boreMm: least.narrowestMm * (1 + OUTLET_CD ** 2 * friction) ** -0.25,
    // a way that rises slows it: it is reckoned to run into the open at the outlet's height, less what it rises
    dropMm: Math.max(0, (run?.dropMm ?? 0) + (hose?.dropMm ?? 0)),
  };
}
