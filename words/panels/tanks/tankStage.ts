import type { Shown } from "../../shown";

export const alongTheRig = "Along the rig";
export const acrossTheRig = "Across the rig";
export const theTank = "The tank";
export const noTankYetHangOne = (side: Shown) =>
  `No tank yet. Hang one ${side}; the largest that fits the free space can be looked for there too.`;
export const tankShown = "Tank shown";
export const standingLevel = "Standing level";
export const standing = (attitude: Shown) => `Standing ${attitude}`;
export const itTakes = "it takes";
export const fullAsItStands = "Full as it stands";
export const ofItLiesTooLow = "of it lies too low to be drawn";
export const staysBehindWhenItIs = "stays behind when it is dumped";
export const inSection = (name: Shown, sideNames: Shown) => `${name} in section, ${sideNames}`;
export const moveInTheTank = (tank: Shown) => `Move ${tank} in the tank`;
export const staysBehind = "Stays behind";
export const full = (fullL: Shown) => `full ${fullL}`;
export const ofOverTheLowestPoint = (portNames: Shown, name: Shown, overMm: Shown, which: Shown) =>
  `${portNames} of ${name}: ${overMm} over the lowest point${which}`;
export const gauge = (shownL: Shown) => `Gauge ${shownL}`;
export const trueIt = (litres: Shown) => `true ${litres}`;
export const wetFrom = (volume: string) => `, wet from ${volume}`;
