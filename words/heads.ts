import type { Balance } from "@/core/days/balance";
import type { Design } from "@/core/design/design";
import type { DischargePlace } from "@/core/design/gear";
import type { HoseWall } from "@/core/design/plumbing";
import type { RigKind } from "@/core/design/rig";
import type { HoseRun } from "@/core/heads/hoseRun";
import type { Stability } from "@/core/heads/stability";
import type { SumpFigures } from "@/core/heads/sumpFigures";
import { describeStore } from "./stores";
import { formatLength, formatNumber, formatQuantity, type Units } from "./units";

/** A hose of the heads in one line: what it holds, how it lies, and, where it is flushed, how often to clear it. */
export function describeRun(run: HoseRun, flushes: number | null, units: Units): string {
  const litres = (l: number) => formatQuantity(l, "volume", units);
  const length = (mm: number) => formatLength(mm, units);
  return [
    `${length(run.lengthMm)}, holds ${litres(run.volumeL)}`,
    ...(flushes === null ? [] : [`${flushes} ${flushes === 1 ? "flush clears" : "flushes clear"} it from the bowl on`]),
    ...(run.riseMm > 5 ? [`rises ${length(run.riseMm)}`] : []),
    ...(run.sagL > 0.01 ? [`${litres(run.sagL)} stands in its low places`] : []),
    ...(run.tightest
      ? [
          `tightest bend ${length(run.tightest.radiusMm)}${run.tightest.radiusMm < run.tightest.leastMm ? `, ${length(run.tightest.leastMm)} wanted` : ""}`,
        ]
      : []),
  ].join("; ");
}

/** What a hose is made of, as one asks for it over the counter. */
export const HOSE_WALL_NAMES: Readonly<Record<HoseWall, string>> = {
  plain: "vinyl hose",
  sanitation: "sanitation hose",
  barrier: "barrier hose",
  rigid: "rigid pipe",
};

/** A sump box in use. */
export function describeSump(figures: SumpFigures, units: Units): string {
  const { bandL, drainBackL, liftMm, pumpLpm, inflowLpm, cyclesPerHour, overflowMin } = figures;
  const litres = (l: number) => formatQuantity(l, "volume", units);
  return [
    `Float band ${litres(bandL)}, ${litres(drainBackL)} runs back`,
    `lift ${formatLength(liftMm, units)}`,
    pumpLpm === null ? "no pump yet" : `pump sends ${formatQuantity(pumpLpm / 60, "flow", units)} there`,
    `${formatQuantity(inflowLpm / 60, "flow", units)} comes in`,
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
      ? ["Trim and how deep full tanks put her are not worked out: give her hull's sections at Rig."]
      : [
          `All tanks full, and in fresh water, she lies ${formatLength(sinkMm, units)} deeper than at sea with them empty.`,
        ]),
    ...tanks.map(({ tankId, lossMm: own, turnedMm, sharedMm, heelDeg, trimDeg }) => {
      const heel =
        heelDeg === null || Math.abs(heelDeg) < 0.05
          ? ""
          : `; full it heels her ${formatNumber(Math.abs(heelDeg), 1)}° to ${heelDeg > 0 ? "port" : "starboard"}`;
      const trim =
        trimDeg === null || Math.abs(trimDeg) < 0.05
          ? ""
          : `; it puts her ${formatNumber(Math.abs(trimDeg), 1)}° down by the ${trimDeg > 0 ? "bow" : "stern"}`;
      const joined =
        sharedMm < 0.05 ? "" : `, and ${formatLength(sharedMm, units)} more by what runs over to the other side`;
      return `${nameOf(tankId)}: ${formatLength(own, units)}${joined}, turned by a right angle ${formatLength(turnedMm, units)}${heel}${trim}.`;
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
} as const satisfies Readonly<Record<DischargePlace, string>>;
export const DISCHARGE_NAMES: Readonly<Record<DischargePlace, string>> = {
  inland: "Inland water",
  within3: "Within 3 miles",
  zone: "No-discharge zone",
  offshore: "Offshore",
  camp: "On land",
};

/** What stands beside the work on the heads of a rig. */
export const listHeadsCautions = (kind: RigKind): readonly string[] => [
  "Tank gas can kill and deadens the nose: air the tank out, never lean into it.",
  ...(kind === "boat"
    ? ["A failed skin fitting sinks her: two clamps, a seacock within reach, shut when you leave."]
    : []),
  "A rinse hose left on bursts a closed tank, and never comes from the drinking tap without an air gap.",
];

/** On land: how long each black tank or canister lasts, and how often it is carried. */
export function describeBlackStores({ stores }: Pick<Balance, "stores">, design: Design): readonly string[] {
  return stores.flatMap(({ store, holds, days }): string[] => {
    if (holds !== "black") return [];
    const name = describeStore(store.id, design);
    if (days.here === null) return [`${name}: nothing comes to it yet. Say at Days who uses the toilet.`];
    const lasts = `${name} is full after ${formatNumber(days.here, 1)} days`;
    const carried = store.vesselIds.length > 0 && store.tankIds.length === 0;
    return [
      carried
        ? `${lasts}: carry it ${formatNumber(Math.ceil((7 / days.here) * 10) / 10, 1)} times a week.`
        : `${lasts}.`,
    ];
  });
}

/** What a black tank on land asks for, in the order it is met. */
export const BLACK_ON_LAND: readonly string[] = [
  "A straight drop from bowl to tank, or one steep pipe: no long flat run. A cleanout at its upper end.",
  "Its breather wide and short, out over the roof: gas kills and smells.",
  "At the dump: grey shut, black open until it is empty, black shut, then grey to rinse the hose.",
  "A rinse nozzle has a hose of its own with a back-flow guard, never the drinking tap's. Dump valve open first.",
  "A cassette or canister: both hands, lid on, and to a toilet dump and nowhere else.",
];
