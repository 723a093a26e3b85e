import type { Shown } from "../../shown";

export const lack = (ceil: Shown) => `${ceil} lack`;
