import type { WaterEdge, WaterFigure, WaterNode } from "@/core/waterway/buildWaterway";
import { formatLength, formatQuantity, type Units } from "./units";

/** What a node of the Waterway is called. */
export function nameWaterNode({ kind, name }: WaterNode): string {
  switch (kind) {
    case "source":
      return "Fresh water carried";
    case "openAir":
      return "Open air";
    case "ground":
      return "Ground";
    case "dump":
      return "Dump";
    default:
      return name;
  }
}

/** A figure of the Waterway in a few letters. */
export function describeWaterFigure({ value, quantity, what }: WaterFigure, units: Units): string {
  switch (what) {
    case "inHand":
      return value < 0 ? `${formatLength(-value, units)} short` : `${formatLength(value, units)} in hand`;
    case "suction":
      return `sucks ${formatQuantity(value, quantity, units)}`;
    case "leftBehind":
      return `${formatQuantity(value, quantity, units)} stays`;
    case "holds":
      return formatQuantity(value, quantity, units);
    default:
      return formatQuantity(value, quantity, units);
  }
}

/** A line of the Waterway as it is read out. */
export const describeWaterEdge = (edge: WaterEdge, names: ReadonlyMap<string, string>, units: Units): string =>
  [
    `${names.get(edge.from) ?? edge.from} to ${names.get(edge.to) ?? edge.to}`,
    ...(edge.trapMm === null ? [] : [`trap ${formatLength(edge.trapMm, units)}`]),
    ...(edge.figure ? [describeWaterFigure(edge.figure, units)] : []),
  ].join(", ");
