"use client";
import { memo, useMemo } from "react";
import type { FlowStretch } from "@/core/days/flows";
import { computeLevelBands } from "@/core/days/levelBands";
import type { HeldWater } from "@/core/design/plumbing";
import { useWorkbench } from "@/store/useWorkbench";
import * as WORDS from "@/words/panels/days/levelChart";
import { formatQuantity } from "@/words/units";
import { listDayMarks, toX } from "./dayScale";

type LevelChartProps = {
  readonly name: string;
  readonly holds: HeldWater;
  readonly roomL: number;
  readonly stretches: readonly FlowStretch[];
  readonly storeId: string;
  readonly days: number;
  readonly wanted: number | null;
  readonly widthPx: number;
  readonly heightPx: number;
};

const TOP_PX = 24;
const BOTTOM_PX = 8;

/** One tank's level over the days: the middle, the band of four in five, and the line where it is full or empty. */
export const LevelChart = memo(function LevelChart(props: LevelChartProps) {
  const { name, holds, roomL, stretches, storeId, days, wanted, widthPx, heightPx } = props;
  const units = useWorkbench((state) => state.units);
  // drawn a little beyond the line, so that one sees where it crosses
  const topL = Math.max(1, roomL) * 1.12;
  const bands = useMemo(() => computeLevelBands(stretches, storeId, topL, days), [stretches, storeId, topL, days]);
  const isFresh = holds === "fresh";
  const y = (litres: number) => {
    const share = isFresh ? Math.max(-0.12, roomL - litres) / topL + 0.107 : litres / topL;
    return heightPx - BOTTOM_PX - share * (heightPx - TOP_PX - BOTTOM_PX);
  };
  const at = (day: number, litres: number) => `${toX(day, days, widthPx).toFixed(1)},${y(litres).toFixed(1)}`;
  const middle = bands.map(({ day, medianL }) => at(day, medianL)).join(" ");
  const band = [
    ...bands.map(({ day, highL }) => at(day, highL)),
    ...[...bands].reverse().map(({ day, lowL }) => at(day, lowL)),
  ].join(" ");
  const endY = y(roomL).toFixed(1);
  const end = isFresh ? WORDS.gone : WORDS.full(formatQuantity(roomL, "volume", units));
  const tone = isFresh ? "var(--enamel)" : "var(--water)";
  return (
    <figure className="border-b border-rule">
      <svg width={widthPx} height={heightPx} role="img" aria-label={WORDS.levelOverDays(name, days)}>
        {listDayMarks(days, widthPx).map((day) => (
          <line
            key={day}
            x1={toX(day, days, widthPx)}
            x2={toX(day, days, widthPx)}
            y1={TOP_PX}
            y2={heightPx - BOTTOM_PX}
            stroke="var(--rule)"
          />
        ))}
        <polygon points={band} fill={tone} fillOpacity={0.22} />
        <polyline points={middle} fill="none" stroke={tone} strokeWidth={2.2} />
        <line
          x1={toX(0, days, widthPx)}
          x2={toX(days, days, widthPx)}
          y1={endY}
          y2={endY}
          stroke="var(--signal)"
          strokeWidth={1.6}
          strokeDasharray="7 3"
        />
        {wanted !== null && wanted <= days && (
          <line
            x1={toX(wanted, days, widthPx)}
            x2={toX(wanted, days, widthPx)}
            y1={TOP_PX}
            y2={heightPx}
            stroke="var(--ink)"
            strokeWidth={1.4}
          />
        )}
        <text
          x={toX(0, days, widthPx) - 6}
          y={y(0) + 4}
          textAnchor="end"
          className="figures"
          fontSize={12}
          fill="var(--faint)"
        >
          {isFresh ? formatQuantity(roomL, "volume", units) : "0"}
        </text>
        <text x={8} y={16} className="plate" fontSize={14} fill="var(--ink)">
          {name}
        </text>
        <text x={widthPx - 14} y={16} textAnchor="end" className="figures" fontSize={13} fill="var(--signal)">
          {end}
        </text>
      </svg>
    </figure>
  );
});
