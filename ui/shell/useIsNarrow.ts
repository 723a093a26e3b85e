"use client";
import { useSyncExternalStore } from "react";

/** Below this width one view is shown at a time, as `phone:` in the styles. */
const NARROW = "(width < 56rem)";

const subscribe = (onChange: () => void): (() => void) => {
  const query = window.matchMedia(NARROW);
  query.addEventListener("change", onChange);
  return () => query.removeEventListener("change", onChange);
};

/** Whether the screen shows one view at a time. */
export const useIsNarrow = (): boolean =>
  useSyncExternalStore(
    subscribe,
    () => window.matchMedia(NARROW).matches,
    () => false,
  );
