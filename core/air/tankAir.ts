import { computeUp } from "../attitude/attitude";
import type { Design } from "../design/design";
import type { Port, Tank, Vent } from "../design/plumbing";
import { buildNetwork, type Network } from "../falls/network";
import { add, dot, type Vec3 } from "../geometry/vec";
import { mmToM } from "../quantity/convert";
import { createRecall } from "../quantity/recall";
import { lookUpValue } from "../rules/lookUpLimit";
import { buildDumpRun, findDumpLine } from "../tanks/dumpRun";
import { isBottomOutlet } from "../tanks/emptying";
import { listOpenings } from "../tanks/openings";
import { findOutletWay } from "../tanks/outletWay";
import { computeTankFull } from "../tanks/tankLevels";
import { computeSealAfterMm, computeSealBreakPa } from "../traps/sealPressure";
import { computeAirwayPressurePa } from "./airPressure";
import { computeDumping, computeLeastBreatherBoreM, type Dumping, sumAirway } from "./dumping";
import { sumFillLps } from "./filling";
import { buildVentPath, listVents, toFreePipe, type VentStretch } from "./ventPath";
import { findWeakestSealMm } from "./weakestSeal";

/** What stands over an outlet as it is opened, mm, and the bore that it passes as. */
export type OutletHead = { readonly headMm: number; readonly boreMm: number };

/** What a tank's breather does while the tank is dumped full, and while every fixture on it runs. */
export type TankAir = {
  readonly ventId: string;
  /** Its pipe from the port to the open, and those of the breathers it joins. */
  readonly stretches: readonly VentStretch[];
  /** Full tank over the centre of the outlet at the dumping attitude and what the hose adds, mm. */
  readonly headMm: number;
  /** The bore that outlet, valve and hose together pass as. */
  readonly outletBoreMm: number;
  /** The same of each of its outlets. */
  readonly outlets: readonly OutletHead[];
  readonly dumpFlowLps: number;
  /** Suction in the tank the moment the valve opens, Pa. */
  readonly suctionPa: number;
  /** Pressure in the tank at the largest flow that can come: one bowl let go, the taps of the rest and what fills it by pump, Pa. */
  readonly fillPa: number;
  /** The shallowest water seal on the tank, mm, and what the dumping leaves of it; null where no trap holds water. */
  readonly weakestSealMm: number | null;
  readonly sealAfterMm: number | null;
  readonly breaksSeal: boolean;
  /** Bore, mm, at which the suction stays within a limit, Pa. */
  readonly leastBoreMm: number;
};

// Found by halving, and the same as long as the tank stands as full and its breather is not touched.
const recallDrawn = createRecall<Vent, { readonly dumping: Dumping; readonly leastBoreMm: number }>(2);

/**
 * Air of a tank at its dumping attitude; null without a breather or an outlet. Of several breathers the best one is
 * counted alone, which is on the safe side, and of several outlets the one that sucks the most; what is opened at once is in
 * `computeTogether`. Suction limit in Pa > 0. Source: `computeDumping` [C].
 */
export function computeTankAir(
  design: Design,
  tank: Tank,
  mostPa: number,
  network: Network = buildNetwork(design),
): TankAir | null {
  const vents = listVents(design, tank.id);
  const outlets = tank.ports.filter((port) => port.kind === "outlet");
  if (vents.length === 0 || outlets.length === 0) return null;
  const up = computeUp(design.rig.dumpAttitude);
  const { surfaceMm } = computeTankFull(tank, listOpenings(design, network, tank), up);
  const cd = lookUpValue(design.rules, "outletFast");
  const inflowM3PerS = sumFillLps(design, network, tank.id) / 1000;
  const weakestSealMm = findWeakestSealMm(network, tank.id);
  const airways = vents.map((vent) => {
    const { stretches } = buildVentPath(design, vent);
    return { vent, stretches, airway: stretches.map(({ pipe }) => pipe) };
  });
  const ways = outlets.map((outlet) => {
    const { headMm, boreMm } = findHead(design, tank, outlet, up, surfaceMm);
    const [headM, boreM] = [mmToM(headMm), mmToM(boreMm)];
    const air = airways.map(({ vent, stretches, airway }) => {
      const made = [
        headM,
        boreM,
        cd,
        mostPa,
        ...airway.flatMap((pipe) => [pipe.boreM, pipe.lengthM, pipe.lossK, pipe.air?.density, pipe.air?.viscosity]),
      ];
      const drawn = recallDrawn(vent, made, () => ({
        dumping: computeDumping(headM, boreM, airway, cd),
        leastBoreMm: computeLeastBreatherBoreM(headM, boreM, mostPa, sumAirway(stretches.map(toFreePipe)), cd) * 1000,
      }));
      return { vent, stretches, airway, headMm, boreMm, ...drawn };
    });
    return air.reduce((a, b) => (b.dumping.suctionPa < a.dumping.suctionPa ? b : a));
  });
  const outletHeads = ways.map(({ headMm, boreMm }) => ({ headMm, boreMm }));
  const best = ways.reduce((a, b) => (b.dumping.suctionPa > a.dumping.suctionPa ? b : a));
  const { suctionPa, flowM3PerS } = best.dumping;
  return {
    ventId: best.vent.id,
    stretches: best.stretches,
    headMm: best.headMm,
    outletBoreMm: best.boreMm,
    outlets: outletHeads,
    dumpFlowLps: flowM3PerS * 1000,
    suctionPa,
    fillPa: computeAirwayPressurePa(inflowM3PerS, best.airway),
    weakestSealMm,
    sealAfterMm: weakestSealMm === null ? null : computeSealAfterMm(weakestSealMm, suctionPa),
    breaksSeal: weakestSealMm !== null && suctionPa >= computeSealBreakPa(weakestSealMm),
    leastBoreMm: best.leastBoreMm,
  };
}

// What stands over an outlet when it is opened, and how wide the way behind it is, mm.
function findHead(design: Design, tank: Tank, outlet: Port, up: Vec3, surfaceMm: number): OutletHead {
  const line = findDumpLine(design, tank.id, outlet.id);
  const { boreMm, dropMm } = findOutletWay(outlet, design.rig.dumpHose, line && buildDumpRun(design, line));
  // a bore in the bottom has all of the depth as its head, one in a wall what is over its middle
  const halfMm = isBottomOutlet(tank, outlet) ? 0 : outlet.boreMm / 2;
  const overMm = Math.max(0, surfaceMm - dot(up, add(tank.atMm, outlet.atMm)) - halfMm);
  // a hose that hangs down pulls with what stands in it
  return { headMm: overMm > 0 ? overMm + dropMm : 0, boreMm };
}
