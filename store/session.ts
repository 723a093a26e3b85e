import { cleanName } from "@/core/design/cleanText";
import type { Design } from "@/core/design/design";
import { parseDesignText } from "@/core/design/parseDesign";
import { stripPlumbing, toBareId } from "@/core/design/stripPlumbing";
import { isEmptyRecords, parseFileText } from "@/core/record/file";
import { describeFault, describeLost } from "@/words/faults";
import { canEvaluate } from "./canEvaluate";
import { findCommitted, findCommittedHistory, isUnkept } from "./committed";
import { type Database, type DatabaseEvent, openDatabase } from "./database";
import { handDesign } from "./handDesign";
import { HeldWork, type Work } from "./heldWork";
import {
  createDesignId,
  destroyDesign,
  emptyBin,
  type LibraryEntry,
  listDesigns,
  openDesign,
  removeDesign,
  renameDesign,
  restoreDesign,
  type SaveOutcome,
  saveDesign,
} from "./library";
import { SaveTimer } from "./saveTimer";
import { tellDamaged, tellIfCleared, tellNotKept, tellTaken } from "./sessionNotices";
import type { SessionWorld } from "./sessionWorld";
import { readSlip, writeSlip } from "./slip";
import { type TabNews, Tabs } from "./tabs";
import { SILENT, withinTime } from "./withinTime";
import { change, dismissNotice, loadDesign, tell, workbench } from "./workbench";

/** A store that has not answered by then is taken not to, ms. */
const ANSWER_MS = 6_000;
/** What could not be kept is tried again after so long, ms; the last of them again and again. */
const RETRIES_MS = [2_000, 5_000, 15_000, 60_000] as const;

let tabs = 0;

/**
 * Keeps the workbench and the browser's store together: opens the last design, saves after every edit, notices
 * other tabs, and tells the builder whenever something could not be kept. Work that could not be kept is held until it is.
 */
export class Session {
  #db: Database | null = null;
  #revision: number | null = null;
  readonly #timer: SaveTimer;
  #retry: ReturnType<typeof setTimeout> | null = null;
  #failures = 0;
  #saving: Promise<void> = Promise.resolve();
  #tabs: Tabs | null = null;
  #unsubscribe: () => void = () => undefined;
  #isStopped = false;
  #hasAskedToPersist = false;
  readonly #held = new HeldWork();
  readonly #world: SessionWorld;
  /** Unlike any other tab's, so that a tab knows its own saves. */
  readonly #by: string;

  constructor(world: SessionWorld) {
    this.#world = world;
    this.#timer = new SaveTimer(world.now, () => this.#queueSave());
    tabs += 1;
    this.#by = `${world.now().toString(36)}-${tabs}-${Math.random().toString(36).slice(2, 8)}`;
  }

  /** Opens the store and the design last worked on, or the first sample; without a store the work goes on unsaved. */
  async start(): Promise<void> {
    await this.#openStore();
    this.#tabs = new Tabs((news) => void this.#hearOtherTab(news));
    this.#unsubscribe = workbench.subscribe((state, before) => {
      if (state.save === "unsaved" && state.history !== before.history) this.#timer.start();
    });
    if (this.#db) await emptyBin(this.#db, this.#world.now()).catch(() => undefined);
    await this.#refresh();
    tellIfCleared(this.#world.held, this.#db !== null);
    if (await this.#recoverSlip()) return;
    const last = await this.#readLast();
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
        this.#db = db;
        return;
      }
      tell("The browser's store does not answer. Work on; what you do is kept as soon as it does.", {
        tone: "warning",
      });
      void opening.then((late) => this.#adoptStore(late)).catch(() => undefined);
    } catch {
      tell("This browser lets nothing be kept. Work on, and save to a file before you close the tab.", {
        tone: "warning",
      });
    }
  }

  // A store that came late, or came back: what was done meanwhile goes into it.
  async #adoptStore(db: Database): Promise<void> {
    if (this.#isStopped) return db.close();
    this.#db = db;
    await this.#refresh();
    this.#queueSave();
  }

  /** Saves what is open and lets go of the store, the other tabs and the workbench. */
  async stop(): Promise<void> {
    this.#isStopped = true;
    if (this.#retry) clearTimeout(this.#retry);
    this.#unsubscribe();
    this.#tabs?.close();
    await this.flush();
    this.#db?.close();
    this.#db = null;
  }

  /** The page may go away any moment: what is not saved is noted at once, and its save begun. */
  hide(): void {
    const { save } = workbench.getState();
    const design = findCommitted(workbench.getState());
    if (!design || save === "saved") return;
    if (this.#world.slip) writeSlip(this.#world.slip, { design, over: this.#revision });
    void this.flush();
  }

  /** False while leaving the page would lose work that could not be kept. */
  canLeave(): boolean {
    return !isUnkept(workbench.getState().save) && !this.#held.hasUnkept();
  }

  /** Opens a design of the library with its way back; a damaged one is told of and the open design stays. */
  async open(id: string): Promise<void> {
    await this.flush();
    const held = this.#held.get(id);
    if (held && isUnkept(held.save)) {
      this.#show(held.history.design, held);
      return;
    }
    if (!this.#db) return;
    const outcome = await this.#read(id);
    if (!outcome) return;
    if (outcome.ok) {
      if (!canEvaluate(outcome.design)) return this.#offerFile(outcome.design);
      await this.#rememberLast(id);
      const isAsLeft = held && held.revision === outcome.revision;
      this.#show(outcome.design, isAsLeft ? held : null, outcome.revision);
      return;
    }
    if (outcome.reason === "gone") {
      tell("That design is no longer here.", { tone: "warning" });
      await this.#refresh();
    } else {
      tellDamaged(outcome.fault, () =>
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
    tell("The browser's store does not answer. Your open work stays here; try again.", { tone: "warning" });
    return null;
  }

  // Puts a design on the workbench; the one that was open is held with its way back.
  #show(design: Design, held: Work | null, revision: number | null = null): void {
    this.#holdOpen(design.id);
    this.#revision = held ? held.revision : revision;
    loadDesign(held?.history ?? design, held?.save ?? "saved");
    this.#held.forget(design.id);
  }

  #holdOpen(nextId: string): void {
    const { save } = workbench.getState();
    const history = findCommittedHistory(workbench.getState());
    if (!history || history.design.id === nextId) return;
    this.#held.hold({ history, revision: this.#revision, save });
  }

  #offerFile(design: Design): void {
    tell(`${design.name} cannot be worked out by this page and was not opened. Nothing of it is lost.`, {
      tone: "warning",
      action: { label: "Save it to a file", run: () => handDesign(this.#world, design) },
    });
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
    if (workbench.getState().library.some((entry) => entry.id === id && entry.fault === null)) return this.open(id);
    try {
      const outcome = parseDesignText(await this.#world.readSample(name));
      if (outcome.ok) await this.adopt(isBare ? stripPlumbing(outcome.design) : outcome.design);
    } catch (error) {
      if (!workbench.getState().history) throw error;
      tell("That sample could not be fetched. Connect to the network once, or open a file.", { tone: "warning" });
    }
  }

  /** Reads a file's text; refused with a sentence, and the open design is not touched. */
  async openText(text: string, fileName: string): Promise<void> {
    const { design: outcome, records, ...lost } = parseFileText(text);
    if (!outcome.ok) {
      const more = outcome.faults.length > 1 ? ` (and ${outcome.faults.length - 1} more)` : "";
      const { units } = workbench.getState();
      tell(`${fileName} was not opened. ${describeFault(outcome.faults[0]!, units)}${more}`, { tone: "warning" });
      return;
    }
    if (!canEvaluate(outcome.design)) return this.#offerFile(outcome.design);
    await this.adopt(outcome.design);
    const id = workbench.getState().history?.design.id;
    if (id !== undefined && !isEmptyRecords(records)) await this.#world.records?.adopt(id, records);
    if (isUnkept(workbench.getState().save)) return;
    const left = describeLost(lost);
    if (left) {
      tell(`${fileName} is open; ${left} could not be read and was left out.`, { tone: "warning" });
      return;
    }
    tell(
      outcome.cleaned
        ? `${fileName} is open. Signs that cannot be seen were taken out of its names.`
        : `${fileName} is open.`,
    );
  }

  /** Takes a design into the library under an id of its own and opens it. */
  async adopt(design: Design): Promise<void> {
    await this.flush();
    const taken = this.#listTaken();
    const id = taken.includes(design.id) ? createDesignId(design.name, taken) : design.id;
    const own = { ...design, id };
    // kept first and shown then: what is seen is safe, however soon the tab is closed
    const outcome = await this.#write(own, null);
    this.#show(own, null, outcome?.ok ? outcome.revision : null);
    if (!outcome) {
      if (this.#db === null) workbench.setState({ save: "away" });
      return;
    }
    if (outcome.ok) {
      await this.#rememberLast(id);
      this.#note(own);
      this.#tabs?.tell({ kind: "saved", id });
    } else this.#tellNotSaved(outcome.reason);
  }

  // Ids that are in use, in the bin, or held unkept.
  #listTaken(): string[] {
    const { library, bin } = workbench.getState();
    return [...library, ...bin].map(({ id }) => id).concat(this.#held.ids());
  }

  // Where to begin next time; a store that cannot keep even this has been told of already.
  async #rememberLast(id: string): Promise<void> {
    try {
      if (this.#db) await withinTime(this.#db.put("settings", id, "last"), ANSWER_MS);
    } catch {
      // the design itself is what matters
    }
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
    const outcome = await renameDesign(this.#db, id, name, { over: null, by: this.#by, now: this.#world.now() });
    if (outcome?.ok) this.#tabs?.tell({ kind: "saved", id });
    else tell("That design could not be renamed: it is no longer here, or damaged.", { tone: "warning" });
    this.#held.forget(id);
    await this.#refresh();
  }

  /** Puts a design into the bin, where it waits for 30 days. */
  async remove(id: string): Promise<void> {
    if (!this.#db) return;
    await this.flush();
    const name = await removeDesign(this.#db, id, this.#world.now());
    if (name === null) return;
    this.#tabs?.tell({ kind: "deleted", id });
    await this.#refresh();
    if (workbench.getState().history?.design.id === id) {
      workbench.setState({ save: "saved" });
      const next = workbench.getState().library.find((entry) => entry.fault === null);
      if (next) await this.open(next.id);
      else await this.openSample("kranich");
    }
    tell(`${name} is in the bin.`, {
      action: {
        label: "Undo",
        run: () => {
          dismissNotice();
          void this.putBack(id);
        },
      },
    });
  }

  /** Takes a design out of the bin and opens it. */
  async putBack(id: string): Promise<void> {
    if (!this.#db) return;
    if (!(await restoreDesign(this.#db, id))) tell("That design is no longer in the bin.", { tone: "warning" });
    this.#tabs?.tell({ kind: "restored", id });
    await this.#refresh();
    await this.open(id);
  }

  /** Takes a design out of the bin for good. */
  async destroy(id: string): Promise<void> {
    if (!this.#db) return;
    await destroyDesign(this.#db, id);
    await this.#refresh();
  }

  /** Hands the open design out as a file. */
  download(): void {
    const design = findCommitted(workbench.getState());
    if (design) handDesign(this.#world, design);
  }

  /** Saves now what is not saved yet. */
  async flush(): Promise<void> {
    if (this.#timer.isWaiting) {
      this.#timer.stop();
      this.#queueSave();
    }
    await this.#saving;
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
    const name = `${design.name} (this tab)`.slice(0, 80);
    const copy = { ...design, id: createDesignId(name, this.#listTaken()), name };
    // the copy is kept before the other one is let go
    workbench.setState({ save: "saved" });
    await this.adopt(copy);
    this.#held.forget(design.id);
  }

  #queueSave(): void {
    this.#saving = this.#saving.then(async () => {
      const { save } = workbench.getState();
      const design = findCommitted(workbench.getState());
      if (design && save !== "conflict" && save !== "deleted" && save !== "saved") await this.#save(design);
    });
  }

  async #save(design: Design): Promise<void> {
    workbench.setState({ save: this.#db ? "saving" : "away" });
    const outcome = await this.#write(design, this.#revision);
    const committed = findCommitted(workbench.getState());
    if (committed?.id !== design.id) return;
    if (!outcome) {
      if (this.#db) this.#tellNotSaved("failed");
      return;
    }
    if (!outcome.ok) {
      this.#tellNotSaved(outcome.reason);
      return;
    }
    this.#failures = 0;
    this.#revision = outcome.revision;
    workbench.setState({ save: committed === design ? "saved" : "unsaved" });
    if (committed !== design) this.#timer.start();
    this.#tabs?.tell({ kind: "saved", id: design.id });
    this.#note(design);
    this.#askToPersist();
    if (outcome.wasGone)
      tell("The browser had lost this design from its store; it is kept there again.", { tone: "warning" });
  }

  // A store that fails, is silent or away is an outcome, never a promise that rejects or hangs.
  async #write(design: Design, over: number | null): Promise<SaveOutcome | null> {
    if (!this.#db) return null;
    const saving = { over, by: this.#by, now: this.#world.now() };
    const outcome = await withinTime(saveDesign(this.#db, design, saving), ANSWER_MS);
    if (outcome === SILENT) return { ok: false, reason: "failed" };
    if (outcome.ok && this.#world.slip && findCommitted(workbench.getState()) === design) this.#world.slip.clear();
    return outcome;
  }

  #askToPersist(): void {
    if (this.#hasAskedToPersist) return;
    this.#hasAskedToPersist = true;
    this.#world.persist?.();
  }

  #tellNotSaved(reason: Exclude<SaveOutcome, { ok: true }>["reason"]): void {
    const isFirst = workbench.getState().notice === null || this.#failures === 0;
    workbench.setState({ save: reason });
    if (reason === "conflict" || reason === "deleted") {
      tellTaken(reason, () => void this.settleConflict("mine"));
      return;
    }
    this.#failures += 1;
    this.#tryAgain();
    if (!isFirst) return;
    tellNotKept(reason, () => this.download());
  }

  #tryAgain(): void {
    if (this.#retry) clearTimeout(this.#retry);
    const waitMs = RETRIES_MS[Math.min(this.#failures, RETRIES_MS.length) - 1] ?? RETRIES_MS[0];
    this.#retry = setTimeout(() => void this.#retryNow(), waitMs);
  }

  async #retryNow(): Promise<void> {
    if (this.#isStopped) return;
    if (!this.#db) {
      try {
        const db = await withinTime(
          this.#world.open((event) => void this.#hear(event)),
          ANSWER_MS,
        );
        if (db !== SILENT) this.#db = db;
      } catch {
        // tried again below
      }
    }
    await this.#saveHeld();
    const { save } = workbench.getState();
    if (save !== "full" && save !== "failed" && save !== "away") return;
    this.#queueSave();
    await this.#saving;
    if (workbench.getState().save !== "saved") return;
    dismissNotice();
    tell("It could be kept now.");
  }

  // Work that could not be kept when another design was opened.
  async #saveHeld(): Promise<void> {
    for (const { history, revision } of this.#held.listRefused()) {
      const outcome = await this.#write(history.design, revision);
      if (!outcome?.ok) continue;
      this.#held.settle(history.design.id, outcome.revision);
      this.#note(history.design);
    }
  }

  async #hearOtherTab({ kind, id }: TabNews): Promise<void> {
    await this.#refresh();
    this.#held.forget(id);
    const before = workbench.getState();
    if (before.history?.design.id !== id) return;
    if (kind === "deleted") {
      tell("Another tab has put this design into the bin. It is still open here.", {
        tone: "warning",
        action: { label: "Put it back", run: () => void this.putBack(id) },
      });
      return;
    }
    // a clean tab follows the other one; a tab with unsaved work finds out when it saves
    if (before.save !== "saved" || before.dragBase || !this.#db) return;
    const outcome = await openDesign(this.#db, id).catch(() => null);
    const { history, save, dragBase } = workbench.getState();
    // an edit that was made while it was read goes before it
    if (!outcome?.ok || history !== before.history || save !== "saved" || dragBase) return;
    if (outcome.revision === this.#revision || !canEvaluate(outcome.design)) return;
    this.#revision = outcome.revision;
    loadDesign(outcome.design, "saved");
    tell("Another tab changed this design; it is shown here as it is now.");
  }

  async #hear(event: DatabaseEvent): Promise<void> {
    if (event === "blocking") {
      // what is not kept yet goes in before the store is let go
      await this.flush();
      this.#db?.close();
      this.#db = null;
      tell("A newer Schleuse is open in another tab. Reload this one to go on saving.", { tone: "warning" });
    } else if (event === "blocked") {
      tell("Close the other tabs of Schleuse, so that this one can open its store.", { tone: "warning" });
    } else {
      this.#db = null;
      tell("The browser has closed the store. It is opened again; save to a file to be sure.", { tone: "warning" });
      this.#failures = Math.max(1, this.#failures);
      this.#tryAgain();
    }
  }

  // One entry, put first, without reading all the others.
  #note(design: Design): void {
    const { library } = workbench.getState();
    const entry: LibraryEntry = { id: design.id, name: design.name, savedAt: this.#world.now(), fault: null };
    workbench.setState({ library: [entry, ...library.filter(({ id }) => id !== design.id)] });
    this.#world.held?.write(workbench.getState().library.length);
  }

  // A list that cannot be read is told of; what is open is saved all the same.
  async #refresh(): Promise<void> {
    if (!this.#db) return;
    try {
      const listed = await withinTime(listDesigns(this.#db), ANSWER_MS);
      if (listed !== SILENT) workbench.setState({ library: listed.entries, bin: listed.bin });
    } catch {
      tell("The list of designs could not be read. What is open is saved all the same.", { tone: "warning" });
    }
  }

  // Work that was on its way into the store when the page went away; true when it is open now.
  async #recoverSlip(): Promise<boolean> {
    const { slip } = this.#world;
    if (!slip) return false;
    const left = readSlip(slip);
    slip.clear();
    if (!left || !canEvaluate(left.design)) return false;
    const { design, over } = left;
    const lying = this.#db ? await openDesign(this.#db, design.id).catch(() => null) : null;
    if (lying?.ok && JSON.stringify(lying.design) === JSON.stringify(design)) return false;
    if (lying?.ok && lying.revision !== over) {
      const name = `${design.name} (recovered)`.slice(0, 80);
      await this.adopt({ ...design, id: createDesignId(name, this.#listTaken()), name });
      tell("What was not saved when the page was closed is here as a copy.");
      return true;
    }
    const outcome = await this.#write(design, over);
    this.#show(design, null, outcome?.ok ? outcome.revision : over);
    await this.#rememberLast(design.id);
    if (outcome?.ok) this.#note(design);
    else this.#tellNotSaved(outcome?.reason ?? "failed");
    return true;
  }

  async #readLast(): Promise<unknown> {
    try {
      const last = this.#db ? await withinTime(this.#db.get("settings", "last"), ANSWER_MS) : undefined;
      return last === SILENT ? undefined : last;
    } catch {
      return undefined;
    }
  }
}

export const openBrowserStore: SessionWorld["open"] = (onEvent) => openDatabase(onEvent);
