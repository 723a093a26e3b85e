import type { Shown } from "../../shown";

export const couldNotBeLoaded = (name: Shown) => `${name} could not be loaded.`;
export const cannotBeShownForThis = (name: Shown) => `${name} cannot be shown for this design.`;
export const theNetworkOrTheServer =
  "The network or the server is gone, or a newer version is there. Your work is kept.";
export const nothingOfYourWorkIs = "Nothing of your work is lost. Take the last step back, or go on elsewhere.";
export const tryAgain = "Try again";
export const undoTheLastStep = "Undo the last step";
export const saveToAFile = "Save to a file";
export const reload = "Reload";
