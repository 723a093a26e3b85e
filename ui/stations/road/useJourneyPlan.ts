"use client";
import { useMemo } from "react";
import { planDumps } from "@/core/road/dumpPlan";
import { buildPlanInput } from "@/core/road/planInput";
import { useWorkbench } from "@/store/useWorkbench";
import { today } from "../now";
import { useRecords } from "../useRecords";

/** The plan of the journey that is kept beside the design, from today or from its first day where that is later. */
export function useJourneyPlan() {
  const balance = useWorkbench((state) => state.evaluation?.balance ?? null);
  const certainty = useWorkbench((state) => state.history!.design.habits.certainty);
  const log = useRecords((state) => state.log);
  const stops = useRecords((state) => state.journey.stops);
  return useMemo(() => {
    if (!balance || stops.length === 0) return null;
    const [first = today()] = stops.map(({ arrive }) => arrive).sort();
    const [, from = first] = [first, today()].sort();
    // what lies behind needs no plan
    const ahead = stops.filter(({ arrive }) => arrive >= from);
    const input = buildPlanInput(balance, log, { stops: ahead, from, certainty });
    return { from, certainty, ahead, plan: planDumps(input) };
  }, [balance, certainty, log, stops]);
}
