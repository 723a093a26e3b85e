import type { Design } from "@/core/design/design";
import type { View } from "../drawing/view";

export type PlanToolProps = {
  readonly design: Design;
  readonly view: View;
  readonly isTurned: boolean;
  /** Millimetres on the rig to a pixel of the screen. */
  readonly mmPerPx: number;
};
