import type { Design } from "../design/design";
import type { Good } from "./goods";

export type ToolKind =
  | "pilotBit"
  | "deburrer"
  | "level"
  | "pipeSaw"
  | "torqueWrench"
  | "rivetNutTool"
  | "crimper"
  | "screwdriver";

/** The tools a rig's lines, tanks and gear are built with, each once; saws stand with their holes. Source: practice [T]. */
export function listTools(design: Design): Good[] {
  const has = (kind: "drain" | "hose") => design.lines.some((line) => line.kind === kind);
  const tools: ToolKind[] = [
    ...(has("drain") ? (["pipeSaw", "deburrer", "level", "pilotBit"] as const) : []),
    ...(has("hose") ? (["screwdriver"] as const) : []),
    ...(design.tanks.some(({ fixing }) => fixing) ? (["torqueWrench"] as const) : []),
    ...(design.tanks.some(({ fixing }) => fixing?.fastener === "rivetNut") ? (["rivetNutTool"] as const) : []),
    ...(design.gear.some(({ spec }) => spec.kind === "pump") ? (["crimper"] as const) : []),
  ];
  return tools.map((tool) => ({
    ware: { kind: "tool", tool },
    amount: 1,
    assembly: { kind: "rig" },
    counter: "tools",
  }));
}
