import type { Design } from "../design/design";
import type { Drain, Fixture, Tank } from "../design/plumbing";

/** The drains of a design as the tree they are: what is where, and what joins what. Built once, asked often. */
export type Network = {
  readonly fixtures: ReadonlyMap<string, Fixture>;
  readonly tanks: ReadonlyMap<string, Tank>;
  readonly drains: ReadonlyMap<string, Drain>;
  /** The drains that end in a drain, by the id of the one they join. */
  readonly branches: ReadonlyMap<string, readonly Drain[]>;
  /** The drains whose water ends in a tank, by the tank's id, in the order of the design's lines. */
  readonly drainsByTank: ReadonlyMap<string, readonly Drain[]>;
};

/** Looks up everything the drains name. The design has passed its consistency check, so there is neither gap nor loop. */
export function buildNetwork(design: Design): Network {
  const drains = new Map<string, Drain>();
  const branches = new Map<string, Drain[]>();
  for (const line of design.lines) {
    if (line.kind !== "drain") continue;
    drains.set(line.id, line);
    if (line.to.kind === "junction") push(branches, line.to.lineId, line);
  }
  const drainsByTank = new Map<string, Drain[]>();
  for (const drain of drains.values()) push(drainsByTank, findTankId(drains, drain), drain);
  return {
    fixtures: new Map(design.fixtures.map((fixture) => [fixture.id, fixture])),
    tanks: new Map(design.tanks.map((tank) => [tank.id, tank])),
    drains,
    branches,
    drainsByTank,
  };
}

/** A drain and every drain its water runs through after it; the last of them ends in a tank. */
export function followDrain({ drains }: Pick<Network, "drains">, drain: Drain): Drain[] {
  const chain = [drain];
  for (let last = drain; last.to.kind === "junction"; ) {
    last = drains.get(last.to.lineId)!;
    chain.push(last);
  }
  return chain;
}

function findTankId(drains: ReadonlyMap<string, Drain>, drain: Drain): string {
  const last = followDrain({ drains }, drain).at(-1)!;
  return last.to.kind === "inlet" ? last.to.tankId : "";
}

/** The fixtures whose water ends in a tank. */
export const listFixturesOf = (network: Network, tankId: string): Fixture[] =>
  (network.drainsByTank.get(tankId) ?? []).flatMap((drain) => network.fixtures.get(drain.fromFixture) ?? []);

/**
 * Water that may run in one leg of a drain at once, L/s: its own fixture and everything that has joined before it, all
 * taps open. The bend b is where leg b + 1 begins, so what joins there runs in that leg and after. Mass is kept [C].
 */
export function sumInflowLps(network: Network, drain: Drain, leg: number): number {
  const own = network.fixtures.get(drain.fromFixture)?.inflowLps ?? 0;
  return (network.branches.get(drain.id) ?? []).reduce(
    (sum, branch) =>
      branch.to.kind === "junction" && branch.to.bend < leg
        ? sum + sumInflowLps(network, branch, branch.bendsMm.length)
        : sum,
    own,
  );
}

function push<T>(lists: Map<string, T[]>, key: string, value: T): void {
  const list = lists.get(key);
  if (list) list.push(value);
  else lists.set(key, [value]);
}
