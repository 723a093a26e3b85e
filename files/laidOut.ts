import type { WaterEdge, WaterNode } from "@/core/waterway/buildWaterway";

// A diagram as it lies on its sheet, px.

export type Placed<T> = T & { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
export type Led = WaterEdge & {
  readonly points: readonly (readonly [number, number])[];
  readonly labelAt: readonly [number, number] | null;
};
export type LaidOut = {
  readonly nodes: readonly Placed<WaterNode>[];
  readonly edges: readonly Led[];
  readonly width: number;
  readonly height: number;
};
