import type { Design } from "../design/design";
import type { Use, Way } from "../design/habits";
import type { Fixture } from "../design/plumbing";
import { buildNetwork, type Network } from "../falls/network";
import { USES_OF } from "./fixtureUses";
import { listStretches } from "./rates";
import { findUseEnd, listStores, type Store, type UseEnd } from "./stores";

/** A fixture with a drain, and the ways of living that are lived in which nothing is counted for it. */
export type Uncounted = { readonly fixture: Fixture; readonly ways: readonly Way[] };

/**
 * Fixtures of which the days know nothing: no use goes down them, and none that is meant for their kind ends in the same place,
 * so that one figure for all sinks of a tank is enough. What only melts and runs overboard fills nothing. In the order of ids [C].
 */
export function listUncounted(design: Design, network: Network = buildNetwork(design)): Uncounted[] {
  const { habits, fixtures } = design;
  // in the order they are lived; one in which nothing is done at all is told as that
  const ways = [...new Set(listStretches(habits).map(({ way }) => way))].filter(({ uses }) =>
    uses.some(({ times }) => times > 0),
  );
  if (ways.length === 0) return [];
  const drained = new Set([...network.drains.values()].map(({ fromFixture }) => fromFixture));
  const asked = fixtures.filter(({ id, kind }) => USES_OF[kind].length > 0 && drained.has(id));
  const stores = listStores(design);
  return asked
    .flatMap((fixture): Uncounted[] => {
      const end = findFixtureEnd(network, stores, fixture);
      if (fixture.kind === "iceboxDrain" && end.kind !== "store") return [];
      const without = ways.filter(({ uses }) => !uses.some((use) => isCountedBy(use, fixture, end, network, stores)));
      return without.length > 0 ? [{ fixture, ways: without }] : [];
    })
    .sort((a, b) => (a.fixture.id < b.fixture.id ? -1 : 1));
}

const findFixtureEnd = (network: Network, stores: readonly Store[], { id }: Fixture): UseEnd =>
  findUseEnd(network, stores, { kind: "other", fixtureId: id, vesselId: null });

function isCountedBy(use: Use, fixture: Fixture, end: UseEnd, network: Network, stores: readonly Store[]): boolean {
  const { kind, fixtureId, vesselId, times, sendsL } = use;
  if (times === 0 || sendsL === 0 || vesselId !== null || fixtureId === null) return false;
  if (fixtureId === fixture.id) return true;
  if (!USES_OF[fixture.kind].includes(kind) || fixture.kind === "iceboxDrain") return false;
  const other = findUseEnd(network, stores, use);
  return other.kind === end.kind && (other.kind !== "store" || end.kind !== "store" || other.id === end.id);
}
