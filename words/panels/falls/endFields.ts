export const endsIn = "Ends in";
export const whereItEnds = "Where it ends";
export const orPullItsEndIn =
  "Or pull its end in the section or in plan. Whether waste water may run on the ground is for the local rules and the owner of the land; never where people walk, wash or draw water.";
export const joinsByA = "Joins by a";
