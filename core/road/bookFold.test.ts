import fc from "fast-check";
import { LOG_KINDS, type LogEntry } from "../record/record";
import { type FoldOf, foldBook } from "./bookFold";
import { toDate } from "./civil";

const entries = fc.array(
  fc.record({
    day: fc.integer({ min: 20_000, max: 20_700 }),
    kind: fc.constantFrom(...LOG_KINDS),
    storeId: fc.constantFrom("grey", "fresh", null),
    amount: fc.option(fc.integer({ min: 0, max: 90 })),
    wayId: fc.constantFrom("alone", "guests", "gone"),
  }),
  { maxLength: 60 },
);
const toEntries = (drawn: readonly { readonly day: number }[]): LogEntry[] =>
  drawn.map(({ day, ...rest }, i) => ({ ...rest, id: `e${i}`, at: `${toDate(day)}T12:00`, note: "" }) as LogEntry);
const toFold = (storeId: string, priorL: number): FoldOf => ({
  storeId,
  isFresh: storeId === "fresh",
  roomL: 80,
  undrawnL: 0,
  ways: [
    { wayId: "alone", priorL, useL: 3 },
    { wayId: "guests", priorL: 2 * priorL, useL: 3 },
  ],
});
const END = "2030-01-01T00:00";

test("a book that grows line by line is read as one that is read at once, in any order and with lines changed", () => {
  fc.assert(
    fc.property(entries, fc.constantFrom("grey", "fresh"), fc.nat(), (drawn, storeId, salt) => {
      const of = toFold(storeId, 9 + (salt % 7));
      const all = toEntries(drawn);
      for (let i = 0; i <= all.length; i++) foldBook(all.slice(0, i), of, END);
      const grown = foldBook(all, of, END);
      // other figures of the design ask for another reading, from the start
      const fresh = foldBook(structuredClone(all), of, END);
      expect(grown).toMatchObject({ sums: fresh.sums, fix: fresh.fix, oddL: fresh.oddL });
      const [first, ...rest] = all;
      if (!first) return;
      const changed = [{ ...first, kind: "reading" as const, amount: 33 }, ...rest];
      const after = foldBook(changed, of, END);
      const again = foldBook(structuredClone(changed), of, END);
      expect(after).toMatchObject({ sums: again.sums, fix: again.fix, oddL: again.oddL });
    }),
    { numRuns: 100 },
  );
});

test("what lies in the future is not known yet, and comes in when its time has come", () => {
  const all = toEntries([{ day: 20_000 }, { day: 20_010 }]).map((entry, i) => ({
    ...entry,
    kind: i === 0 ? ("dump" as const) : ("reading" as const),
    storeId: "grey",
    amount: i === 0 ? null : 40,
  }));
  const of = toFold("grey", 9);
  expect(foldBook(all, of, `${toDate(20_005)}T12:00`).fix).toMatchObject({ at: all[0]!.at, litres: 0 });
  expect(foldBook(all, of, END).fix).toMatchObject({ at: all[1]!.at, litres: 40 });
});
