"use client";
import type ApexCharts from "apexcharts";
import type { ApexOptions } from "apexcharts";
import { useEffect, useRef, useState } from "react";
import { useWorkbench } from "@/store/useWorkbench";
import { whenWanted } from "./chartsWanted";
import { type ChartInk, readColors, toThemeOptions } from "./chartTheme";

export type ChartLine = {
  readonly name: string;
  readonly points: readonly (readonly [x: number, y: number])[];
  readonly ink: ChartInk;
  readonly isDashed?: boolean;
  /** Filled down to nothing. */
  readonly isFilled?: boolean;
  readonly format: (y: number) => string;
  /** Read at the right, on a scale of its own up to this. */
  readonly rightTo?: number;
};

/** An upright line at an x, or a stretch from it to another. */
export type ChartMark = { readonly x: number; readonly toX?: number; readonly text: string; readonly ink: ChartInk };

export type ChartProps = {
  /** Says in a sentence what the chart shows. */
  readonly label: string;
  readonly lines: readonly ChartLine[];
  readonly marks?: readonly ChartMark[];
  readonly dot?: readonly [x: number, y: number] | null;
  readonly formatX: (x: number) => string;
  readonly height?: number;
};

/** Drawn this far before it is scrolled into sight. */
const AHEAD = "200px";

/** A chart of lines, drawn by the library while it is in sight; until then its room is kept. */
export function Chart(props: ChartProps) {
  const isDark = useWorkbench((state) => state.theme === "dark");
  const place = useRef<HTMLDivElement>(null);
  const [isSeen, setSeen] = useState(false);
  const chart = useRef<Promise<ApexCharts | null> | null>(null);
  const height = props.height ?? 130;
  const options = JSON.stringify([props.lines, props.marks, props.dot, props.label, isDark]);
  const latest = useRef(props);
  const drawn = useRef("");
  latest.current = props;
  const draw = useRef<() => Promise<unknown>>(async () => undefined);
  draw.current = async () => {
    const box = place.current;
    const asked = `${options} ${height}`;
    if (!box || drawn.current === asked) return chart.current;
    drawn.current = asked;
    chart.current ??= import("./drawChart").then(({ drawChart }) => (box.isConnected ? drawChart(box) : null));
    return (await chart.current)?.updateOptions(toOptions(latest.current, isDark, height), false, false);
  };
  useEffect(() => {
    const box = place.current?.parentElement;
    if (!box) return;
    const watch = new IntersectionObserver(([one]) => setSeen(one?.isIntersecting === true), { rootMargin: AHEAD });
    watch.observe(box);
    const stopListening = whenWanted(box, () => draw.current());
    return () => {
      watch.disconnect();
      stopListening();
      void chart.current?.then((made) => made?.destroy());
      chart.current = null;
      drawn.current = "";
    };
  }, []);
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is drawn is known by what it says
  useEffect(() => {
    if (isSeen) void draw.current();
  }, [options, isDark, height, isSeen]);
  return (
    <div data-chart role="img" aria-label={props.label} className="my-1 w-full" style={{ height }}>
      <div ref={place} aria-hidden />
    </div>
  );
}

// A scale at the left, and one at the right for what asks for it. The library wants one entry for each line; those after the
// first of a side share its scale and are not drawn again.
function toAxes(lines: readonly ChartLine[], color: string): ApexYAxis[] {
  const isRight = ({ rightTo }: ChartLine) => rightTo !== undefined;
  return lines.map((line): ApexYAxis => {
    const side = lines.filter((other) => isRight(other) === isRight(line));
    const most = Math.max(...side.flatMap(({ points }) => points.map(([, y]) => y)));
    return {
      show: side[0] === line,
      opposite: isRight(line),
      min: 0,
      max: line.rightTo ?? (most > 0 ? most : 1),
      tickAmount: 2,
      labels: { style: { colors: color, fontSize: "12px" }, formatter: (y) => line.format(y) },
    };
  });
}

function toOptions(
  { lines, marks = [], dot = null, formatX }: ChartProps,
  isDark: boolean,
  height: number,
): ApexOptions {
  const colors = readColors();
  const theme = toThemeOptions(colors, isDark);
  const mark = ({ x, toX, text, ink }: ChartMark) => ({
    x,
    ...(toX === undefined ? {} : { x2: toX, fillColor: colors[ink], opacity: 0.18 }),
    borderColor: colors[ink],
    strokeDashArray: 4,
    label: {
      text,
      orientation: "horizontal",
      // beside its line, not across it
      textAnchor: "start",
      offsetX: 3,
      borderWidth: 0,
      offsetY: 12,
      style: { color: colors[ink], background: "transparent", fontSize: "12px" },
    },
  });
  return {
    ...theme,
    chart: { ...theme.chart, type: "line", height },
    series: lines.map(({ name, points, isFilled }) => ({
      name,
      type: isFilled ? "area" : "line",
      data: points.map(([x, y]) => ({ x, y })),
    })),
    colors: lines.map(({ ink }) => colors[ink]),
    stroke: { width: 2, curve: "straight", dashArray: lines.map(({ isDashed }) => (isDashed ? 4 : 0)) },
    fill: { type: "solid", opacity: lines.map(({ isFilled }) => (isFilled ? 0.16 : 1)) },
    xaxis: { ...theme.xaxis, labels: { ...theme.xaxis?.labels, formatter: (x) => formatX(Number(x)) } },
    yaxis: toAxes(lines, colors.faint),
    annotations: {
      xaxis: marks.map(mark),
      points: dot
        ? [{ x: dot[0], y: dot[1], marker: { size: 4, fillColor: colors.enamel, strokeColor: colors.sheet } }]
        : [],
    },
    tooltip: {
      ...theme.tooltip,
      shared: true,
      intersect: false,
      x: { formatter: (x) => formatX(x) },
      y: { formatter: (y, at) => (y == null ? "" : lines[at?.seriesIndex ?? 0]!.format(y)) },
    },
  };
}
