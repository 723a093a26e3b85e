import type { Design } from "@/core/design/design";
import type { Fault } from "@/core/design/faults";
import * as WORDS from "@/words/notices/shelf";
import type { Database } from "./database";
import { ANSWER_MS } from "./keeper";
import { findFault, type LibraryEntry, listDesigns } from "./library";
import type { SessionWorld } from "./sessionWorld";
import { SILENT, withinTime } from "./withinTime";
import { tell, workbench } from "./workbench";

/**
 * The list of designs on the workbench, kept in step with the store. Names and dates come at once; each record is read
 * through once in its turn, so that a shelf full of designs does not hold up the one that is opened.
 */
export class Shelf {
  readonly #held: SessionWorld["held"];
  // what was found of a record as it was saved then
  readonly #looked = new Map<string, Fault | null>();
  #looking: Promise<void> = Promise.resolve();

  constructor(held: SessionWorld["held"]) {
    this.#held = held;
  }

  /** Reads the list anew; one that cannot be read is told of, and what is open is saved all the same. */
  async refresh(db: Database | null): Promise<void> {
    if (!db) return;
    try {
      const listed = await withinTime(listDesigns(db), ANSWER_MS);
      if (listed === SILENT) return;
      workbench.setState({ library: listed.entries.map((entry) => this.#withFault(entry)), bin: listed.bin });
      this.#looking = this.#looking.then(() => this.#lookThrough(db)).catch(() => undefined);
    } catch {
      tell(WORDS.theListOfDesignsCould, { tone: "warning" });
    }
  }

  /** Until every record that is listed was read through. */
  async settled(): Promise<void> {
    await this.#looking;
  }

  /** A design that was just saved: put first, without reading all the others. */
  note(design: Design, now: number): void {
    const { library } = workbench.getState();
    const entry: LibraryEntry = { id: design.id, name: design.name, savedAt: now, fault: null };
    this.#looked.set(toKey(entry), null);
    workbench.setState({ library: [entry, ...library.filter(({ id }) => id !== design.id)] });
    this.#held?.write(workbench.getState().library.length);
  }

  /** Ids that are in use or in the bin. */
  listTaken(): string[] {
    const { library, bin } = workbench.getState();
    return [...library, ...bin].map(({ id }) => id);
  }

  #withFault(entry: LibraryEntry): LibraryEntry {
    return { ...entry, fault: this.#looked.get(toKey(entry)) ?? null };
  }

  // One record after the other, each a task of its own.
  async #lookThrough(db: Database): Promise<void> {
    for (const entry of workbench.getState().library) {
      const key = toKey(entry);
      if (this.#looked.has(key)) continue;
      this.#looked.set(key, await findFault(db, entry.id));
      if (this.#looked.get(key) === null) continue;
      workbench.setState({ library: workbench.getState().library.map((one) => this.#withFault(one)) });
    }
  }
}

const toKey = ({ id, savedAt }: LibraryEntry): string => `${savedAt} ${id}`;
