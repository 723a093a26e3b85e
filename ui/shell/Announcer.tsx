"use client";
import { useWorkbench } from "@/store/useWorkbench";

/** What is said to those who do not see the drawing: where a point is after it was moved by keys, and what that makes. */
export function Announcer() {
  const said = useWorkbench((state) => state.said);
  return (
    <p aria-live="polite" className="sr-only" data-testid="said">
      {said}
    </p>
  );
}
