import { NO_RECORDS } from "@/core/record/file";
import "fake-indexeddb/auto";
import { listPhotoIds } from "@/core/record/photos";
import type { LogEntry } from "@/core/record/record";
import { openDatabase } from "./database";
import { destroyDesign } from "./library";
import { createRecords } from "./records";

const entry = (id: string): LogEntry => ({
  id,
  at: "2026-05-01T12:00",
  kind: "dump",
  storeId: "grey",
  amount: null,
  note: "",
});
const fresh = (name: string) => () => openDatabase(() => undefined, name);

test("what is done and written is there again, design by design, and never in the design", async () => {
  const one = createRecords(fresh("again"));
  await one.open("kranich");
  await one.tickStep("hangTank:grey", "2026-05-01");
  await one.setPart("bend 45°", "ordered");
  await one.addEntry(entry("a"));
  await one.open("otter");
  expect(one.store.getState()).toMatchObject({ log: [], build: { done: [], parts: {} } });
  const later = createRecords(fresh("again"));
  await later.open("kranich");
  expect(later.store.getState()).toMatchObject({
    phase: "ready",
    build: { done: [{ stepId: "hangTank:grey", on: "2026-05-01" }], parts: { "bend 45°": "ordered" } },
    log: [entry("a")],
  });
  await later.tickStep("hangTank:grey", null);
  await later.removeEntry("a");
  await one.open("otter");
  const last = createRecords(fresh("again"));
  await last.open("kranich");
  expect(last.store.getState()).toMatchObject({ build: { done: [] }, log: [] });
});

test("a step done over keeps its hours and photographs, and says anew what it was drawn like", async () => {
  const one = createRecords(fresh("over"));
  await one.open("kranich");
  await one.tickStep("hangTank:grey", "2026-05-01", { name: "Hang" });
  await one.setHours("hangTank:grey", 4.5);
  await one.setStepPhotos("hangTank:grey", ["p1", "p2"]);
  const drawn = { placesMm: [], sizesMm: [], word: "w" };
  await one.tickStep("hangTank:grey", "2026-05-09", { name: "Hang", drawn });
  const later = createRecords(fresh("over"));
  await later.open("kranich");
  const { build } = later.store.getState();
  expect(build.done).toEqual([
    { stepId: "hangTank:grey", on: "2026-05-09", name: "Hang", hours: 4.5, photos: ["p1", "p2"], drawn },
  ]);
  // what a file carries along
  expect(listPhotoIds(build, [])).toEqual(["p2", "p1"]);
  await later.setStepPhotos("hangTank:grey", []);
  expect(later.store.getState().build.done[0]).not.toHaveProperty("photos");
});

test("hours, prices, the order of work and what the phone ticked are kept, and none takes another along", async () => {
  const one = createRecords(fresh("order"));
  await one.open("kranich");
  await one.tickStep("hangTank:grey", "2026-05-01");
  await one.setHours("hangTank:grey", 4.5);
  await one.setPrice("bend 45°", { price: 3.5, shop: "Yard" });
  await one.setOrder(["b", "a"]);
  await one.addTicks({ on: "2026-05-02", stepIds: ["hangTank:grey", "layVent:vent"] });
  await one.setGoods({ "bend 45°": "came" }, { clip: { price: null, shop: "Quay" } });
  const later = createRecords(fresh("order"));
  await later.open("kranich");
  const { build } = later.store.getState();
  expect(build).toMatchObject({
    done: [
      { stepId: "hangTank:grey", on: "2026-05-01", hours: 4.5 },
      { stepId: "layVent:vent", on: "2026-05-02" },
    ],
    order: ["b", "a"],
    parts: { "bend 45°": "came" },
    prices: { "bend 45°": { price: 3.5, shop: "Yard" }, clip: { price: null, shop: "Quay" } },
  });
  await later.setHours("hangTank:grey", null);
  expect(later.store.getState().build.done[0]).toEqual({ stepId: "hangTank:grey", on: "2026-05-01" });
});

test("a line that cannot be read does not take the others along", async () => {
  const db = await openDatabase(() => undefined, "spoilt");
  await db.put("log", { key: "kranich/x", designId: "kranich", entry: { id: "x", at: "yesterday" } });
  await db.put("log", { key: "kranich/y", designId: "kranich", entry: entry("y") });
  const one = createRecords(fresh("spoilt"));
  await one.open("kranich");
  expect(one.store.getState().log).toEqual([entry("y")]);
});

test("what is kept beside a design goes with it when it is taken out of the bin, and not before", async () => {
  const open = fresh("gone");
  const one = createRecords(open);
  await one.open("kranich");
  await one.addEntry(entry("a"));
  await one.tickStep("hangTank:grey", "2026-05-01");
  await one.open("otter");
  await one.addEntry(entry("b"));
  const db = await open();
  const record = { id: "kranich", name: "Kranich", savedAt: 1, revision: 1, document: {} };
  await db.put("designs", record);
  await destroyDesign(db, "kranich");
  expect((await one.read("kranich")).log).toHaveLength(1);
  await db.put("designs", { ...record, deletedAt: 1 });
  await destroyDesign(db, "kranich");
  expect(await one.read("kranich")).toEqual(NO_RECORDS);
  expect((await one.read("otter")).log).toHaveLength(1);
});

test("a store that cannot be opened is said, not thrown", async () => {
  const one = createRecords(() => Promise.reject(new Error("away")));
  await one.open("kranich");
  expect(one.store.getState().phase).toBe("failed");
});

const memorySlip = (text: string | null = null) => ({
  read: () => text,
  write: (next: string) => {
    text = next;
  },
  clear: () => {
    text = null;
  },
});

test("what a page had no time to keep is left on a slip and there again; once kept, nothing is left", async () => {
  const slip = memorySlip();
  // a page whose writes never come to an end
  const never = createRecords(async () => {
    const db = await fresh("slip")();
    const stuck = () => new Promise<never>(() => undefined);
    return new Proxy(db, {
      get: (target, key) => {
        if (key === "put" || key === "delete") return stuck;
        const value = Reflect.get(target, key);
        return typeof value === "function" ? value.bind(target) : value;
      },
    });
  }, slip);
  await never.open("kranich");
  void never.tickStep("hangTank:grey", "2026-05-01");
  void never.addEntry(entry("a"));
  void never.addEntry(entry("b"));
  void never.removeEntry("b");
  await new Promise((done) => setTimeout(done));
  never.leave();
  const later = createRecords(fresh("slip"), slip);
  await later.open("kranich");
  expect(later.store.getState()).toMatchObject({ build: { done: [{ stepId: "hangTank:grey" }] }, log: [entry("a")] });
  expect(slip.read()).toBeNull();
  await later.tickStep("layVent:vent", "2026-05-02");
  later.leave();
  expect(slip.read()).toBeNull();
});

test("a slip that is no slip is passed over", async () => {
  for (const text of ["{", "7", '[{"store":"designs","key":"kranich"},{"store":"log","key":""},null]']) {
    const one = createRecords(fresh("no slip"), memorySlip(text));
    await one.open("kranich");
    expect(one.store.getState()).toMatchObject({ phase: "ready", log: [], build: { done: [] } });
  }
});

test("what is noted while the record is being read is put to it, not over it; what cannot be read is put aside", async () => {
  const one = createRecords(fresh("early"));
  await one.open("kranich");
  await one.tickStep("hangTank:grey", "2026-05-01");
  const later = createRecords(fresh("early"));
  void later.open("kranich");
  await later.tickStep("layVent:vent", "2026-05-02");
  expect(later.store.getState().build.done.map(({ stepId }) => stepId)).toEqual(["hangTank:grey", "layVent:vent"]);
  const db = await fresh("early")();
  const spoilt = { designId: "otter", build: { done: "all of it" }, journey: null };
  await db.put("builds", spoilt);
  await later.open("otter");
  await later.tickStep("hangTank:grey", "2026-05-03");
  expect(await db.get("builds", "otter/unread")).toEqual({ ...spoilt, designId: "otter/unread" });
});
