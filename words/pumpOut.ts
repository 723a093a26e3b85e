import type { PumpDraw } from "@/core/air/pumpOut";
import { formatQuantity, type Units } from "./units";

/** What is done to a tank that sucks on its air. */
export const DRAWING = { dump: "Dumping", pumpOut: "Pumping out" } as const;

/** What a pump-out station or its own pumps do to the air of a tank, in a sentence. */
export function describeDraw({ pumps, flowLps, suctionPa, sealAfterMm }: PumpDraw, units: Units): string {
  const by = pumps.length === 0 ? "through the deck" : `by ${pumps.map(({ name }) => name).join(", ")}`;
  const seal = sealAfterMm === null ? "" : ` and the trap keeps ${formatQuantity(sealAfterMm, "length", units)}`;
  return `Pumped out ${by} at ${formatQuantity(flowLps, "flow", units)} it is under ${formatQuantity(suctionPa, "pressure", units)} of suction${seal}.`;
}
