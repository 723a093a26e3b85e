"use client";
import { useTrailing } from "@/store/useWorkbench";
import { STATION_NAMES } from "@/words/labels";
import { AirMeasures } from "./AirMeasures";
import { FallsMeasures } from "./FallsMeasures";
import { HabitsMeasures } from "./HabitsMeasures";
import { RigMeasures } from "./RigMeasures";
import { TanksMeasures } from "./TanksMeasures";

const PANELS = {
  rig: RigMeasures,
  habits: HabitsMeasures,
  tanks: TanksMeasures,
  falls: FallsMeasures,
  air: AirMeasures,
} as const;

/** The measures of the station that is open. */
export function MeasuresPanel() {
  const station = useTrailing((state) => state.station);
  const hasDesign = useTrailing((state) => state.history !== null);
  if (!hasDesign) return null;
  const Panel = PANELS[station];
  return (
    <section aria-label={`Measures: ${STATION_NAMES[station].name}`}>
      <Panel key={station} />
    </section>
  );
}
