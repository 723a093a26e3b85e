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
 * What stands behind an outlet, taken together: the narrowest bore of outlet, valves, dump line and hose, and the friction
 * of line and hose put into a bore that passes as much without it: b (1 + Cd² Σ f L/D (b/D)⁴)^(−1/4); each bend of the line
 * counts as 30 bores of it. Lengths in mm > 0, drop ≥ 0. Source: Darcy and Weisbach with Torricelli [C on T: f 0.03 and
 * 0.04, bends]. With nothing behind it, it is the outlet itself.
 */
export function findOutletWay(
  { boreMm, valve }: Pick<Port, "boreMm" | "valve">,
  hose: Rig["dumpHose"],
  run: Pick<DumpRun, "line" | "legs" | "lengthMm" | "dropMm"> | null = null,
): OutletWay {
  const pipeMm = run?.line.pipe.innerMm ?? 0;
  const endValve = run?.line.endValve ?? null;
  const parts = [
    { narrowest: "outlet", narrowestMm: boreMm },
    ...(valve ? ([{ narrowest: "valve", narrowestMm: valve.boreMm }] as const) : []),
    ...(run ? ([{ narrowest: "dumpLine", narrowestMm: pipeMm }] as const) : []),
    ...(endValve ? ([{ narrowest: "endValve", narrowestMm: endValve.boreMm }] as const) : []),
    ...(hose ? ([{ narrowest: "hose", narrowestMm: hose.innerMm }] as const) : []),
  ] as const;
  const least = parts.reduce((a, b) => (b.narrowestMm < a.narrowestMm ? b : a));
  const rub = (factor: number, lengthMm: number, innerMm: number) =>
    factor * (lengthMm / innerMm) * (least.narrowestMm / innerMm) ** 4;
  const bentMm = run ? run.lengthMm + (run.legs.length - 1) * BEND_BORES * pipeMm : 0;
  const friction =
    (hose ? rub(HOSE_FRICTION, hose.lengthMm, hose.innerMm) : 0) + (run ? rub(LINE_FRICTION, bentMm, pipeMm) : 0);
  return {
    ...least,
    boreMm: least.narrowestMm * (1 + OUTLET_CD ** 2 * friction) ** -0.25,
    // a line that rises slows it: it is reckoned to run into the open at the outlet's height, less what it rises
    dropMm: Math.max(0, (run?.dropMm ?? 0) + (hose?.dropMm ?? 0)),
  };
}
