import { readDemo } from "@/tests/demoRigs";
import { evaluate } from "../evaluate/evaluate";
import { computeLoopRhythm } from "../gear/loopRhythm";
import type { Stop } from "../record/journey";
import type { LogEntry } from "../record/record";
import { addDays } from "./civil";
import { planJourney } from "./planJourney";

const FROM = "2026-05-01";
const stop = (i: number, over: Partial<Stop> = {}): Stop => ({
  id: `s${i}`,
  name: `Stop ${i}`,
  latDeg: null,
  lonDeg: null,
  arrive: addDays(FROM, 2 * i),
  nights: 2,
  has: { grey: true, toilet: true, fresh: true },
  isClosed: false,
  cost: 0,
  stands: null,
  note: "",
  ...over,
});
const plan = (name: "kranich" | "kranich-loop", stops: readonly Stop[], log: readonly LogEntry[] = []) => {
  const design = readDemo(name);
  return planJourney(design, evaluate(design).balance, log, { stops, from: FROM, certainty: 0.8 });
};

test("a pitch that leans takes room and is said; a level one, or one nobody knows, changes nothing", () => {
  const stops = [0, 1, 2].map((i) => stop(i));
  const plain = plan("kranich", stops);
  expect(plain.leaning).toEqual([]);
  const level = plan("kranich", [stops[0]!, { ...stops[1]!, stands: { pitchDeg: 0, rollDeg: 0 } }, stops[2]!]);
  expect(level).toEqual(plain);
  const stands = { pitchDeg: 4, rollDeg: -3 };
  const leaning = plan("kranich", [stops[0]!, { ...stops[1]!, stands }, stops[2]!]);
  const room = (attitude?: typeof stands) =>
    evaluate(readDemo("kranich"), attitude).balance.stores.find(({ holds }) => holds === "grey")!.roomL.here;
  expect(room(stands)).toBeLessThan(room());
  expect(leaning.leaning).toEqual([{ storeId: "grey", roomL: room(stands) }]);
  expect(leaning.holdsWith).toBeLessThanOrEqual(plain.holdsWith + 1e-12);
});

test("on a pitch that leans it is planned as a rig with so much less room is", () => {
  const design = readDemo("kranich");
  const { balance } = evaluate(design);
  const stands = { pitchDeg: 4, rollDeg: -3 };
  const roomL = evaluate(design, stands).balance.stores.find(({ holds }) => holds === "grey")!.roomL.here;
  const small = {
    ...balance,
    stores: balance.stores.map((one) =>
      one.store.id === "grey" ? { ...one, roomL: { ...one.roomL, here: roomL } } : one,
    ),
  };
  const stops = [0, 1, 2, 3].map((i) => stop(i));
  const options = { from: FROM, certainty: 0.8 };
  const level = planJourney(design, small, [], { ...options, stops });
  const leaning = planJourney(design, balance, [], {
    ...options,
    stops: stops.map((one, i) => (i === 1 ? { ...one, stands } : one)),
  });
  expect({ ...leaning, leaning: [] }).toEqual({ ...level, leaning: [] });
  expect(planJourney(design, balance, [], { ...options, stops }).holdsWith).toBeGreaterThan(leaning.holdsWith);
});

test("the loop's water is changed in time wherever there is a dump with fresh water, from the last change in the book on", () => {
  const every = computeLoopRhythm(readDemo("kranich-loop"))!.everyDays!;
  const stops = Array.from({ length: 12 }, (_, i) => stop(i));
  const days = (log: readonly LogEntry[]) => plan("kranich-loop", stops, log).loopChanges;
  const fresh = days([]);
  expect(fresh.length).toBeGreaterThan(1);
  fresh.forEach(({ day, isLate, stopId }, i) => {
    const before = fresh[i - 1]?.day ?? 0;
    expect(stopId).not.toBeNull();
    // two days between places: in time, unless the water does not last from one to the next
    if (every >= 2) expect([isLate, day - before <= every]).toEqual([false, true]);
    expect(day).toBeGreaterThan(before);
  });
  // changed the day before it sets out: everything comes sooner or at the same time
  const changed: LogEntry = {
    id: "c",
    at: "2026-04-30T09:00",
    kind: "loopChange",
    storeId: null,
    amount: null,
    note: "",
  };
  expect(days([changed])[0]!.day).toBeLessThanOrEqual(fresh[0]!.day);
});

test("with no place for it, or only one that comes too late, the loop's water is told of and not left out", () => {
  const dry = Array.from({ length: 10 }, (_, i) => stop(i, { has: { grey: true, toilet: true, fresh: false } }));
  expect(plan("kranich-loop", dry).loopChanges).toMatchObject([{ stopId: null, isLate: true }]);
  const late = dry.map((one, i) => (i === 9 ? { ...one, has: { grey: true, toilet: false, fresh: true } } : one));
  expect(plan("kranich-loop", late).loopChanges).toMatchObject([{ stopId: "s9", isLate: true }]);
  expect(plan("kranich", dry).loopChanges).toEqual([]);
});

test("a tank under the floor is not dumped where only a toilet is emptied; a canister is", () => {
  const toilet = { has: { grey: false, toilet: true, fresh: true } };
  const stops = [0, 1, 2, 3].map((i) => stop(i, toilet));
  const design = readDemo("kranich");
  const under = planJourney(design, evaluate(design).balance, [], { stops, from: FROM, certainty: 0.8 });
  expect(under.services.flatMap(({ storeIds }) => storeIds)).not.toContain("grey");
  expect(under).toMatchObject({ holds: false, breaks: { storeId: "grey" } });
  const { stores, ...rest } = evaluate(design).balance;
  const carried = {
    ...rest,
    stores: stores.map((one) =>
      one.store.id === "grey" ? { ...one, store: { ...one.store, tankIds: [], vesselIds: ["can"] } } : one,
    ),
  };
  const can = planJourney(design, carried, [], { stops, from: FROM, certainty: 0.8 });
  expect(can.services.flatMap(({ storeIds }) => storeIds)).toContain("grey");
});

test("what the book has of a tank the design gives nothing to is planned with", () => {
  const design = readDemo("kranich");
  const { stretches, ...rest } = evaluate(design).balance;
  // the design knows of no water into the grey tank
  const without = {
    stores: rest.stores.map((one) => (one.store.id === "grey" ? { ...one, meanLPerDay: 0, varianceL2PerDay: 0 } : one)),
    endsBy: rest.endsBy,
    groundLPerDay: 0,
    stretches: stretches.map((one) => ({
      ...one,
      flows: one.flows.map((flow) => (flow.storeId === "grey" ? { ...flow, draws: [] } : flow)),
    })),
  };
  const log = Array.from({ length: 6 }, (_, i): LogEntry[] => [
    { id: `d${i}`, at: `2026-04-${10 + 2 * i}T08:00`, kind: "dump", storeId: "grey", amount: null, note: "" },
    { id: `r${i}`, at: `2026-04-${11 + 2 * i}T08:00`, kind: "reading", storeId: "grey", amount: 20, note: "" },
  ]).flat();
  const plan = planJourney(design, without, log, { stops: [0, 1, 2].map((i) => stop(i)), from: FROM, certainty: 0.8 });
  expect(plan.services.flatMap(({ storeIds }) => storeIds)).toContain("grey");
  expect(plan.hasBook).toBe(true);
});
