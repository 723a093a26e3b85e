"use client";
import { type KeyboardEvent, type PointerEvent, useState } from "react";
import { useWorkbench } from "@/store/useWorkbench";
import { view as look } from "@/store/workbench";
import * as WORDS from "@/words/panels/days/wantedDays";
import { formatDays } from "@/words/units";
import { listDayMarks, toDay, toX } from "./dayScale";

const HEIGHT_PX = 54;
const LINE_Y = 14;

type WantedDaysProps = { readonly days: number; readonly widthPx: number; readonly endDay: number | null };

/** The days themselves, where the stay ends on them, and the handle that is pulled to the day it should last to. */
export function WantedDays({ days, widthPx, endDay }: WantedDaysProps) {
  const wanted = useWorkbench((state) => state.wantedDays);
  const [isHeld, setIsHeld] = useState(false);
  const value = wanted ?? Math.max(1, Math.floor(endDay ?? 1));
  const wish = (day: number) => look({ wantedDays: Math.min(days, 60, Math.max(1, Math.round(day))) });
  const pull = (event: PointerEvent<SVGSVGElement>) => {
    const { left } = event.currentTarget.getBoundingClientRect();
    wish(toDay(event.clientX - left, days, widthPx));
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const step = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1 }[event.key];
    if (event.key === "Escape") look({ wantedDays: null });
    else if (step) wish(value + step);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const x = toX(Math.min(value, days), days, widthPx);
  return (
    <svg
      width={widthPx}
      height={HEIGHT_PX}
      role="group"
      aria-label={WORDS.daysOfTheStay}
      className="touch-none overflow-visible"
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        setIsHeld(true);
        pull(event);
      }}
      onPointerMove={(event) => isHeld && pull(event)}
      onPointerUp={() => setIsHeld(false)}
      onPointerCancel={() => setIsHeld(false)}
    >
      <line x1={toX(0, days, widthPx)} x2={toX(days, days, widthPx)} y1={LINE_Y} y2={LINE_Y} stroke="var(--edge)" />
      {listDayMarks(days, widthPx).map((day) => (
        <text
          key={day}
          x={toX(day, days, widthPx)}
          y={LINE_Y + 32}
          textAnchor="middle"
          className="figures"
          fontSize={13}
          fill="var(--ink)"
        >
          {day}
        </text>
      ))}
      <text x={8} y={LINE_Y + 32} className="figures" fontSize={13} fill="var(--faint)">
        {WORDS.day}
      </text>
      {endDay !== null && endDay <= days && (
        <line
          x1={toX(endDay, days, widthPx)}
          x2={toX(endDay, days, widthPx)}
          y1={0}
          y2={LINE_Y + 8}
          stroke="var(--signal)"
          strokeWidth={2}
        />
      )}
      <g
        role="slider"
        tabIndex={0}
        aria-label={WORDS.daysTheStayShouldLast}
        aria-valuemin={1}
        aria-valuemax={days}
        aria-valuenow={value}
        aria-valuetext={formatDays(value)}
        onKeyDown={onKeyDown}
        className="cursor-ew-resize"
      >
        <rect x={x - 22} y={0} width={44} height={44} fill="transparent" />
        <path
          d={`M${x} 2l8 12l-8 12l-8 -12z`}
          fill={wanted === null ? "var(--sheet)" : "var(--enamel)"}
          stroke="var(--enamel)"
          strokeWidth={1.8}
        />
      </g>
    </svg>
  );
}
