export const stateOfProof = "State of proof";
export const waterwayOfTheTrials = "Waterway of the trials";
export const breathersAreTriedWithThe =
  "Breathers are tried with the dump of their tank. What was taken apart since wants its trial again.";
