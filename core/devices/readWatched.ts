import { SCENARIOS, type Scenario, type WatchedStore } from "./device";

export type Asked = { readonly scenario: Scenario; readonly stores: readonly WatchedStore[]; readonly seed: number };

const MOST_STORES = 20;
/** A store in an address: litres, litres a degree of tilt, and the steps of its sender. */
const STORE = "id:room:start:perDay:pitchPerDeg:rollPerDeg:steps";

/** What an address asks, by name. */
type Query = { readonly get: (name: string) => string | null; readonly getAll: (name: string) => string[] };

/** Reads what a stream is asked for, as `scenario=week&seed=1&store=grey:54:10:18.7:0.4:-1.2:4`; or a sentence why not. */
export function readWatched(query: Query): Asked | string {
  const scenario = SCENARIOS.find((one) => one === query.get("scenario"));
  if (!scenario) return `scenario takes one of: ${SCENARIOS.join(", ")}.`;
  const seed = Number(query.get("seed") ?? "1");
  if (!Number.isInteger(seed) || seed < 0 || seed > 4_294_967_295) return "seed takes a whole number.";
  const given = query.getAll("store");
  if (given.length === 0 || given.length > MOST_STORES) return `store takes 1 to ${MOST_STORES} stores, as ${STORE}.`;
  const stores = given.map((text): WatchedStore | null => {
    const [id = "", ...figures] = text.split(":");
    const [roomL, startL, perDayL, pitchLPerDeg, rollLPerDeg, steps] = figures.map(Number);
    const isGood =
      /^[a-z0-9][a-z0-9-]{0,39}$/.test(id) &&
      figures.length === 6 &&
      figures.every((figure) => figure.trim() !== "" && Math.abs(Number(figure)) <= 5_000) &&
      roomL! > 0 &&
      startL! >= 0 &&
      Number.isInteger(steps) &&
      steps! >= 1;
    return isGood
      ? {
          id,
          roomL: roomL!,
          startL: startL!,
          perDayL: perDayL!,
          pitchLPerDeg: pitchLPerDeg!,
          rollLPerDeg: rollLPerDeg!,
          steps: steps!,
        }
      : null;
  });
  const good = stores.filter((store) => store !== null);
  return good.length === stores.length ? { scenario, stores: good, seed } : `A store is ${STORE}, in litres.`;
}
