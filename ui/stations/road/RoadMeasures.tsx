"use client";
import { useWorkbench } from "@/store/useWorkbench";
import { Book } from "./Book";
import { JourneyMeasures } from "./JourneyMeasures";
import { NewEntry } from "./NewEntry";

/** The logbook beside what is on the stage: a line more in ten seconds, the last first, searched and handed out. */
export function RoadMeasures() {
  const view = useWorkbench((state) => state.roadView);
  return (
    <>
      {view === "journey" ? <JourneyMeasures /> : <NewEntry />}
      <Book />
    </>
  );
}
