import type { Shown } from "../../shown";

export const unrolledStandingAsYouDump = (name: Shown) => `${name} unrolled, standing as you dump`;
export const heights = "heights";
export const timesLarger = "times larger";
