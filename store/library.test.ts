import "fake-indexeddb/auto";
import { readDemo } from "@/tests/demoRigs";
import { type Database, openDatabase } from "./database";
import {
  emptyBin,
  findFault,
  listDesigns,
  openDesign,
  removeDesign,
  renameDesign,
  restoreDesign,
  saveDesign,
} from "./library";

let db: Database;
let count = 0;

beforeEach(async () => {
  count += 1;
  db = await openDatabase(() => undefined, `library-${count}`);
});
afterEach(() => db.close());

test("what is saved is what is opened, and every save counts up", async () => {
  const design = readDemo("otter");
  expect(await saveDesign(db, design, { over: null, by: "tab", now: 1 })).toEqual({
    ok: true,
    revision: 1,
    wasGone: false,
  });
  expect(await saveDesign(db, design, { over: 1, by: "tab", now: 2 })).toEqual({
    ok: true,
    revision: 2,
    wasGone: false,
  });
  expect(await openDesign(db, "otter")).toEqual({ ok: true, design, revision: 2 });
});

test("a save over an older revision is a conflict and leaves the store as it was", async () => {
  const design = readDemo("otter");
  await saveDesign(db, design, { over: null, by: "tab", now: 1 });
  await saveDesign(db, { ...design, note: "second" }, { over: 1, by: "tab", now: 2 });
  expect(await saveDesign(db, { ...design, note: "late" }, { over: 1, by: "other", now: 3 })).toEqual({
    ok: false,
    reason: "conflict",
  });
  const outcome = await openDesign(db, "otter");
  expect(outcome.ok && outcome.design.note).toBe("second");
});

test("the last saved stands first; what is taken out can be put back as it was", async () => {
  await saveDesign(db, readDemo("kranich"), { over: null, by: "tab", now: 10 });
  await saveDesign(db, readDemo("otter"), { over: null, by: "tab", now: 30 });
  await saveDesign(db, readDemo("lesesaal"), { over: null, by: "tab", now: 20 });
  expect((await listDesigns(db)).entries.map((entry) => entry.id)).toEqual(["otter", "lesesaal", "kranich"]);
  expect(await removeDesign(db, "lesesaal", 40)).toBe("Lesesaal");
  expect(await openDesign(db, "lesesaal")).toEqual({ ok: false, reason: "gone" });
  expect((await listDesigns(db)).bin).toEqual([{ id: "lesesaal", name: "Lesesaal", deletedAt: 40 }]);
  expect(await restoreDesign(db, "lesesaal")).toBe(true);
  expect((await listDesigns(db)).entries.map((entry) => entry.id)).toEqual(["otter", "lesesaal", "kranich"]);
  expect(await removeDesign(db, "never", 1)).toBeNull();
});

test("a store that fails says so and never throws", async () => {
  db.close();
  expect(await saveDesign(db, readDemo("kranich"), { over: null, by: "tab", now: 1 })).toEqual({
    ok: false,
    reason: "failed",
  });
});

const DAY_MS = 86_400_000;

test("the bin keeps its days and no longer; undoing a deletion does not touch what was saved meanwhile", async () => {
  const design = readDemo("otter");
  await saveDesign(db, design, { over: null, by: "tab", now: 0 });
  await removeDesign(db, "otter", 0);
  expect(await saveDesign(db, design, { over: 1, by: "other", now: 1 })).toEqual({ ok: false, reason: "deleted" });
  await emptyBin(db, 29 * DAY_MS);
  expect((await listDesigns(db)).bin).toHaveLength(1);
  // saved anew under its id: no longer in the bin
  await saveDesign(db, { ...design, note: "newer" }, { over: null, by: "other", now: 2 });
  await restoreDesign(db, "otter");
  const outcome = await openDesign(db, "otter");
  expect(outcome.ok && outcome.design.note).toBe("newer");
  await removeDesign(db, "otter", 0);
  await emptyBin(db, 31 * DAY_MS);
  expect(await listDesigns(db)).toEqual({ entries: [], bin: [] });
});

test("records without a date, with an odd name, or of a newer page are listed as what they are", async () => {
  await saveDesign(db, readDemo("kranich"), { over: null, by: "tab", now: 10 });
  const odd = [
    { id: "undated", name: "Undated", document: readDemo("otter") },
    { id: "nameless", name: { toString: 1 }, savedAt: "yesterday", revision: null, document: readDemo("otter") },
    { id: "newer", name: "Newer", savedAt: 5, revision: 1, document: { format: "schleuse-design", version: 99 } },
    { id: "empty" },
  ];
  for (const record of odd) await db.put("designs", record as never);
  const { entries } = await listDesigns(db);
  const faults = await Promise.all(entries.map(({ id }) => findFault(db, id)));
  expect(entries.map(({ id, name }, i) => [id, name, faults[i]?.code])).toEqual([
    ["kranich", "Kranich", undefined],
    ["newer", "Newer", "newerVersion"],
    ["empty", "empty", "notOurs"],
    ["nameless", "nameless", undefined],
    ["undated", "Undated", undefined],
  ]);
});

test("a design is renamed where it lies; one that is gone is not made anew", async () => {
  await saveDesign(db, readDemo("otter"), { over: null, by: "tab", now: 1 });
  await renameDesign(db, "otter", "Fischotter", { over: null, by: "tab", now: 2 });
  expect((await listDesigns(db)).entries.map(({ name }) => name)).toEqual(["Fischotter"]);
  expect(await renameDesign(db, "gone", "Name", { over: null, by: "tab", now: 3 })).toBeNull();
});
