import { createStore, type StoreApi } from "zustand/vanilla";
import { toMeasuredKey } from "@/core/build/asBuilt";
import type { Records } from "@/core/record/file";
import { EMPTY_JOURNEY, type Journey, journey as journeySchema } from "@/core/record/journey";
import { listPhotoIds } from "@/core/record/photos";
import { mergeTicks } from "@/core/record/readTicks";
import {
  type BuildRecord,
  buildRecord,
  EMPTY_BUILD,
  type LogEntry,
  logEntry,
  type MeasuredPart,
  type PartPrice,
  type PartState,
  type TrialRun,
} from "@/core/record/record";
import type { Ticks } from "@/core/record/ticks";
import { type Database, openDatabase } from "./database";
import { createLocalSlip } from "./localSlip";
import { createPhotos } from "./photos";
import { createRecordWrites } from "./recordWrites";
import type { SlipPlace } from "./slip";

/** What is kept beside a design: how far the building is, and its logbook. Neither is part of the design or its undo. */
export type RecordsState = {
  readonly designId: string | null;
  readonly phase: "none" | "loading" | "ready" | "failed";
  readonly build: BuildRecord;
  /** In the order they were written. */
  readonly log: readonly LogEntry[];
  readonly journey: Journey;
};

const NONE: RecordsState = { designId: null, phase: "none", build: EMPTY_BUILD, log: [], journey: EMPTY_JOURNEY };

export type RecordsStore = {
  readonly store: StoreApi<RecordsState>;
  readonly open: (designId: string) => Promise<void>;
  /** Ticks a step with what it was called and drawn like; null takes the tick back. */
  readonly tickStep: (
    stepId: string,
    on: string | null,
    as?: Pick<BuildRecord["done"][number], "name" | "drawn">,
  ) => Promise<void>;
  /** What a done step really took, h. */
  readonly setHours: (stepId: string, hours: number | null) => Promise<void>;
  /** Photographs of a done step, by their ids. */
  readonly setStepPhotos: (stepId: string, ids: readonly string[]) => Promise<void>;
  /** The order of work the builder wishes. */
  readonly setOrder: (order: readonly string[]) => Promise<void>;
  /** Steps and rules of the own job. */
  readonly setOwnWork: (own: Pick<BuildRecord, "steps" | "rules">) => Promise<void>;
  /** Adds steps that were ticked elsewhere; what is ticked here stays as it is. */
  readonly addTicks: (ticks: Pick<Ticks, "on" | "stepIds" | "as">) => Promise<void>;
  readonly setPart: (name: string, state: PartState) => Promise<void>;
  /** Notes what a part costs and where it is bought. */
  readonly setPrice: (name: string, price: PartPrice) => Promise<void>;
  /** Puts in what a parts list read from a file says, in one step. */
  readonly setGoods: (parts: BuildRecord["parts"], prices: NonNullable<BuildRecord["prices"]>) => Promise<void>;
  /** Notes where a part came to sit; null forgets it. */
  readonly setMeasured: (key: string, measured: MeasuredPart | null) => Promise<void>;
  /** The hole saws in the own box, mm. */
  readonly setSaws: (sawsMm: readonly number[]) => Promise<void>;
  readonly addTrial: (trial: TrialRun) => Promise<void>;
  readonly setJourney: (journey: Journey) => Promise<void>;
  /** Puts a line of the book in place of the one with its id. */
  readonly changeEntry: (entry: LogEntry) => Promise<void>;
  /** Adds one line; the cost does not grow with the book. */
  readonly addEntry: (entry: LogEntry) => Promise<void>;
  /** Takes the last line back. */
  readonly removeEntry: (id: string) => Promise<void>;
  /** The page goes away: what is not kept yet is left on a slip, and put in when the records are opened again. */
  readonly leave: () => void;
  /** What is kept beside any design, and putting there what came out of a file. */
  readonly read: (designId: string) => Promise<Records>;
  readonly adopt: (designId: string, records: Records) => Promise<void>;
};

/** The records of the design that is open; the database comes when the first is asked for. */
export function createRecords(
  openStore: () => Promise<Database> = () => openDatabase(() => undefined),
  slip?: SlipPlace,
): RecordsStore {
  const photos = createPhotos(openStore);
  const store = createStore<RecordsState>()(() => NONE);
  let database: Promise<Database> | null = null;
  const db = () => {
    database ??= openStore();
    return database;
  };
  const writes = createRecordWrites(db, slip);
  let opening: Promise<void> = Promise.resolve();
  /** Changes what is open and keeps it; while it is being read it waits, so that nothing is put over what is not seen yet. */
  const keep = async (change: (now: RecordsState) => Pick<RecordsState, "build"> | Pick<RecordsState, "journey">) => {
    if (store.getState().phase === "loading") await opening;
    const { designId, phase } = store.getState();
    if (designId === null) return;
    store.setState(change(store.getState()));
    // what could not be read lies where it is, and nothing is put over it
    if (phase === "failed") return;
    const { build, journey } = store.getState();
    await writes.put({ store: "builds", key: designId, value: { build, journey } });
  };
  const keepBuild = (change: (build: BuildRecord) => BuildRecord) => keep(({ build }) => ({ build: change(build) }));
  type Done = BuildRecord["done"][number];
  const changeDone = (stepId: string, change: (done: Done) => Done) =>
    keepBuild((build) => ({ ...build, done: build.done.map((one) => (one.stepId === stepId ? change(one) : one)) }));
  const keepEntry = async (id: string, entry: LogEntry | null, log: readonly LogEntry[]) => {
    const { designId } = store.getState();
    if (designId === null) return;
    store.setState({ log });
    await writes.put({ store: "log", key: `${designId}/${id}`, designId, entry });
  };
  const read = async (designId: string): Promise<Omit<Records, "photos">> => {
    const opened = await db();
    const [record, entries] = await Promise.all([
      opened.get("builds", designId),
      opened.getAllFromIndex("log", "designId", designId),
    ]);
    const parsed = buildRecord.safeParse(record?.build);
    const build = parsed.success ? parsed.data : EMPTY_BUILD;
    // what cannot be read is put aside before anything is kept in its place
    if (record && !parsed.success) await opened.put("builds", { ...record, designId: `${designId}/unread` });
    // a line that cannot be read is left where it lies
    const log = entries.flatMap(({ entry }) => readEntry(entry)).sort((a, b) => a.at.localeCompare(b.at));
    const stops = journeySchema.safeParse(record?.journey);
    return { build, log, journey: stops.success ? stops.data : EMPTY_JOURNEY };
  };
  const load = async (designId: string) => {
    try {
      await writes.recover();
      const { build, log, journey } = await read(designId);
      if (store.getState().designId === designId) store.setState({ phase: "ready", build, log, journey });
    } catch {
      if (store.getState().designId === designId) store.setState({ phase: "failed" });
    }
  };
  return {
    store,
    read: async (designId) => {
      const beside = await read(designId);
      // a picture that cannot be read must not hold the rest back
      const packed = await photos.pack(designId, listPhotoIds(beside.build, beside.log)).catch(() => ({}));
      return { ...beside, photos: packed };
    },
    adopt: async (designId, { build, log, journey, photos: packed }) => {
      await photos.unpack(designId, packed);
      const transaction = (await db()).transaction(["builds", "log"], "readwrite");
      await transaction.objectStore("builds").put({ designId, build, journey });
      for (const entry of log) {
        await transaction.objectStore("log").put({ key: `${designId}/${entry.id}`, designId, entry });
      }
      await transaction.done;
      if (store.getState().designId === designId) store.setState({ build, log, journey });
    },
    open: (designId) => {
      if (store.getState().designId === designId && store.getState().phase !== "failed") return opening;
      store.setState({ ...NONE, designId, phase: "loading" });
      opening = load(designId);
      return opening;
    },
    leave: writes.leave,
    tickStep: (stepId, on, as = {}) =>
      keepBuild((build) => {
        const others = build.done.filter((done) => done.stepId !== stepId);
        // done over, it keeps its hours and photographs
        const before = build.done.find((done) => done.stepId === stepId);
        return { ...build, done: on === null ? others : [...others, { ...before, stepId, on, ...as }] };
      }),
    setHours: (stepId, hours) =>
      changeDone(stepId, ({ hours: _, ...rest }) => (hours === null ? rest : { ...rest, hours })),
    setStepPhotos: (stepId, ids) =>
      changeDone(stepId, ({ photos: _, ...rest }) => (ids.length === 0 ? rest : { ...rest, photos: [...ids] })),
    addTicks: (ticks) => keepBuild((build) => mergeTicks(build, ticks)),
    setOwnWork: (own) => keepBuild((build) => ({ ...build, ...own })),
    setOrder: (order) => keepBuild((build) => ({ ...build, order: [...order] })),
    setJourney: (journey) => keep(() => ({ journey })),
    setMeasured: (key, given) =>
      keepBuild((build) => {
        const others = (build.measured ?? []).filter(({ part }) => toMeasuredKey(part) !== key);
        return { ...build, measured: given === null ? others : [...others, given] };
      }),
    setSaws: (sawsMm) => keepBuild((build) => ({ ...build, saws: [...new Set(sawsMm)].sort((a, b) => a - b) })),
    addTrial: (trial) => keepBuild((build) => ({ ...build, trials: [...(build.trials ?? []), trial] })),
    setPart: (name, state) => keepBuild((build) => ({ ...build, parts: { ...build.parts, [name]: state } })),
    setPrice: (name, price) => keepBuild((build) => ({ ...build, prices: { ...build.prices, [name]: price } })),
    setGoods: (parts, prices) =>
      keepBuild((build) => ({ ...build, parts: { ...build.parts, ...parts }, prices: { ...build.prices, ...prices } })),
    addEntry: (entry) => keepEntry(entry.id, entry, [...store.getState().log, entry]),
    changeEntry: (entry) =>
      keepEntry(
        entry.id,
        entry,
        store.getState().log.map((one) => (one.id === entry.id ? entry : one)),
      ),
    removeEntry: (id) =>
      keepEntry(
        id,
        null,
        store.getState().log.filter((entry) => entry.id !== id),
      ),
  };
}

function readEntry(value: unknown): LogEntry[] {
  const read = logEntry.safeParse(value);
  return read.success ? [read.data] : [];
}

/** The records of this page. */
export const records = createRecords(undefined, createLocalSlip("schleuse-records-slip"));
if (typeof window !== "undefined") window.addEventListener("pagehide", records.leave);
