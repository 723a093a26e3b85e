import type { FlowStretch } from "../days/flows";
import type { Moment, PlannedStore } from "./dumpPlan";
import { livePlan } from "./livePlan";

const store = (storeId: string, roomL: number, leftL = roomL): PlannedStore => ({
  storeId,
  holds: "grey",
  roomL,
  leftL,
  isCarried: false,
  rateError: 0,
});
const flow = (storeId: string, litres: number, perDay: number, byChance: boolean, useId = storeId) => ({
  storeId,
  draws: [{ useId, litres, perDay, byChance }],
});
const lived = (...flows: FlowStretch["flows"]): FlowStretch[] => [{ wayId: "w", days: 9, groundLPerDay: 0, flows }];
const service = (day: number, ...storeIds: string[]): Moment => ({
  stopId: `s${day}`,
  when: "arrive",
  day,
  storeIds,
  cost: 0,
  detourKm: 0,
});
const live = (
  stores: readonly PlannedStore[],
  stretches: readonly FlowStretch[],
  services: readonly Moment[],
  lastDay: number,
  journeys = 5,
) => livePlan(stores, stretches, services, lastDay, { journeys, seed: 5 });

test("what comes evenly runs over when it is full, and is empty again after each service", () => {
  const [tank, flows] = [store("t", 10), lived(flow("t", 3, 1, false))];
  expect(live([tank], flows, [], 3)).toBe(1);
  expect(live([tank], flows, [], 4)).toBe(0);
  expect(live([tank], flows, [service(3, "t")], 6)).toBe(1);
  expect(live([tank], flows, [service(3, "t")], 7)).toBe(0);
  // it counts at the service too, and one for another store empties nothing
  expect(live([tank], flows, [service(4, "t")], 5)).toBe(0);
  expect(live([tank, store("other", 99)], flows, [service(3, "other")], 6)).toBe(0);
  // it begins with what is left, and after a service with all
  expect(live([store("t", 10, 4)], flows, [], 2)).toBe(0);
  expect(live([store("t", 10, 4)], flows, [service(1, "t")], 4)).toBe(1);
  expect(live([tank], [], [], 60)).toBe(1);
});

test("a use by chance does not come at all on e to the −λ t of journeys, and once at most on (1 + λ t) of that", () => {
  const journeys = 20_000;
  const flows = lived(flow("t", 1, 0.4, true));
  const close = (share: number, roomL: number, lastDay: number) => {
    const error = Math.sqrt((share * (1 - share)) / journeys);
    expect(Math.abs(live([store("t", roomL)], flows, [], lastDay, journeys) - share)).toBeLessThan(4 * error);
  };
  close(Math.exp(-0.8), 0.5, 2);
  close(1.8 * Math.exp(-0.8), 1, 2);
});

test("one use fills the waste with what it takes of the fresh water: the two run out on the same journeys", () => {
  const both = lived(flow("fresh", 1, 0.4, true, "wash"), flow("waste", 1, 0.4, true, "wash"));
  const apart = lived(flow("fresh", 1, 0.4, true, "wash"), flow("waste", 1, 0.4, true, "other"));
  const stores = [store("fresh", 0.5), store("waste", 0.5)];
  const journeys = 20_000;
  const [joint, each] = [live(stores, both, [], 2, journeys), live(stores, apart, [], 2, journeys)];
  expect(Math.abs(joint - Math.exp(-0.8))).toBeLessThan(0.015);
  expect(Math.abs(each - Math.exp(-1.6))).toBeLessThan(0.015);
  expect(live(stores, both, [], 2, journeys)).toBe(joint);
});
