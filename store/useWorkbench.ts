"use client";
import { createContext, useContext } from "react";
import { useStore } from "zustand";
import { regions } from "./regions";
import type { Region, WorkbenchState } from "./state";
import { workbench } from "./workbench";

/** The region of the screen a component stands in; none for what lies over all. */
export const RegionContext = createContext<Region | null>(null);

/** Subscribes a component to one piece of the workbench, as its region sees it. */
export function useWorkbench<T>(select: (state: WorkbenchState) => T): T {
  const region = useContext(RegionContext);
  return useStore(region ? regions[region] : workbench, select);
}
