export const laggedUnderTheFloor = "Lagged under the floor";
export const itBuysHours =
  "Foam tube round it, as thick as this; 0 for bare pipe. It buys hours on a cold night, and takes its room beside what is near. Holes stay as wide as the pipe: the foam ends at the floor.";
