"use client";
import type { ZoomBehavior } from "d3-zoom";
import { type RefObject, useCallback, useEffect, useMemo, useRef, useState } from "react";
import { NO_ZOOM, type Zoom } from "./view";

const MOST_ZOOM = 12;

/** The state of a drawing's zoom and what changes it. */
export type Zooming = { readonly zoom: Zoom; readonly zoomBy: (factor: number) => void; readonly reset: () => void };

/** Wheel, pinch and pull on the ground of a drawing; handles are left alone. The machinery loads after the first paint. */
export function useZoom(ref: RefObject<SVGSVGElement | null>): Zooming {
  const [zoom, setZoom] = useState<Zoom>(NO_ZOOM);
  const control = useRef<{ by: (factor: number) => void; reset: () => void } | null>(null);
  useEffect(() => {
    const element = ref.current;
    if (!element) return;
    let gone = false;
    let detach = () => {};
    void whenIdle()
      .then(() => Promise.all([import("d3-zoom"), import("d3-selection")]))
      .then(([{ zoom: createZoom, zoomIdentity }, { select }]) => {
        if (gone) return;
        const behavior: ZoomBehavior<SVGSVGElement, unknown> = createZoom<SVGSVGElement, unknown>()
          .scaleExtent([1, MOST_ZOOM])
          .filter((event: Event) => isGround(event))
          .on("zoom", ({ transform }: { transform: Zoom }) =>
            setZoom({ k: transform.k, x: transform.x, y: transform.y }),
          );
        const selection = select(element);
        selection.call(behavior).on("dblclick.zoom", null);
        const follow = new ResizeObserver(() => {
          const { width, height } = element.getBoundingClientRect();
          behavior.translateExtent([
            [0, 0],
            [width, height],
          ]);
        });
        follow.observe(element);
        control.current = {
          by: (factor) => behavior.scaleBy(selection, factor),
          reset: () => behavior.transform(selection, zoomIdentity),
        };
        detach = () => {
          follow.disconnect();
          selection.on(".zoom", null);
        };
      });
    return () => {
      gone = true;
      detach();
    };
  }, [ref]);
  const zoomBy = useCallback((factor: number) => control.current?.by(factor), []);
  const reset = useCallback(() => control.current?.reset(), []);
  return useMemo(() => ({ zoom, zoomBy, reset }), [zoom, zoomBy, reset]);
}

const isGround = (event: Event): boolean =>
  !(event.target as Element).closest(".handle") && !("button" in event && (event as MouseEvent).button !== 0);

// The first look needs no zoom; the machinery comes when the page has nothing else to do.
function whenIdle(): Promise<unknown> {
  return new Promise((resolve) => {
    if (typeof requestIdleCallback === "function") requestIdleCallback(resolve, { timeout: 1500 });
    else setTimeout(resolve, 400);
  });
}
