import type { Design } from "../design/design";
import type { Use, Way } from "../design/habits";
import type { Fixture } from "../design/plumbing";
import { buildNetwork, type Network } from "../falls/network";
import { USES_OF } from "./fixtureUses";
import { listStretches } from "./rates";
import { findUseEnd, listStores, type UseEnd } from "./stores";

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
  const asked = fixtures.filter(({ id, kind }) => USES_OF[kind].length > 0 && ways.some((way) => !isNamed(way, id)));
  // most rigs name every fixture: where what runs down them ends is asked for none of them
  if (asked.length === 0) return [];
  const drained = new Set([...network.drains.values()].map(({ fromFixture }) => fromFixture));
  const stores = listStores(design);
  const ends = new Map<string, UseEnd>();
  const endOf = (id: string): UseEnd => {
    const end = ends.get(id) ?? findUseEnd(network, stores, { kind: "other", fixtureId: id, vesselId: null });
    ends.set(id, end);
    return end;
  };
  return asked
    .flatMap((fixture): Uncounted[] => {
      if (!drained.has(fixture.id)) return [];
      if (fixture.kind === "iceboxDrain" && endOf(fixture.id).kind !== "store") return [];
      const without = ways.filter((way) => !isNamed(way, fixture.id) && !isMeant(way, fixture, endOf));
      return without.length > 0 ? [{ fixture, ways: without }] : [];
    })
    .sort((one, other) => (one.fixture.id < other.fixture.id ? -1 : 1));
}

const runsDown = ({ times, sendsL, vesselId }: Use): boolean => times > 0 && sendsL > 0 && vesselId === null;

/** A use is said to go down it. */
const isNamed = ({ uses }: Way, id: string): boolean => uses.some((use) => use.fixtureId === id && runsDown(use));

// A use that is meant for its kind ends where it does.
function isMeant({ uses }: Way, { id, kind }: Fixture, endOf: (id: string) => UseEnd): boolean {
  if (kind === "iceboxDrain") return false;
  return uses.some((use) => {
    if (use.fixtureId === null || !runsDown(use) || !USES_OF[kind].includes(use.kind)) return false;
    const [end, other] = [endOf(id), endOf(use.fixtureId)];
    return other.kind === end.kind && (other.kind !== "store" || end.kind !== "store" || other.id === end.id);
  });
}
