"use client";
import { useEffect } from "react";
import { useStore } from "zustand";
import { type RecordsState, records } from "@/store/records";
import { useWorkbench } from "@/store/useWorkbench";

/** The records beside the open design; they are read when a station first asks for them. */
export function useRecords<T>(select: (state: RecordsState) => T): T {
  const designId = useWorkbench((state) => state.history?.design.id ?? null);
  useEffect(() => {
    if (designId !== null) void records.open(designId);
  }, [designId]);
  return useStore(records.store, select);
}
