"use client";
import { useStore } from "zustand";
import type { WorkbenchState } from "./state";
import { workbench } from "./workbench";

/** Subscribes a component to one piece of the workbench. */
export function useWorkbench<T>(select: (state: WorkbenchState) => T): T {
  return useStore(workbench, select);
}
