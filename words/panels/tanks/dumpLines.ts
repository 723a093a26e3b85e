import type { Shown } from "../../shown";

export const dumpLine = "Dump line";
export const aHoseLeadsOnFrom = "a hose leads on from it: station Loop.";
export const onABoatItIs =
  "on a boat it is led on by a hose, to a pump, a deck fitting or a skin fitting: station Loop.";
export const theWaterIsLetGo = "the water is let go right there, under the rig.";
export const layALineToThe = "Lay a line to the side";
export const name = "Name";
export const ends = "Ends";
export const atItsOwnCoupling = "At its own coupling";
export const inByAWye = (name: Shown) => `In ${name}, by a wye`;
export const outsideDiameter = "Outside diameter";
export const valveAtItsEnd = "Valve at its end";
export const boreOfThatValve = "Bore of that valve";
export const take = "Take";
export const out = "out";
export const bore = "Bore";
export const ownCoupling = "own coupling";
export const end = "End";
export const point = (number: number) => `Point ${number}`;
