import { type Attitude, computeUp } from "../attitude/attitude";
import type { Design } from "../design/design";
import { findTrap } from "../design/lineItems";
import type { Fixture, Tank } from "../design/plumbing";
import { measureBowlMm2 } from "../design/usualFixtures";
import { buildDrainPath, type DrainPath, type Leg } from "../falls/drainPath";
import { measureLegFallMm, measureLevelLengthMm } from "../falls/fallBudget";
import { computeManningFlow, FILL_AT_MOST_FLOW } from "../falls/manning";
import { buildNetwork, type Network } from "../falls/network";
import { computePonds } from "../falls/ponding";
import { computeWasteLps } from "../falls/release";
import { measureSegmentArea } from "../geometry/circularSegment";
import { dot, type Vec3 } from "../geometry/vec";
import { MM3_PER_L, mmToM } from "../quantity/convert";
import { listStoreGroup } from "../tanks/linkedTanks";
import { listOpenings } from "../tanks/openings";
import { computeTankFull } from "../tanks/tankLevels";
import { measureArmFallMm } from "../traps/trapArm";
import { computeSealAfterSiphonMm } from "../traps/trapRisks";
import { type Idle, isFull, listRisen } from "./risen";

/** Water given to one fixture: let go at once with the plug pulled, or running for a while with the drain open. */
export type PourEvent =
  | { readonly kind: "empty"; readonly fixtureId: string; readonly litres: number }
  | { readonly kind: "run"; readonly fixtureId: string; readonly lps: number; readonly seconds: number };

/** What is where at one moment; litres in the order of `legs` and `fixtures`. */
export type PourFrame = {
  readonly second: number;
  readonly legsL: readonly number[];
  readonly fixturesL: readonly number[];
  readonly tankL: number;
};

export type PourLeg = {
  readonly lineId: string;
  readonly index: number;
  /** Its whole bore, L. */
  readonly fullL: number;
  /** What its sag keeps at the attitude, L. */
  readonly keptL: number;
};

export type PourFixture = {
  readonly fixtureId: string;
  readonly areaM2: number;
  readonly deepestMm: number;
  /** Seconds until it has run empty; null when water still stands in it at the end. */
  readonly emptyAfterS: number | null;
  readonly runsOver: boolean;
  /** What its trap keeps of its seal, mm: all of it, unless the pipe behind has run full; null without a water trap. */
  readonly sealLeftMm: number | null;
};

/** A tank the water comes to. */
export type PourTank = {
  readonly tankId: string;
  readonly gotL: number;
  /** What it takes at the attitude, from empty, before the water stands at its lowest opening, L. */
  readonly takesL: number;
  /** It was full before the water was through: the rest stands in the drains and comes up. */
  readonly isFull: boolean;
};

export type Pour = {
  readonly legs: readonly PourLeg[];
  readonly fixtures: readonly PourFixture[];
  readonly tanks: readonly PourTank[];
  readonly frames: readonly PourFrame[];
  readonly givenL: number;
  /** How full the fullest lying leg ever ran, as a share of its bore. */
  readonly fullestShare: number;
  /** Over the rim of a fixture, L. */
  readonly spiltL: number;
  /** Fixtures nobody uses in which it comes up. */
  readonly risen: readonly string[];
};

const FRAME_S = 0.5;
const LONGEST_STEP_S = 0.05;
/** A step moves no more than this share of the smallest store, so that no store is emptied or filled within one. */
const SHARE_A_STEP = 0.5;
/** A leg shorter than this is counted as that long, mm: it would ask for steps without end and holds next to nothing. */
const SHORTEST_MM = 60;
/** No use of a fixture takes longer than this to run off, s; what stands then stands. */
const LONGEST_S = 900;
/** A wet bowl or pipe: less than a teaspoon still running is over, L. */
const SETTLED_L = 2e-3;
/** A leg that does not fall passes water only by what stands higher before it: taken as 1 mm/m [C on T]. */
const LEAST_SLOPE = 0.001;
/** A drop runs as fast as a pipe at 45° part full: it never holds the others up [T]. */
const DROP_SLOPE = 1;
const TABLE = 48;

type Cell = PourLeg & {
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

type Basin = {
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

/**
 * Water through the drains after one or more uses, step by step at an attitude. Each leg is a store that fills by what
 * comes and empties by Manning's flow at its fill, once its sag is full; a full leg holds the one before it back, and the
 * last holds the fixture back. Tanks begin empty; one that is full holds its last leg back. The sags stand full of the last use when it begins. Nothing is lost: given = in the
 * fixtures + in the legs more than at the start + in the tank + spilt. Events: litres (0, 300], L/s (0, 5], s (0, 900].
 * Source: storage routing over Manning's formula [C on P]; losses of the waste and the slope of legs that rise [T].
 */
export function computePour(design: Design, attitude: Attitude, events: readonly PourEvent[]): Pour {
  const { cells, basins, stores, idle } = layOut(design, attitude, events);
  const risen = new Set<string>();
  const givenL = events.reduce((sum, e) => sum + (e.kind === "empty" ? e.litres : e.lps * e.seconds), 0);
  for (const event of events) {
    const basin = basins.find((b) => b.fixture.id === event.fixtureId);
    if (basin && event.kind === "empty") basin.litres += event.litres;
  }
  const runs = events.flatMap((e) => (e.kind === "run" ? [e] : []));
  const lastRunS = Math.max(0, ...runs.map((run) => run.seconds));
  const frames: PourFrame[] = [];
  let spiltL = basins.reduce((sum, basin) => sum + spill(basin), 0);
  const note = (second: number) =>
    frames.push({
      second,
      legsL: cells.map((c) => c.litres),
      fixturesL: basins.map((b) => b.litres),
      tankL: sumGot(stores),
    });
  note(0);
  const perFrame = Math.ceil(FRAME_S / findStepS(cells, basins, runs));
  const stepS = FRAME_S / perFrame;
  const steps = (LONGEST_S / FRAME_S) * perFrame;
  for (let step = 1; step <= steps; step++) {
    const second = step * stepS;
    // from the tank upward, so that what leaves makes room for what comes
    for (let i = cells.length - 1; i >= 0; i--) passOn(cells, stores, cells[i]!, stepS);
    for (const basin of basins) {
      for (const run of runs) {
        if (run.fixtureId !== basin.fixture.id) continue;
        basin.litres += run.lps * Math.min(stepS, Math.max(0, run.seconds - second + stepS));
      }
      const cell = cells[basin.cell]!;
      const out = Math.min(basin.litres, computeBasinLps(basin) * stepS, cell.fullL - cell.litres);
      basin.litres -= out;
      cell.litres += out;
      spiltL += spill(basin);
      if (basin.litres > SETTLED_L) basin.lastWetS = second;
      if (isFull(cell)) basin.ranFull = true;
    }
    // only at a frame, so that the last one shown is how it ends
    if (step % perFrame !== 0) continue;
    note((step / perFrame) * FRAME_S);
    for (const one of listRisen(idle, cells, basins)) risen.add(one);
    const isMoving = basins.some((b) => b.litres > SETTLED_L) || cells.some((c) => c.litres - c.keptL > SETTLED_L);
    if (second > lastRunS && (!isMoving || isStuck(stores, cells, basins))) break;
  }
  return {
    legs: cells.map(({ lineId, index, fullL, keptL }) => ({ lineId, index, fullL, keptL })),
    fixtures: basins.map((b) => ({
      fixtureId: b.fixture.id,
      areaM2: b.areaM2,
      deepestMm: b.deepestMm,
      emptyAfterS: b.litres > SETTLED_L ? null : b.lastWetS,
      runsOver: b.runsOver,
      sealLeftMm: b.sealMm === 0 ? null : b.ranFull ? b.sealIfFullMm : b.sealMm,
    })),
    tanks: stores.flatMap(({ tankId, gotL, takesL }) =>
      tankId === null ? [] : [{ tankId, gotL, takesL, isFull: takesL - gotL <= SETTLED_L }],
    ),
    frames,
    givenL,
    fullestShare: findFullest(cells, frames),
    spiltL,
    risen: [...risen],
  };
}

// Every leg of every drain the water can come to, those nearer to the tank later, and the fixtures that get water.
function layOut(design: Design, attitude: Attitude, events: readonly PourEvent[]) {
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
  return { cells, basins, stores, idle };
}

/** A tank that takes what comes until it is full; all that ends in the open or in vessels is one that never is. */
type Store = { readonly tankId: string | null; readonly takesL: number; gotL: number };

const sumGot = (stores: readonly Store[]): number => stores.reduce((sum, { gotL }) => sum + gotL, 0);

// With all that stores along with it: what it holds until the water stands at the lowest opening.
const measureStoreL = (design: Design, network: Network, tank: Tank, up: Vec3): number =>
  listStoreGroup(design, tank).reduce(
    (sum, one) => sum + computeTankFull(one, listOpenings(design, network, one), up).litres,
    0,
  );

// Tanks are full, and what still stands has nowhere to go.
const isStuck = (stores: readonly Store[], cells: readonly Cell[], basins: readonly Basin[]): boolean =>
  stores.every(({ takesL, gotL }) => takesL - gotL <= SETTLED_L) &&
  basins.every(({ litres, cell }) => litres <= SETTLED_L || cells[cell]!.fullL - cells[cell]!.litres <= SETTLED_L) &&
  cells.every(({ litres, keptL, fullL, next }) => {
    const after = cells[next];
    return litres - keptL <= SETTLED_L || fullL === 0 || !after || after.fullL - after.litres <= SETTLED_L;
  });

function findFullest(cells: readonly Cell[], frames: readonly PourFrame[]): number {
  return cells.reduce((most, { isRun, fullL }, i) => {
    if (!isRun) return most;
    return frames.reduce((fullest, { legsL }) => Math.max(fullest, legsL[i]! / fullL), most);
  }, 0);
}

// What can come at once is what the wastes let out of bowls full to the rim, and no more than the taps and the pipes.
function findStepS(
  cells: readonly Cell[],
  basins: readonly Basin[],
  runs: readonly { readonly lps: number }[],
): number {
  const mostLps =
    basins.reduce((sum, basin) => sum + computeBasinLps({ ...basin, litres: basin.fixture.rimMm * basin.areaM2 }), 0) +
    runs.reduce((sum, run) => sum + run.lps, 0);
  return cells.reduce(
    (least, { fullL, flowLps }) => Math.min(least, (SHARE_A_STEP * fullL) / Math.min(mostLps, flowLps.at(-1)!)),
    LONGEST_STEP_S,
  );
}

const toKey = ({ lineId, index }: Leg): string => `${lineId}:${index}`;

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

const measureDepthMm = ({ litres, areaM2 }: Pick<Basin, "litres" | "areaM2">): number => litres / areaM2;

function spill(basin: Basin): number {
  const depthMm = measureDepthMm(basin);
  basin.deepestMm = Math.max(basin.deepestMm, Math.min(depthMm, basin.fixture.rimMm));
  const over = basin.litres - basin.fixture.rimMm * basin.areaM2;
  if (over <= 0) return 0;
  basin.runsOver = true;
  basin.litres -= over;
  return over;
}

// Out through waste and trap under the water over it and the height of the trap.
function computeBasinLps(basin: Basin): number {
  return computeWasteLps(basin.boreM * 1000, measureDepthMm(basin) + basin.headMm);
}

// What leaves a cell in a step, moved to the next one or into the tank.
function passOn(cells: readonly Cell[], stores: readonly Store[], cell: Cell, stepS: number): void {
  const live = cell.litres - cell.keptL;
  if (live <= 0) return;
  const place = Math.min(TABLE, (live / Math.max(1e-9, cell.fullL - cell.keptL)) * TABLE);
  const low = Math.floor(place);
  const flow =
    cell.flowLps[low]! + (place - low) * ((cell.flowLps[low + 1] ?? cell.flowLps[low]!) - cell.flowLps[low]!);
  const next = cell.next < 0 ? null : cells[cell.next]!;
  const store = stores[cell.tank]!;
  const room = Math.max(0, next ? next.fullL - next.litres : store.takesL - store.gotL);
  // the last film runs off too: at no fill at all there is no flow to read
  const out = Math.min(live, Math.max(flow * stepS, Math.min(live, SETTLED_L * stepS)), room);
  cell.litres -= out;
  if (next) next.litres += out;
  else store.gotL += out;
}
