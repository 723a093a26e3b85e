import type { Shown } from "../../shown";

export const take = "Take";
export const away = "away";
export const addAPiece = "Add a piece";
export const pieceOfGear = "Piece of gear";
export const aShowerThatUsesIts = "A shower that uses its water again";
export const thereIsNoShowerYet = "There is no shower yet. Add a shower tray at the station Falls, then come back.";
export const shower = "Shower";
export const freshWaterComes = "Fresh water comes";
export const gearStandsIn = "Gear stands in";
export const besideTheShower = "Beside the shower";
export const layingOutTheLoop = "Laying out the loop";
export const layOutTheLoop = "Lay out the loop";
export const whatItComesTo = "What it comes to";
export const giveItAWorkingState =
  "Give it a working state in which a pump is on and a shower head open: then flow, dose and water quality are worked out.";
export const takesMostOfThePressure = (name: Shown) => `${name} takes most of the pressure`;
export const freshWaterSuchAShower = "Fresh water such a shower would take";
export const lostOfTheLoopMade = "Lost of the loop, made up with fresh";
export const toKeepItWarm = "To keep it warm";
export const toWarmAsMuchFresh = "To warm as much fresh water";
export const pumpAndLampAShower = "Pump and lamp, a shower";
export const dissolvedWhenItIsChanged = "Dissolved when it is changed";
export const pumpAtHalfTheFlow = "Pump at half the flow";
export const pieces = "Pieces";
export const onAndOff = (onS: string, offS: string) => `${onS} s on, ${offS} s off`;
