import type { PumpDraw } from "@/core/air/pumpOut";
import { formatQuantity, type Units } from "./units";

/** What is done to a tank that sucks on its air. */
export const DRAWING = { dump: "Dumping", pumpOut: "Pumping out" } as const;

/** What a pump-out station or its own pumps do to the air of a tank, in a sentence. */
export function describeDraw({ pumps, flowLps, suctionPa, sealAfterMm }: PumpDraw, units: Units): string {
  const flow = formatQuantity(flowLps, "flow", units);
  const suction = `${formatQuantity(suctionPa, "pressure", units)} of suction`;
  const seal = sealAfterMm === null ? "" : ` and the trap keeps ${formatQuantity(sealAfterMm, "length", units)}`;
  return pumps.length === 0
    ? `Pumped out through the deck at ${flow} it is under ${suction}${seal}.`
    : `Up to ${flow} drawn by ${pumps.map(({ name }) => name).join(", ")} put it under ${suction}${seal}.`;
}
