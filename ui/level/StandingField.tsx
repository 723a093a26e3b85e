"use client";
import { useEffect, useRef } from "react";
import type { StandingMap } from "@/core/evaluate/standingMap";
import { useWorkbench } from "@/store/useWorkbench";
import { paintStandingMap, parseHex, type StateInk } from "./mapPixels";

/** The standing map as the ground of the level. */
export function StandingField({ map, pixels }: { readonly map: StandingMap | null; readonly pixels: number }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const theme = useWorkbench((state) => state.theme);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the theme decides over the inks read from the page
  useEffect(() => {
    const context = canvas.current?.getContext("2d");
    if (!context || !map) return;
    const painted = paintStandingMap(map, pixels, readInks());
    const image = context.createImageData(pixels, pixels);
    image.data.set(painted);
    context.putImageData(image, 0, 0);
  }, [map, pixels, theme]);
  return <canvas ref={canvas} width={pixels} height={pixels} className="absolute inset-0 size-full" aria-hidden />;
}

function readInks(): StateInk[] {
  const style = getComputedStyle(document.documentElement);
  const [sheet, water, signal, pick] = ["--sheet", "--water", "--signal", "--pick"].map((name) =>
    parseHex(style.getPropertyValue(name)),
  ) as [StateInk["ink"], StateInk["ink"], StateInk["ink"], StateInk["ink"]];
  return [
    { ground: sheet, ink: sheet },
    { ground: pick, ink: water },
    { ground: sheet, ink: signal },
    { ground: sheet, ink: signal },
  ];
}
