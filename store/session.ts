import type { Design } from "@/core/design/design";
import { parseDesignText } from "@/core/design/parseDesign";
import { stripPlumbing, toBareId } from "@/core/design/stripPlumbing";
import { describeFault } from "@/words/faults";
import { type Database, type DatabaseEvent, openDatabase } from "./database";
import {
  createDesignId,
  listDesigns,
  openDesign,
  removeDesign,
  restoreDesign,
  type SaveOutcome,
  saveDesign,
} from "./library";
import { dismissNotice, loadDesign, tell, workbench } from "./workbench";

/** Typing and dragging settle before a save. */
const SAVE_AFTER_MS = 400;
const CHANNEL = "schleuse-saved";

/** What the session needs of the world; tests hand in their own. */
export type SessionWorld = {
  readonly open: (onEvent: (event: DatabaseEvent) => void) => Promise<Database>;
  readonly now: () => number;
  readonly readSample: (name: string) => Promise<string>;
  readonly download: (name: string, text: string) => void;
};

export const SAMPLES = ["kranich", "lesesaal", "lesesaal-furnished", "puppenwagen", "otter"] as const;

/**
 * Keeps the workbench and the browser's store together: opens the last design, saves after every edit, notices
 * other tabs, and tells the builder whenever something could not be kept.
 */
export class Session {
  #db: Database | null = null;
  #revision: number | null = null;
  #timer: ReturnType<typeof setTimeout> | null = null;
  #saving: Promise<void> = Promise.resolve();
  #channel: BroadcastChannel | null = null;
  #unsubscribe: () => void = () => undefined;
  readonly #world: SessionWorld;

  constructor(world: SessionWorld) {
    this.#world = world;
  }

  /** Opens the store and the design last worked on, or the first sample; without a store the work goes on unsaved. */
  async start(): Promise<void> {
    try {
      this.#db = await this.#world.open((event) => this.#hear(event));
    } catch {
      tell("This browser lets nothing be kept. Work on, and save to a file before you close the tab.", {
        tone: "warning",
      });
    }
    this.#channel = typeof BroadcastChannel === "undefined" ? null : new BroadcastChannel(CHANNEL);
    if (this.#channel) this.#channel.onmessage = (message) => void this.#hearOtherTab(message.data as string);
    this.#unsubscribe = workbench.subscribe((state, before) => {
      if (state.save === "unsaved" && state.history !== before.history) this.#saveSoon();
    });
    await this.#refresh();
    const last = await this.#readLast();
    const sound = workbench.getState().library.filter((entry) => entry.fault === null);
    const first = sound.find((entry) => entry.id === last) ?? sound[0];
    if (first) await this.open(first.id);
    else await this.openSample("kranich");
  }

  /** Saves what is open and lets go of the store, the other tabs and the workbench. */
  async stop(): Promise<void> {
    await this.flush();
    this.#unsubscribe();
    this.#channel?.close();
    this.#db?.close();
    this.#db = null;
  }

  /** Opens a design of the library; a damaged one is told of and the open design stays. */
  async open(id: string): Promise<void> {
    if (!this.#db) return;
    await this.flush();
    const outcome = await openDesign(this.#db, id);
    if (outcome.ok) {
      this.#revision = outcome.revision;
      await this.#rememberLast(id);
      loadDesign(outcome.design);
      return;
    }
    if (outcome.reason === "gone") tell("That design is no longer here.", { tone: "warning" });
    else {
      tell(`This design is damaged and was not opened. ${describeFault(outcome.fault)}`, {
        tone: "warning",
        action: {
          label: "Save its text",
          run: () => this.#world.download(`${id}-damaged.json`, JSON.stringify(outcome.document, null, 2)),
        },
      });
    }
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
    const outcome = parseDesignText(await this.#world.readSample(name));
    if (outcome.ok) await this.adopt(isBare ? stripPlumbing(outcome.design) : outcome.design);
  }

  /** Reads a file's text; refused with a sentence, and the open design is not touched. */
  async openText(text: string, fileName: string): Promise<void> {
    const outcome = parseDesignText(text);
    if (!outcome.ok) {
      const more = outcome.faults.length > 1 ? ` (and ${outcome.faults.length - 1} more)` : "";
      const { units } = workbench.getState();
      tell(`${fileName} was not opened. ${describeFault(outcome.faults[0]!, units)}${more}`, { tone: "warning" });
      return;
    }
    await this.adopt(outcome.design);
    tell(`${fileName} is open.`);
  }

  /** Takes a design into the library under an id of its own and opens it. */
  async adopt(design: Design): Promise<void> {
    await this.flush();
    const taken = workbench.getState().library.map((entry) => entry.id);
    const id = taken.includes(design.id) ? createDesignId(design.name, taken) : design.id;
    const own = { ...design, id };
    // kept first and shown then: what is seen is safe, however soon the tab is closed
    const outcome = this.#db ? await saveDesign(this.#db, own, null, this.#world.now()) : null;
    this.#revision = outcome?.ok ? outcome.revision : null;
    await this.#rememberLast(id);
    loadDesign(own);
    if (outcome?.ok) this.#channel?.postMessage(id);
    else if (outcome) this.#tellNotSaved(outcome.reason);
    await this.#refresh();
  }

  // Where to begin next time; a store that cannot keep even this has been told of already.
  async #rememberLast(id: string): Promise<void> {
    try {
      await this.#db?.put("settings", id, "last");
    } catch {
      return;
    }
  }

  async duplicate(id: string): Promise<void> {
    if (!this.#db) return;
    await this.flush();
    const outcome = await openDesign(this.#db, id);
    if (!outcome.ok) return;
    const name = `${outcome.design.name} copy`.slice(0, 80);
    const taken = workbench.getState().library.map((entry) => entry.id);
    await this.adopt({ ...outcome.design, id: createDesignId(name, taken), name });
  }

  /** Takes a design away; it can be put back until the next thing is told. */
  async remove(id: string): Promise<void> {
    if (!this.#db) return;
    await this.flush();
    const record = await removeDesign(this.#db, id);
    if (!record) return;
    await this.#refresh();
    if (workbench.getState().history?.design.id === id) {
      const next = workbench.getState().library.find((entry) => entry.fault === null);
      if (next) await this.open(next.id);
      else await this.openSample("kranich");
    }
    tell(`${record.name} is deleted.`, {
      action: {
        label: "Undo",
        run: () => {
          dismissNotice();
          void this.#putBack(record);
        },
      },
    });
  }

  async #putBack(record: Parameters<typeof restoreDesign>[1]): Promise<void> {
    if (!this.#db) return;
    await restoreDesign(this.#db, record);
    await this.#refresh();
    await this.open(record.id);
  }

  /** Hands the open design out as a file. */
  download(): void {
    const design = workbench.getState().history?.design;
    if (design) this.#world.download(`${design.id}.schleuse.json`, `${JSON.stringify(design, null, 2)}\n`);
  }

  /** Saves now what is not saved yet. */
  async flush(): Promise<void> {
    if (this.#timer) {
      clearTimeout(this.#timer);
      this.#timer = null;
      this.#queueSave();
    }
    await this.#saving;
  }

  /** After a conflict: take what the other tab saved, or keep this one as a copy of its own. */
  async settleConflict(keep: "theirs" | "mine"): Promise<void> {
    const design = workbench.getState().history?.design;
    if (!design || !this.#db) return;
    dismissNotice();
    workbench.setState({ save: "saved" });
    if (keep === "theirs") return this.open(design.id);
    const name = `${design.name} (this tab)`.slice(0, 80);
    const taken = workbench.getState().library.map((entry) => entry.id);
    await this.adopt({ ...design, id: createDesignId(name, taken), name });
  }

  #saveSoon(): void {
    if (this.#timer) clearTimeout(this.#timer);
    this.#timer = setTimeout(() => {
      this.#timer = null;
      this.#queueSave();
    }, SAVE_AFTER_MS);
  }

  #queueSave(): void {
    this.#saving = this.#saving.then(async () => {
      const { history, save } = workbench.getState();
      if (history && save !== "conflict") await this.#save(history.design);
    });
  }

  async #save(design: Design): Promise<void> {
    if (!this.#db) return;
    workbench.setState({ save: "saving" });
    const outcome = await saveDesign(this.#db, design, this.#revision, this.#world.now());
    const isCurrent = workbench.getState().history?.design === design;
    if (outcome.ok) {
      this.#revision = outcome.revision;
      workbench.setState({ save: isCurrent ? "saved" : "unsaved" });
      this.#channel?.postMessage(design.id);
      await this.#refresh();
    } else this.#tellNotSaved(outcome.reason);
  }

  #tellNotSaved(reason: Exclude<SaveOutcome, { ok: true }>["reason"]): void {
    workbench.setState({ save: reason });
    if (reason === "conflict") {
      tell("Another tab has changed this design. Nothing of either is lost.", {
        tone: "warning",
        action: { label: "Keep mine as a copy", run: () => void this.settleConflict("mine") },
      });
      return;
    }
    const why = reason === "full" ? "The browser's store is full" : "The browser could not save";
    tell(`${why}. Your work is still open here: save it to a file.`, {
      tone: "warning",
      action: { label: "Save to a file", run: () => this.download() },
    });
  }

  // A clean tab follows the other one; a tab with unsaved work finds out when it saves.
  async #hearOtherTab(id: string): Promise<void> {
    await this.#refresh();
    const { history, save, dragBase } = workbench.getState();
    if (history?.design.id !== id || save !== "saved" || dragBase) return;
    await this.open(id);
    tell("Another tab changed this design; it is shown here as it is now.");
  }

  #hear(event: DatabaseEvent): void {
    if (event === "blocking") {
      this.#db?.close();
      this.#db = null;
      tell("A newer Schleuse is open in another tab. Reload this one to go on saving.", { tone: "warning" });
    } else if (event === "blocked") {
      tell("Close the other tabs of Schleuse, so that this one can open its store.", { tone: "warning" });
    } else {
      this.#db = null;
      tell("The browser has closed the store. Save to a file, then reload.", { tone: "warning" });
    }
  }

  async #refresh(): Promise<void> {
    if (this.#db) workbench.setState({ library: await listDesigns(this.#db) });
  }

  async #readLast(): Promise<unknown> {
    return this.#db ? this.#db.get("settings", "last") : undefined;
  }
}

export const openBrowserStore: SessionWorld["open"] = (onEvent) => openDatabase(onEvent);
