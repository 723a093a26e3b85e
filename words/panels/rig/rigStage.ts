import type { Shown } from "../../shown";

export const theBoatFromTheSide = "The boat from the side";
export const theRigFromTheSide = "The rig from the side";
export const fromTheSideToThe = (name: Shown, front: Shown) => `${name} from the side, ${front} to the right`;
export const pullTheWaterlineTheFront = "Pull the waterline, the front edge and what is in her.";
export const putInTheAxlesAt = (side: Shown) =>
  `Put in the axles ${side}: without them no ridge or ramp is worked out.`;
export const nothingHangsUnderTheFloor = "Nothing hangs under the floor yet that a ridge or a ramp could touch.";
export const underThe = (which: Shown, groundZMm: Shown, which2: Shown) => `${which} ${groundZMm} under the ${which2}`;
export const tanksFullDeeper = (sinkMm: Shown) => `Tanks full, in fresh water: ${sinkMm} deeper`;
export const moveFromTheSide = (which: Shown) => `Move ${which} from the side`;
export const ground = "Ground";
export const bow = "bow";
export const nose = "nose";
export const keel = "Keel";
export const sole = "sole";
export const floor = "floor";
