"use client";
import type { Design } from "@/core/design/design";
import type { PlanTool } from "@/store/state";
import type { View } from "../drawing/view";
import { DrawTool } from "./DrawTool";
import { MeasureTool } from "./MeasureTool";

export type PlanToolProps = {
  readonly design: Design;
  readonly view: View;
  readonly isTurned: boolean;
  /** Millimetres on the rig to a pixel of the screen. */
  readonly mmPerPx: number;
};

/** The tool that lies over the plan. */
export function PlanTools({ tool, ...props }: PlanToolProps & { readonly tool: PlanTool }) {
  return tool === "draw" ? <DrawTool {...props} /> : <MeasureTool {...props} />;
}
