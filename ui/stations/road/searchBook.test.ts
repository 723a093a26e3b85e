import fc from "fast-check";
import type { LogEntry } from "@/core/record/record";
import { inTime } from "./searchBook";

const entry = (day: number, i: number): LogEntry => ({
  id: `e${i}`,
  at: `2026-05-${String(day).padStart(2, "0")}T10:00`,
  kind: "note",
  storeId: null,
  amount: null,
  note: "",
});

test("the book is in the order things happened, however it grew, was put right or was thinned", () => {
  const steps = fc.array(
    fc.record({ how: fc.constantFrom("add", "change", "remove"), day: fc.integer({ min: 1, max: 28 }), at: fc.nat() }),
    { maxLength: 40 },
  );
  fc.assert(
    fc.property(steps, (drawn) => {
      let log: readonly LogEntry[] = [];
      for (const [i, { how, day, at }] of drawn.entries()) {
        const place = log.length === 0 ? 0 : at % log.length;
        if (how === "add") log = [...log, entry(day, i)];
        else if (how === "change") log = log.map((one, k) => (k === place ? { ...one, at: entry(day, i).at } : one));
        else log = log.filter((_, k) => k !== place);
        const days = inTime(log).map((one) => one.at);
        expect(days).toEqual(log.map((one) => one.at).sort());
        expect(inTime(log)).toHaveLength(log.length);
      }
    }),
  );
});
