import type { ApexOptions } from "apexcharts";

/** Inks of a chart, by what they say; what they look like follows the page's look. */
export const CHART_INKS = ["ink", "faint", "enamel", "water", "signal"] as const;
export type ChartInk = (typeof CHART_INKS)[number];

export type ChartColors = Readonly<Record<ChartInk | "rule" | "sheet", string>>;

/** The page's colours as they are now; the library reckons with colours and knows no variables. */
export function readColors(): ChartColors {
  const style = getComputedStyle(document.documentElement);
  const read = (name: string) => style.getPropertyValue(`--${name}`).trim();
  const colors = Object.fromEntries(CHART_INKS.map((ink) => [ink, read(ink)])) as Record<ChartInk, string>;
  return { ...colors, rule: read("rule"), sheet: read("sheet") };
}

const FIGURES = 'var(--font-figures), "Arial Narrow", sans-serif';

/** What all charts have in common, in either look: no toolbar, nothing that moves, level rules, figures in our letters. */
export function toThemeOptions(colors: ChartColors, isDark: boolean): ApexOptions {
  const label = { colors: colors.faint, fontSize: "12px", fontFamily: FIGURES };
  return {
    chart: {
      animations: { enabled: false },
      background: "transparent",
      fontFamily: FIGURES,
      foreColor: colors.faint,
      toolbar: { show: false },
      zoom: { enabled: false },
      selection: { enabled: false },
      redrawOnParentResize: true,
    },
    theme: { mode: isDark ? "dark" : "light" },
    grid: {
      borderColor: colors.rule,
      xaxis: { lines: { show: false } },
      padding: { left: 6, right: 10, top: -18, bottom: -4 },
    },
    legend: { show: false },
    dataLabels: { enabled: false },
    markers: { size: 0, hover: { size: 4 } },
    xaxis: {
      type: "numeric",
      tickAmount: 4,
      labels: { style: label, rotate: 0, hideOverlappingLabels: true },
      axisBorder: { color: colors.rule },
      axisTicks: { color: colors.rule },
      crosshairs: { stroke: { color: colors.faint } },
      tooltip: { enabled: false },
    },
    tooltip: {
      marker: { show: false },
      theme: isDark ? "dark" : "light",
      style: { fontSize: "13px", fontFamily: FIGURES },
    },
  };
}
