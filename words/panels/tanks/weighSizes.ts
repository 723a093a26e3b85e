import type { Shown } from "../../shown";

export const theTankHasItsNew = "The tank has its new length.";
export const weighingUpTheSize = "Weighing up the size";
export const capacityToWeighUp = "Capacity to weigh up";
export const moreWouldCost = "more would cost";
export const and = "and";
export const ofLength = "of length";
export const andGive = (greyDays: Shown) => `, and give ${greyDays}`;
export const atThisLength = (title: Shown) => `but then ${title}`;
export const but = (why: string) => (why === "" ? "" : `; ${why}`);
export const useThisLength = "Use this length";
export const cancel = "Cancel";
export const greyLastsFresh = (greyDays: Shown, freshDays: Shown) => `, grey lasts ${greyDays}, fresh ${freshDays}`;
export const ofRoomLack = (lacksMm: Shown) => `${lacksMm} of room lack`;
export const weightFull = "Weight, full";
export const daysAndWeightFromTo = (capacityL: Shown, capacityL2: Shown) =>
  `Days and weight from ${capacityL} to ${capacityL2}`;
export const greyLasts = "Grey lasts";
export const freshLasts = "Fresh lasts";
export const dashedItsWeightWhenFull = "Dashed: its weight when full.";
export const blueGreyLastsLighterFresh = "Blue: grey lasts. Lighter: fresh lasts. Dashed: its weight when full.";
export const undo = "Undo";
export const itFits = "it fits";
export const tooLong = "too long";
export const oneSize = ({
  volume,
  length,
  weight,
  days,
  fits,
}: Readonly<Record<"volume" | "length" | "weight" | "days" | "fits", string>>) =>
  `${volume}, ${length} long: ${weight} full${days}; ${fits}.`;
