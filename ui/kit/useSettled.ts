"use client";
import { useEffect, useState } from "react";

const LONGEST_MS = 1200;

/**
 * False while the page comes up, true once it has nothing better to do: what stands below the fold waits for it. Where it is
 * said from when on, not before that.
 */
export function useSettled(isUp = true): boolean {
  const [isSettled, setIsSettled] = useState(false);
  useEffect(() => {
    if (!isUp) return;
    // not every browser tells when it is idle
    if (!("requestIdleCallback" in window)) {
      const timer = setTimeout(() => setIsSettled(true), LONGEST_MS / 4);
      return () => clearTimeout(timer);
    }
    const id = window.requestIdleCallback(() => setIsSettled(true), { timeout: LONGEST_MS });
    return () => window.cancelIdleCallback(id);
  }, [isUp]);
  return isSettled;
}
