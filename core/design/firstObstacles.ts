import { vec } from "../geometry/vec";
import type { FirstMeasures } from "./firstMeasures";
import type { Obstacle, Rig } from "./rig";

/** What may be under a floor before anything is plumbed, by the few measures a tape gives; mm. */
export type FirstObstacles = {
  readonly rails: { readonly apartMm: number; readonly wideMm: number; readonly deepMm: number } | null;
  readonly axle: { readonly fromRearMm: number } | null;
  readonly fuelTank: FirstBlock | null;
  readonly exhaust: {
    readonly fromRearMm: number;
    readonly lengthMm: number;
    readonly leftMm: number;
    readonly belowMm: number;
  } | null;
  readonly ballast: FirstBlock | null;
};

/** A block by its rear right top corner: from the rear edge, left of the middle, below the floor; and its size. */
export type FirstBlock = {
  readonly fromRearMm: number;
  readonly leftMm: number;
  readonly belowMm: number;
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
};

export type FirstObstacleKind = keyof FirstObstacles;

export const NOTHING_UNDER: FirstObstacles = { rails: null, axle: null, fuelTank: null, exhaust: null, ballast: null };

/** What is asked of each kind of rig. */
export const ASKED_UNDER: Readonly<Record<Rig["kind"], readonly FirstObstacleKind[]>> = {
  van: ["rails", "axle", "fuelTank", "exhaust"],
  bus: ["rails", "axle", "fuelTank", "exhaust"],
  trailer: ["rails", "axle"],
  boat: ["ballast"],
};

/** Measures to start from when one of them is there [T]; each is to be measured. */
export function listUsualUnder(m: FirstMeasures): {
  readonly [K in FirstObstacleKind]: NonNullable<FirstObstacles[K]>;
} {
  const under = m.floorThicknessMm;
  return {
    rails: { apartMm: 900, wideMm: 60, deepMm: 120 },
    axle: { fromRearMm: Math.round(m.floorLengthMm * 0.28) },
    fuelTank: {
      fromRearMm: Math.round(m.floorLengthMm * 0.6),
      leftMm: -550,
      belowMm: under + 120,
      lengthMm: 700,
      widthMm: 400,
      heightMm: 220,
    },
    exhaust: { fromRearMm: 0, lengthMm: Math.round(m.floorLengthMm * 0.8), leftMm: -700, belowMm: under + 160 },
    ballast: {
      fromRearMm: Math.round(m.floorLengthMm * 0.4),
      leftMm: -200,
      belowMm: under + 350,
      lengthMm: 900,
      widthMm: 400,
      heightMm: 150,
    },
  };
}

const EXHAUST_MM = 70;
const AXLE = { halfMm: 60, deepMm: 120, travelMm: 90 } as const;

/** The blocks that those measures make, and the axle as the rig has it. */
export function buildFirstObstacles(
  under: FirstObstacles,
  m: FirstMeasures,
): { readonly obstacles: Obstacle[]; readonly axles: Rig["axles"] } {
  const floor = -m.floorThicknessMm;
  const obstacles: Obstacle[] = [];
  const { rails, axle, fuelTank, exhaust, ballast } = under;
  if (rails) {
    for (const [id, name, y] of [
      ["rail-left", "Left rail", rails.apartMm / 2 - rails.wideMm],
      ["rail-right", "Right rail", -rails.apartMm / 2],
    ] as const) {
      obstacles.push({
        id,
        name,
        kind: "chassisRail",
        atMm: vec(0, y, floor - rails.deepMm),
        lengthMm: m.floorLengthMm,
        widthMm: rails.wideMm,
        heightMm: rails.deepMm,
      });
    }
  }
  if (axle) {
    const widthMm = Math.max(200, m.floorWidthMm - 300);
    const top = floor - AXLE.travelMm;
    obstacles.push({
      id: "axle",
      name: "Axle and its travel",
      kind: "axle",
      atMm: vec(axle.fromRearMm - AXLE.halfMm, -widthMm / 2, top - AXLE.deepMm),
      lengthMm: 2 * AXLE.halfMm,
      widthMm,
      heightMm: AXLE.deepMm,
    });
  }
  if (fuelTank) obstacles.push(toBlock("fuel", "Fuel tank", "fuelTank", fuelTank));
  if (exhaust) {
    obstacles.push({
      id: "exhaust",
      name: "Exhaust",
      kind: "exhaust",
      atMm: vec(exhaust.fromRearMm, exhaust.leftMm, -exhaust.belowMm - EXHAUST_MM),
      lengthMm: exhaust.lengthMm,
      widthMm: EXHAUST_MM,
      heightMm: EXHAUST_MM,
    });
  }
  if (ballast) obstacles.push(toBlock("ballast", "Ballast", "ballast", ballast));
  return { obstacles, axles: axle ? [{ name: "Axle", xMm: axle.fromRearMm, spareKg: null }] : [] };
}

const toBlock = (id: string, name: string, kind: Obstacle["kind"], block: FirstBlock): Obstacle => ({
  id,
  name,
  kind,
  atMm: vec(block.fromRearMm, block.leftMm, -block.belowMm - block.heightMm),
  lengthMm: block.lengthMm,
  widthMm: block.widthMm,
  heightMm: block.heightMm,
});
