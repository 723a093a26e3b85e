import { computeUp } from "../attitude/attitude";
import type { Design } from "../design/design";
import { findSealMm } from "../design/lineItems";
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
import type { PumpDraw } from "./pumpOut";
import { buildVentPath, followVent, listVents, toFreePipe, type VentStretch } from "./ventPath";

/** What a tank's breather does while the tank is dumped full, and while every fixture on it runs. */
export type TankAir = {
  readonly ventId: string;
  /** Its pipe from the port to the open, and those of the breathers it joins. */
  readonly stretches: readonly VentStretch[];
  /** Full tank over the centre of the outlet at the dumping attitude and what the hose adds, mm. */
  readonly headMm: number;
  /** The bore that outlet, valve and hose together pass as. */
  readonly outletBoreMm: number;
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
 * counted alone, and of several outlets the one that sucks the most, which is on the safe side; that two are opened at once
 * is not counted. Suction limit in Pa > 0. Source: `computeDumping` [C].
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
  const drains = network.drainsByTank.get(tank.id) ?? [];
  const inflowM3PerS = sumFillLps(design, network, tank.id) / 1000;
  const seals = drains.flatMap((drain) => findSealMm(drain) ?? []);
  const weakestSealMm = seals.length > 0 ? Math.min(...seals) : null;
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
  const best = ways.reduce((a, b) => (b.dumping.suctionPa > a.dumping.suctionPa ? b : a));
  const { suctionPa, flowM3PerS } = best.dumping;
  return {
    ventId: best.vent.id,
    stretches: best.stretches,
    headMm: best.headMm,
    outletBoreMm: best.boreMm,
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
function findHead(
  design: Design,
  tank: Tank,
  outlet: Port,
  up: Vec3,
  surfaceMm: number,
): { readonly headMm: number; readonly boreMm: number } {
  const line = findDumpLine(design, tank.id, outlet.id);
  const { boreMm, dropMm } = findOutletWay(outlet, design.rig.dumpHose, line && buildDumpRun(design, line));
  // a bore in the bottom has all of the depth as its head, one in a wall what is over its middle
  const halfMm = isBottomOutlet(tank, outlet) ? 0 : outlet.boreMm / 2;
  const overMm = Math.max(0, surfaceMm - dot(up, add(tank.atMm, outlet.atMm)) - halfMm);
  // a hose that hangs down pulls with what stands in it
  return { headMm: overMm > 0 ? overMm + dropMm : 0, boreMm };
}

/** Suction or pressure, Pa, that one tank's air puts on another through the breather they share. */
export type SharedAir = {
  readonly fromTankId: string;
  readonly suctionPa: number;
  /** It is let go, or a station or its own pump pumps it out. */
  readonly by: "dump" | "pumpOut";
};

/**
 * The worst suction another tank puts on this one while it is dumped or pumped out: what the stretches they share take at that flow.
 * The air of this tank stands still meanwhile, so the tee's suction reaches it whole [C]. Null where nothing is shared.
 */
export function computeSharedAir(
  design: Design,
  tank: Tank,
  airs: ReadonlyMap<string, TankAir>,
  draws: ReadonlyMap<string, readonly PumpDraw[]> = new Map(),
): SharedAir | null {
  const own = new Set(listVents(design, tank.id).flatMap((vent) => followVent(design, vent).map(({ id }) => id)));
  let worst: SharedAir | null = null;
  const drawn = [
    ...[...airs].map(([id, { stretches, dumpFlowLps: lps }]) => ({ id, stretches, lps, by: "dump" as const })),
    ...[...draws].flatMap(([id, those]) =>
      those.map(({ stretches, flowLps: lps }) => ({ id, stretches, lps, by: "pumpOut" as const })),
    ),
  ];
  for (const { id: fromTankId, stretches, lps, by } of drawn) {
    if (fromTankId === tank.id) continue;
    const first = stretches.findIndex(({ lineId }) => own.has(lineId));
    if (first < 0) continue;
    const shared = stretches.slice(first).map(toFreePipe);
    const suctionPa = computeAirwayPressurePa(lps / 1000, shared);
    if (!worst || suctionPa > worst.suctionPa) worst = { fromTankId, suctionPa, by };
  }
  return worst;
}
