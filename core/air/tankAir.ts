import { computeUp } from "../attitude/attitude";
import type { Design } from "../design/design";
import type { Tank, Vent } from "../design/plumbing";
import { buildNetwork, listFixturesOf, type Network } from "../falls/network";
import { add, dot, measureLength, subtract } from "../geometry/vec";
import { mmToM } from "../quantity/convert";
import { listOpenings } from "../tanks/openings";
import { computeTankFull } from "../tanks/tankLevels";
import { computeSealAfterMm, computeSealBreakPa } from "../traps/sealPressure";
import { BREATHER_LOSS_K, computeAirPressurePa } from "./airPressure";
import { computeDumping, computeLeastBreatherBoreM } from "./dumping";

/** What a tank's breather does while the tank is dumped full, and while every fixture on it runs. */
export type TankAir = {
  readonly ventId: string;
  readonly ventLengthM: number;
  readonly lossK: number;
  /** Full tank over the centre of the outlet at the dumping attitude, mm. */
  readonly headMm: number;
  readonly outletBoreMm: number;
  readonly dumpFlowLps: number;
  /** Suction in the tank the moment the valve opens, Pa. */
  readonly suctionPa: number;
  /** Pressure in the tank while all its fixtures run, Pa. */
  readonly fillPa: number;
  /** The shallowest water seal on the tank, mm, and what the dumping leaves of it; null where no trap holds water. */
  readonly weakestSealMm: number | null;
  readonly sealAfterMm: number | null;
  readonly breaksSeal: boolean;
  /** Bore, mm, at which the suction stays within a limit, Pa. */
  readonly leastBoreMm: number;
};

/**
 * Air of a tank at its dumping attitude; null without a breather or an outlet. Of several breathers the best one is
 * counted alone, which is on the safe side. Suction limit in Pa > 0. Source: `computeDumping` [C].
 */
export function computeTankAir(
  design: Design,
  tank: Tank,
  mostPa: number,
  network: Network = buildNetwork(design),
): TankAir | null {
  const vents = design.lines.filter((line): line is Vent => line.kind === "vent" && line.fromTank === tank.id);
  const outlets = tank.ports.filter((port) => port.kind === "outlet");
  if (vents.length === 0 || outlets.length === 0) return null;
  const up = computeUp(design.rig.dumpAttitude);
  const outlet = outlets.reduce((a, b) => (dot(up, b.atMm) < dot(up, a.atMm) ? b : a));
  const fixtures = listFixturesOf(network, tank.id);
  const { surfaceMm } = computeTankFull(tank, listOpenings(design, network, tank), up);
  const headMm = Math.max(0, surfaceMm - dot(up, add(tank.atMm, outlet.atMm)) - outlet.boreMm / 2);
  const drains = network.drainsByTank.get(tank.id) ?? [];
  const inflowM3PerS = fixtures.reduce((sum, fixture) => sum + fixture.inflowLps / 1000, 0);
  const seals = drains.flatMap(({ trap }) => (trap && trap.sealMm > 0 ? [trap.sealMm] : []));
  const weakestSealMm = seals.length > 0 ? Math.min(...seals) : null;
  const air = vents.map((vent) => {
    const lengthM = mmToM(measureVentLengthMm(tank, vent));
    const pipe = { boreM: mmToM(vent.pipe.innerMm), lengthM, lossK: BREATHER_LOSS_K };
    return { vent, pipe, dumping: computeDumping(mmToM(headMm), mmToM(outlet.boreMm), pipe) };
  });
  const best = air.reduce((a, b) => (b.dumping.suctionPa < a.dumping.suctionPa ? b : a));
  const { suctionPa, flowM3PerS } = best.dumping;
  return {
    ventId: best.vent.id,
    ventLengthM: best.pipe.lengthM,
    lossK: best.pipe.lossK,
    headMm,
    outletBoreMm: outlet.boreMm,
    dumpFlowLps: flowM3PerS * 1000,
    suctionPa,
    fillPa: computeAirPressurePa(inflowM3PerS, best.pipe),
    weakestSealMm,
    sealAfterMm: weakestSealMm === null ? null : computeSealAfterMm(weakestSealMm, suctionPa),
    breaksSeal: weakestSealMm !== null && suctionPa >= computeSealBreakPa(weakestSealMm),
    leastBoreMm: computeLeastBreatherBoreM(mmToM(headMm), mmToM(outlet.boreMm), mostPa, best.pipe) * 1000,
  };
}

/** Length of a breather from its port to its open end, mm along the pipe [C]. */
export function measureVentLengthMm(tank: Tank, vent: Vent): number {
  const port = tank.ports.find((p) => p.id === vent.fromPort)!;
  const points = [add(tank.atMm, port.atMm), ...vent.pointsMm];
  return points.slice(1).reduce((sum, p, i) => sum + measureLength(subtract(p, points[i]!)), 0);
}
