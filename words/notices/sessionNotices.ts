import type { Shown } from "../shown";

export const thisDesignIsAndWas = (word: Shown, fault: Shown) => `This design is ${word} and was not opened. ${fault}`;
export const saveItsText = "Save its text";
export const anotherTabHasChangedThis = "Another tab has changed this design. Nothing of either is lost.";
export const anotherTabHasPutThis = "Another tab has put this design into the bin. It is still open here.";
export const keepMineAsACopy = "Keep mine as a copy";
export const theBrowsersStoreIsFull = "The browser's store is full";
export const theBrowserCouldNotSave = "The browser could not save";
export const yourWorkIsStillOpen = (why: Shown) =>
  `${why}. Your work is still open here and is tried again; save it to a file to be sure.`;
export const saveToAFile = "Save to a file";
export const theBrowserHasClearedIts = (count: number) =>
  count === 1
    ? "The browser has cleared its store: a design that it kept for you is gone. Open it from the file you saved."
    : `The browser has cleared its store: ${count} designs that it kept for you are gone. Open them from the files you saved.`;
export const theBrowsersStoreDoesNot =
  "The browser's store does not answer. Work on; what you do is kept as soon as it does.";
export const thisBrowserLetsNothingBe =
  "This browser lets nothing be kept. Work on, and save to a file before you close the tab.";
export const isInTheBin = (name: Shown) => `${name} is in the bin.`;
export const putItBack = "Put it back";
export const aNewerSchleuseIsOpen = "A newer Schleuse is open in another tab. Reload this one to go on saving.";
export const closeTheOtherTabsOf = "Close the other tabs of Schleuse, so that this one can open its store.";
export const theBrowserHasClosedThe =
  "The browser has closed the store. It is opened again; save to a file to be sure.";
export const cannotBeWorkedOutBy = (name: Shown) =>
  `${name} cannot be worked out by this page and was not opened. Nothing of it is lost.`;
export const saveItToAFile = "Save it to a file";
export const newerThanThisPage = "newer than this page";
export const damaged = "damaged";
export const undo = "Undo";
export const thatSampleCouldNotBe =
  "That sample could not be fetched. Check the link that named it, connect to the network once, or open a file.";
