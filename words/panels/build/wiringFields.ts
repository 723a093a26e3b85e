import type { Shown } from "../../shown";

export const wiringOfTheWaterSide = "Wiring of the water side";
export const battery = "Battery";
export const fuseBoxFromTheRear = "Fuse box, from the rear edge";
export const fuseBoxLeftOfThe = "Fuse box, left of the middle";
export const fuseBoxOverTheFloor = "Fuse box, over the floor";
export const mayBeLostOnThe = "May be lost on the way";
export const cablesAndFuses = "Cables and fuses";
export const forIt = "for";
export const current = "current";
export const cable = "cable";
export const fuse = "fuse";
export const ofIt = (what: Shown) => `${what}, `;
export const waterproofConnectors = ", waterproof connectors";
export const relay = ", relay";
export const tooThin = "too thin";
export const twoCoresCopperWarmIn =
  "Two cores, copper warm in a bundle; fuse at the box, within a hand of the battery side. What the maker says of cable and pump goes first. Mains current is for the licensed.";
