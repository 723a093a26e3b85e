import type { Fault } from "@/core/design/faults";
import { describeFault } from "@/words/faults";
import type { DatabaseEvent } from "./database";
import type { SessionWorld } from "./sessionWorld";
import { dismissNotice, tell, workbench } from "./workbench";

// What a session has to tell a builder, each with what to do.

/** A design of the library that cannot be opened. */
export function tellDamaged(fault: Fault, save: () => void): void {
  const word = fault.code === "newerVersion" ? "newer than this page" : "damaged";
  tell(`This design is ${word} and was not opened. ${describeFault(fault)}`, {
    tone: "warning",
    action: { label: "Save its text", run: save },
  });
}

/** Another tab was quicker: it changed the design, or put it into the bin. */
export function tellTaken(how: "conflict" | "deleted", keepMine: () => void): void {
  const text =
    how === "conflict"
      ? "Another tab has changed this design. Nothing of either is lost."
      : "Another tab has put this design into the bin. It is still open here.";
  tell(text, { tone: "warning", action: { label: "Keep mine as a copy", run: keepMine } });
}

/** The store would not take it. */
export function tellNotKept(reason: "full" | "failed", save: () => void): void {
  const why = reason === "full" ? "The browser's store is full" : "The browser could not save";
  tell(`${why}. Your work is still open here and is tried again; save it to a file to be sure.`, {
    tone: "warning",
    action: { label: "Save to a file", run: save },
  });
}

/** A store that held designs and is empty now was cleared by the browser; how many it holds is noted for the next time. */
export function tellIfCleared(held: SessionWorld["held"], hasStore: boolean): void {
  const { library, bin } = workbench.getState();
  const count = held?.read() ?? 0;
  if (hasStore && library.length === 0 && bin.length === 0 && count > 0) {
    const what = count === 1 ? "a design" : `${count} designs`;
    tell(
      `The browser has cleared its store: ${what} that it kept for you ${count === 1 ? "is" : "are"} gone. Open them from the files you saved.`,
      { tone: "warning" },
    );
  }
  held?.write(library.length);
}

/** There is no store, or none that answers. */
export function tellNothingKept(why: "silent" | "refused"): void {
  const text =
    why === "silent"
      ? "The browser's store does not answer. Work on; what you do is kept as soon as it does."
      : "This browser lets nothing be kept. Work on, and save to a file before you close the tab.";
  tell(text, { tone: "warning" });
}

/** A design went into the bin, with its way out again. */
export const tellBinned = (name: string, putBack: () => void): void =>
  tell(`${name} is in the bin.`, {
    action: {
      label: "Undo",
      run: () => {
        dismissNotice();
        putBack();
      },
    },
  });

/** Another tab put the open design into the bin. */
export const tellBinnedElsewhere = (putBack: () => void): void =>
  tell("Another tab has put this design into the bin. It is still open here.", {
    tone: "warning",
    action: { label: "Put it back", run: putBack },
  });

const STORE_EVENTS: Readonly<Record<DatabaseEvent, string>> = {
  blocking: "A newer Schleuse is open in another tab. Reload this one to go on saving.",
  blocked: "Close the other tabs of Schleuse, so that this one can open its store.",
  terminated: "The browser has closed the store. It is opened again; save to a file to be sure.",
};

/** Something happened to the store that is not of this tab's doing. */
export const tellStoreEvent = (event: DatabaseEvent): void => tell(STORE_EVENTS[event], { tone: "warning" });
