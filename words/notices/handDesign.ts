export const theDesignIsSavedTo =
  "The design is saved to a file. What was built and the logbook could not be read and are not in it.";
