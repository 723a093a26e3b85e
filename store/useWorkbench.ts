"use client";
import { useStore } from "zustand";
import type { WorkbenchState } from "./state";
import { trailing } from "./trailing";
import { workbench } from "./workbench";

/** Subscribes a component to one piece of the workbench. */
export function useWorkbench<T>(select: (state: WorkbenchState) => T): T {
  return useStore(workbench, select);
}

/** The same for lists beside the drawings: while something is pulled they may come a little later. */
export function useTrailing<T>(select: (state: WorkbenchState) => T): T {
  return useStore(trailing, select);
}
