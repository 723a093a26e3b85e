import type { StoreBalance } from "../days/balance";
import type { LogEntry } from "../record/record";
import { computeNow } from "./levels";

const grey = (meanLPerDay: number, useL: number, room = 1_000): StoreBalance => ({
  store: { id: "grey", holds: "grey", tankIds: ["grey"], vesselIds: [] },
  holds: "grey",
  meanLPerDay,
  varianceL2PerDay: meanLPerDay * useL,
  roomL: { level: room, here: room, worst: room },
  undrawnL: 0,
  days: { level: null, here: null, worst: null },
});

// within one season, for seasons learn apart
const at = (day: number): string =>
  `2026-${String(6 + Math.floor(day / 28)).padStart(2, "0")}-${String(1 + (day % 28)).padStart(2, "0")}T12:00`;
const entry = (day: number, kind: LogEntry["kind"], amount: number | null): LogEntry => ({
  id: `e${day}-${kind}`,
  at: at(day),
  kind,
  storeId: "grey",
  amount,
  note: "",
});

/** Numbers by chance that are the same each time. */
function chance(seed: number) {
  let s = seed;
  return () => {
    s = (s * 1_664_525 + 1_013_904_223) % 4_294_967_296;
    return (s + 0.5) / 4_294_967_296;
  };
}

// A log as it would be kept: uses of one size by chance, a reading every few days, dumped after each.
function keepLog(seed: number, ratePerDay: number, useL: number, readings: number): LogEntry[] {
  const next = chance(seed);
  const entries: LogEntry[] = [entry(0, "dump", null)];
  for (let i = 1; i <= readings; i++) {
    let uses = 0;
    // waiting times until the next use
    for (let t = -Math.log(next()) / ratePerDay; t < 1; t += -Math.log(next()) / ratePerDay) uses += 1;
    entries.push(entry(i, "reading", uses * useL), { ...entry(i, "dump", null), at: `${at(i).slice(0, 11)}12:01` });
  }
  return entries;
}

test("with a known truth the band of nine in ten covers it in 85 to 95 % of 500 logs", () => {
  const [rate, useL] = [4, 5];
  let covered = 0;
  for (let seed = 1; seed <= 500; seed++) {
    const { perDayL, perDayErrorL } = computeNow(grey(20, useL), keepLog(seed * 7_919, rate, useL, 20), at(20));
    if (Math.abs(perDayL - rate * useL) <= 1.645 * perDayErrorL) covered += 1;
  }
  expect(covered / 500).toBeGreaterThanOrEqual(0.85);
  expect(covered / 500).toBeLessThanOrEqual(0.97);
});

test("four times the readings halve the width", () => {
  const few = computeNow(grey(20, 5), keepLog(11, 4, 5, 12), at(12)).perDayErrorL;
  const many = computeNow(grey(20, 5), keepLog(11, 4, 5, 48), at(48)).perDayErrorL;
  expect(many / few).toBeGreaterThan(0.4);
  expect(many / few).toBeLessThan(0.65);
});

test("what is learned moves the forecast: who uses twice as much is full in half the time", () => {
  const twice = [0, 1, 2, 3, 4, 5].flatMap((day) => [entry(day, "reading", 40 * day)]);
  const now = computeNow(grey(20, 5, 400), twice, at(5));
  expect(now.perDayL).toBeGreaterThan(30);
  expect(now.litres).toBe(200);
  expect(now.daysLeft!).toBeLessThan(200 / 30);
});

test("a reading that contradicts all before it is questioned, an ordinary one is not", () => {
  const steady = [0, 1, 2, 3, 4].map((day) => entry(day, "reading", 20 * day));
  expect(computeNow(grey(20, 2, 400), steady, at(4)).oddL).toBeNull();
  const leak = [...steady, entry(5, "reading", 10)];
  expect(computeNow(grey(20, 2, 400), leak, at(5)).oddL).toBeLessThan(-50);
});

test("an empty book is the design's own figures; entries out of order and clocks set back make no span", () => {
  expect(computeNow(grey(20, 5), [], at(3))).toMatchObject({ perDayL: 20, litres: 0, since: null, oddL: null });
  const entries = [entry(4, "reading", 80), entry(0, "dump", null), entry(0, "reading", 5)];
  const now = computeNow(grey(20, 5), entries, at(4));
  expect(now.litres).toBe(80);
  expect(Number.isFinite(now.perDayL)).toBe(true);
});

test("seasons learn apart: a winter of twice the summer's use is told in winter, and the summer's figure comes back", () => {
  const days = (month: number, perDay: number, count: number): LogEntry[] =>
    Array.from({ length: count }, (_, i): LogEntry[] => {
      const day = `2026-${String(month).padStart(2, "0")}-${String(i + 1).padStart(2, "0")}`;
      const line = (time: string, kind: LogEntry["kind"], amount: number | null): LogEntry => ({
        id: `${day}${time}`,
        at: `${day}T${time}`,
        kind,
        storeId: "grey",
        amount,
        note: "",
      });
      return i === 0 ? [line("12:00", "dump", null)] : [line("12:00", "reading", perDay), line("12:01", "dump", null)];
    }).flat();
  const book = [...days(1, 40, 25), ...days(7, 20, 25)];
  const inWinter = computeNow(grey(25, 5), book.slice(0, 49), "2026-01-26T12:00");
  const inSummer = computeNow(grey(25, 5), book, "2026-07-26T12:00");
  expect(inWinter.perDayL).toBeGreaterThan(38);
  expect(inSummer.perDayL).toBeLessThan(24);
  // the next winter begins with what the whole book taught, not with the design's figure alone
  const nextWinter = computeNow(grey(25, 5), book, "2026-12-02T12:00");
  expect(nextWinter.perDayL).toBeGreaterThan(35);
  const spring = computeNow(grey(25, 5), book, "2026-04-02T12:00");
  expect(spring.perDayL).toBeGreaterThan(25);
});

test("a can of water filled in comes on top of what is left, not of what was there at the last full fill", () => {
  const fresh: StoreBalance = { ...grey(10, 2, 70), holds: "fresh", store: { ...grey(10, 2).store, id: "water" } };
  const line = (day: number, kind: LogEntry["kind"], amount: number | null) => ({
    ...entry(day, kind, amount),
    storeId: "water",
  });
  // 70 L, four days at 10 L, 20 L filled in: 50 L, and never a full tank
  const now = computeNow(fresh, [line(0, "fill", null), line(4, "fill", 20)], at(4));
  expect(now.litres).toBeCloseTo(50, 9);
  // how much is left was only reckoned, and the band says so
  expect(now.highL - now.lowL).toBeGreaterThan(5);
  expect(computeNow(fresh, [line(0, "fill", null), line(1, "fill", 60)], at(1)).litres).toBe(70);
});

test("ways of living learn apart: what guests used is not what one uses alone, and nothing is learned across the change", () => {
  const ways = [
    { wayId: "alone", priorL: 10, useL: 2 },
    { wayId: "guests", priorL: 30, useL: 2 },
  ];
  const living = (day: number, wayId: string): LogEntry => ({ ...entry(day, "living", null), storeId: null, wayId });
  const alone = Array.from({ length: 8 }, (_, day) => entry(day, "reading", 8 * day));
  const guests = Array.from({ length: 8 }, (_, i) => entry(8 + i, "reading", 56 + 40 * (i + 1)));
  const book = [...alone, living(7, "guests"), ...guests];
  const of = grey(10, 2, 2_000);
  const now = computeNow(of, book, at(15), ways);
  expect(now).toMatchObject({ wayId: "guests", designPerDayL: 30 });
  expect(now.perDayL).toBeGreaterThan(36);
  expect(now.perDayL).toBeLessThan(41);
  const back = computeNow(of, [...book, living(15, "alone")], at(16), ways);
  expect(back.perDayL).toBeGreaterThan(7.9);
  expect(back.perDayL).toBeLessThan(8.6);
  expect(back.litres).toBeCloseTo(56 + 40 * 8 + back.perDayL, 6);
  // a way the stay does not have is not lived
  expect(computeNow(of, [...alone, living(7, "gone")], at(8), ways).wayId).toBe("alone");
});

test("a tank nobody emptied for a month is full, not somewhere between empty and full; a band never leaves its tank", () => {
  const tank = grey(20, 5, 60);
  const now = computeNow(tank, [entry(0, "dump", null)], at(30));
  expect(now).toMatchObject({ litres: 60, lowL: 60, highL: 60, daysLeft: 0 });
  for (let day = 0; day < 40; day++) {
    const { litres, lowL, highL } = computeNow(tank, [entry(0, "dump", null), entry(1, "reading", 26)], at(day));
    expect(0 <= lowL && lowL <= litres && litres <= highL && highL <= 60).toBe(true);
  }
});

test("sooner than the early days it comes in about one of ten, with a known truth lived on from 600 books", () => {
  const [rate, useL, room] = [4, 5, 60];
  let sooner = 0;
  for (let seed = 1; seed <= 600; seed++) {
    const now = computeNow(grey(20, useL, room), keepLog(seed * 7_919, rate, useL, 20), at(21));
    expect(now.earlyDays!).toBeLessThan(now.daysLeft!);
    // uses go on by chance from the true level, a day after the last dump
    const next = chance(seed * 104_729 + 7);
    const wait = () => -Math.log(next()) / rate;
    let litres = 0;
    let t = wait();
    for (; t < 1; t += wait()) litres += useL;
    // where it is full already nobody asks when it will be
    if (litres >= room) continue;
    for (; litres + useL < room; t += wait()) litres += useL;
    if (t - 1 < now.earlyDays!) sooner += 1;
  }
  expect(sooner / 600).toBeGreaterThan(0.03);
  expect(sooner / 600).toBeLessThan(0.15);
});

test("a gauge reads the fresh water that cannot be drawn along: it is taken off", () => {
  const fresh: StoreBalance = {
    ...grey(10, 2, 60),
    store: { id: "fresh", holds: "fresh", tankIds: ["fresh"], vesselIds: [] },
    holds: "fresh",
    undrawnL: 12,
  };
  const read = (litres: number) => computeNow(fresh, [{ ...entry(0, "reading", litres), storeId: "fresh" }], at(0));
  expect(read(42)).toMatchObject({ litres: 30, daysLeft: 3, reading: { litres: 42 } });
  expect(read(10)).toMatchObject({ litres: 0, daysLeft: 0 });
  // one that is filled up has all that can be drawn
  expect(computeNow(fresh, [{ ...entry(0, "fill", null), storeId: "fresh" }], at(0)).litres).toBe(60);
});
