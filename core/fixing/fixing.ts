import { GRAVITY } from "../air/dumping";
import type { BoltSize, Fixing, Tank } from "../design/plumbing";
import type { CrashClass, Rig } from "../design/rig";
import { findCentre, measureExtent } from "../geometry/solid";
import { computeFullKg } from "../tanks/shell";
import { type BoltForce, computeBoltGroup } from "./boltGroup";
import { listBoltPlaces } from "./boltPlaces";

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

export const LOAD_CASES = [
  "braking",
  "cornering",
  "road",
  "track",
  "crashForward",
  "crashSideways",
  "aground",
  "seaway",
  "slam",
  "knockedDown",
  "turnedOver",
] as const;
export type LoadCaseId = (typeof LOAD_CASES)[number];

/** What pulls at a tank as shares of gravity, all at once: forward, sideways, and down with its own weight; less than 0 is up. */
export type LoadCase = {
  readonly id: LoadCaseId;
  readonly forwardG: number;
  readonly sidewaysG: number;
  readonly downG: number;
};

/** Crash forward and sideways by class of vehicle [P: UN R67 and R110 for gas tanks, from memory, 85 %]. */
const CRASH: Readonly<Record<CrashClass, readonly [number, number] | null>> = {
  none: null,
  m1n1: [20, 8],
  m2n2: [10, 5],
  m3n3: [6.6, 5],
};

/**
 * What a boat does to a tank [T: common practice, no source]: she runs aground, rolls, pitches and falls at once, falls off a
 * wave, lies on her side, lies upside down. That heavy gear must stay put upside down is asked of boats that race offshore
 * [P: their safety rules, from memory, 60 %].
 */
const AFLOAT: readonly LoadCase[] = [
  { id: "aground", forwardG: 1, sidewaysG: 0, downG: 1 },
  { id: "seaway", forwardG: 0.4, sidewaysG: 0.7, downG: 2 },
  { id: "slam", forwardG: 0, sidewaysG: 0, downG: 3 },
  { id: "knockedDown", forwardG: 0, sidewaysG: 1, downG: 0 },
  { id: "turnedOver", forwardG: 0, sidewaysG: 0, downG: -1 },
];

/** What of a rig says how its tanks are pulled at. */
export type Shaken = Pick<Rig, "kind" | "crashClass">;

/** The loads a tank is reckoned with: road [P: EN 12195-1, from memory, 92 %, written for loose cargo], track [T], crash; or a boat's. */
export function listLoadCases({ kind, crashClass }: Shaken): readonly LoadCase[] {
  if (kind === "boat") return AFLOAT;
  const crash = CRASH[crashClass];
  return [
    { id: "braking", forwardG: 0.8, sidewaysG: 0, downG: 1 },
    { id: "cornering", forwardG: 0, sidewaysG: 0.5, downG: 1 },
    // braking into a bend
    { id: "road", forwardG: 0.8, sidewaysG: 0.5, downG: 1 },
    { id: "track", forwardG: 0, sidewaysG: 0, downG: 3 },
    ...(crash
      ? ([
          { id: "crashForward", forwardG: crash[0], sidewaysG: 0, downG: 1 },
          { id: "crashSideways", forwardG: 0, sidewaysG: crash[1], downG: 1 },
        ] as const)
      : []),
  ];
}

export type WeakestPart = "bolt" | "held" | "strap";

export type FixingResult = {
  readonly load: LoadCase;
  /** The bolt that uses most of what it may bear: which, and what is on it, kN. */
  readonly boltIndex: number;
  readonly shearKN: number;
  readonly tensionKN: number;
  readonly utilisation: number;
  /** What each bolt uses of what may be borne there, in the order of the places. */
  readonly uses: readonly number[];
  /** What it takes of the bolt, and of what that sits in; null while the latter has no rating. */
  readonly ofBolt: number;
  readonly ofHeld: number | null;
  /** What gives first: the bolt, what it sits in, or the strap; null while what it sits in has no rating. */
  readonly weakest: WeakestPart | null;
};

// A tank that stands on something presses on it, and pulls only where it is thrown up. The rest hang [T]; in a boat they may
// as well stand, so what throws them up is taken as if they were held down by the same bolts.
const findPullG = (kind: Fixing["kind"], downG: number): number =>
  kind === "onFloor" ? Math.max(0, -downG) : Math.abs(downG);

/**
 * Every bolt of a full tank, case by case: level pushes act at the middle of its volume, as far off the plane of the bolts as it lies,
 * with its weight where it hangs, all at once. A standing tank's weight is not counted as holding it down. The bolt, what it sits
 * in and the strap are in a row: the worst decides. Null where the bolts stand in one line and nothing holds it across.
 * Mass in kg > 0 [C on T: a full tank moves as one solid]. What a bolt sits in: factor × (V/VR + T/TR) ≤ 1.
 */
export function computeFixing(tank: Tank, fixing: Fixing, rig: Shaken): FixingResult[] | null {
  const { min, max } = measureExtent(tank.solid);
  const centre = findCentre(tank.solid);
  // what stands is held at its foot, what hangs at its top
  const leverMm = fixing.kind === "onFloor" ? centre.z - min.z : max.z - centre.z;
  const places = listBoltPlaces(tank, fixing);
  const bolt = computeBolt(fixing.size);
  const weightKN = (computeFullKg(tank) * GRAVITY) / 1000;
  const results: FixingResult[] = [];
  for (const load of listLoadCases(rig)) {
    let worst: FixingResult | null = null;
    for (const [along, across] of listWays(load)) {
      const group = computeBoltGroup(places, {
        pushXKN: along * weightKN * load.forwardG,
        pushYKN: across * weightKN * load.sidewaysG,
        pullKN: weightKN * findPullG(fixing.kind, load.downG),
        at: centre,
        leverMm,
      });
      if (!group.bolts) return null;
      const result = judge(load, group.bolts, bolt, fixing);
      if (!worst || result.utilisation > worst.utilisation) worst = result;
    }
    results.push(worst!);
  }
  return results;
}

// A pattern need not be even: what pushes forward also pushes back when somebody drives into the rig, and bends go both ways.
const listWays = ({ forwardG, sidewaysG }: LoadCase): readonly (readonly [1 | -1, 1 | -1])[] => {
  const along = forwardG > 0 ? ([1, -1] as const) : ([1] as const);
  const across = sidewaysG > 0 ? ([1, -1] as const) : ([1] as const);
  return along.flatMap((x) => across.map((y) => [x, y] as const));
};

function judge(
  load: LoadCase,
  bolts: readonly BoltForce[],
  bolt: ReturnType<typeof computeBolt>,
  fixing: Fixing,
): FixingResult {
  const parts = bolts.map(({ shearKN, tensionKN }) => ({
    bolt: computeUtilisation(bolt, shearKN, tensionKN),
    held: computeHeldUse(fixing, shearKN, tensionKN),
    // a strap hangs on two bolts and bears what both of them do
    strap:
      fixing.kind === "straps" && fixing.strapKN !== null ? (2 * tensionKN * fixing.heldFactor) / fixing.strapKN : 0,
  }));
  const uses = parts.map((part) => Math.max(part.bolt, part.held ?? 0, part.strap));
  const boltIndex = uses.reduce((worst, use, i) => (use > uses[worst]! ? i : worst), 0);
  const worst = parts[boltIndex]!;
  const order = ["bolt", "held", "strap"] as const;
  const weakest = order.reduce<WeakestPart>((a, b) => ((worst[b] ?? 0) > (worst[a] ?? 0) ? b : a), "bolt");
  return {
    load,
    boltIndex,
    ...bolts[boltIndex]!,
    utilisation: uses[boltIndex]!,
    uses,
    ofBolt: worst.bolt,
    ofHeld: worst.held,
    // while one part has no rating the bolt may not be the weakest; a strap that bears more than it may is known to give
    weakest: worst.held === null && weakest !== "strap" ? null : weakest,
  };
}

/** What a bolt's pull and shear, kN ≥ 0, take of what it sits in; null where one of them has no rating. Linear, on the safe side [T]. */
export function computeHeldUse(
  { heldKN, heldShearKN, heldFactor }: Pick<Fixing, "heldKN" | "heldShearKN" | "heldFactor">,
  shearKN: number,
  tensionKN: number,
): number | null {
  const of = (force: number, ratingKN: number | null) =>
    force <= 0 ? 0 : ratingKN === null ? null : (force * heldFactor) / ratingKN;
  const [shear, pull] = [of(shearKN, heldShearKN), of(tensionKN, heldKN)];
  return shear === null || pull === null ? null : shear + pull;
}

/** Plastic on steel, [T]: a strap holds a tank along itself by no more than this share of what it presses with. */
const STRAP_FRICTION = 0.2;

/**
 * Whether a tank slides out of its straps along them: their hold is friction on its weight, the push any case's. Brackets,
 * trays and cradles stop it; so does an end stop. [C on T: friction 0.2].
 */
export const slidesOut = ({ kind, hasEndStop }: Fixing, rig: Shaken): boolean =>
  kind === "straps" &&
  !hasEndStop &&
  listLoadCases(rig).some(({ forwardG, downG }) => forwardG > STRAP_FRICTION * downG);
