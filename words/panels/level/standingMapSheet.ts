import type { Shown } from "../../shown";

export const whereTheRigMayPark = "Where the rig may park";
export const eachPointIsAWay =
  "Each point is a way of standing. The bubble floats to the high side; pull it, and the rig tilts.";
export const whatTheGroundSays = "What the ground says";
export const fallInHandAsIt = "Fall in hand, as it stands";
export const short = (inHandMm: Shown) => `${inHandMm} short`;
export const inHand = (inHandMm: Shown) => `${inHandMm} in hand`;
export const usableLitresAsItStands = "Usable litres, as it stands";
export const usable = "usable";
export const leftSideHigh = "left side high";
export const tailHigh = "tail high";
export const noseHigh = "nose high";
