export const daysShouldHold = "Days should hold";
export const workedOutTankByTank =
  "Worked out tank by tank, as the rig stands, from empty tanks and full fresh water. A waste tank counts as if the fresh water never ran out. What is caught in the pipes and what evaporates is not counted.";
/** What ends a store: its fresh water is gone, or it is full. */
export const ends = (name: string, isFresh: boolean) => `${name} ${isFresh ? "gone" : "full"}`;
