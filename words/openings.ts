import type { Design } from "@/core/design/design";
import type { Opening } from "@/core/tanks/openings";
import { PORT_NAMES } from "./labels";

/** An opening of a tank by the name a builder knows it by; inlets by the drain that comes to them. */
export function describeOpening({ id, by }: Opening, design: Design): string {
  if (by === "fixture") return design.fixtures.find((fixture) => fixture.id === id)?.name ?? id;
  if (by === "vent") return PORT_NAMES.vent;
  const drain = design.lines.find((line) => line.kind === "drain" && line.to.kind === "inlet" && line.to.portId === id);
  return drain ? `${PORT_NAMES.inlet} of ${drain.name}` : PORT_NAMES.inlet;
}
