import type { GearKind } from "@/core/design/gear";

/** What to look out for when a piece of a kind is mounted, beside its screws. Common practice, no source. */
export const MOUNT_CAUTIONS: Partial<Readonly<Record<GearKind, string>>> = {
  heater:
    "Gas, diesel and mains current are for the licensed. Fill it, and let its air out at a warm tap, before it is switched on.",
  relief:
    "Nothing that shuts between it and the heater. Its drip pipe ends outside, open, where hot water hurts nobody.",
  mixer:
    "Hot and cold the right way round. Set it with a thermometer at the tap: 45\u00a0°C, 113\u00a0°F, or less, lower for children.",
  accumulator: "Pump its air up before any water stands in it: a little under where the pump cuts in.",
  uvLamp: "Never look at it lit. Plug out before its sleeve comes off.",
};
