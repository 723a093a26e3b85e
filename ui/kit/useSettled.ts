"use client";
import { useEffect, useState } from "react";

const LONGEST_MS = 1200;

/** False while the page comes up, true once it has nothing better to do: what stands below the fold waits for it. */
export function useSettled(): boolean {
  const [isSettled, setIsSettled] = useState(false);
  useEffect(() => {
    // not every browser tells when it is idle
    if (!("requestIdleCallback" in window)) {
      const timer = setTimeout(() => setIsSettled(true), LONGEST_MS / 4);
      return () => clearTimeout(timer);
    }
    const id = window.requestIdleCallback(() => setIsSettled(true), { timeout: LONGEST_MS });
    return () => window.cancelIdleCallback(id);
  }, []);
  return isSettled;
}
