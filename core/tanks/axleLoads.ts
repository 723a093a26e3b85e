import { WATER_DENSITY } from "../air/dumping";
import type { Design } from "../design/design";
import type { Tank } from "../design/plumbing";
import type { Rig } from "../design/rig";
import { findCentre } from "../geometry/solid";
import { computeEmptyKg, computeFullKg } from "./shell";

/** What the water tanks put on one support, kg: an axle, or the coupling of a rig on one axle. */
export type AxleLoad = {
  readonly name: string;
  readonly emptyKg: number;
  readonly fullKg: number;
  /** The most and the least that any of them, full, come to: beyond a support a tank lifts the other, and what helps may be dumped. */
  readonly mostKg: number;
  readonly leastKg: number;
  /** What may still be carried; null where it was not looked up. */
  readonly spareKg: number | null;
  /** The coupling of a rig on one axle, or on a tandem. */
  readonly isCoupling: boolean;
};

export type TankLoads = {
  readonly axles: readonly AxleLoad[];
  /** Of the full tanks, on the left and on the right wheels, kg. */
  readonly leftKg: number;
  readonly rightKg: number;
  readonly emptyKg: number;
  readonly fullKg: number;
};

/** Tyres stand in from the edge of the floor by about this, mm [T]. */
const TYRE_IN_MM = 90;

/**
 * Share of a weight at x that each of two supports carries: the lever, (x2 − x)/(x2 − x1) and the rest. Beyond a support
 * it lifts the other; two in one place carry half each [C]. Example: 99.82 kg 1.2 m behind the rear of 3.64 m → +132.7 rear, −32.9 front.
 */
export function shareByLever(kg: number, xMm: number, [rearMm, frontMm]: readonly [number, number]): [number, number] {
  // two supports in one place share what they carry
  if (frontMm - rearMm < ONE_PLACE_MM) return [kg / 2, kg / 2];
  const front = (kg * (xMm - rearMm)) / (frontMm - rearMm);
  return [kg - front, front];
}

/** Axles nearer than this stand in one place, mm. */
const ONE_PLACE_MM = 1;

/** Axles nearer than this share what they carry evenly, mm [T: tandems stand 0.9 to 1.4 m apart]. */
const TANDEM_MM = 1_500;

type Support = Pick<AxleLoad, "name" | "spareKg" | "isCoupling"> & { readonly xMm: number };

// Two supports carry a rig: its first and last axle, or a trailer's one axle and the coupling before it.
function findSupports({ axles, lengthMm, kind, couplingXMm }: Rig): readonly [Support, Support] | null {
  // not measured, it is taken at the front edge, where it carries more than at a drawbar's end
  const coupling: Support = { name: "Coupling", xMm: couplingXMm ?? lengthMm, spareKg: null, isCoupling: true };
  const sorted = [...axles].map((axle) => ({ ...axle, isCoupling: false })).sort((a, b) => a.xMm - b.xMm);
  const [first] = sorted;
  const last = sorted.at(-1);
  if (!first || !last) return null;
  // on one axle only a trailer stands; of anything else the other was not measured
  if (sorted.length === 1) return kind === "trailer" ? [first, coupling] : null;
  // two close together are one support in their middle: what is left of them is the coupling's
  if (kind === "trailer" && last.xMm - first.xMm <= TANDEM_MM) {
    const spares = sorted.map(({ spareKg }) => spareKg);
    const xMm = sorted.reduce((sum, axle) => sum + axle.xMm, 0) / sorted.length;
    // an even share each: the weakest of them decides
    const spareKg = spares.some((spare) => spare === null) ? null : Math.min(...(spares as number[])) * sorted.length;
    return [{ name: sorted.map(({ name }) => name).join(" and "), xMm, spareKg, isCoupling: false }, coupling];
  }
  return [first, last];
}

/** Water that is carried on the rig in vessels, of which nothing says where they stand: not in the loads, kg. */
export const listUnplaced = ({
  habits,
}: Pick<Design, "habits">): { readonly name: string; readonly fullKg: number }[] =>
  habits.vessels
    .filter(({ on }) => on === "rig")
    .map(({ name, litres }) => ({ name, fullKg: (litres * WATER_DENSITY) / 1000 }));

/** Weight of the tanks, empty and full, on the axles and on the sides; null for a rig without axles, or with one that is no trailer. Water at 20 °C [C]. */
export function computeTankLoads({ rig, tanks }: Design): TankLoads | null {
  const supports = findSupports(rig);
  if (!supports) return null;
  const span = [supports[0].xMm, supports[1].xMm] as const;
  const loads = tanks.map((tank) => {
    const emptyKg = computeEmptyKg(tank);
    return { emptyKg, fullKg: computeFullKg(tank), centre: placeCentre(tank) };
  });
  const track = rig.widthMm - 2 * TYRE_IN_MM;
  const sum = (pick: (load: (typeof loads)[number]) => number) => loads.reduce((all, load) => all + pick(load), 0);
  const axles = supports.map(({ name, spareKg, isCoupling }, i): AxleLoad => {
    const empty = (load: (typeof loads)[number]) => shareByLever(load.emptyKg, load.centre.xMm, span)[i]!;
    const full = (load: (typeof loads)[number]) => shareByLever(load.fullKg, load.centre.xMm, span)[i]!;
    return {
      name,
      spareKg,
      isCoupling,
      emptyKg: sum(empty),
      fullKg: sum(full),
      mostKg: sum((load) => Math.max(0, full(load))),
      leastKg: sum((load) => Math.min(0, full(load))),
    };
  });
  const fullKg = sum((load) => load.fullKg);
  const leftKg = sum((load) => load.fullKg * (0.5 + load.centre.yMm / track));
  return { axles, leftKg, rightKg: fullKg - leftKg, emptyKg: sum((load) => load.emptyKg), fullKg };
}

// Where its water weighs; the shell of a stepped one is taken to weigh there too.
function placeCentre({ solid, atMm }: Tank) {
  const { x, y } = findCentre(solid);
  return { xMm: atMm.x + x, yMm: atMm.y + y };
}
