import { tilt, workbench } from "@/store/workbench";
import { findShownResult } from "../drawing/shown";

/** Stands the rig where it is parked the worst for the drain shown. */
export function tiltToWorst(): void {
  const worst = findShownResult(workbench.getState())?.worst.attitude;
  if (worst) tilt(worst);
}
