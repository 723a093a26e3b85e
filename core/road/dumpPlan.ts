import { type FlowStretch, sumDraws } from "../days/flows";
import { computeDayChances } from "../days/fullChance";
import type { HeldWater } from "../design/plumbing";
import type { Stop } from "../record/journey";
import { toDays } from "./civil";
import { measureGreatCircleKm } from "./greatCircle";

/** A store at the start of a journey: its room when it has just been emptied or filled, and what of that is left now, L. */
export type PlannedStore = {
  readonly storeId: string;
  readonly holds: HeldWater;
  readonly roomL: number;
  readonly leftL: number;
  /** It is a canister or bottle that is carried to where it is emptied. */
  readonly isCarried: boolean;
  /** Standard error of its litres a day as the book taught them, as a share of them; 0 where the design alone says. */
  readonly rateError: number;
};

/** One chance to dump or fill: on arriving at a stop, or on leaving it. */
export type Moment = {
  readonly stopId: string;
  readonly when: "arrive" | "leave";
  /** Whole days after the start. */
  readonly day: number;
  /** The stores that can be served there. */
  readonly storeIds: readonly string[];
  /** What the place takes, and the detour to it. */
  readonly cost: number;
  /** Out of the way by so much, km of road; 0 where one stays there anyway or its place is not known. */
  readonly detourKm: number;
};

/** A store between one service and the next, or the end, with its chance of running over, or dry, before. */
export type Interval = {
  readonly storeId: string;
  readonly fromDay: number;
  readonly toDay: number;
  readonly chance: number;
};

/** A service of a plan, and what would come of leaving it out: the store that would most likely not last to the next one, or the end. */
export type PlannedService = Moment & {
  readonly because: { readonly storeId: string; readonly untilDay: number; readonly chance: number };
  /** What is let go there on the mean, kg: driven off without it. */
  readonly dumpedKg: number;
};

export type DumpPlan = {
  /** Where something is dumped or filled, in order. */
  readonly services: readonly PlannedService[];
  readonly intervals: readonly Interval[];
  /** The chance that nothing runs over or dry on the whole way; at least the certainty where the plan holds. */
  readonly holdsWith: number;
  readonly holds: boolean;
  readonly cost: number;
  /** Kilometres of road that are driven only to dump or fill. */
  readonly detourKm: number;
  /** Stops that lie after the longest time that is planned: not reckoned with. */
  readonly stopsBeyond: number;
  /** Where it cannot hold: the store and the first day by which it is through more often than is allowed. */
  readonly breaks: { readonly storeId: string; readonly day: number } | null;
};

export type PlanInput = {
  readonly stores: readonly PlannedStore[];
  /** How it is lived: the first stretch goes on all the way. */
  readonly stretches: readonly FlowStretch[];
  readonly stops: readonly Stop[];
  /** The day it begins, YYYY-MM-DD. */
  readonly from: string;
  /** Share in [0.5, 0.99]. */
  readonly certainty: number;
  /** What a kilometre out of the way costs, money of the stops; the usual where it is not said. */
  readonly perKm?: number;
};

/** Fuel and wear of a camper, money a kilometre [T]. */
export const USUAL_PER_KM = 0.25;
/** Roads are longer than the crow flies by about this, times [T]. */
const ROAD_FACTOR = 1.3;

/** The longest journey that is planned, days. */
export const MOST_PLAN_DAYS = 180;

/** Every chance to dump or fill on the way, in order: on the day of arriving, and of leaving where one stays. */
export function listMoments({
  stops,
  from,
  stores,
  perKm = USUAL_PER_KM,
}: Pick<PlanInput, "stops" | "from" | "stores" | "perKm">): Moment[] {
  const start = toDays(from);
  const sorted = [...stops].sort((a, b) => a.arrive.localeCompare(b.arrive));
  return sorted
    .flatMap((stop, i): Moment[] => {
      if (stop.isClosed) return [];
      const storeIds = stores.filter((store) => serves(stop, store)).map(({ storeId }) => storeId);
      if (storeIds.length === 0) return [];
      const day = toDays(stop.arrive) - start;
      const detourKm = measureDetourKm(sorted, i);
      const cost = stop.cost + perKm * detourKm;
      const at = (when: Moment["when"], on: number): Moment[] =>
        on >= 0 && on <= MOST_PLAN_DAYS ? [{ stopId: stop.id, when, day: on, storeIds, cost, detourKm }] : [];
      return [...at("arrive", day), ...(stop.nights > 0 ? at("leave", day + stop.nights) : [])];
    })
    .sort((a, b) => a.day - b.day);
}

// A place where nobody stays is driven to only to dump or fill: the way over it against the way past it.
function measureDetourKm(sorted: readonly Stop[], i: number): number {
  const stop = sorted[i]!;
  if (stop.nights > 0) return 0;
  const isStayed = (one: Stop) => one.nights > 0 && one.latDeg !== null && one.lonDeg !== null;
  const [before, after] = [sorted.slice(0, i).findLast(isStayed), sorted.slice(i + 1).find(isStayed)];
  const here = toPlace(stop);
  if (!here || !before || !after) return 0;
  const [a, b] = [toPlace(before)!, toPlace(after)!];
  const over = measureGreatCircleKm(a, here) + measureGreatCircleKm(here, b);
  return ROAD_FACTOR * Math.max(0, over - measureGreatCircleKm(a, b));
}

const toPlace = ({ latDeg, lonDeg }: Stop) => (latDeg === null || lonDeg === null ? null : { latDeg, lonDeg });

function serves({ has }: Stop, { holds, isCarried }: PlannedStore): boolean {
  switch (holds) {
    case "fresh":
      return has.fresh;
    case "grey":
      // into a toilet dump a canister is poured; a tank under the floor does not get over it
      return has.grey || (isCarried && has.toilet);
    case "black":
      return has.toilet;
    case "loop":
      return false;
  }
}

/** The last day of a journey, whole days after its start. */
export const findLastDay = ({ stops, from }: Pick<PlanInput, "stops" | "from">): number =>
  Math.min(MOST_PLAN_DAYS, Math.max(0, ...stops.map(({ arrive, nights }) => toDays(arrive) + nights - toDays(from))));

type Label = {
  readonly served: number;
  readonly cost: number;
  /** Sum of −ln(1 − p) over the intervals that are closed. */
  readonly risk: number;
  /** Day each store was served last; −1 for the start as it is. */
  readonly last: readonly number[];
  readonly path: readonly number[];
};

/**
 * Where to dump and fill so that, with the certainty asked, no store runs over or dry: fewest services, then least cost, then
 * least risk. Everything a stop offers is done there. Each store's chance between services is exact for its own uses; the
 * chances are multiplied, which is on the safe side because what fills a waste tank empties the fresh one at the same time.
 * Source: labels of dynamic programming over (services, cost, risk), none dropped that could still be best [C].
 */
export function planDumps(input: PlanInput): DumpPlan {
  const { stores, certainty } = input;
  const moments = listMoments(input);
  const lastDay = findLastDay(input);
  const chanceOf = createChances(input, lastDay);
  const budget = -Math.log(certainty) + 1e-12;
  const riskOf = (store: number, from: number, to: number) =>
    -Math.log1p(-Math.min(1 - 1e-12, chanceOf(store, from, to)));
  const begin: Label = { served: 0, cost: 0, risk: 0, last: stores.map(() => -1), path: [] };
  const finish = (label: Label) => stores.reduce((sum, _, s) => sum + riskOf(s, label.last[s]!, lastDay), label.risk);
  const run = (most: number): Label[] => {
    let labels: Label[] = [begin];
    for (const [i, moment] of moments.entries()) {
      const next: Label[] = [];
      for (const label of labels) {
        // what is open already may not be too much
        const open = stores.reduce((sum, _, s) => sum + riskOf(s, label.last[s]!, moment.day), label.risk);
        if (open > most) continue;
        next.push(label);
        const risk = stores.reduce(
          (sum, { storeId }, s) =>
            moment.storeIds.includes(storeId) ? sum + riskOf(s, label.last[s]!, moment.day) : sum,
          label.risk,
        );
        next.push({
          served: label.served + 1,
          cost: label.cost + moment.cost,
          risk,
          last: stores.map(({ storeId }, s) => (moment.storeIds.includes(storeId) ? moment.day : label.last[s]!)),
          path: [...label.path, i],
        });
      }
      labels = prune(next);
    }
    return labels.map((label) => ({ ...label, risk: finish(label) })).filter(({ risk }) => risk <= most);
  };
  const best = run(budget).sort((a, b) => a.served - b.served || a.cost - b.cost || a.risk - b.risk)[0];
  if (best) return toPlan(input, moments, best, lastDay, chanceOf);
  // it does not hold: served wherever it can be, to say what breaks
  const all: Label = moments.reduce<Label>(
    (label, moment, i) => ({
      served: label.served + 1,
      cost: label.cost + moment.cost,
      risk: 0,
      last: label.last,
      path: [...label.path, i],
    }),
    begin,
  );
  return toPlan(input, moments, all, lastDay, chanceOf);
}

// One that has no more services, cost and risk, and was served no earlier anywhere, is never worse.
function prune(labels: readonly Label[]): Label[] {
  const kept: Label[] = [];
  const sorted = [...labels].sort((a, b) => a.served - b.served || a.cost - b.cost || a.risk - b.risk);
  for (const label of sorted) {
    const isBeaten = kept.some(
      (one) => one.cost <= label.cost && one.risk <= label.risk && one.last.every((day, s) => day >= label.last[s]!),
    );
    if (!isBeaten) kept.push(label);
  }
  return kept;
}

type ChanceOf = (store: number, fromDay: number, toDay: number) => number;

// The chance by the number of days, from the start as it is (−1) or from a service.
function createChances({ stores, stretches }: PlanInput, lastDay: number): ChanceOf {
  const first = stretches.slice(0, 1).map((stretch) => ({ ...stretch, days: MOST_PLAN_DAYS + 1 }));
  const days = Math.max(1, lastDay);
  const tables = stores.map((store) => ({
    fresh: computeUnsureChances(first, store, store.roomL, days),
    begun: computeUnsureChances(first, store, store.leftL, days),
  }));
  return (store, fromDay, toDay) => {
    const table = fromDay < 0 ? tables[store]!.begun : tables[store]!.fresh;
    const days = toDay - Math.max(0, fromDay);
    return days <= 0 ? 0 : (table[days - 1] ?? 1);
  };
}

/** A standard normal in steps, with the weight of each. */
function stepNormal(step: number): readonly (readonly [number, number])[] {
  const most = Math.round(3.5 / step);
  const steps = Array.from({ length: 2 * most + 1 }, (_, i) => step * (i - most));
  const density = (z: number) => Math.exp(-(z ** 2) / 2);
  const sum = steps.reduce((total, z) => total + density(z), 0);
  return steps.map((z) => [z, density(z) / sum]);
}

/** Where uses come by chance the sum is smooth; where all is regular a hair more is too much, and the steps are finer. */
const BY_CHANCE = stepNormal(0.5);
const REGULAR = stepNormal(0.25);

/**
 * The chance by day where the rate itself is only learned: the mean of the chances over what it may be, a lognormal about the
 * rate with its error. Multiplied over the intervals this is on the safe side, for the same rate runs through all of them [C].
 */
function computeUnsureChances(
  stretches: PlanInput["stretches"],
  { storeId, rateError }: PlannedStore,
  roomL: number,
  days: number,
): readonly number[] {
  if (rateError <= 0) return computeDayChances(stretches, storeId, roomL, days);
  const spread = Math.sqrt(Math.log1p(rateError ** 2));
  const hasChance = stretches.some(({ flows }) =>
    flows.some((flow) => flow.storeId === storeId && flow.draws.some(({ byChance }) => byChance)),
  );
  const tables = (hasChance ? BY_CHANCE : REGULAR).map(([z, weight]) => {
    const factor = Math.exp(spread * z - spread ** 2 / 2);
    const scaled = stretches.map((stretch) => ({
      ...stretch,
      flows: stretch.flows.map((flow) => ({
        ...flow,
        draws: flow.draws.map((draw) => ({ ...draw, perDay: draw.perDay * factor })),
      })),
    }));
    return { weight, chances: computeDayChances(scaled, storeId, roomL, days) };
  });
  // as many days as were worked out, and no more: of a day that was not, nothing is promised
  return tables[0]!.chances.map((_, i) => tables.reduce((sum, { weight, chances }) => sum + weight * chances[i]!, 0));
}

function toPlan(
  { stores, stretches, stops, from, certainty }: PlanInput,
  moments: readonly Moment[],
  { path, cost }: Label,
  lastDay: number,
  chanceOf: ChanceOf,
): DumpPlan {
  const chosen = path.map((i) => moments[i]!);
  const services = path.map((i): PlannedService => {
    const moment = moments[i]!;
    const before = (storeId: string) =>
      chosen.findLast((one) => one !== moment && one.storeIds.includes(storeId) && moments.indexOf(one) < i)?.day ?? -1;
    const outcomes = moment.storeIds.map((storeId) => {
      const s = stores.findIndex((store) => store.storeId === storeId);
      const untilDay = chosen.find((one) => moments.indexOf(one) > i && one.storeIds.includes(storeId))?.day ?? lastDay;
      return { storeId, untilDay, chance: chanceOf(s, before(storeId), untilDay) };
    });
    const dumpedKg = stores.reduce((sum, { storeId, holds, roomL, leftL }) => {
      if (holds === "fresh" || !moment.storeIds.includes(storeId)) return sum;
      const from = before(storeId);
      const meanL = sumDraws(stretches[0]?.flows.find((flow) => flow.storeId === storeId)?.draws ?? []).meanL;
      const held = from < 0 ? roomL - leftL : 0;
      return sum + Math.min(roomL, held + meanL * (moment.day - Math.max(0, from)));
    }, 0);
    return { ...moment, because: outcomes.reduce((a, b) => (b.chance > a.chance ? b : a)), dumpedKg };
  });
  const intervals = stores.flatMap(({ storeId }, s): Interval[] => {
    const days = services.filter(({ storeIds }) => storeIds.includes(storeId)).map(({ day }) => day);
    return [...days, lastDay].map((toDay, i) => {
      const fromDay = i === 0 ? -1 : days[i - 1]!;
      return { storeId, fromDay: Math.max(0, fromDay), toDay, chance: chanceOf(s, fromDay, toDay) };
    });
  });
  const holdsWith = intervals.reduce((product, { chance }) => product * (1 - chance), 1);
  const holds = holdsWith >= certainty - 1e-9;
  return {
    services,
    intervals,
    holdsWith,
    holds,
    cost,
    detourKm: services.reduce((sum, service) => sum + service.detourKm, 0),
    stopsBeyond: stops.filter(({ arrive, nights }) => toDays(arrive) + nights - toDays(from) > MOST_PLAN_DAYS).length,
    breaks: holds ? null : findBreak(intervals, stores, certainty, chanceOf),
  };
}

// The interval that fails most, and the day in it by which it fails oftener than the certainty leaves.
function findBreak(
  intervals: readonly Interval[],
  stores: readonly PlannedStore[],
  certainty: number,
  chanceOf: ChanceOf,
): DumpPlan["breaks"] {
  const worst = intervals.reduce<Interval | null>((a, b) => (a && a.chance >= b.chance ? a : b), null);
  if (!worst) return null;
  const s = stores.findIndex(({ storeId }) => storeId === worst.storeId);
  const isFirst = intervals.find(({ storeId }) => storeId === worst.storeId) === worst;
  for (let day = worst.fromDay + 1; day <= worst.toDay; day++) {
    if (chanceOf(s, isFirst ? -1 : worst.fromDay, day) > 1 - certainty) return { storeId: worst.storeId, day };
  }
  return { storeId: worst.storeId, day: worst.toDay };
}
