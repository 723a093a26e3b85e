import type { Design } from "../design/design";
import type { Rig } from "../design/rig";
import { buildDrainPath } from "../falls/drainPath";
import { measureLegFallMm, measureLevelLengthMm } from "../falls/fallBudget";
import { buildNetwork } from "../falls/network";
import { dot, vec } from "../geometry/vec";
import { toCodeBoreMm } from "../parts/pipes";
import { MM_PER_M } from "../quantity/convert";
import { lookUpValue } from "../rules/lookUpLimit";
import { type Attitude, computeUp, LEVEL } from "./attitude";

/** What goes under one wheel, mm; 0 for the one that stays on the ground. */
export type Ramp = { readonly axle: number; readonly side: "left" | "right"; readonly heightMm: number };

/**
 * Ramps that bring a rig from the attitude it stands at to another one, mm ≥ 0, the least of them 0. Wheels are taken at
 * the edges of the floor [T]; the sideways shift of a wheel that is lifted is left out, below 1 % up to 8° [C]. A rig on
 * one axle is set sideways only: its nose is set by the coupling. Empty without axles.
 * Source: heights of the wheels over a level plane, u·P [C]. Example: wheels 2 m apart, left low 2° → 70 mm under the left.
 */
export function computeRamps(rig: Rig, from: Attitude, to: Attitude = LEVEL): Ramp[] {
  const single = rig.axles.length === 1;
  const pitchDeg = single ? from.pitchDeg : to.pitchDeg;
  const [stands, wanted] = [computeUp(from), computeUp({ ...to, pitchDeg })];
  const wheels = rig.axles.flatMap(({ xMm }, axle) =>
    (["left", "right"] as const).map((side) => {
      const at = vec(xMm, ((side === "left" ? 1 : -1) * rig.widthMm) / 2, 0);
      return { axle, side, lift: dot(wanted, at) - dot(stands, at) };
    }),
  );
  const least = Math.min(...wheels.map((wheel) => wheel.lift));
  return wheels.map(({ axle, side, lift }) => ({ axle, side, heightMm: lift - least }));
}

const STEPS = 40;

/**
 * The attitude nearest to the one given, on the straight way to level, at which no run of any drain goes backwards;
 * the one given where it runs already; null where not even level runs. Halving: a leg that runs level and not here
 * turns once on the way, because its fall is a sinusoid of the tilt [C].
 */
export function findRunningAttitude(design: Design, from: Attitude): Attitude | null {
  const network = buildNetwork(design);
  const runs = [...network.drains.values()].flatMap((drain) => {
    const least = lookUpValue(design.rules, "parkedFall", { boreMm: toCodeBoreMm(drain.pipe) }) / MM_PER_M;
    return buildDrainPath(design, drain, network)
      .ownLegs.filter((leg) => leg.kind === "run")
      .map((leg) => ({ leg, least }));
  });
  const at = (share: number): Attitude => ({ pitchDeg: from.pitchDeg * share, rollDeg: from.rollDeg * share });
  const isRunning = (share: number): boolean => {
    const up = computeUp(at(share));
    return runs.every(({ leg, least }) => {
      const fallMm = measureLegFallMm(leg, up);
      return fallMm >= measureLevelLengthMm(leg, fallMm) * least;
    });
  };
  if (isRunning(1)) return from;
  if (!isRunning(0)) return null;
  let [low, high] = [0, 1];
  for (let i = 0; i < STEPS; i++) {
    const middle = (low + high) / 2;
    if (isRunning(middle)) low = middle;
    else high = middle;
  }
  return at(low);
}
