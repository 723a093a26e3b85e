"use client";
import { useMemo } from "react";
import { addDays } from "@/core/road/civil";
import { planJourney } from "@/core/road/planJourney";
import { useWorkbench } from "@/store/useWorkbench";
import { thisMinute, today } from "../now";
import { useRecords } from "../useRecords";

/** The plan of the journey that is kept beside the design, from today or from its first day where that is later. */
export function useJourneyPlan() {
  const balance = useWorkbench((state) => state.evaluation?.balance ?? null);
  const design = useWorkbench((state) => state.history!.design);
  const certainty = useWorkbench((state) => state.history!.design.habits.certainty);
  const log = useRecords((state) => state.log);
  const stops = useRecords((state) => state.journey.stops);
  return useMemo(() => {
    if (!balance || stops.length === 0) return null;
    const [first = today()] = stops.map(({ arrive }) => arrive).sort();
    const [, from = first] = [first, today()].sort();
    // what lies behind needs no plan; where one still stands may be dumped at on leaving
    const ahead = stops.filter(({ arrive, nights }) => addDays(arrive, nights) >= from);
    const at = from === today() ? { at: thisMinute() } : {};
    return {
      from,
      certainty,
      ahead,
      plan: planJourney(design, balance, log, { stops: ahead, from, certainty, ...at }),
    };
  }, [design, balance, certainty, log, stops]);
}
