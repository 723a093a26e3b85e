import type { Airway } from "../air/airPressure";
import { computeDumping, GRAVITY, OUTLET_CD } from "../air/dumping";
import type { Port, Tank } from "../design/plumbing";
import { integrateSegmentArea, measureSegmentArea } from "../geometry/circularSegment";
import { computeLevelForVolume } from "../geometry/levelForVolume";
import { measureExtent } from "../geometry/solid";
import { dot, type Vec3 } from "../geometry/vec";
import { measureVolumeBelowL } from "../geometry/volumeBelow";
import { mmToM } from "../quantity/convert";
import { buildTankField } from "./tankLevels";

/** How a tank runs out: what is left at each moment. */
export type EmptyingPoint = { readonly second: number; readonly litres: number };
export type Emptying = {
  readonly curve: readonly EmptyingPoint[];
  /** Until it only trickles, and what is left then, with what stays below the outlet for good. */
  readonly seconds: number;
  readonly leftL: number;
};

const STEPS = 240;
/** Less than this is a trickle that nobody waits for, m³/s: 1.2 L a minute [T]. */
const TRICKLE_M3_PER_S = 2e-5;

/** An outlet sits in the bottom where its invert is the bottom and it is clear of the walls. */
export function isBottomOutlet(tank: Tank, { atMm }: Pick<Port, "atMm">): boolean {
  const { min, max } = measureExtent(tank.solid);
  const isOnWall = atMm.x <= min.x + 1 || atMm.x >= max.x - 1 || atMm.y <= min.y + 1 || atMm.y >= max.y - 1;
  return atMm.z <= min.z + 1 && !isOnWall;
}

/**
 * Flow, m³/s, out of a bore, m, in an upright wall whose invert is `depthM` ≥ 0 under water: the wetted part of the bore
 * under the head over its own centre, Cd A(y) √(2 g (y − yc)). Full bore from the top of it upward, below that it runs
 * like a weir [C on T: Cd 0.6].
 */
export function computeSideFlow(depthM: number, boreM: number): { readonly areaM2: number; readonly headM: number } {
  const wetM = Math.min(depthM, boreM);
  if (wetM <= 0) return { areaM2: 0, headM: 0 };
  const areaM2 = measureSegmentArea(boreM, wetM);
  // the centre of the wetted part lies as far under its surface as the area is deep on the mean: ∫A dy / A
  const centreUnderM = areaM2 > 0 ? integrateSegmentArea(boreM, wetM) / areaM2 : 0;
  return { areaM2, headM: depthM - wetM + centreUnderM };
}

/**
 * A tank run empty through one outlet at a unit up direction from `fromL` litres, its breather (if any) throttling as it
 * does while dumping; `dropM` ≥ 0 is what a hose of the same bore that falls from the outlet adds to the head. Steps at the flow of their middle; mass is kept by construction. Source: Torricelli with the breather [C].
 * Example: 0.5 m² of tank, 200 mm to 0 through 38 mm in the bottom, Cd 0.6 → 148.4 s.
 */
export function computeEmptying(
  tank: Tank,
  outlet: Port,
  up: Vec3,
  fromL: number,
  { airway = null, dropM = 0 }: { readonly airway?: Airway | null; readonly dropM?: number } = {},
): Emptying {
  const field = buildTankField(tank, up);
  const invertMm = dot(up, outlet.atMm);
  const belowL = Math.min(fromL, measureVolumeBelowL(field, invertMm));
  const isBottom = isBottomOutlet(tank, outlet);
  const curve: EmptyingPoint[] = [{ second: 0, litres: fromL }];
  const liveL = fromL - belowL;
  // steps shrink toward the end, as the flow does, so that each takes about as long
  const toL = (i: number) => belowL + liveL * (1 - i / STEPS) ** 2;
  let second = 0;
  for (let i = 0; i < STEPS && liveL > 0; i++) {
    const [before, after] = [toL(i), toL(i + 1)];
    const depthM = mmToM(computeLevelForVolume(field, (before + after) / 2) - invertMm);
    const flow = computeOutflow(Math.max(0, depthM), outlet.boreMm, isBottom, airway, dropM);
    if (flow < TRICKLE_M3_PER_S) break;
    second += (before - after) / 1000 / flow;
    curve.push({ second, litres: after });
  }
  return { curve, seconds: second, leftL: curve.at(-1)!.litres };
}

function computeOutflow(
  depthM: number,
  boreMm: number,
  isBottom: boolean,
  airway: Airway | null,
  dropM: number,
): number {
  const boreM = mmToM(boreMm);
  const { areaM2, headM } = isBottom
    ? { areaM2: (Math.PI / 4) * boreM ** 2, headM: depthM }
    : computeSideFlow(depthM, boreM);
  if (areaM2 <= 0) return 0;
  // a hose runs full only while the outlet does, and pulls only then
  const pullM = isBottom || depthM >= boreM ? dropM : 0;
  if (!airway) return OUTLET_CD * areaM2 * Math.sqrt(2 * GRAVITY * (headM + pullM));
  // the same area as a round bore
  return computeDumping(headM + pullM, Math.sqrt((4 * areaM2) / Math.PI), airway).flowM3PerS;
}
