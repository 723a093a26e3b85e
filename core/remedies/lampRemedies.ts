import type { Design } from "../design/design";
import type { PartRef } from "../design/part";
import type { Remedy } from "./remedy";
import { proposeSpec } from "./specRemedies";

/** A lamp with so much more UV-C that the dose is reached; it takes more current by as much. */
export function proposeStrongerLamp(design: Design, at: PartRef, times: number): Remedy[] {
  return proposeSpec(design, at, "uvLamp", "useLamp", ({ uvcWatts, watts }) =>
    Number.isFinite(times) ? { uvcWatts: Math.ceil(uvcWatts * times * 2) / 2, watts: Math.ceil(watts * times) } : null,
  );
}

/** How clear the water is left to a usual figure until somebody has measured it. */
export const proposeUsualClarity = (design: Design, at: PartRef): Remedy[] =>
  proposeSpec(design, at, "uvLamp", "usualClarity", () => ({ transmittance: null }));
