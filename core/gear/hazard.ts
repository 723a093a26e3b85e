import type { HeldWater } from "../design/plumbing";
import type { Failure } from "./settings";

export type HazardKind =
  /** Grey, black, loop or sea water comes into fresh water or to a tap one drinks or washes at. */
  | "fouls"
  /** Sea comes into a tank or out at a tap by itself. */
  | "floods"
  /** A hose comes off, and a tank or the tap outside runs onto the floor. */
  | "spills"
  /** A tank runs out of an opening that nobody opened, or that was forgotten. */
  | "runsOut"
  /** Black water goes overboard where nothing may. */
  | "discharges"
  /** A tap outside or a pump from the sea goes on filling a tank: it runs over, or shut, it bursts. */
  | "overfills"
  /** A pump that is on has no water to draw. */
  | "runsDry"
  /** A pump that is on has nowhere to pump to, and nothing cuts it out. */
  | "deadHead";

export type Hazard = {
  readonly kind: HazardKind;
  readonly stateId: string;
  readonly failure: Failure | null;
  /** What comes, for what fouls or floods. */
  readonly water: HeldWater | "sea" | null;
  /** Where it begins and ends: nodes of the graph; of a pump its own ports. */
  readonly from: string;
  readonly to: string;
  /** The links it goes along, in their order: ids of hoses and gear. */
  readonly way: readonly string[];
  /** Gear it is about: the pump, the tap; null for a tank. */
  readonly gearId: string | null;
  readonly tankId: string | null;
  /** A pump pushes it; otherwise it runs by itself. */
  readonly isDriven: boolean;
  /** It begins at a port high up: only what a full tank holds over it comes. */
  readonly needsFull?: true;
  /** It stood under pressure in this accumulator, pressed into it in this working state; no pump runs now. */
  readonly stored?: { readonly gearId: string; readonly stateId: string };
};
