"use client";
import type { PlanTool } from "@/store/state";
import { DrawTool } from "./DrawTool";
import { MeasureTool } from "./MeasureTool";
import type { PlanToolProps } from "./planToolProps";

/** The tool that lies over the plan. */
export function PlanTools({ tool, ...props }: PlanToolProps & { readonly tool: PlanTool }) {
  return tool === "draw" ? <DrawTool {...props} /> : <MeasureTool {...props} />;
}
