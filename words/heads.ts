import type { Design } from "@/core/design/design";
import { countFlushes, type HoseRun } from "@/core/heads/hoseRun";
import type { Stability } from "@/core/heads/stability";
import type { SumpFigures } from "@/core/heads/sumpFigures";
import { formatLength, formatNumber, formatQuantity, type Units } from "./units";

/** A hose of the heads in one line: what it holds, how it lies, and how often one must flush to clear it. */
export function describeRun(run: HoseRun, flushL: number | null, units: Units): string {
  const litres = (l: number) => formatQuantity(l, "volume", units);
  const length = (mm: number) => formatLength(mm, units);
  const flushes = flushL === null ? null : countFlushes(run.volumeL, flushL);
  return [
    `${length(run.lengthMm)}, holds ${litres(run.volumeL)}`,
    ...(flushes === null ? [] : [`${flushes} ${flushes === 1 ? "flush clears" : "flushes clear"} it`]),
    ...(run.riseMm > 5 ? [`rises ${length(run.riseMm)}`] : []),
    ...(run.sagL > 0.01 ? [`${litres(run.sagL)} stand in its low places`] : []),
    ...(run.tightest
      ? [
          `tightest bend ${length(run.tightest.radiusMm)}${run.tightest.radiusMm < run.tightest.leastMm ? `, ${length(run.tightest.leastMm)} wanted` : ""}`,
        ]
      : []),
  ].join("; ");
}

/** A sump box in use. */
export function describeSump(figures: SumpFigures, units: Units): string {
  const { bandL, drainBackL, liftMm, pumpLpm, inflowLpm, cyclesPerHour, overflowMin } = figures;
  const litres = (l: number) => formatQuantity(l, "volume", units);
  return [
    `Float band ${litres(bandL)}, ${litres(drainBackL)} run back`,
    `lift ${formatLength(liftMm, units)}`,
    pumpLpm === null ? "no pump yet" : `pump sends ${formatQuantity(pumpLpm / 60, "flow", units)} there`,
    `${formatQuantity(inflowLpm / 60, "flow", units)} come in`,
    ...(cyclesPerHour === null ? [] : [`${formatNumber(cyclesPerHour, 0)} starts an hour`]),
    ...(overflowMin === null ? [] : [`without power it runs over after ${formatNumber(overflowMin, 1)} min`]),
  ].join("; ");
}

/** What loose water and full tanks do to a boat. */
export function describeStability({ tanks, lossMm, share, sinkMm }: Stability, design: Design, units: Units): string[] {
  const nameOf = (id: string) => design.tanks.find((tank) => tank.id === id)?.name ?? id;
  return [
    `Part full, the tanks take ${formatLength(lossMm, units)} off GM${share === null ? "" : `, ${formatQuantity(share, "ratio", units)} of it`}.`,
    ...(sinkMm === null
      ? ["Trim and how deep full tanks put her are not reckoned: give her hull's sections at Rig."]
      : [`All tanks full she lies ${formatLength(sinkMm, units)} deeper.`]),
    ...tanks.map(({ tankId, lossMm: own, turnedMm, heelDeg, trimDeg }) => {
      const heel =
        heelDeg === null || Math.abs(heelDeg) < 0.05
          ? ""
          : `; full it heels her ${formatNumber(Math.abs(heelDeg), 1)}° to ${heelDeg > 0 ? "port" : "starboard"}`;
      const trim =
        trimDeg === null || Math.abs(trimDeg) < 0.05
          ? ""
          : `; it puts her ${formatNumber(Math.abs(trimDeg), 1)}° down by the ${trimDeg > 0 ? "bow" : "stern"}`;
      return `${nameOf(tankId)}: ${formatLength(own, units)}, turned by a right angle ${formatLength(turnedMm, units)}${heel}${trim}.`;
    }),
  ];
}

/** Where black water may go: asked of the place, never assumed. */
export const DISCHARGE_RULES = {
  inland:
    "Lakes, rivers, canals: nothing overboard. The overboard valve is shut and secured: locked, tied, or its handle off.",
  within3:
    "Within 3 nautical miles of the shore: nothing untreated (US: CWA 312, 40 CFR 140). Tank only; the overboard valve secured.",
  zone: "No-discharge zone: nothing, treated or not. The overboard valve locked, tied or its handle off (33 CFR 159).",
  offshore:
    "Beyond 3 miles many coasts allow it, some from 12 only, under way and not all at once. MARPOL Annex IV binds large ships; your flag and the coast have the say.",
  camp: "On land: into a toilet dump and nowhere else. Black first, then grey to rinse the hose.",
} as const;
export type DischargePlace = keyof typeof DISCHARGE_RULES;
export const DISCHARGE_NAMES: Readonly<Record<DischargePlace, string>> = {
  inland: "Inland water",
  within3: "Within 3 miles",
  zone: "No-discharge zone",
  offshore: "Offshore",
  camp: "On land",
};

export const HEADS_CAUTIONS: readonly string[] = [
  "Tank gas can kill and deadens the nose: air the tank out, never lean into it.",
  "A failed skin fitting sinks her: two clamps, a seacock within reach, shut when you leave.",
  "A rinse hose left on bursts a closed tank, and never comes from the drinking tap without an air gap.",
];
