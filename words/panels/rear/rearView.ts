import type { Shown } from "../../shown";

export const fromBehind = (name: Shown) => `${name} from behind`;
export const moveFromBehind = (name: Shown) => `Move ${name} from behind`;
export const moveFromBehind2 = (part: Shown) => `Move ${part} from behind`;
export const moveTheOutletOfFrom = (name: Shown) => `Move the outlet of ${name} from behind`;
