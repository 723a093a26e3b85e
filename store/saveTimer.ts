/** Typing and dragging settle before a save; work that goes on is saved all the same after the longest wait. */
const SAVE_AFTER_MS = 400;
const LONGEST_WAIT_MS = 1_000;

/** Waits until a hand rests, and not for ever. */
export class SaveTimer {
  #timer: ReturnType<typeof setTimeout> | null = null;
  #waitingSince: number | null = null;
  readonly #now: () => number;
  readonly #save: () => void;

  constructor(now: () => number, save: () => void) {
    this.#now = now;
    this.#save = save;
  }

  get isWaiting(): boolean {
    return this.#timer !== null;
  }

  /** Something was changed: it is saved soon. */
  start(): void {
    const now = this.#now();
    this.#waitingSince ??= now;
    if (this.#timer) clearTimeout(this.#timer);
    const waitMs = Math.min(SAVE_AFTER_MS, Math.max(0, LONGEST_WAIT_MS - (now - this.#waitingSince)));
    this.#timer = setTimeout(() => {
      this.stop();
      this.#save();
    }, waitMs);
  }

  stop(): void {
    if (this.#timer) clearTimeout(this.#timer);
    this.#timer = null;
    this.#waitingSince = null;
  }
}
