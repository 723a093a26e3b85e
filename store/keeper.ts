import type { Design } from "@/core/design/design";
import * as WORDS from "@/words/notices/keeper";
import { findCommitted, isUnkept } from "./committed";
import type { Database } from "./database";
import { HeldWork } from "./heldWork";
import { type SaveOutcome, saveDesign } from "./library";
import { SaveTimer } from "./saveTimer";
import { tellNotKept, tellTaken } from "./sessionNotices";
import type { SessionWorld } from "./sessionWorld";
import { SILENT, withinTime } from "./withinTime";
import { dismissNotice, tell, workbench } from "./workbench";

/** A store that has not answered by then is taken not to, ms. */
export const ANSWER_MS = 6_000;
/** What could not be kept is tried again after so long, ms; the last of them again and again. */
const RETRIES_MS = [2_000, 5_000, 15_000, 60_000] as const;

/** What the keeper asks of the session around it. */
export type KeeperCalls = {
  /** A design lies in the store as it was handed over. */
  readonly onKept: (design: Design) => void;
  readonly reopen: () => Promise<Database>;
  readonly download: () => void;
  readonly keepMine: () => void;
};

let tabs = 0;

/** Puts what is committed into the browser's store, and tries again until it is kept. */
export class Keeper {
  /** The store, while there is one. */
  db: Database | null = null;
  /** Over which revision the open design lies. */
  revision: number | null = null;
  readonly held = new HeldWork();
  /** Unlike any other tab's, so that a tab knows its own saves. */
  readonly by: string;
  readonly #world: SessionWorld;
  readonly #calls: KeeperCalls;
  readonly #timer: SaveTimer;
  #retry: ReturnType<typeof setTimeout> | null = null;
  #failures = 0;
  #saving: Promise<void> = Promise.resolve();
  #isStopped = false;
  #hasAskedToPersist = false;

  constructor(world: SessionWorld, calls: KeeperCalls) {
    this.#world = world;
    this.#calls = calls;
    this.#timer = new SaveTimer(world.now, () => this.queueSave());
    tabs += 1;
    this.by = `${world.now().toString(36)}-${tabs}-${Math.random().toString(36).slice(2, 8)}`;
  }

  /** Something was changed: it is kept soon. */
  startWaiting(): void {
    this.#timer.start();
  }

  /** Keeps now what waits, and lets go of the store. */
  async stop(): Promise<void> {
    this.#isStopped = true;
    if (this.#retry) clearTimeout(this.#retry);
    await this.flush();
    this.db?.close();
    this.db = null;
  }

  get isStopped(): boolean {
    return this.#isStopped;
  }

  /** Saves now what is not saved yet. */
  async flush(): Promise<void> {
    if (this.#timer.isWaiting) {
      this.#timer.stop();
      this.queueSave();
    }
    await this.#saving;
  }

  queueSave(): void {
    this.#saving = this.#saving.then(async () => {
      const { save } = workbench.getState();
      const design = findCommitted(workbench.getState());
      if (design && save !== "conflict" && save !== "deleted" && save !== "saved") await this.#save(design);
    });
  }

  async #save(design: Design): Promise<void> {
    workbench.setState({ save: this.db ? "saving" : "away" });
    const outcome = await this.write(design, this.revision);
    const committed = findCommitted(workbench.getState());
    if (committed?.id !== design.id) return;
    if (!outcome) {
      if (this.db) this.tellNotSaved("failed");
      return;
    }
    if (!outcome.ok) {
      this.tellNotSaved(outcome.reason);
      return;
    }
    this.#failures = 0;
    this.revision = outcome.revision;
    workbench.setState({ save: committed === design ? "saved" : "unsaved" });
    if (committed !== design) this.#timer.start();
    this.#calls.onKept(design);
    this.#askToPersist();
    if (outcome.wasGone) tell(WORDS.theBrowserHadLostThis, { tone: "warning" });
  }

  /** Writes a design over a revision; a store that fails, is silent or away is an outcome, never a rejection or a hang. */
  async write(design: Design, over: number | null): Promise<SaveOutcome | null> {
    if (!this.db) return null;
    const saving = { over, by: this.by, now: this.#world.now() };
    const outcome = await withinTime(saveDesign(this.db, design, saving), ANSWER_MS);
    if (outcome === SILENT) return { ok: false, reason: "failed" };
    if (outcome.ok && this.#world.slip && findCommitted(workbench.getState()) === design) this.#world.slip.clear();
    return outcome;
  }

  #askToPersist(): void {
    if (this.#hasAskedToPersist) return;
    this.#hasAskedToPersist = true;
    this.#world.persist?.();
  }

  tellNotSaved(reason: Exclude<SaveOutcome, { ok: true }>["reason"]): void {
    const isFirst = workbench.getState().notice === null || this.#failures === 0;
    workbench.setState({ save: reason });
    if (reason === "conflict" || reason === "deleted") {
      tellTaken(reason, this.#calls.keepMine);
      return;
    }
    this.#failures += 1;
    this.tryAgain();
    if (isFirst) tellNotKept(reason, this.#calls.download);
  }

  /** The store went away: it is asked for again, and what waits is kept then. */
  lose(): void {
    this.db = null;
    this.#failures = Math.max(1, this.#failures);
    this.tryAgain();
  }

  tryAgain(): void {
    if (this.#retry) clearTimeout(this.#retry);
    const waitMs = RETRIES_MS[Math.min(this.#failures, RETRIES_MS.length) - 1] ?? RETRIES_MS[0];
    this.#retry = setTimeout(() => void this.#retryNow(), waitMs);
  }

  async #retryNow(): Promise<void> {
    if (this.#isStopped) return;
    if (!this.db) {
      try {
        const db = await withinTime(this.#calls.reopen(), ANSWER_MS);
        if (db !== SILENT) this.db = db;
      } catch {
        // tried again below
      }
    }
    await this.#saveHeld();
    const { save } = workbench.getState();
    if (save !== "full" && save !== "failed" && save !== "away") return;
    this.queueSave();
    await this.#saving;
    if (workbench.getState().save !== "saved") return;
    dismissNotice();
    tell(WORDS.itCouldBeKeptNow);
  }

  // Work that could not be kept when another design was opened.
  async #saveHeld(): Promise<void> {
    for (const { history, revision } of this.held.listRefused()) {
      const outcome = await this.write(history.design, revision);
      if (!outcome?.ok) continue;
      this.held.settle(history.design.id, outcome.revision);
      this.#calls.onKept(history.design);
    }
  }

  /** False while leaving the page would lose work that could not be kept. */
  canLeave(): boolean {
    return !isUnkept(workbench.getState().save) && !this.held.hasUnkept();
  }
}
