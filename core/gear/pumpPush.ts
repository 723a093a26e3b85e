import type { SpecOf } from "../design/gear";

/** What a pump brings up with every tap shut, kPa: until its switch stops it, or all it has. Source: its own sheet. */
export const readPushKPa = ({ cutOutKPa, shutOffKPa }: SpecOf<"pump">): number =>
  Math.min(cutOutKPa ?? shutOffKPa, shutOffKPa);
