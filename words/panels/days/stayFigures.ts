export const daysShouldHold = "Days should hold";
export const workedOutTankByTank =
  "Worked out tank by tank, as the rig stands, from empty tanks and full fresh water. A waste tank counts as if the fresh water never ran out. What is caught in the pipes and what evaporates is not counted.";
