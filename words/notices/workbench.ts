import type { Shown } from "../shown";

export const thatCouldNotBeWorked =
  "That could not be worked out, and nothing was changed. Save the design to a file and tell us of it.";
export const whatNeedsCouldNotBe = (name: Shown) =>
  `What ${name} needs could not be fetched. Connect to the network and try again.`;
