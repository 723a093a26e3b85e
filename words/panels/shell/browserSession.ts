import type { Shown } from "../../shown";

export const couldNotBeRead = (cleanName: Shown) => `${cleanName} could not be read.`;
