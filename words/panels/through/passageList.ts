import type { Shown } from "../../shown";

export const andForTheFittings = (length: Shown, fittings: Shown) => `${length}, and ${fittings} for the fittings`;
export const holesToDrill = (count: Shown) => `Holes to drill, ${count}`;
export const sole = "Sole";
export const floor = "Floor";
export const leg = ", leg";
export const onTheOtherFace = "(on the other face";
export const aHoleOf = ": a hole of";
export const byTheirTemplate = (names: Shown) =>
  `Not among them, for each is cut by the template it comes with: ${names}.`;
export const lookForStruts =
  "How thick it is and what is in it isn't known: look for struts and wires first. Pilot first, then half from each side.";
export const underTheOutlet =
  "Right under the outlet, for the trap's tailpiece: look what is under the floor there first. Pilot first, then half from each side.";
export const downOutward = "Slope it down outward.";
export const bedTheCowl = "Bed the cowl.";
export const holeInTheFloor = "Hole in the floor";
export const holeInTheWall = "Hole in the wall";
export const by = (lengthMm: Shown, widthMm: Shown) => `${lengthMm} by ${widthMm}`;
export const drilledAlreadyRound = "Drilled already, round";
export const inAll = (count: number) => `${count} in all`;
