import type { Shown } from "../../shown";

export const journey = "Journey";
export const addStopsAtTheRight = (side: Shown) => `Add stops ${side}, or read them from a file.`;
export const stopsAndPlan = "Stops and plan";
export const noStopsYetWithThe =
  "No stops yet. With the days of each stop and what is there, it is worked out where to dump and fill so that no tank runs over and the fresh water lasts.";
export const printAsACard = "Print as a card";
export const plannedOn = (day: string) => `Planned on ${day}.`;
export const onArrivingAt = "on arriving at";
export const onLeaving = "on leaving";
export const itIsClosed = "It is closed";
export const waterOfTheLoop = "Water of the loop";
export const daysOfTheJourney = "Days of the journey";
export const n2DaysMore = "2 days more";
export const openAgain = "Open again";
export const tryItWithInventedStops = "Try it with invented stops";
