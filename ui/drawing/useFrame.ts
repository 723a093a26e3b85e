"use client";
import { useCallback, useEffect, useState } from "react";

/** A drawing's frame on the screen: what to hang it on, the element that is there now, and its size; 0 until it is known. */
export type Frame<T extends Element> = {
  readonly ref: (element: T | null) => void;
  readonly element: T | null;
  readonly size: { readonly width: number; readonly height: number };
};

/** Follows a frame as it comes, goes and changes its size: a drawing may appear long after the page. */
export function useFrame<T extends Element>(): Frame<T> {
  const [element, setElement] = useState<T | null>(null);
  const [size, setSize] = useState({ width: 0, height: 0 });
  useEffect(() => {
    if (!element) return;
    const observer = new ResizeObserver(([entry]) => {
      const { width, height } = entry!.contentRect;
      setSize({ width, height });
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, [element]);
  return { ref: useCallback((next: T | null) => setElement(next), []), element, size };
}
