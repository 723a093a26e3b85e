"use client";
import { type KeyboardEvent, type PointerEvent, type ReactNode, useEffect, useRef } from "react";
import type { View } from "../drawing/view";

type Press = (element: SVGGraphicsElement, event: PointerEvent<SVGGElement>) => void;

type ToolSheetProps = {
  readonly label: string;
  readonly view: View;
  readonly onKeyDown: (event: KeyboardEvent) => void;
  readonly onMove: Press;
  readonly onPress: Press;
  readonly children: ReactNode;
};

/** The sheet a tool works on: it lies over the plan, takes what the pointer and the keys do, and is left with Escape. */
export function ToolSheet({ label, view, onKeyDown, onMove, onPress, children }: ToolSheetProps) {
  const sheet = useRef<SVGGElement>(null);
  useEffect(() => sheet.current?.focus({ preventScroll: true }), []);
  const reach = 4 * Math.max(view.width, view.height);
  return (
    <g
      ref={sheet}
      role="button"
      tabIndex={0}
      aria-label={label}
      className="handle cursor-crosshair outline-none"
      onKeyDown={onKeyDown}
      onPointerMove={(event) => onMove(event.currentTarget, event)}
      onPointerDown={(event) => {
        if (event.button !== 0) return;
        event.stopPropagation();
        onPress(event.currentTarget, event);
      }}
    >
      <rect x={-reach} y={-reach} width={2 * reach + view.width} height={2 * reach + view.height} fill="transparent" />
      {children}
    </g>
  );
}
