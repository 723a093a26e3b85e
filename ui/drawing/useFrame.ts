"use client";
import { type RefObject, useEffect, useRef, useState } from "react";

/** The size of a drawing's frame on the screen, followed as it changes; 0 until it is known. */
export function useFrame<T extends Element>(): [
  RefObject<T | null>,
  { readonly width: number; readonly height: number },
] {
  const ref = useRef<T>(null);
  const [size, setSize] = useState({ width: 0, height: 0 });
  useEffect(() => {
    const element = ref.current;
    if (!element) return;
    const observer = new ResizeObserver(([entry]) => {
      const { width, height } = entry!.contentRect;
      setSize({ width, height });
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return [ref, size];
}
