import type { Shown } from "../../shown";

export const showTheWorking = (label: Shown) => `${label}: show the working`;
