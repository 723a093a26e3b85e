import { PUMP_OUT_LPS, type PumpOut } from "@/core/air/pumpOut";
import { formatQuantity, type Units } from "./units";

/** What is done to a tank that sucks on its air. */
export const DRAWING = { dump: "Dumping", pumpOut: "Pumping out" } as const;

/** What a pump-out station does to the air of a tank, in a sentence. */
export function describePumpOut({ suctionPa, sealAfterMm }: PumpOut, units: Units): string {
  const flow = formatQuantity(PUMP_OUT_LPS, "flow", units);
  const seal = sealAfterMm === null ? "" : ` and the trap keeps ${formatQuantity(sealAfterMm, "length", units)}`;
  return `Pumped out through the deck at ${flow} it is under ${formatQuantity(suctionPa, "pressure", units)} of suction${seal}.`;
}
