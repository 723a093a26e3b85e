/** Schools of leading a breather to the open air. */
export const VENT_WAY_NAMES = {
  wall: "Up the wall",
  roof: "Through the roof",
  underFloor: "Low under the floor",
} as const;
