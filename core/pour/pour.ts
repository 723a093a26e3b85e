import type { Attitude } from "../attitude/attitude";
import type { Design } from "../design/design";
import { computeWasteLps } from "../falls/release";
import { type Basin, type Cell, layOutPour, type Store, TABLE } from "./layOutPour";
import type { PourEvent, PourLeg } from "./pourParts";
import { isFull, listRisen } from "./risen";

/** What is where at one moment; litres in the order of `legs` and `fixtures`. */
export type PourFrame = {
  readonly second: number;
  readonly legsL: readonly number[];
  readonly fixturesL: readonly number[];
  readonly tankL: number;
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
  /** Running traps in the lines the water runs through: what each keeps of its seal, mm. */
  readonly lineTraps: readonly { readonly lineId: string; readonly sealMm: number; readonly leftMm: number }[];
};

const FRAME_S = 0.5;
const LONGEST_STEP_S = 0.05;
/** A step moves no more than this share of the smallest store, so that no store is emptied or filled within one. */
const SHARE_A_STEP = 0.5;
/** No use of a fixture takes longer than this to run off, s; what stands then stands. */
const LONGEST_S = 900;
/** A wet bowl or pipe: less than a teaspoon still running is over, L. */
const SETTLED_L = 2e-3;

/**
 * Water through the drains after one or more uses, step by step at an attitude. Each leg is a store that fills by what
 * comes and empties by Manning's flow at its fill, once its sag is full; a full leg holds the one before it back, and the
 * last holds the fixture back. Tanks begin empty; one that is full holds its last leg back. The sags stand full of the last use when it begins. Nothing is lost: given = in the
 * fixtures + in the legs more than at the start + in the tank + spilt. Events: litres (0, 300], L/s (0, 5], s (0, 900].
 * Source: storage routing over Manning's formula [C on P]; losses of the waste and the slope of legs that rise [T].
 */
export function computePour(design: Design, attitude: Attitude, events: readonly PourEvent[]): Pour {
  const { cells, basins, stores, idle, lineTraps } = layOutPour(design, attitude, events);
  const sucked = new Set<string>();
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
    for (const { lineId, cell } of lineTraps) if (isFull(cells[cell]!)) sucked.add(lineId);
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
    lineTraps: lineTraps.map(({ lineId, sealMm, ifFullMm }) => ({
      lineId,
      sealMm,
      leftMm: sucked.has(lineId) ? ifFullMm : sealMm,
    })),
  };
}

const sumGot = (stores: readonly Store[]): number => stores.reduce((sum, { gotL }) => sum + gotL, 0);

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
