"use client";
import dynamic from "next/dynamic";
import type { ComponentType } from "react";
import type { Station } from "@/store/state";
import { RegionContext, useWorkbench } from "@/store/useWorkbench";
import { STATION_NAMES } from "@/words/labels";
import { Boundary } from "../shell/Boundary";
import { FallsStage } from "./falls/FallsStage";

// The stage a design opens at comes with the page, the others when they are asked for.
const STAGES: Readonly<Record<Station, ComponentType>> = {
  rig: dynamic(() => import("./rig/RigStage").then((module) => module.RigStage), { ssr: false }),
  days: dynamic(() => import("./days/DaysStage").then((module) => module.DaysStage), { ssr: false }),
  tanks: dynamic(() => import("./tanks/TankStage").then((module) => module.TankStage), { ssr: false }),
  falls: FallsStage,
  through: dynamic(() => import("./through/ThroughStage").then((module) => module.ThroughStage), { ssr: false }),
  build: dynamic(() => import("./build/BuildStage").then((module) => module.BuildStage), { ssr: false }),
  trials: dynamic(() => import("./trials/TrialsStage").then((module) => module.TrialsStage), { ssr: false }),
  road: dynamic(() => import("./road/RoadStage").then((module) => module.RoadStage), { ssr: false }),
  heads: dynamic(() => import("./heads/HeadsStage").then((module) => module.HeadsStage), { ssr: false }),
  loop: dynamic(() => import("./loop/LoopStage").then((module) => module.LoopStage), { ssr: false }),
  air: dynamic(() => import("./air/AirStage").then((module) => module.AirStage), { ssr: false }),
};

/** What the station that is open is about, large, in the middle of the screen. */
export function Stage() {
  const station = useWorkbench((state) => state.station);
  const Drawing = STAGES[station];
  return (
    <RegionContext value="section">
      <Boundary name={STATION_NAMES[station].stage}>
        <Drawing key={station} />
      </Boundary>
    </RegionContext>
  );
}
