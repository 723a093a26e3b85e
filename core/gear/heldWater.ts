import type { Gear } from "../design/gear";
import { MM3_PER_L } from "../quantity/convert";

/** Water fills about so much of a housing's outside [T]. */
const HOLLOW_SHARE = 0.5;

/** What a piece of gear holds that frost would split, L; null for what holds next to nothing or runs empty by itself [T]. */
export function measureHeldL({ spec, sizeMm }: Gear): number | null {
  switch (spec.kind) {
    case "accumulator":
    case "heater":
      return spec.litres;
    case "filter":
    case "uvLamp":
    case "strainer":
    case "sump":
      return (sizeMm.x * sizeMm.y * sizeMm.z * HOLLOW_SHARE) / MM3_PER_L;
    case "pump":
    case "bowl":
      return 0.2;
    default:
      return null;
  }
}
