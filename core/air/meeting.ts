import type { Design } from "../design/design";
import type { Network } from "../falls/network";
import { lookUpValue } from "../rules/lookUpLimit";
import { computeAirPressurePa, computeAirwayPressurePa } from "./airPressure";
import { sumFillLps } from "./filling";
import { doBreathersMeet, type Fill, type MeetAir } from "./meetAir";
import { type AirWay, listPortions, listThrough } from "./portions";
import { computeSharedAir } from "./sharedAir";
import { computeTogether } from "./together";
import { buildVentPath, listVents } from "./ventPath";
import { findWeakestSealMm } from "./weakestSeal";

/** What tanks do to one another's air where their breathers meet, and what several ways out of one do at once. */
export const meetAir: MeetAir = (design, network, own, draws) => {
  const isShared = doBreathersMeet(design);
  const ways = listWays(design, network);
  return {
    shared: new Map(
      design.tanks.flatMap((tank) => {
        const air = isShared ? computeSharedAir(design, tank, own, draws) : null;
        return air ? [[tank.id, air]] : [];
      }),
    ),
    together: computeTogether(
      ways.map((way) => ({
        ...way,
        outlets: own.get(way.tankId)?.outlets ?? [],
        pumpLps: draws.get(way.tankId)?.find(({ pumps }) => pumps.length > 0)?.flowLps ?? 0,
      })),
      lookUpValue(design.rules, "outletFast"),
      (tankId) => findWeakestSealMm(network, tankId),
    ),
    fills: new Map(isShared ? ways.map((way) => [way.tankId, computeFillTogether(design, network, way, ways)]) : []),
  };
};

// Of several breathers the one that takes least while the tank fills.
function listWays(design: Design, network: Network): AirWay[] {
  return design.tanks.flatMap(({ id: tankId }): AirWay[] => {
    const flowM3PerS = Math.max(sumFillLps(design, network, tankId), LEAST_LPS) / 1000;
    const ways = listVents(design, tankId).map((vent) => {
      const { stretches } = buildVentPath(design, vent);
      return {
        tankId,
        stretches,
        pa: computeAirwayPressurePa(
          flowM3PerS,
          stretches.map(({ pipe }) => pipe),
        ),
      };
    });
    return ways.length === 0 ? [] : [ways.reduce((a, b) => (b.pa < a.pa ? b : a))];
  });
}

/** Where nothing fills a tank its breathers are held against each other at so much. */
const LEAST_LPS = 0.1;

/**
 * Pressure in a tank, Pa, at the largest flow that can come into it and into all whose air goes the same way: in each portion that of
 * the tanks behind it, `sumFillLps`. Source: `computeAirPressurePa` [C].
 */
function computeFillTogether(design: Design, network: Network, way: AirWay, ways: readonly AirWay[]): Fill {
  const portions = listPortions(way, ways);
  return {
    pa: portions.reduce(
      (sum, { pipe, tankIds }) => sum + computeAirPressurePa(sumFillLps(design, network, ...tankIds) / 1000, pipe),
      0,
    ),
    otherIds: listThrough(portions).filter((id) => id !== way.tankId && sumFillLps(design, network, id) > 0),
  };
}
