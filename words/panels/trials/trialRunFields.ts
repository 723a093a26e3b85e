export const thatCouldNotBeKept = "That could not be kept in this browser.";
export const runATrial = "Run a trial";
export const trial = "Trial";
export const photographOfIt = "Photograph of it";
export const signedBy = "Signed by";
export const trialsThatWereRun = "Trials that were run";
export const signed = "Signed";
