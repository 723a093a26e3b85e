export const withATankAndWithout = "With a tank and without";
export const whatACanisterOrThe = "What a canister or the ground would spare";
export const noDrainEndsInA = "No drain ends in a grey tank here.";
export const greyWater = "grey water";
export const stayEndsAfter = "stay ends after";
export const carriedAwayADay = "carried away a day";
export const onTheGroundADay = "on the ground a day";
export const weightFull = "weight, full";
export const hangsBelowTheFloor = "hangs below the floor";
export const aCanisterHolds = "A canister holds";
export const hereAndIsChangedBefore = "here and is changed before it is full; forgotten, it runs over.";
export const lettingGreyWaterRunOn =
  "Letting grey water run on the ground is forbidden in many places even where others do it";
export const askOnTheSpotChange = ": ask on the spot. Change an end at Falls.";
export const never = "never";
