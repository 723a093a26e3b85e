export const compare = "Compare";
export const theOpenDesignBesideAnother = "The open design beside another one. Duplicate a design to try a variant.";
export const thereIsNoOtherDesign =
  "There is no other design yet. Duplicate this one, change the copy, then come back here.";
export const duplicate = (name: string) => `Duplicate ${name}`;
export const beside = "beside";
export const theOtherDesign = "The other design";
export const openItInstead = "Open it instead";
export const thatDesignCannotBeRead = "That design cannot be read just now. Try again, or pick another one.";
