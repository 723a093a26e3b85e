import { type Attitude, computeUp } from "../attitude/attitude";
import type { Design } from "../design/design";
import { findLineTrap, findTrap } from "../design/lineItems";
import type { Fixture, Tank } from "../design/plumbing";
import { measureBowlMm2 } from "../design/usualFixtures";
import { buildDrainPath, type DrainPath, type Leg } from "../falls/drainPath";
import { measureLegFallMm, measureLevelLengthMm } from "../falls/fallBudget";
import { computeManningFlow, FILL_AT_MOST_FLOW } from "../falls/manning";
import { buildNetwork, followDrain, type Network } from "../falls/network";
import { computePonds } from "../falls/ponding";
import { measureSegmentArea } from "../geometry/circularSegment";
import { dot, type Vec3 } from "../geometry/vec";
import { MM3_PER_L, mmToM } from "../quantity/convert";
import { listStoreGroup } from "../tanks/linkedTanks";
import { listOpenings } from "../tanks/openings";
import { computeTankFull } from "../tanks/tankLevels";
import { measureArmFallMm } from "../traps/trapArm";
import { computeSealAfterSiphonMm } from "../traps/trapRisks";
import type { PourEvent, PourLeg } from "./pourParts";
import type { Idle } from "./risen";

/** A leg shorter than this is counted as that long, mm: it would ask for steps without end and holds next to nothing. */
const SHORTEST_MM = 60;
/** A leg that does not fall passes water only by what stands higher before it: taken as 1 mm/m [C on T]. */
const LEAST_SLOPE = 0.001;
/** A drop runs as fast as a pipe at 45° part full: it never holds the others up [T]. */
const DROP_SLOPE = 1;
/** The flow out of a leg is read off at so many even shares of its bore. */
export const TABLE = 48;

export type Cell = PourLeg & {
  readonly isRun: boolean;
  /** Heights of its crown where the water comes in and goes out, along the way up at the attitude, mm. */
  readonly headMm: number;
  readonly footMm: number;
  readonly next: number;
  /** The tank its way ends in, as a place in the list of tanks. */
  readonly tank: number;
  /** Flow out, L/s, by the share of the bore that is filled above what the sag keeps. */
  readonly flowLps: readonly number[];
  litres: number;
};

export type Basin = {
  readonly fixture: Fixture;
  readonly areaM2: number;
  readonly headMm: number;
  /** Height of its outlet along the way up, mm. */
  readonly outletMm: number;
  readonly boreM: number;
  readonly cell: number;
  litres: number;
  deepestMm: number;
  lastWetS: number;
  runsOver: boolean;
  /** The pipe behind the trap has been full from wall to wall. */
  ranFull: boolean;
  readonly sealMm: number;
  readonly sealIfFullMm: number;
};

/** Every leg of every drain the water can come to, those nearer to the tank later, and the fixtures that get water. */
export function layOutPour(design: Design, attitude: Attitude, events: readonly PourEvent[]) {
  const network = buildNetwork(design);
  const up = computeUp(attitude);
  const used = new Set(events.map((event) => event.fixtureId));
  const paths = [...network.drains.values()]
    .filter((drain) => used.has(drain.fromFixture))
    .map((drain) => buildDrainPath(design, drain, network));
  const stores = [...new Set(paths.map(({ tank }) => tank))].map(
    (tank): Store =>
      tank
        ? { tankId: tank.id, gotL: 0, takesL: measureStoreL(design, network, tank, up) }
        : { tankId: null, gotL: 0, takesL: Infinity },
  );
  const legs = new Map<
    string,
    { readonly leg: Leg; readonly keptL: number; readonly toGo: number; readonly tank: number }
  >();
  for (const path of paths) {
    const ponds = new Map(computePonds(path, up).map((pond) => [pond.legIndex, pond.litres]));
    const tank = stores.findIndex(({ tankId }) => tankId === (path.tank?.id ?? null));
    path.legs.forEach((leg, i) => {
      legs.set(toKey(leg), { leg, keptL: ponds.get(i) ?? 0, toGo: path.legs.length - i, tank });
    });
  }
  const sorted = [...legs.values()].filter(({ leg }) => leg.lengthMm > 0).sort((a, b) => b.toGo - a.toGo);
  const places = new Map(sorted.map(({ leg }, i) => [toKey(leg), i]));
  const nextOf = (path: DrainPath, at: number): number => {
    const after = path.legs.slice(at + 1).find((leg) => leg.lengthMm > 0);
    return after ? places.get(toKey(after))! : -1;
  };
  const next = new Map<string, number>();
  for (const path of paths) for (const [i, leg] of path.legs.entries()) next.set(toKey(leg), nextOf(path, i));
  const cells = sorted.map(({ leg, keptL, tank }) => ({ ...buildCell(leg, keptL, up, next.get(toKey(leg))!), tank }));
  const basins = paths.flatMap((path): Basin[] => {
    const first = path.legs.find((leg) => leg.lengthMm > 0);
    return first ? [buildBasin(path, places.get(toKey(first))!, up)] : [];
  });
  const idle = [...network.drains.values()].flatMap((drain): Idle[] => {
    if (used.has(drain.fromFixture)) return [];
    const path = buildDrainPath(design, drain, network);
    const cell = path.legs.map((leg) => places.get(toKey(leg))).find((place) => place !== undefined);
    return cell === undefined ? [] : [{ fixtureId: path.fixture.id, outletMm: dot(up, path.outletMm), cell }];
  });
  const through = new Set(paths.flatMap(({ drain }) => followDrain(network, drain)));
  const lineTraps = [...through].flatMap((drain): InLine[] => {
    const lineTrap = findLineTrap(drain);
    const path = buildDrainPath(design, drain, network);
    // the pipe behind it, which hangs on its seal when it runs full
    const behind = lineTrap && path.legs.slice(lineTrap.bend + 1).find(({ lengthMm }) => lengthMm > 0);
    // one that sits before the place where the water comes in is not on its way
    const cell = behind ? places.get(toKey(behind)) : undefined;
    if (!lineTrap || !behind || cell === undefined) return [];
    const { sealMm, bend } = lineTrap;
    const ifFullMm = computeSealAfterSiphonMm(sealMm, measureArmFallMm(path, bend + 1), behind.pipe.innerMm);
    return [{ lineId: drain.id, cell, sealMm, ifFullMm }];
  });
  return { cells, basins, stores, idle, lineTraps };
}

/** A running trap in a drain, and the leg behind it. */
type InLine = { readonly lineId: string; readonly cell: number; readonly sealMm: number; readonly ifFullMm: number };

/** A tank that takes what comes until it is full; all that ends in the open or in vessels is one that never is. */
export type Store = { readonly tankId: string | null; readonly takesL: number; gotL: number };

// With all that stores along with it: what it holds until the water stands at the lowest opening.
const measureStoreL = (design: Design, network: Network, tank: Tank, up: Vec3): number =>
  listStoreGroup(design, tank).reduce(
    (sum, one) => sum + computeTankFull(one, listOpenings(design, network, one), up).litres,
    0,
  );

function buildCell(leg: Leg, keptL: number, up: ReturnType<typeof computeUp>, next: number): Omit<Cell, "tank"> {
  const { innerMm, manningN } = leg.pipe;
  const fullArea = measureSegmentArea(innerMm, innerMm);
  const fullL = (fullArea * Math.max(SHORTEST_MM, leg.lengthMm)) / MM3_PER_L;
  const fall = measureLegFallMm(leg, up);
  const slope = leg.kind === "drop" ? DROP_SLOPE : Math.max(LEAST_SLOPE, fall / measureLevelLengthMm(leg, fall));
  // the curve over the depth, read off at even shares of the area
  const curve = Array.from({ length: 201 }, (_, i) => {
    const depth = i / 200;
    const share = measureSegmentArea(innerMm, depth * innerMm) / fullArea;
    // past the depth of greatest flow the pipe runs full; it does not carry less for it
    const { flowM3PerS } = computeManningFlow(mmToM(innerMm), Math.min(depth, FILL_AT_MOST_FLOW), slope, manningN);
    return { share, lps: flowM3PerS * 1000 };
  });
  const flowLps = Array.from(
    { length: TABLE + 1 },
    (_, i) => curve.find(({ share }) => share >= i / TABLE - 1e-9)!.lps,
  );
  const kept = Math.min(keptL, fullL);
  return {
    lineId: leg.lineId,
    index: leg.index,
    isRun: leg.kind === "run",
    fullL,
    keptL: kept,
    headMm: dot(up, leg.from) + innerMm,
    footMm: dot(up, leg.to) + innerMm,
    next,
    flowLps,
    litres: kept,
  };
}

function buildBasin(path: DrainPath, cell: number, up: Vec3): Basin {
  const { fixture, drain } = path;
  const sealMm = findTrap(drain)?.sealMm ?? 0;
  return {
    fixture,
    areaM2: measureBowlMm2(fixture.kind) / 1e6,
    headMm: findTrap(drain)?.dropMm ?? 0,
    outletMm: dot(up, path.outletMm),
    boreM: mmToM(Math.min(fixture.boreMm, drain.pipe.innerMm)),
    cell,
    litres: 0,
    deepestMm: 0,
    lastWetS: 0,
    runsOver: false,
    ranFull: false,
    sealMm,
    sealIfFullMm: computeSealAfterSiphonMm(sealMm, measureArmFallMm(path), drain.pipe.innerMm),
  };
}

const toKey = ({ lineId, index }: Leg): string => `${lineId}:${index}`;
