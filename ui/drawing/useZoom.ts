"use client";
import type { ZoomBehavior } from "d3-zoom";
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { NO_ZOOM, type Zoom } from "./view";

const MOST_ZOOM = 12;

/** The state of a drawing's zoom and what changes it. */
export type Zooming = { readonly zoom: Zoom; readonly zoomBy: (factor: number) => void; readonly reset: () => void };

type Control = { readonly by: (factor: number) => void; readonly reset: () => void; readonly detach: () => void };

/** Wheel, pinch and pull on the ground of a drawing; handles are left alone. */
export function useZoom(element: SVGSVGElement | null): Zooming {
  const [zoom, setZoom] = useState<Zoom>(NO_ZOOM);
  const control = useRef<Promise<Control> | null>(null);
  // the machinery loads when a hand comes near, or once the page has long been still
  const begin = useCallback((): Promise<Control> | null => {
    if (element) control.current ??= attachZoom(element, setZoom);
    return control.current;
  }, [element]);
  useEffect(() => {
    if (!element) return;
    const start = () => void begin();
    const timer = setTimeout(start, STILL_MS);
    for (const event of APPROACHES) element.addEventListener(event, start, { once: true, passive: true });
    return () => {
      clearTimeout(timer);
      for (const event of APPROACHES) element.removeEventListener(event, start);
      void control.current?.then(({ detach }) => detach());
      control.current = null;
      setZoom(NO_ZOOM);
    };
  }, [element, begin]);
  const zoomBy = useCallback((factor: number) => void begin()?.then(({ by }) => by(factor)), [begin]);
  const reset = useCallback(() => void begin()?.then((loaded) => loaded.reset()), [begin]);
  return useMemo(() => ({ zoom, zoomBy, reset }), [zoom, zoomBy, reset]);
}

const STILL_MS = 2500;
const APPROACHES = ["pointerenter", "touchstart", "wheel"] as const;

async function attachZoom(element: SVGSVGElement, onZoom: (zoom: Zoom) => void): Promise<Control> {
  const [{ zoom: createZoom, zoomIdentity }, { select }] = await Promise.all([
    import("d3-zoom"),
    import("d3-selection"),
  ]);
  const behavior: ZoomBehavior<SVGSVGElement, unknown> = createZoom<SVGSVGElement, unknown>()
    .scaleExtent([1, MOST_ZOOM])
    .filter((event: Event) => isGround(event))
    .on("zoom", ({ transform }: { transform: Zoom }) => onZoom({ k: transform.k, x: transform.x, y: transform.y }));
  const selection = select(element);
  selection.call(behavior).on("dblclick.zoom", null);
  const holdIn = () => {
    const { width, height } = element.getBoundingClientRect();
    behavior.translateExtent([
      [0, 0],
      [width, height],
    ]);
  };
  holdIn();
  const follow = new ResizeObserver(holdIn);
  follow.observe(element);
  return {
    by: (factor) => behavior.scaleBy(selection, factor),
    reset: () => behavior.transform(selection, zoomIdentity),
    detach: () => {
      follow.disconnect();
      selection.on(".zoom", null);
    },
  };
}

const isGround = (event: Event): boolean =>
  !(event.target as Element).closest(".handle") && !("button" in event && (event as MouseEvent).button !== 0);
