"use client";
import type { KeyboardEvent, PointerEvent } from "react";
import { Disc } from "./Stroke";

type PointHandleProps = {
  readonly at: readonly [number, number];
  readonly label: string;
  /** Figures beside it. */
  readonly text: string;
  readonly isAtEdge: boolean;
  readonly isTextBelow: boolean;
  readonly onGrip: () => void;
  readonly onPull: (event: PointerEvent) => void;
  readonly onDrop: () => void;
  readonly onLeave: () => void;
  readonly onKey: (event: KeyboardEvent) => void;
};

/** A point of an outline under the hand: pulled, or moved by keys. */
export function PointHandle(props: PointHandleProps) {
  const { at, label, text, isAtEdge, isTextBelow, onGrip, onPull, onDrop, onLeave, onKey } = props;
  const [x, y] = at;
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={label}
      className="handle"
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        onGrip();
      }}
      onPointerMove={(event) => {
        if (event.currentTarget.hasPointerCapture(event.pointerId)) onPull(event);
      }}
      onPointerUp={onDrop}
      onPointerCancel={onLeave}
      onKeyDown={onKey}
    >
      <Disc className="halo" x={x} y={y} r={13} />
      <Disc className="grip" x={x} y={y} r={5} />
      <text
        x={x + (isAtEdge ? 9 : 0)}
        y={y + (isTextBelow ? 17 : -9)}
        fontSize={11}
        textAnchor={isAtEdge ? "start" : "middle"}
        style={{ fill: "var(--faint)" }}
      >
        {text}
      </text>
    </g>
  );
}
