import type { Shown } from "../../shown";

export const wayOfLiving = "Way of living";
export const addAWayOfLiving = "Add a way of living";
export const lived = "Lived";
export const take = "Take";
export const out = "out";
export const uses = "Uses";
export const addAUse = "Add a use";
export const nothingIsCountedYet = ": nothing is counted yet";
export const countTheUsualFor = (name: Shown) => `Count the usual for ${name}`;
export const countTheUsual = "Count the usual";
export const noUsesYetAddWhat = "No uses yet: add what you do with water, and the days are worked out.";
