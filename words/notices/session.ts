import type { Shown } from "../shown";

export const thatDesignIsNoLonger = "That design is no longer here.";
export const theBrowsersStoreDoesNot = "The browser's store does not answer. Your open work stays here; try again.";
export const thatDesignCouldNotBe = "That design could not be renamed: it is no longer here, or damaged.";
export const thatDesignIsNoLonger2 = "That design is no longer in the bin.";
export const anotherTabChangedThisDesign = "Another tab changed this design; it is shown here as it is now.";
export const whatWasNotSavedWhen = "What was not saved when the page was closed is here as a copy.";
export const ofThisTab = (name: Shown) => `${name} (this tab)`;
