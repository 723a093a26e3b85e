import type { Shown } from "../../shown";

export const moreThanNothingPleaseWatch = "More than nothing, please: watch it run into the bucket.";
export const bucketAndWatch = "Bucket and watch";
export const tapAt = "Tap at";
export const ranIntoTheBucket = "Ran into the bucket";
export const inIt = "in";
export const keepIt = "Keep it";
export const forget = (at: Shown, on: Shown) => `Forget ${at}, ${on}`;
export const minutesTimesThisIsWhat = "Minutes times this is what a shower takes.";
