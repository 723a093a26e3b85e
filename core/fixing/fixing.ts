import { GRAVITY, WATER_DENSITY } from "../air/dumping";
import type { BoltSize, Fixing, Tank } from "../design/plumbing";
import type { CrashClass } from "../design/rig";
import { measureCapacityL, measureExtent } from "../geometry/solid";
import { computeEmptyKg } from "../tanks/shell";

/** Stress area of metric bolts, mm² [P: ISO 898-1, from memory, 95 %]. */
const STRESS_AREA: Readonly<Record<BoltSize, number>> = { M6: 20.1, M8: 36.6, M10: 58, M12: 84.3 };
/** Tensile strength of property class 8.8, N/mm², and the part of it that is reckoned with [P: EN 1993-1-8, from memory, 90 %]. */
const STRENGTH = 800;
const SHEAR_SHARE = 0.6;
const TENSION_SHARE = 0.9;
const SAFETY = 1.25;

/** What a bolt of class 8.8 bears, kN. Example: M8 → 14.05 in shear, 21.08 in tension. */
export function computeBolt(size: BoltSize): { readonly shearKN: number; readonly tensionKN: number } {
  const strengthKN = (STRESS_AREA[size] * STRENGTH) / SAFETY / 1000;
  return { shearKN: SHEAR_SHARE * strengthKN, tensionKN: TENSION_SHARE * strengthKN };
}

/**
 * Utilisation of a bolt in shear V and tension T, kN ≥ 0, of its resistances: V/VR + T/(1.4 TR); 1 is all it bears.
 * Source: EN 1993-1-8 [P, from memory, 90 %]. Example: M8 8.8, V 5, T 4 → 0.491.
 */
export const computeUtilisation = (
  { shearKN, tensionKN }: { readonly shearKN: number; readonly tensionKN: number },
  shear: number,
  tension: number,
): number => shear / shearKN + tension / (1.4 * tensionKN);

export const LOAD_CASES = ["braking", "cornering", "track", "crashForward", "crashSideways"] as const;
export type LoadCaseId = (typeof LOAD_CASES)[number];

/** A push on the tank as shares of gravity: level and down, its own weight included. */
export type LoadCase = {
  readonly id: LoadCaseId;
  readonly levelG: number;
  readonly downG: number;
  readonly along: "x" | "y";
};

/** Crash forward and sideways by class of vehicle [P: UN R67 and R110 for gas tanks, from memory, 85 %]. */
const CRASH: Readonly<Record<CrashClass, readonly [number, number] | null>> = {
  none: null,
  m1n1: [20, 8],
  m2n2: [10, 5],
  m3n3: [6.6, 5],
};

/** The loads a tank is reckoned with: road [P: EN 12195-1, from memory, 92 %, written for loose cargo], track [T], crash. */
export function listLoadCases(crashClass: CrashClass): LoadCase[] {
  const crash = CRASH[crashClass];
  return [
    { id: "braking", levelG: 0.8, downG: 1, along: "x" },
    { id: "cornering", levelG: 0.5, downG: 1, along: "y" },
    { id: "track", levelG: 0, downG: 3, along: "x" },
    ...(crash
      ? ([
          { id: "crashForward", levelG: crash[0], downG: 1, along: "x" },
          { id: "crashSideways", levelG: crash[1], downG: 1, along: "y" },
        ] as const)
      : []),
  ];
}

export type FixingResult = {
  readonly load: LoadCase;
  /** On the bolt that bears most, kN. */
  readonly shearKN: number;
  readonly tensionKN: number;
  readonly utilisation: number;
  /** What it takes of the bolt, and of what that sits in; null while the latter has no rating. */
  readonly ofBolt: number;
  readonly ofHeld: number | null;
  /** What gives first: the bolt, what it sits in, or the strap; null while what it sits in has no rating. */
  readonly weakest: "bolt" | "held" | "strap" | null;
};

/**
 * Every bolt of a full tank that hangs by its top in two rows at its ends, case by case. Level pushes are shared as shear
 * and turn the tank over about the row they push toward: M = m a g h over the distance of the rows, borne by half of the
 * bolts. The bolt and what it sits in are in a row: the worse of the two decides. Mass in kg > 0 [C; that the rows share
 * evenly: T]. What the bolt sits in is taken as equally strong in any direction [T].
 */
export function computeFixing(tank: Tank, fixing: Fixing, crashClass: CrashClass): FixingResult[] {
  const massKg = computeEmptyKg(tank) + (measureCapacityL(tank.solid) * WATER_DENSITY) / 1000;
  const { min, max } = measureExtent(tank.solid);
  const heightM = (max.z - min.z) / 2000;
  const bolt = computeBolt(fixing.size);
  return listLoadCases(crashClass).map((load): FixingResult => {
    const rowsM = (load.along === "x" ? max.x - min.x : max.y - min.y) / 1000;
    const weightKN = (massKg * GRAVITY) / 1000;
    const shearKN = (weightKN * load.levelG) / fixing.bolts;
    const turningKN = (weightKN * load.levelG * heightM) / Math.max(0.05, rowsM) / (fixing.bolts / 2);
    const tensionKN = (weightKN * load.downG) / fixing.bolts + turningKN;
    const ofBolt = computeUtilisation(bolt, shearKN, tensionKN);
    const ofHeld = fixing.heldKN === null ? null : Math.hypot(shearKN, tensionKN) / fixing.heldKN;
    // a strap hangs on two bolts and bears what both of them do
    const ofStrap = fixing.kind === "straps" && fixing.strapKN !== null ? (2 * tensionKN) / fixing.strapKN : 0;
    const parts = { bolt: ofBolt, held: ofHeld ?? 0, strap: ofStrap };
    const weakest = (["bolt", "held", "strap"] as const).reduce((a, b) => (parts[b] > parts[a] ? b : a));
    return {
      load,
      shearKN,
      tensionKN,
      utilisation: parts[weakest],
      ofBolt,
      ofHeld,
      // while one part has no rating the bolt may not be the weakest; a strap that bears more than it may is known to give
      weakest: ofHeld === null && weakest !== "strap" ? null : weakest,
    };
  });
}
