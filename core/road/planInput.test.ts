import { readDemo } from "@/tests/demoRigs";
import { computeBalance } from "../days/balance";
import type { Design } from "../design/design";
import { evaluate } from "../evaluate/evaluate";
import { buildNetwork } from "../falls/network";
import type { LogEntry } from "../record/record";
import { planDumps } from "./dumpPlan";
import { buildPlanInput } from "./planInput";

const FROM = "2026-05-20";
const options = { stops: [], from: FROM, certainty: 0.9 };
const design = readDemo("kranich");
const { balance, tanks } = evaluate(design);
const line = (day: number, over: Partial<LogEntry>): LogEntry => ({
  id: `${day} ${over.kind}`,
  at: `2026-05-${String(day).padStart(2, "0")}T12:00`,
  kind: "reading",
  storeId: "grey",
  amount: null,
  note: "",
  ...over,
});

test("without a book a plan goes by the design's own uses, from empty tanks and full fresh water", () => {
  const input = buildPlanInput(balance, [], options);
  expect(input.stretches).toEqual(balance.stretches);
  expect(input.stores).toEqual(
    balance.stores
      .filter(({ meanLPerDay }) => meanLPerDay > 0)
      .map(({ store, holds, roomL }) => ({
        storeId: store.id,
        holds,
        roomL: roomL.here,
        leftL: roomL.here,
        isCarried: store.tankIds.length === 0,
        rateError: 0,
      })),
  );
});

test("a book that has more come into a tank than the design lets each use of it happen oftener, by one factor", () => {
  const grey = balance.stores.find(({ store }) => store.id === "grey")!;
  const log = Array.from({ length: 8 }, (_, i) => [
    line(1 + 2 * i, { kind: "dump" }),
    line(2 + 2 * i, { amount: grey.meanLPerDay * 2 }),
  ]).flat();
  const input = buildPlanInput(balance, log, options);
  const draws = (stretches: typeof balance.stretches) =>
    stretches[0]!.flows.find(({ storeId }) => storeId === "grey")!.draws;
  const factors = draws(input.stretches).map(({ perDay }, i) => perDay / draws(balance.stretches)[i]!.perDay);
  for (const factor of factors) expect(factor).toBeCloseTo(factors[0]!, 9);
  expect(factors[0]).toBeGreaterThan(1.5);
  expect(factors[0]).toBeLessThanOrEqual(2 + 1e-9);
  expect(draws(input.stretches).map(({ litres }) => litres)).toEqual(
    draws(balance.stretches).map(({ litres }) => litres),
  );
  // the fresh water was not read: it goes by the design
  const fresh = input.stretches[0]!.flows.find(({ storeId }) => storeId !== "grey" && storeId.startsWith("fresh"));
  expect(fresh).toEqual(balance.stretches[0]!.flows.find(({ storeId }) => storeId === fresh?.storeId));
});

test("what few days taught is less sure than what many did: the same litres a day, and the plan holds less surely", () => {
  const grey = balance.stores.find(({ store }) => store.id === "grey")!;
  const book = (spans: number) =>
    Array.from({ length: spans }, (_, i) => [
      line(1 + 2 * i, { kind: "dump" }),
      line(2 + 2 * i, { amount: grey.meanLPerDay }),
    ]).flat();
  const sure = (spans: number) => {
    const { stores, stretches } = buildPlanInput(balance, book(spans), options);
    // from the same tank, so that only the error tells them apart
    const begun = stores.map((store) => ({ ...store, leftL: store.roomL }));
    const arrive = "2026-05-22";
    const stop = {
      id: "end",
      name: "End",
      latDeg: null,
      lonDeg: null,
      arrive,
      nights: 0,
      cost: 0,
      stands: null,
      note: "",
    };
    const stops = [{ ...stop, has: { grey: false, toilet: false, fresh: false }, isClosed: false }];
    return { stores: begun, plan: planDumps({ stores: begun, stretches, stops, from: FROM, certainty: 0.9 }) };
  };
  const [none, few, many] = [sure(0), sure(1), sure(9)];
  const errors = [few, many].map(({ stores }) => stores.find(({ storeId }) => storeId === "grey")!.rateError);
  expect(none.stores.every(({ rateError }) => rateError === 0)).toBe(true);
  expect(errors[0]).toBeGreaterThan(errors[1]!);
  expect(errors[1]).toBeGreaterThan(0);
  expect(few.plan.holdsWith).toBeLessThan(many.plan.holdsWith);
  expect(many.plan.holdsWith).toBeLessThan(none.plan.holdsWith);
});

test("the way the book says is lived comes first, and the others after it", () => {
  const [way] = design.habits.ways;
  const guests = { ...way!, id: "guests", name: "Guests" };
  const two: Design = {
    ...design,
    habits: {
      ...design.habits,
      ways: [...design.habits.ways, guests],
      stretches: [...design.habits.stretches, { wayId: "guests", days: 5 }],
    },
  };
  const own = computeBalance(two, buildNetwork(two), tanks);
  const ids = (log: readonly LogEntry[]) => buildPlanInput(own, log, options).stretches.map(({ wayId }) => wayId);
  const first = design.habits.stretches[0]!.wayId;
  expect(ids([])).toEqual([first, "guests"]);
  expect(ids([line(3, { kind: "living", storeId: null, wayId: "guests" })])).toEqual(["guests", first]);
});

test("days after the last line of the book a plan begins with less than the sum leaves, and just dumped with all", () => {
  const grey = balance.stores.find(({ store }) => store.id === "grey")!;
  const leftOn = (day: number) =>
    buildPlanInput(balance, [line(10, { kind: "dump" })], {
      ...options,
      from: `2026-05-${day}`,
      at: `2026-05-${day}T12:00`,
    }).stores.find(({ storeId }) => storeId === "grey")!.leftL;
  expect(leftOn(10)).toBeCloseTo(grey.roomL.here, 6);
  expect(leftOn(12)).toBeLessThan(grey.roomL.here - 2 * grey.meanLPerDay - 0.5);
});
