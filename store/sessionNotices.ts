import type { Design } from "@/core/design/design";
import type { Fault } from "@/core/design/faults";
import * as WORDS from "@/words/notices/sessionNotices";
import type { DatabaseEvent } from "./database";
import { explainRefusal } from "./refusals";
import type { SessionWorld } from "./sessionWorld";
import { dismissNotice, tell, workbench } from "./workbench";

// What a session has to tell a builder, each with what to do.

/** A design of the library that cannot be opened. */
export async function tellDamaged(fault: Fault, save: () => void): Promise<void> {
  const word = fault.code === "newerVersion" ? WORDS.newerThanThisPage : WORDS.damaged;
  tell(WORDS.thisDesignIsAndWas(word, await explainRefusal(fault, "metric")), {
    tone: "warning",
    action: { label: WORDS.saveItsText, run: save },
  });
}

/** Another tab was quicker: it changed the design, or put it into the bin. */
export function tellTaken(how: "conflict" | "deleted", keepMine: () => void): void {
  const text = how === "conflict" ? WORDS.anotherTabHasChangedThis : WORDS.anotherTabHasPutThis;
  tell(text, { tone: "warning", action: { label: WORDS.keepMineAsACopy, run: keepMine } });
}

/** The store would not take it. */
export function tellNotKept(reason: "full" | "failed", save: () => void): void {
  const why = reason === "full" ? WORDS.theBrowsersStoreIsFull : WORDS.theBrowserCouldNotSave;
  tell(WORDS.yourWorkIsStillOpen(why), {
    tone: "warning",
    action: { label: WORDS.saveToAFile, run: save },
  });
}

/** A store that held designs and is empty now was cleared by the browser; how many it holds is noted for the next time. */
export function tellIfCleared(held: SessionWorld["held"], hasStore: boolean): void {
  const { library, bin } = workbench.getState();
  const count = held?.read() ?? 0;
  if (hasStore && library.length === 0 && bin.length === 0 && count > 0) {
    tell(WORDS.theBrowserHasClearedIts(count), { tone: "warning" });
  }
  held?.write(library.length);
}

/** There is no store, or none that answers. */
export function tellNothingKept(why: "silent" | "refused"): void {
  const text = why === "silent" ? WORDS.theBrowsersStoreDoesNot : WORDS.thisBrowserLetsNothingBe;
  tell(text, { tone: "warning" });
}

/** A design went into the bin, with its way out again. */
export const tellBinned = (name: string, putBack: () => void): void =>
  tell(WORDS.isInTheBin(name), {
    action: {
      label: WORDS.undo,
      run: () => {
        dismissNotice();
        putBack();
      },
    },
  });

/** Another tab put the open design into the bin. */
export const tellBinnedElsewhere = (putBack: () => void): void =>
  tell(WORDS.anotherTabHasPutThis, {
    tone: "warning",
    action: { label: WORDS.putItBack, run: putBack },
  });

const STORE_EVENTS: Readonly<Record<DatabaseEvent, string>> = {
  blocking: WORDS.aNewerSchleuseIsOpen,
  blocked: WORDS.closeTheOtherTabsOf,
  terminated: WORDS.theBrowserHasClosedThe,
};

/** Something happened to the store that is not of this tab's doing. */
export const tellStoreEvent = (event: DatabaseEvent): void => tell(STORE_EVENTS[event], { tone: "warning" });

/** A design that this page cannot work out stays shut; it can be saved as it is. */
export function tellUnworkable(design: Design, save: () => void): void {
  tell(WORDS.cannotBeWorkedOutBy(design.name), {
    tone: "warning",
    action: { label: WORDS.saveItToAFile, run: save },
  });
}

/** A sample that is asked for and is not to be had. */
export const tellNoSample = (): void => tell(WORDS.thatSampleCouldNotBe, { tone: "warning" });
