import { cleanName } from "@/core/design/cleanText";
import type { Design } from "@/core/design/design";
import { toBareId } from "@/core/design/stripPlumbing";
import * as WORDS from "@/words/notices/session";
import { canEvaluate, canEvaluateCalmly } from "./canEvaluate";
import { findCommitted, findCommittedHistory, isUnkept } from "./committed";
import type { Database, DatabaseEvent } from "./database";
import { isReadyFor } from "./fitted";
import { handDesign } from "./handDesign";
import type { Work } from "./heldWork";
import { ANSWER_MS, Keeper } from "./keeper";
import { readLast, rememberLast } from "./lastOpened";
import {
  createDesignId,
  destroyDesign,
  emptyBin,
  openDesign,
  removeDesign,
  renameDesign,
  restoreDesign,
} from "./library";
import { pause } from "./pause";
import { readSampleDesign, readSampleLink } from "./samples";
import {
  tellBinned,
  tellBinnedElsewhere,
  tellDamaged,
  tellIfCleared,
  tellNoSample,
  tellNothingKept,
  tellStoreEvent,
  tellUnworkable,
} from "./sessionNotices";
import type { SessionWorld } from "./sessionWorld";
import { Shelf } from "./shelf";
import { readSlip, writeSlip } from "./slip";
import { type TabNews, Tabs } from "./tabs";
import { SILENT, withinTime } from "./withinTime";
import { change, dismissNotice, loadDesign, tell, tellNotFetched, workbench } from "./workbench";

/**
 * Keeps the workbench and the browser's store together: opens the last design, saves after every edit, notices
 * other tabs, and tells the builder whenever something could not be kept. Work that could not be kept is held until it is.
 */
export class Session {
  readonly #keeper: Keeper;
  readonly #shelf: Shelf;
  #tabs: Tabs | null = null;
  #unsubscribe: () => void = () => undefined;
  readonly #world: SessionWorld;

  constructor(world: SessionWorld) {
    this.#world = world;
    this.#shelf = new Shelf(world.held);
    this.#keeper = new Keeper(world, {
      onKept: (design) => this.#noteKept(design),
      reopen: () => world.open((event) => void this.#hear(event)),
      download: () => this.download(),
      keepMine: () => void this.settleConflict("mine"),
    });
  }

  get #db(): Database | null {
    return this.#keeper.db;
  }

  /** Opens the store and the sample that is asked for, the design last worked on, or the first sample; without a store the work goes on unsaved. */
  async start(asked: string | null = null): Promise<void> {
    await this.#openStore();
    this.#tabs = new Tabs((news) => void this.#hearOtherTab(news));
    this.#unsubscribe = workbench.subscribe((state, before) => {
      if (state.save === "unsaved" && state.history !== before.history) this.#keeper.startWaiting();
    });
    if (this.#db) await emptyBin(this.#db, this.#world.now()).catch(() => undefined);
    await this.#shelf.refresh(this.#db);
    tellIfCleared(this.#world.held, this.#db !== null);
    await this.#recoverSlip();
    if (asked !== null) await this.openSample(...readSampleLink(asked)).catch(tellNoSample);
    if (workbench.getState().history) return;
    const last = await readLast(this.#db);
    const sound = workbench.getState().library.filter((entry) => entry.fault === null);
    for (const entry of [...sound].sort((a, b) => Number(b.id === last) - Number(a.id === last))) {
      await this.open(entry.id);
      if (workbench.getState().history) return;
    }
    await this.openSample("kranich");
  }

  async #openStore(): Promise<void> {
    try {
      const opening = this.#world.open((event) => void this.#hear(event));
      const db = await withinTime(opening, ANSWER_MS);
      if (db !== SILENT) {
        this.#keeper.db = db;
        return;
      }
      tellNothingKept("silent");
      void opening.then((late) => this.#adoptStore(late)).catch(() => undefined);
    } catch {
      tellNothingKept("refused");
    }
  }

  // A store that came late, or came back: what was done meanwhile goes into it.
  async #adoptStore(db: Database): Promise<void> {
    if (this.#keeper.isStopped) return db.close();
    this.#keeper.db = db;
    await this.#shelf.refresh(this.#db);
    this.#keeper.queueSave();
  }

  /** Saves what is open and lets go of the store, the other tabs and the workbench. */
  async stop(): Promise<void> {
    this.#unsubscribe();
    this.#tabs?.close();
    await this.#shelf.settled();
    await this.#keeper.stop();
  }

  /** The page may go away any moment: what is not saved is noted at once, and its save begun. */
  hide(): void {
    const { save } = workbench.getState();
    const design = findCommitted(workbench.getState());
    if (!design || save === "saved") return;
    if (this.#world.slip) writeSlip(this.#world.slip, { design, over: this.#keeper.revision });
    void this.flush();
  }

  /** False while leaving the page would lose work that could not be kept. */
  canLeave(): boolean {
    return this.#keeper.canLeave();
  }

  /** Opens a design of the library with its way back; a damaged one is told of and the open design stays. */
  async open(id: string): Promise<void> {
    await this.flush();
    const held = this.#keeper.held.get(id);
    if (held && isUnkept(held.save)) {
      this.#show(held.history.design, held);
      return;
    }
    if (!this.#db) return;
    const outcome = await this.#read(id);
    if (!outcome) return;
    if (outcome.ok) {
      await pause();
      if (!(await this.#isReady(outcome.design))) return;
      if (!(await canEvaluateCalmly(outcome.design))) return this.offerFile(outcome.design);
      await rememberLast(this.#db, id);
      const isAsLeft = held && held.revision === outcome.revision;
      this.#show(outcome.design, isAsLeft ? held : null, outcome.revision);
      return;
    }
    if (outcome.reason === "gone") {
      tell(WORDS.thatDesignIsNoLonger, { tone: "warning" });
      await this.#shelf.refresh(this.#db);
    } else {
      await tellDamaged(outcome.fault, () =>
        this.#world.download(`${id}-damaged.json`, JSON.stringify(outcome.document, null, 2)),
      );
    }
  }

  async #read(id: string) {
    try {
      const outcome = await withinTime(openDesign(this.#db!, id), ANSWER_MS);
      if (outcome !== SILENT) return outcome;
    } catch {
      // told below
    }
    tell(WORDS.theBrowsersStoreDoesNot, { tone: "warning" });
    return null;
  }

  // Puts a design on the workbench; the one that was open is held with its way back.
  #show(design: Design, held: Work | null, revision: number | null = null): void {
    this.#holdOpen(design.id);
    this.#keeper.revision = held ? held.revision : revision;
    loadDesign(held?.history ?? design, held?.save ?? "saved");
    this.#keeper.held.forget(design.id);
  }

  #holdOpen(nextId: string): void {
    const { save } = workbench.getState();
    const history = findCommittedHistory(workbench.getState());
    if (!history || history.design.id === nextId) return;
    this.#keeper.held.hold({ history, revision: this.#keeper.revision, save });
  }

  async #isReady(design: Design): Promise<boolean> {
    const isReady = await isReadyFor(design);
    if (!isReady) tellNotFetched(design.name);
    return isReady;
  }

  /** A design that this page cannot work out is not opened; it can be saved as it is. */
  offerFile(design: Design): void {
    tellUnworkable(design, () => handDesign(this.#world, design));
  }

  /** A design of the library for reading beside the open one; null when it is gone or damaged. */
  async read(id: string): Promise<Design | null> {
    if (!this.#db) return null;
    const outcome = await openDesign(this.#db, id);
    return outcome.ok ? outcome.design : null;
  }

  /** Opens a sample rig as a design of the builder's own; one that is there already is opened as it was left. */
  async openSample(name: string, isBare = false): Promise<void> {
    const id = isBare ? toBareId(name) : name;
    if (workbench.getState().library.some((entry) => entry.id === id && entry.fault === null)) {
      await this.open(id);
      // one that turned out to be damaged stays where it lies, and the sample comes beside it
      if (workbench.getState().history?.design.id === id) return;
    }
    try {
      const design = await readSampleDesign(this.#world, name, isBare);
      if (!design) return;
      // read, worked out and shown are three pieces of work
      await pause();
      if (await this.#isReady(design)) await canEvaluateCalmly(design);
      await this.adopt(design);
    } catch (error) {
      if (!workbench.getState().history) throw error;
      tellNoSample();
    }
  }

  /** Takes a design into the library under an id of its own and opens it. */
  async adopt(design: Design): Promise<void> {
    await this.flush();
    if (!(await this.#isReady(design))) return;
    const taken = this.#listTaken();
    const id = taken.includes(design.id) ? createDesignId(design.name, taken) : design.id;
    const own = id === design.id ? design : { ...design, id };
    // kept first and shown then: what is seen is safe, however soon the tab is closed
    const outcome = await this.#keeper.write(own, null);
    this.#show(own, null, outcome?.ok ? outcome.revision : null);
    if (!outcome) {
      if (this.#db === null) workbench.setState({ save: "away" });
      return;
    }
    if (outcome.ok) {
      await rememberLast(this.#db, id);
      this.#noteKept(own);
    } else this.#keeper.tellNotSaved(outcome.reason);
  }

  /** Opens a copy of a design under the next free name. */
  async duplicate(id: string): Promise<void> {
    if (!this.#db) return;
    await this.flush();
    const outcome = await openDesign(this.#db, id);
    if (!outcome.ok) return this.open(id);
    const name = `${outcome.design.name} copy`.slice(0, 80);
    await this.adopt({ ...outcome.design, id: createDesignId(name, this.#listTaken()), name });
  }

  /** Gives a design another name: the open one as an edit that can be undone, another where it lies. */
  async rename(id: string, text: string): Promise<void> {
    const name = cleanName(text).slice(0, 80);
    if (name === "") return;
    if (workbench.getState().history?.design.id === id) {
      change({ code: "rename", at: { kind: "rig" }, ops: [{ op: "set", path: ["name"], value: name }] });
      await this.flush();
      return;
    }
    if (!this.#db) return;
    const outcome = await renameDesign(this.#db, id, name, { over: null, by: this.#keeper.by, now: this.#world.now() });
    if (outcome?.ok) this.#tabs?.tell({ kind: "saved", id });
    else tell(WORDS.thatDesignCouldNotBe, { tone: "warning" });
    this.#keeper.held.forget(id);
    await this.#shelf.refresh(this.#db);
  }

  /** Puts a design into the bin, where it waits for 30 days. */
  async remove(id: string): Promise<void> {
    if (!this.#db) return;
    await this.flush();
    const name = await removeDesign(this.#db, id, this.#world.now());
    if (name === null) return;
    this.#tabs?.tell({ kind: "deleted", id });
    await this.#shelf.refresh(this.#db);
    if (workbench.getState().history?.design.id === id) {
      workbench.setState({ save: "saved" });
      const next = workbench.getState().library.find((entry) => entry.fault === null);
      if (next) await this.open(next.id);
      else await this.openSample("kranich");
    }
    tellBinned(name, () => void this.putBack(id));
  }

  /** Takes a design out of the bin and opens it. */
  async putBack(id: string): Promise<void> {
    if (!this.#db) return;
    if (!(await restoreDesign(this.#db, id))) tell(WORDS.thatDesignIsNoLonger2, { tone: "warning" });
    this.#tabs?.tell({ kind: "restored", id });
    await this.#shelf.refresh(this.#db);
    await this.open(id);
  }

  /** Takes a design out of the bin for good. */
  async destroy(id: string): Promise<void> {
    if (!this.#db) return;
    await destroyDesign(this.#db, id);
    await this.#shelf.refresh(this.#db);
  }

  /** Hands the open design out as a file. */
  download(): void {
    const design = findCommitted(workbench.getState());
    if (design) handDesign(this.#world, design);
  }

  /** After a conflict: take what the other tab saved, or keep this one as a copy of its own. */
  async settleConflict(keep: "theirs" | "mine"): Promise<void> {
    const design = findCommitted(workbench.getState());
    if (!design || !this.#db) return;
    dismissNotice();
    if (keep === "theirs") {
      workbench.setState({ save: "saved" });
      return this.open(design.id);
    }
    const name = WORDS.ofThisTab(design.name).slice(0, 80);
    const copy = { ...design, id: createDesignId(name, this.#listTaken()), name };
    // the copy is kept before the other one is let go
    workbench.setState({ save: "saved" });
    await this.adopt(copy);
    this.#keeper.held.forget(design.id);
  }

  /** Saves now what is not saved yet. */
  flush(): Promise<void> {
    return this.#keeper.flush();
  }

  #noteKept(design: Design): void {
    this.#tabs?.tell({ kind: "saved", id: design.id });
    this.#shelf.note(design, this.#world.now());
  }

  #listTaken(): string[] {
    return this.#shelf.listTaken().concat(this.#keeper.held.ids());
  }

  async #hearOtherTab({ kind, id }: TabNews): Promise<void> {
    await this.#shelf.refresh(this.#db);
    this.#keeper.held.forget(id);
    const before = workbench.getState();
    if (before.history?.design.id !== id) return;
    if (kind === "deleted") return tellBinnedElsewhere(() => void this.putBack(id));
    // a clean tab follows the other one; a tab with unsaved work finds out when it saves
    if (before.save !== "saved" || before.dragBase || !this.#db) return;
    const outcome = await openDesign(this.#db, id).catch(() => null);
    if (!outcome?.ok || !(await isReadyFor(outcome.design))) return;
    const { history, save, dragBase } = workbench.getState();
    // an edit that was made while it was read goes before it
    if (history !== before.history || save !== "saved" || dragBase) return;
    if (outcome.revision === this.#keeper.revision || !canEvaluate(outcome.design)) return;
    this.#keeper.revision = outcome.revision;
    loadDesign(outcome.design, "saved");
    tell(WORDS.anotherTabChangedThisDesign);
  }

  async #hear(event: DatabaseEvent): Promise<void> {
    if (event === "blocking") {
      // what is not kept yet goes in before the store is let go
      await this.flush();
      this.#db?.close();
      this.#keeper.db = null;
    } else if (event !== "blocked") this.#keeper.lose();
    tellStoreEvent(event);
  }

  // Opens work that was on its way into the store when the page went away.
  async #recoverSlip(): Promise<void> {
    const { slip } = this.#world;
    if (!slip) return;
    const left = await readSlip(slip).catch(() => undefined);
    // what cannot be read or judged yet stays on its slip
    if (left === undefined || (left && !(await this.#isReady(left.design)))) return;
    slip.clear();
    if (!left || !canEvaluate(left.design)) return;
    const { design, over } = left;
    const lying = this.#db ? await openDesign(this.#db, design.id).catch(() => null) : null;
    if (lying?.ok && JSON.stringify(lying.design) === JSON.stringify(design)) return;
    if (lying?.ok && lying.revision !== over) {
      const name = `${design.name} (recovered)`.slice(0, 80);
      await this.adopt({ ...design, id: createDesignId(name, this.#listTaken()), name });
      tell(WORDS.whatWasNotSavedWhen);
      return;
    }
    const outcome = await this.#keeper.write(design, over);
    this.#show(design, null, outcome?.ok ? outcome.revision : over);
    await rememberLast(this.#db, design.id);
    if (outcome?.ok) this.#shelf.note(design, this.#world.now());
    else this.#keeper.tellNotSaved(outcome?.reason ?? "failed");
  }
}
