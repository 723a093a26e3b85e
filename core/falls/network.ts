import type { Design } from "../design/design";
import type { Gear } from "../design/gear";
import { findJunctionBend, findTrap } from "../design/lineItems";
import type { Drain, Fixture, Hose, Tank } from "../design/plumbing";
import { createRecall } from "../quantity/recall";
import { computeReleaseLps } from "./release";

/** The drains of a design as the tree they are: what is where, and what joins what. Built once, asked often. */
export type Network = {
  readonly gear: ReadonlyMap<string, Gear>;
  /** The hoses, by which gear sends water on. */
  readonly hoses: readonly Hose[];
  readonly fixtures: ReadonlyMap<string, Fixture>;
  readonly tanks: ReadonlyMap<string, Tank>;
  readonly drains: ReadonlyMap<string, Drain>;
  /** The drains that end in a drain, by the id of the one they join. */
  readonly branches: ReadonlyMap<string, readonly Drain[]>;
  /** The drains whose water ends in a tank, by the tank's id, in the order of the design's lines. */
  readonly drainsByTank: ReadonlyMap<string, readonly Drain[]>;
  /** Water that may run in each leg of a drain at once, L/s, by the drain's id. */
  readonly inflowsLps: ReadonlyMap<string, readonly number[]>;
  /** The largest flow that can come in each leg of a drain, L/s: one bowl let go with the taps of the rest. */
  readonly surgesLps: ReadonlyMap<string, readonly number[]>;
};

/** The drains that end in no tank stand under this. */
const NO_TANK = "";

/** Looks up everything the drains name. The design has passed its consistency check, so there is neither gap nor loop. */
export function buildNetwork({ lines, fixtures, gear, tanks }: Design): Network {
  const drains = lines.filter((line) => line.kind === "drain");
  return {
    ...recallCourses(fixtures, drains, () => buildCourses(drains, fixtures)),
    gear: recallGear(gear, [], () => toMap(gear)),
    hoses: lines.filter((line) => line.kind === "hose"),
    tanks: toMap(tanks),
  };
}

const toMap = <T extends { readonly id: string }>(list: readonly T[]): ReadonlyMap<string, T> =>
  new Map(list.map((one) => [one.id, one]));

// While a tank is pulled no drain changes, nor what runs in it.
const recallCourses = createRecall<Design["fixtures"], Courses>();
const recallGear = createRecall<Design["gear"], Network["gear"]>();

type Courses = Omit<Network, "gear" | "hoses" | "tanks">;

function buildCourses(all: readonly Drain[], those: Design["fixtures"]): Courses {
  const drains = new Map<string, Drain>();
  const branches = new Map<string, Drain[]>();
  for (const drain of all) {
    drains.set(drain.id, drain);
    if (drain.to.kind === "junction") push(branches, drain.to.lineId, drain);
  }
  const fixtures = toMap(those);
  const order = sortUpstreamFirst(drains, branches);
  const tankIds = new Map<string, string>();
  for (const { id, to } of [...order].reverse()) {
    if (to.kind === "inlet") tankIds.set(id, to.tankId);
    else if (to.kind === "junction") tankIds.set(id, tankIds.get(to.lineId) ?? "");
  }
  const drainsByTank = new Map<string, Drain[]>();
  for (const drain of drains.values()) push(drainsByTank, tankIds.get(drain.id) ?? NO_TANK, drain);
  return {
    fixtures,
    drains,
    branches,
    drainsByTank,
    ...sumFlows(order, branches, fixtures),
  };
}

/** A drain and every drain its water runs through after it; the last of them ends in a tank, a vessel or the open. */
export function followDrain({ drains }: Pick<Network, "drains">, drain: Drain): Drain[] {
  const chain = [drain];
  for (let last = drain; last.to.kind === "junction"; ) {
    last = drains.get(last.to.lineId)!;
    chain.push(last);
  }
  return chain;
}

/** The fixtures whose water ends in a tank. */
export const listFixturesOf = (network: Network, tankId: string): Fixture[] =>
  (network.drainsByTank.get(tankId) ?? []).flatMap((drain) => network.fixtures.get(drain.fromFixture) ?? []);

/**
 * The largest flow that can come into a tank, or into some together, at once, L/s: the one bowl that sends the most let go, and the
 * taps of all the rest [C; that one is let go while the others run is what builders reckon with, T].
 */
export function sumSurgeLps(network: Network, ...tankIds: readonly string[]): number {
  let sum = NOTHING;
  for (const drain of tankIds.flatMap((id) => network.drainsByTank.get(id) ?? [])) {
    const fixture = network.fixtures.get(drain.fromFixture);
    if (fixture) sum = addFlows(sum, toFlows(drain, fixture));
  }
  return toSurgeLps(sum);
}

/** The same for some drains and their fixtures. */
export const sumSurgeOf = (those: readonly { readonly drain: Drain; readonly fixture: Fixture }[]): number =>
  toSurgeLps(those.reduce((sum, { drain, fixture }) => addFlows(sum, toFlows(drain, fixture)), NOTHING));

/** What several fixtures send: their taps together, what one bowl let go adds to its tap at most, and who runs alone. */
type Flows = {
  readonly tapsLps: number;
  readonly extraLps: number;
  /** Of those that only run alone: the largest tap, and the largest bowl let go. */
  readonly aloneTapLps: number;
  readonly aloneLps: number;
};

const NOTHING: Flows = { tapsLps: 0, extraLps: 0, aloneTapLps: 0, aloneLps: 0 };

function toFlows(drain: Drain, fixture: Fixture): Flows {
  const release = releaseOf(drain, fixture);
  const { inflowLps, runsAlone } = fixture;
  return runsAlone
    ? { ...NOTHING, aloneTapLps: inflowLps, aloneLps: release }
    : { ...NOTHING, tapsLps: inflowLps, extraLps: release - inflowLps };
}

const addFlows = (a: Flows, b: Flows): Flows => ({
  tapsLps: a.tapsLps + b.tapsLps,
  extraLps: Math.max(a.extraLps, b.extraLps),
  aloneTapLps: Math.max(a.aloneTapLps, b.aloneTapLps),
  aloneLps: Math.max(a.aloneLps, b.aloneLps),
});

const toTapsLps = ({ tapsLps, aloneTapLps }: Flows): number => Math.max(tapsLps, aloneTapLps);
const toSurgeLps = ({ tapsLps, extraLps, aloneLps }: Flows): number => Math.max(tapsLps + extraLps, aloneLps);

/** The largest flow one fixture sends into its drain, L/s. */
export const releaseOf = (drain: Drain, fixture: Fixture): number =>
  computeReleaseLps(fixture, { pipeMm: drain.pipe.innerMm, dropMm: findTrap(drain)?.dropMm ?? 0 });

/**
 * Water that may run in one leg of a drain at once, L/s: its own fixture and everything that has joined before it, all
 * taps open. The bend b is where leg b + 1 begins, so what joins there runs in that leg and after. Mass is kept [C].
 */
export const sumInflowLps = ({ inflowsLps }: Pick<Network, "inflowsLps">, drain: Drain, leg: number): number =>
  inflowsLps.get(drain.id)?.[leg] ?? 0;

/** The largest flow that can come in one leg of a drain, L/s: of all that has joined before it [C; which run together: T]. */
export const findSurgeLps = ({ surgesLps }: Pick<Network, "surgesLps">, drain: Drain, leg: number): number =>
  surgesLps.get(drain.id)?.[leg] ?? 0;

// Every drain after all that join it, each looked at once; a network that passed its check has no circle.
function sortUpstreamFirst(
  drains: ReadonlyMap<string, Drain>,
  branches: ReadonlyMap<string, readonly Drain[]>,
): Drain[] {
  const waiting = new Map([...drains.keys()].map((id) => [id, branches.get(id)?.length ?? 0]));
  const order = [...drains.values()].filter(({ id }) => waiting.get(id) === 0);
  // the list grows while it is gone through
  for (const { to } of order) {
    if (to.kind !== "junction") continue;
    const left = (waiting.get(to.lineId) ?? 0) - 1;
    waiting.set(to.lineId, left);
    const main = drains.get(to.lineId);
    if (left === 0 && main) order.push(main);
  }
  return order;
}

function sumFlows(
  order: readonly Drain[],
  branches: ReadonlyMap<string, readonly Drain[]>,
  fixtures: ReadonlyMap<string, Fixture>,
): Pick<Network, "inflowsLps" | "surgesLps"> {
  const atEnds = new Map<string, Flows>();
  const inflowsLps = new Map<string, readonly number[]>();
  const surgesLps = new Map<string, readonly number[]>();
  for (const drain of order) {
    const joins = new Array<Flows>(drain.bendsMm.length + 1).fill(NOTHING);
    for (const { id, to } of branches.get(drain.id) ?? []) {
      if (to.kind !== "junction") continue;
      // what joins at a bend runs in the leg that begins there
      const leg = findJunctionBend(drain, to) + 1;
      if (leg > 0) joins[leg] = addFlows(joins[leg]!, atEnds.get(id) ?? NOTHING);
    }
    const fixture = fixtures.get(drain.fromFixture);
    let flows = fixture ? toFlows(drain, fixture) : NOTHING;
    const along = joins.map((joined) => (flows = addFlows(flows, joined)));
    atEnds.set(drain.id, flows);
    inflowsLps.set(drain.id, keep(recallInflows, drain, along.map(toTapsLps)));
    surgesLps.set(drain.id, keep(recallSurges, drain, along.map(toSurgeLps)));
  }
  return { inflowsLps, surgesLps };
}

// The same flows are the same list, by which what was made from them is known again.
const keep = (recall: typeof recallInflows, drain: Drain, flows: readonly number[]): readonly number[] =>
  recall(drain, flows, () => flows);

const recallInflows = createRecall<Drain, readonly number[]>();
const recallSurges = createRecall<Drain, readonly number[]>();

function push<T>(lists: Map<string, T[]>, key: string, value: T): void {
  const list = lists.get(key);
  if (list) list.push(value);
  else lists.set(key, [value]);
}
