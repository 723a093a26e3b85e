import fc from "fast-check";
import { evaluate } from "@/core/evaluate/evaluate";
import { LOG_KINDS, type LogEntry } from "@/core/record/record";
import { addDays } from "@/core/road/civil";
import { readDemo } from "@/tests/demoRigs";
import { describeStore } from "@/words/stores";
import { readLogCsv, writeLogCsv } from "./logCsv";

const design = readDemo("kranich");
const stores = new Map(evaluate(design).balance.stores.map(({ store }) => [store.id, describeStore(store.id, design)]));

const entry: fc.Arbitrary<Omit<LogEntry, "id">> = fc.record({
  at: fc.tuple(fc.nat(2_000), fc.nat(23), fc.nat(59)).map(([day, hour, minute]) => {
    const two = (n: number) => String(n).padStart(2, "0");
    return `${addDays("2024-01-01", day)}T${two(hour)}:${two(minute)}`;
  }),
  kind: fc.constantFrom(...LOG_KINDS),
  storeId: fc.constantFrom(null, ...stores.keys()),
  amount: fc.option(fc.nat(5_000)),
  note: fc.constantFrom("", "at the mill", "=SUM(A1)", 'said "later", left', "-5 outside", "ä, ß"),
});

test("a logbook written as CSV is read back as it was; a formula does not run in between", () => {
  fc.assert(
    fc.property(fc.array(entry, { maxLength: 20 }), (entries) => {
      const text = writeLogCsv(
        design,
        entries.map((one, i) => ({ ...one, id: `e${i}` })),
      );
      expect(text).not.toMatch(/(^|,)"?=SUM/m);
      if (entries.length === 0) return;
      expect(readLogCsv(text, stores)).toEqual({ ok: true, entries, skipped: [] });
    }),
    { numRuns: 60 },
  );
});

test("other names of columns are taken; what does not fit is told by its line and nothing else is lost", () => {
  const text = `${"Date;Type\n".replace(";", ",")}2026-05-01 14:30,dumped\n2026-13-01,Filled\n2026-05-02,sang\n2026-05-03,Read\n`;
  const outcome = readLogCsv(text, stores);
  expect(outcome).toMatchObject({
    ok: true,
    entries: [
      { at: "2026-05-01T14:30", kind: "dump" },
      { at: "2026-05-03T12:00", kind: "reading" },
    ],
  });
  if (outcome.ok) expect(outcome.skipped.map((line) => line.slice(0, 6))).toEqual(["line 3", "line 4"]);
  expect(readLogCsv('at,what\n"2026-05-01,Filled', stores)).toMatchObject({ ok: false });
});

test("columns that do not say what they are are asked for, and read as they are told", () => {
  const text = "Datum,Menge,Vorgang,Wo\n2026-05-01 14:30,12,dumped,Grey tank\n";
  const asked = readLogCsv(text, stores);
  expect(asked).toMatchObject({
    ok: false,
    reason: "columns",
    names: ["Datum", "Menge", "Vorgang", "Wo"],
    guess: { at: -1, what: -1, of: -1, litres: -1, note: -1 },
  });
  const read = readLogCsv(text, stores, { at: 0, litres: 1, what: 2, of: 3, note: -1 });
  expect(read).toMatchObject({
    ok: true,
    skipped: [],
    entries: [{ at: "2026-05-01T14:30", kind: "dump", amount: 12 }],
  });
  expect(readLogCsv("only one column\n1\n", stores)).toMatchObject({ ok: false, reason: "broken" });
});

test("a line of a tank this rig has not is told and left out: it would count for none", () => {
  const text = "at,what,of,litres\n2026-05-01,Read,Grey tank,20\n2026-05-02,Read,Cellar,30\n2026-05-03,Note,,\n";
  const outcome = readLogCsv(text, stores);
  expect(outcome).toMatchObject({ ok: true, entries: [{ amount: 20 }, { kind: "note", storeId: null }] });
  if (outcome.ok) expect(outcome.skipped).toEqual(["line 3: Cellar is no tank of this rig"]);
});
