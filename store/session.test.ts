import "fake-indexeddb/auto";
import type { Edit } from "@/core/design/editOps";
import { readDemo, readDemoText } from "@/tests/demoRigs";
import { type Database, openDatabase } from "./database";
import { createDesignId, listDesigns, removeDesign, saveDesign } from "./library";
import { Session } from "./session";
import type { SessionWorld } from "./sessionWorld";
import { beginDrag, change, drag, endDrag, redo, undo, workbench } from "./workbench";

let names = 0;
let dbName = "";
let downloads: [string, string][] = [];

const world = (over: Partial<SessionWorld> = {}): SessionWorld => ({
  open: (onEvent) => openDatabase(onEvent, dbName),
  now: () => 1_700_000_000_000,
  readSample: async (name) => readDemoText(name as "kranich"),
  download: (name, text) => void downloads.push([name, text]),
  ...over,
});

const wall = (value: number): Edit => ({
  code: "change",
  at: { kind: "tank", id: "grey" },
  ops: [{ op: "set", path: ["tanks", "grey", "wallMm"], value }],
});
const open = () => workbench.getState().history!.design;
const openDb = (): Promise<Database> => openDatabase(() => undefined, dbName);

const sessions: Session[] = [];
const createSession = (over: Partial<SessionWorld> = {}): Session => {
  const session = new Session(world(over));
  sessions.push(session);
  return session;
};

afterEach(async () => {
  for (const session of sessions.splice(0)) await session.stop();
});

beforeEach(() => {
  names += 1;
  dbName = `test-${names}`;
  downloads = [];
  workbench.setState(workbench.getInitialState(), true);
});

test("the first visit opens a sample; work is found again after the tab was closed", async () => {
  const session = createSession();
  await session.start();
  expect(open().name).toBe("Kranich");
  expect(change(wall(9))).toEqual({ ok: true });
  await session.flush();
  expect(workbench.getState().save).toBe("saved");

  workbench.setState(workbench.getInitialState(), true);
  await createSession().start();
  expect(open().tanks[0]!.wallMm).toBe(9);
});

test("undo and redo walk the same way; a new edit ends the way forward", async () => {
  await createSession().start();
  const before = open();
  change(wall(7));
  change(wall(8));
  undo();
  expect(open().tanks[0]!.wallMm).toBe(7);
  undo();
  expect(open()).toBe(before);
  undo();
  expect(open()).toBe(before);
  redo();
  redo();
  expect(open().tanks[0]!.wallMm).toBe(8);
  undo();
  change(wall(4));
  redo();
  expect(open().tanks[0]!.wallMm).toBe(4);
});

test("a refused edit changes nothing and says why", async () => {
  await createSession().start();
  const before = workbench.getState().history;
  const outcome = change(wall(-3));
  expect(outcome).toMatchObject({ ok: false, faults: [{ code: "tooSmall" }] });
  expect(workbench.getState().history).toBe(before);
});

test("a drag is one step, whatever it passed on the way", async () => {
  await createSession().start();
  beginDrag(null);
  for (const value of [5, 6.5, -1, 7]) drag(wall(value));
  expect(open().tanks[0]!.wallMm).toBe(7);
  endDrag(wall(7));
  expect(workbench.getState().history!.past).toHaveLength(1);
  undo();
  expect(open().tanks[0]!.wallMm).toBe(6);
});

test("a drag called off leaves the design, its figures and the way back as they were", async () => {
  await createSession().start();
  const { history, evaluation } = workbench.getState();
  beginDrag(null);
  drag(wall(9));
  expect(open().tanks[0]!.wallMm).toBe(9);
  endDrag(null);
  expect(workbench.getState().history).toEqual(history);
  expect(workbench.getState().evaluation).toEqual(evaluation);
});

test("two tabs on one design: the later save is refused, told, and kept as a copy", async () => {
  const session = createSession();
  await session.start();
  const db = await openDb();
  const theirs = { ...open(), note: "from the other tab" };
  expect(await saveDesign(db, theirs, { over: null, by: "other", now: 5 })).toMatchObject({ ok: true });

  change(wall(9));
  await session.flush();
  expect(workbench.getState().save).toBe("conflict");
  expect(workbench.getState().notice!.text).toMatch(/Another tab/);
  await session.settleConflict("mine");
  const { entries } = await listDesigns(db);
  expect(entries.map((entry) => entry.name).sort()).toEqual(["Kranich", "Kranich (this tab)"]);
  expect(open().tanks[0]!.wallMm).toBe(9);
  expect(((await db.get("designs", "kranich"))!.document as typeof theirs).note).toBe("from the other tab");
});

test("two tabs: taking theirs shows what the other tab saved", async () => {
  const session = createSession();
  await session.start();
  await saveDesign(await openDb(), { ...open(), note: "theirs" }, { over: null, by: "other", now: 5 });
  change(wall(9));
  await session.flush();
  await session.settleConflict("theirs");
  expect(open().note).toBe("theirs");
});

test("a full disk is told, the work stays open and can be saved to a file", async () => {
  const session = createSession({
    open: async (onEvent) => {
      const db = await openDatabase(onEvent, dbName);
      const full = Object.assign(new Error("full"), { name: "QuotaExceededError" });
      return new Proxy(db, {
        get: (target, key) => {
          if (key === "transaction")
            return () => ({
              store: { get: async () => undefined, put: () => Promise.reject(full) },
              done: Promise.resolve(),
            });
          const value = Reflect.get(target, key);
          return typeof value === "function" ? value.bind(target) : value;
        },
      });
    },
  });
  await session.start();
  change(wall(9));
  await session.flush();
  expect(workbench.getState().save).toBe("full");
  expect(workbench.getState().notice!.text).toMatch(/store is full/);
  workbench.getState().notice!.action!.run();
  expect(JSON.parse(downloads[0]![1]).tanks[0].wallMm).toBe(9);
});

test("a damaged record is listed with its fault, not opened, its text can be saved; the rest opens", async () => {
  const db = await openDb();
  await saveDesign(db, readDemo("otter"), { over: null, by: "other", now: 1 });
  await db.put("designs", {
    id: "bad",
    name: "Bad",
    savedAt: 9,
    revision: 1,
    document: { format: "schleuse-design", version: 1 },
  });
  const session = createSession();
  await session.start();
  expect(open().name).toBe("Otter");
  // each record is read through in its turn, once the one that opens is there
  while (!workbench.getState().library[0]?.fault) await new Promise((resolve) => setTimeout(resolve, 1));
  expect(workbench.getState().library.map((entry) => [entry.name, entry.fault?.code])).toEqual([
    ["Bad", "missing"],
    ["Otter", undefined],
  ]);
  await session.open("bad");
  expect(open().name).toBe("Otter");
  expect(workbench.getState().notice!.text).toMatch(/damaged/);
  workbench.getState().notice!.action!.run();
  expect(downloads[0]![0]).toBe("bad-damaged.json");
});

test("without a store at all the sample opens and the builder is told", async () => {
  await createSession({ open: () => Promise.reject(new Error("no")) }).start();
  expect(open().name).toBe("Kranich");
  expect(workbench.getState().notice!.text).toMatch(/save to a file/);
});

test("duplicate, delete and undo of the deletion", async () => {
  const session = createSession();
  await session.start();
  await session.duplicate("kranich");
  expect(open().name).toBe("Kranich copy");
  await session.remove("kranich-copy");
  expect(open().name).toBe("Kranich");
  workbench.getState().notice!.action!.run();
  await until(() => open().name === "Kranich copy");
  expect(open().name).toBe("Kranich copy");
});

test("ids are made from names and never taken twice", () => {
  expect(createDesignId("Möwe & Söhne", [])).toBe("moewe-soehne");
  expect(createDesignId("Kranich", ["kranich", "kranich-2"])).toBe("kranich-3");
  expect(createDesignId("漢字", [])).toBe("design");
});

const until = async (isTrue: () => boolean): Promise<void> => {
  for (let i = 0; i < 200 && !isTrue(); i++) await new Promise((resolve) => setTimeout(resolve, 10));
  expect(isTrue()).toBe(true);
};

test("edits that never rest are saved all the same, within about a second", async () => {
  let now = 0;
  const session = createSession({ now: () => now });
  await session.start();
  const db = await openDb();
  const lying = async () =>
    ((await db.get("designs", "kranich"))!.document as { tanks: { wallMm: number }[] }).tanks[0]!.wallMm;
  for (let i = 0; i < 8; i++) {
    change(wall(7 + i));
    now += 160;
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
  await until(() => workbench.getState().save === "saved");
  expect(await lying()).toBeGreaterThan(6);
});

test("what was begun to be pulled is never stored, whenever the save comes", async () => {
  const session = createSession();
  await session.start();
  change(wall(7));
  beginDrag(null);
  drag(wall(12));
  await session.flush();
  const db = await openDb();
  const document = (await db.get("designs", "kranich"))!.document as { tanks: { wallMm: number }[] };
  expect(document.tanks[0]!.wallMm).toBe(7);
  endDrag(null);
  expect(open().tanks[0]!.wallMm).toBe(7);
  expect(workbench.getState().save).toBe("saved");
});

test("a list that cannot be read is told of, and saving goes on", async () => {
  let isBroken = false;
  const session = createSession({
    open: async (onEvent) => {
      const db = await openDatabase(onEvent, dbName);
      return new Proxy(db, {
        get: (target, key) => {
          if (key === "getAll" && isBroken) return () => Promise.reject(new Error("unreadable"));
          const value = Reflect.get(target, key);
          return typeof value === "function" ? value.bind(target) : value;
        },
      });
    },
  });
  await session.start();
  isBroken = true;
  change(wall(9));
  await session.flush();
  expect(workbench.getState().save).toBe("saved");
  await session.rename("gone", "Name");
  expect(workbench.getState().notice!.text).toMatch(/list of designs could not be read/);
  change(wall(10));
  await session.flush();
  expect(workbench.getState().save).toBe("saved");
});

test("unsaved work is noted when the page goes away and comes back with it", async () => {
  const box = new Map<string, string>();
  const place = {
    read: () => box.get("slip") ?? null,
    write: (text: string) => void box.set("slip", text),
    clear: () => void box.delete("slip"),
  };
  // a page that is killed before its save could end: the store of the first session is never written
  const first = createSession({
    slip: place,
    open: async (onEvent) => {
      const db = await openDatabase(onEvent, dbName);
      return new Proxy(db, {
        get: (target, key) => {
          if (key === "transaction" && workbench.getState().history?.design.tanks[0]?.wallMm === 9)
            return () => ({ store: { get: () => new Promise(() => undefined) }, done: new Promise(() => undefined) });
          const value = Reflect.get(target, key);
          return typeof value === "function" ? value.bind(target) : value;
        },
      });
    },
  });
  await first.start();
  change(wall(9));
  expect(first.canLeave()).toBe(true);
  first.hide();
  expect(place.read()).not.toBeNull();
  sessions.length = 0;
  const gone = first.stop();
  workbench.setState(workbench.getInitialState(), true);
  await createSession({ slip: place }).start();
  expect(open().tanks[0]!.wallMm).toBe(9);
  expect(place.read()).toBeNull();
  await gone;
}, 15_000);

test("work that could not be kept is held while another design is open, with its way back, and kept as soon as it can be", async () => {
  let isFull = false;
  const session = createSession({
    open: async (onEvent) => {
      const db = await openDatabase(onEvent, dbName);
      const full = Object.assign(new Error("full"), { name: "QuotaExceededError" });
      return new Proxy(db, {
        get: (target, key) => {
          if (key === "transaction" && isFull)
            return () => ({
              store: { get: async () => undefined, put: () => Promise.reject(full) },
              done: Promise.resolve(),
            });
          const value = Reflect.get(target, key);
          return typeof value === "function" ? value.bind(target) : value;
        },
      });
    },
  });
  await session.start();
  await session.openSample("otter");
  await session.open("kranich");
  change(wall(7));
  await session.flush();
  isFull = true;
  change(wall(9));
  await session.flush();
  expect(session.canLeave()).toBe(false);
  await session.open("otter");
  expect(open().name).toBe("Otter");
  expect(session.canLeave()).toBe(false);
  isFull = false;
  await session.open("kranich");
  expect(open().tanks[0]!.wallMm).toBe(9);
  undo();
  undo();
  expect(open().tanks[0]!.wallMm).toBe(6);
  redo();
  await session.flush();
  expect(workbench.getState().save).toBe("saved");
  expect(session.canLeave()).toBe(true);
});

test("a design deleted in another tab is told of; renaming one that is gone renames no other", async () => {
  const session = createSession();
  await session.start();
  await session.openSample("otter");
  const db = await openDb();
  await removeDesign(db, "otter", 5);
  change({ code: "change", at: { kind: "rig" }, ops: [{ op: "set", path: ["note"], value: "mine" }] });
  await session.flush();
  expect(workbench.getState().save).toBe("deleted");
  await session.settleConflict("mine");
  expect(open()).toMatchObject({ name: "Otter (this tab)", note: "mine" });
  await session.rename("otter", "Name");
  expect(open().name).toBe("Otter (this tab)");
  expect(workbench.getState().notice!.text).toMatch(/could not be renamed/);
});

test("a damaged record is never overwritten by the sample of its name", async () => {
  const db = await openDb();
  const bad = {
    id: "kranich",
    name: "Kranich",
    savedAt: 1,
    revision: 3,
    document: { format: "schleuse-design", version: 4 },
  };
  await db.put("designs", bad);
  await createSession().start();
  expect(open().name).toBe("Kranich");
  expect(open().id).toBe("kranich-2");
  expect(await db.get("designs", "kranich")).toEqual(bad);
});

test("a store that came up empty after it held designs says so", async () => {
  const counts = [3];
  await createSession({ held: { read: () => counts.at(-1)!, write: (count) => void counts.push(count) } }).start();
  expect(workbench.getState().notice!.text).toMatch(/cleared its store: 3 designs/);
  expect(counts.at(-1)).toBe(1);
});
