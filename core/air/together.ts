import { mmToM } from "../quantity/convert";
import { computeSealAfterMm, computeSealBreakPa } from "../traps/sealPressure";
import { computeAirPressurePa } from "./airPressure";
import { computeOutletFlow } from "./dumping";
import { type AirWay, listPortions, listThrough, type Portion } from "./portions";

/** A tank with all that can draw on it at once: its outlets, and its own pumps, which do not slow. */
export type Drawn = AirWay & {
  readonly outlets: readonly { readonly headMm: number; readonly boreMm: number }[];
  readonly pumpLps: number;
};

/** What all that is opened and runs at once does to a tank's air. */
export type Together = {
  /** The tanks that are let go or pumped, this one too where it is one of them. */
  readonly tankIds: readonly string[];
  readonly suctionPa: number;
  /** What it leaves of the shallowest seal, mm; null where no trap holds water. */
  readonly weakestSealMm: number | null;
  readonly sealAfterMm: number | null;
  readonly breaksSeal: boolean;
};

/** Suctions are known to so much, Pa; a flow in a few dozen halvings. */
const CLOSE_PA = 0.05;
const MOST_SWEEPS = 60;
const HALVINGS = 40;

/**
 * The suction in each tank, Pa, when every outlet is open and every pump of theirs runs: flows and suctions are found together, each
 * tank in turn while the others hold still, until none moves. A tank's suction slows its own outlets, and less air of the others
 * helps it, so that there is one answer. Share of an ideal outlet in (0, 1]. Source: Torricelli with Darcy and Weisbach [C].
 */
export function solveSuctionsPa(tanks: readonly Drawn[], cd: number): ReadonlyMap<string, number> {
  const flowAt = ({ outlets, pumpLps }: Drawn, suctionPa: number): number =>
    outlets.reduce(
      (sum, { headMm, boreMm }) => sum + computeOutletFlow(mmToM(headMm), mmToM(boreMm), suctionPa, cd),
      pumpLps / 1000,
    );
  const flows = new Map(tanks.map((tank) => [tank.tankId, flowAt(tank, 0)]));
  const solved = new Map<string, number>();
  const all = tanks.map((tank) => ({ tank, portions: listPortions(tank, tanks) }));
  for (let sweep = 0, moved = Infinity; sweep < MOST_SWEEPS && moved > CLOSE_PA; sweep++) {
    moved = 0;
    for (const { tank, portions } of all) {
      const { tankId } = tank;
      const suctionAt = (own: number) => sumPressurePa(portions, flows, tankId, own);
      let low = 0;
      let high = suctionAt(flowAt(tank, 0));
      for (let i = 0; i < HALVINGS && high - low > CLOSE_PA / 8; i++) {
        const middle = (low + high) / 2;
        if (suctionAt(flowAt(tank, middle)) > middle) low = middle;
        else high = middle;
      }
      flows.set(tankId, flowAt(tank, high));
      moved = Math.max(moved, Math.abs(high - (solved.get(tankId) ?? Infinity)));
      solved.set(tankId, high);
    }
  }
  return solved;
}

const sumPressurePa = (
  portions: readonly Portion[],
  flows: ReadonlyMap<string, number>,
  ownId: string,
  ownM3PerS: number,
): number =>
  portions.reduce((sum, { pipe, tankIds }) => {
    const flow = tankIds.reduce((all, id) => all + (id === ownId ? ownM3PerS : (flows.get(id) ?? 0)), 0);
    return sum + computeAirPressurePa(flow, pipe);
  }, 0);

/**
 * What is done to the air of each tank by all that may be opened and run at once: its own outlets and pumps, and those of tanks whose
 * air goes the same way. Nothing is said of a tank on which only one thing draws. The shallowest seal of each in mm. That a station
 * pumps one out meanwhile is not counted. Source: `solveSuctionsPa` [C].
 */
export function computeTogether(
  tanks: readonly Drawn[],
  cd: number,
  findSealMm: (tankId: string) => number | null,
): ReadonlyMap<string, Together> {
  const near = tanks.map((tank) => {
    const drawing = listThrough(listPortions(tank, tanks)).flatMap((id) =>
      tanks.filter((one) => one.tankId === id && countDrawing(one) > 0),
    );
    return { tank, drawing };
  });
  const several = near.filter(({ drawing }) => drawing.reduce((sum, one) => sum + countDrawing(one), 0) > 1);
  if (several.length === 0) return new Map();
  const suctions = solveSuctionsPa(tanks, cd);
  return new Map(
    several.map(({ tank: { tankId }, drawing }) => {
      const suctionPa = suctions.get(tankId)!;
      const weakestSealMm = findSealMm(tankId);
      const together: Together = {
        tankIds: drawing.map((one) => one.tankId),
        suctionPa,
        weakestSealMm,
        sealAfterMm: weakestSealMm === null ? null : computeSealAfterMm(weakestSealMm, suctionPa),
        breaksSeal: weakestSealMm !== null && suctionPa >= computeSealBreakPa(weakestSealMm),
      };
      return [tankId, together];
    }),
  );
}

/** On how many ways a tank can be drawn on at once. */
export const countDrawing = ({ outlets, pumpLps }: Pick<Drawn, "outlets" | "pumpLps">): number =>
  outlets.length + (pumpLps > 0 ? 1 : 0);
