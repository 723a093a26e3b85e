export const howToBegin = "How to begin";
export const isASampleRigPull =
  "is a sample rig. Pull a point to see what the water does, or begin your own with a tape.";
export const newDesign = "New design";
export const otherSamples = "Other samples";
export const doNotSayThisAgain = "Do not say this again";
