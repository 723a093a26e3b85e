"use client";
import dynamic from "next/dynamic";
import type { ComponentType } from "react";
import type { Station } from "@/store/state";
import { useWorkbench } from "@/store/useWorkbench";
import { STATION_NAMES } from "@/words/labels";
import * as WORDS from "@/words/panels/stations/panel";
import { FallsMeasures } from "./falls/FallsMeasures";

// The station a design opens at comes with the page, the others when they are asked for.
const PANELS: Readonly<Record<Station, ComponentType>> = {
  rig: dynamic(() => import("./rig/RigMeasures").then((module) => module.RigMeasures), { ssr: false }),
  days: dynamic(() => import("./days/DaysMeasures").then((module) => module.DaysMeasures), { ssr: false }),
  tanks: dynamic(() => import("./tanks/TanksMeasures").then((module) => module.TanksMeasures), { ssr: false }),
  falls: FallsMeasures,
  through: dynamic(() => import("./through/ThroughMeasures").then((module) => module.ThroughMeasures), { ssr: false }),
  build: dynamic(() => import("./build/BuildMeasures").then((module) => module.BuildMeasures), { ssr: false }),
  trials: dynamic(() => import("./trials/TrialsMeasures").then((module) => module.TrialsMeasures), { ssr: false }),
  road: dynamic(() => import("./road/RoadMeasures").then((module) => module.RoadMeasures), { ssr: false }),
  heads: dynamic(() => import("./heads/HeadsMeasures").then((module) => module.HeadsMeasures), { ssr: false }),
  loop: dynamic(() => import("./loop/LoopMeasures").then((module) => module.LoopMeasures), { ssr: false }),
  air: dynamic(() => import("./air/AirMeasures").then((module) => module.AirMeasures), { ssr: false }),
};

/** What the stage of the open station cannot hold: its measures and lists. */
export function Panel() {
  const station = useWorkbench((state) => state.station);
  const hasDesign = useWorkbench((state) => state.history !== null);
  if (!hasDesign) return null;
  const Measures = PANELS[station];
  return (
    <section aria-label={WORDS.measures(STATION_NAMES[station].name)}>
      <Measures key={station} />
    </section>
  );
}
