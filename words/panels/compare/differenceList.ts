import type { Shown } from "../../shown";

export const thatIsNotPossibleHere = "That is not possible here.";
export const copyWhatItBelongsTo = (text: Shown) => `${text} Copy what it belongs to first, then this again.`;
export const isCopiedHere = (name: Shown) => `${name} is copied here.`;
export const whereTheyDiffer = "Where they differ";
export const nowhereRigPartsGearHabits =
  "Nowhere: rig, parts, gear, habits and rules are the same. Names and notes of the designs are not compared.";
export const copyItHere = "Copy it here";
export const undo = "Undo";
