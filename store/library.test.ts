import "fake-indexeddb/auto";
import { readDemo } from "@/tests/demoRigs";
import { type Database, openDatabase } from "./database";
import { listDesigns, openDesign, removeDesign, restoreDesign, saveDesign } from "./library";

let db: Database;
let count = 0;

beforeEach(async () => {
  count += 1;
  db = await openDatabase(() => undefined, `library-${count}`);
});
afterEach(() => db.close());

test("what is saved is what is opened, and every save counts up", async () => {
  const design = readDemo("otter");
  expect(await saveDesign(db, design, null, 1)).toEqual({ ok: true, revision: 1 });
  expect(await saveDesign(db, design, 1, 2)).toEqual({ ok: true, revision: 2 });
  expect(await openDesign(db, "otter")).toEqual({ ok: true, design, revision: 2 });
});

test("a save over an older revision is a conflict and leaves the store as it was", async () => {
  const design = readDemo("otter");
  await saveDesign(db, design, null, 1);
  await saveDesign(db, { ...design, note: "second" }, 1, 2);
  expect(await saveDesign(db, { ...design, note: "late" }, 1, 3)).toEqual({ ok: false, reason: "conflict" });
  const outcome = await openDesign(db, "otter");
  expect(outcome.ok && outcome.design.note).toBe("second");
});

test("the last saved stands first; what is taken out can be put back as it was", async () => {
  await saveDesign(db, readDemo("kranich"), null, 10);
  await saveDesign(db, readDemo("otter"), null, 30);
  await saveDesign(db, readDemo("lesesaal"), null, 20);
  expect((await listDesigns(db)).map((entry) => entry.id)).toEqual(["otter", "lesesaal", "kranich"]);
  const record = await removeDesign(db, "lesesaal");
  expect(await openDesign(db, "lesesaal")).toEqual({ ok: false, reason: "gone" });
  await restoreDesign(db, record!);
  expect((await listDesigns(db)).map((entry) => entry.id)).toEqual(["otter", "lesesaal", "kranich"]);
  expect(await removeDesign(db, "never")).toBeNull();
});

test("a store that fails says so and never throws", async () => {
  db.close();
  expect(await saveDesign(db, readDemo("kranich"), null, 1)).toEqual({ ok: false, reason: "failed" });
});
