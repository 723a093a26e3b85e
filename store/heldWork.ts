import { isUnkept } from "./committed";
import type { History } from "./history";
import type { SaveState } from "./state";

/** A design that was open: its way back, the revision it lies over, and how it stands against the store. */
export type Work = { readonly history: History; readonly revision: number | null; readonly save: SaveState };

/** Designs whose way back is held while another is open. */
const MOST_HELD = 8;

/** Work that is not shown: the last few designs with their way back, and every one that could not be kept. */
export class HeldWork {
  readonly #held = new Map<string, Work>();

  get(id: string): Work | undefined {
    return this.#held.get(id);
  }

  /** Holds a design; of those that are kept the oldest give way. */
  hold(work: Work): void {
    this.#held.set(work.history.design.id, work);
    for (const [id, { save }] of this.#held) {
      if (this.#held.size <= MOST_HELD) break;
      if (!isUnkept(save)) this.#held.delete(id);
    }
  }

  /** What could not be kept was kept now. */
  settle(id: string, revision: number): void {
    const work = this.#held.get(id);
    if (work) this.#held.set(id, { ...work, revision, save: "saved" });
  }

  forget(id: string): void {
    this.#held.delete(id);
  }

  ids(): string[] {
    return [...this.#held.keys()];
  }

  hasUnkept(): boolean {
    return [...this.#held.values()].some(({ save }) => isUnkept(save));
  }

  /** What the store would not take: it is full, fails or is away. */
  listRefused(): Work[] {
    return [...this.#held.values()].filter(({ save }) => save === "full" || save === "failed" || save === "away");
  }
}
