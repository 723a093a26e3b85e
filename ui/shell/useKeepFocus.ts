"use client";
import { useEffect } from "react";

const REGION = "section, nav, main, [role=dialog], fieldset";

/**
 * Focus never falls to the page's body: where what had it is taken away by its own press, the nearest region that is still
 * there takes it, so that Tab goes on from where the hand was.
 */
export function useKeepFocus(): void {
  useEffect(() => {
    let trail: readonly Element[] = [];
    const remember = (event: FocusEvent) => {
      trail = listRegions(event.target as Element);
    };
    const check = () =>
      setTimeout(() => {
        if (document.activeElement !== document.body) return;
        const region = trail.find((element) => element.isConnected) as HTMLElement | undefined;
        if (!region) return;
        if (!region.hasAttribute("tabindex")) region.tabIndex = -1;
        region.focus({ preventScroll: true });
      }, SETTLED_MS);
    document.addEventListener("focusin", remember);
    document.addEventListener("click", check);
    document.addEventListener("keyup", check);
    return () => {
      document.removeEventListener("focusin", remember);
      document.removeEventListener("click", check);
      document.removeEventListener("keyup", check);
    };
  }, []);
}

/** The page has drawn what a press led to by then, ms. */
const SETTLED_MS = 60;

function listRegions(element: Element): Element[] {
  const regions: Element[] = [];
  for (let at = element.parentElement; at; at = at.parentElement) if (at.matches(REGION)) regions.push(at);
  return regions;
}
