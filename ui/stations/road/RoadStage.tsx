"use client";
import { ROAD_VIEWS, type RoadView } from "@/store/state";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look } from "@/store/workbench";
import * as WORDS from "@/words/panels/road/roadStage";
import { StagePick } from "../../kit/StagePick";
import { CareStage } from "./CareStage";
import { JourneyStage } from "./JourneyStage";
import { NowStage } from "./NowStage";

const NAMES: Readonly<Record<RoadView, string>> = { now: WORDS.now, journey: WORDS.journey, care: WORDS.care };

/** Life on the road: how the tanks stand, where to dump, and what is due. */
export function RoadStage() {
  const view = useWorkbench((state) => state.roadView);
  const choice = (
    <StagePick
      label={WORDS.whatRoadShows}
      value={view}
      options={ROAD_VIEWS.map((id) => ({ id, name: NAMES[id] }))}
      onPick={(id) => look({ roadView: id as RoadView })}
    />
  );
  switch (view) {
    case "now":
      return <NowStage choice={choice} />;
    case "journey":
      return <JourneyStage choice={choice} />;
    case "care":
      return <CareStage choice={choice} />;
  }
}
