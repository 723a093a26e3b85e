"use client";
import dynamic from "next/dynamic";
import { useWorkbench } from "@/store/useWorkbench";
import { STATION_NAMES } from "@/words/labels";
import { FallsMeasures } from "./falls/FallsMeasures";

// The station a design opens at comes with the page, the others when they are asked for.
const PANELS = {
  rig: dynamic(() => import("./rig/RigMeasures").then((module) => module.RigMeasures), { ssr: false }),
  days: dynamic(() => import("./days/DaysMeasures").then((module) => module.DaysMeasures), { ssr: false }),
  tanks: dynamic(() => import("./tanks/TanksMeasures").then((module) => module.TanksMeasures), { ssr: false }),
  falls: FallsMeasures,
  air: dynamic(() => import("./air/AirMeasures").then((module) => module.AirMeasures), { ssr: false }),
} as const;

/** The measures of the station that is open. */
export function MeasuresPanel() {
  const station = useWorkbench((state) => state.station);
  const hasDesign = useWorkbench((state) => state.history !== null);
  if (!hasDesign) return null;
  const Panel = PANELS[station];
  return (
    <section aria-label={`Measures: ${STATION_NAMES[station].name}`}>
      <Panel key={station} />
    </section>
  );
}
