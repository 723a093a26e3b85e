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
