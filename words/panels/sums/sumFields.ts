import type { Shown } from "../../shown";

export const none = "none";
export const wanted = (name: Shown) => `Wanted ${name}`;
export const aloneWouldHaveToBe = "alone would have to be";
export const noValueDoes = "no value does";
export const tryIt = "Try it";
