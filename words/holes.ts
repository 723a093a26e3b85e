import type { Design } from "@/core/design/design";
import type { RigSide } from "@/core/fit/rigSides";
import type { Vec3 } from "@/core/geometry/vec";
import type { Flood } from "@/core/through/flood";
import type { HoleEntry } from "@/core/through/holes";
import type { Saw, SawFit } from "@/core/through/saws";
import type { StubFit } from "@/core/through/stubs";
import { describePlaceMm, describePlanPlaceMm } from "./places";
import { formatLength, formatMl, formatNumber, formatQuantity, type Units } from "./units";

/** What a hole is for and goes through. */
export function describeHole(hole: HoleEntry, design: Design): string {
  const { lineId, gearId } = hole;
  const { lines, gear } = design;
  const where = startSentence(describeWall(hole, design).replace(/^(the|her) /, ""));
  const what = lines.find(({ id }) => id === lineId)?.name ?? gear.find(({ id }) => id === gearId)?.name ?? "";
  return `${where}, ${what}`;
}

export const startSentence = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** What a hole goes through, in a sentence. */
export function describeWall(
  { through, panelName, side }: Pick<HoleEntry, "through" | "panelName" | "side">,
  { rig }: Design,
): string {
  const isBoat = rig.kind === "boat";
  switch (through) {
    case "hull":
      return "the hull";
    case "floor":
      return isBoat ? "the sole" : "the floor";
    case "roof":
      return isBoat ? "the deck" : "the roof";
    case "side":
      return (isBoat ? BOAT_SIDES : SIDES)[side ?? "left"];
    case "panel":
      return panelName ?? "the wall";
  }
}

const SIDES: Readonly<Record<RigSide, string>> = {
  left: "the left side",
  right: "the right side",
  rear: "the rear wall",
  front: "the front wall",
};
const BOAT_SIDES: Readonly<Record<RigSide, string>> = {
  left: "her port side",
  right: "her starboard side",
  rear: "the after bulkhead",
  front: "the forward bulkhead",
};

/** The next saw up, in both measures. */
export function describeSaw({ metricMm, inch }: Saw): string {
  if (metricMm === null && inch === null) return "larger than any saw: cut it with a jigsaw";
  const parts = [
    ...(metricMm === null ? [] : [`${metricMm} mm`]),
    ...(inch === null ? [] : [`${formatNumber(inch, inch % 0.25 === 0 ? 2 : 3)} in`]),
  ];
  return `saw ${parts.join(" or ")}`;
}

/** What the own saw makes of a hole, against buying the right one. */
export function describeOwnSaw({ sawMm, overMm, moreSealantMl, isFit }: SawFit, saw: Saw, units: Units): string {
  const own = `Your ${formatLength(sawMm, units)} saw`;
  if (overMm < 0.5) return `${own} cuts it as asked.`;
  const costs = `${own} cuts it ${formatLength(overMm, units)} over, ${formatLength(overMm / 2, units)} more gap all round and ${formatMl(moreSealantMl, 0, units)} more sealant`;
  return isFit ? `${costs}.` : `${costs}: too wide a gap to seal well. Buy ${describeSaw(saw)}, or put a sleeve in.`;
}

/** The size of a hole: round, or along the slope by across it. */
export const describeSize = ({ lengthMm, widthMm }: HoleEntry, units: Units): string =>
  lengthMm - widthMm < 0.5
    ? formatLength(widthMm, units)
    : `${formatLength(lengthMm, units)} by ${formatLength(widthMm, units)}`;

/** Where a hole is marked: a point of the plan for the floor; through a wall or a hull its height too. */
export const describeHolePlace = (
  { through }: Pick<HoleEntry, "through">,
  at: Vec3,
  { rig }: Pick<Design, "rig">,
  units: Units,
): string => (through === "floor" ? describePlanPlaceMm : describePlaceMm)(at, rig.kind, units);

/** The side to drill from. */
export const DRILL_FROM: Readonly<Record<HoleEntry["drillFrom"], string>> = {
  above: "from above",
  below: "from below",
  either: "half from each side",
};

/** How a hole is cut, in order. */
export const HOLE_STEPS: readonly string[] = [
  "Mark it on the face you drill from, and look what lies behind.",
  "Pilot of 4 mm or 5/32 in right through; look from the other side.",
  "Saw a little over size, half from each face where you can.",
  "Break the edges, prime bare metal, seal bare wood and core.",
  "Seal both faces round the pipe, and let it cure before you drive.",
];

/** What an odd moulded stub takes, in a line each. */
export function describeStub(fit: StubFit, units: Units): string {
  const hose = `hose of ${formatLength(fit.boreMm, units)}`;
  switch (fit.kind) {
    case "fits":
      return `Takes ${hose}, with two clamps.`;
    case "turn":
      return `Turned down to ${formatLength(fit.toMm, units)} it takes ${hose}.`;
    case "sleeve":
      return `With a sleeve up to ${formatLength(fit.toMm, units)} it takes ${hose}; never under the waterline.`;
  }
}

/** What comes in if the hose comes off, against the bilge pumps, and how long until the sole is wet. */
export function describeFlood({ inLpm, outLpm, roomL, minutes, minutesWithoutPower }: Flood, units: Units): string {
  const flow = (lpm: number) => formatQuantity(lpm / 60, "flow", units);
  const pumps = outLpm > 0 ? `; the bilge pumps send ${flow(outLpm)} at their lift` : "; no bilge pump is drawn";
  const comes = `If its hose comes off at the worst, ${flow(inLpm)} comes in${pumps}.`;
  if (roomL === null) return `${comes} Until when the sole is wet is not worked out: give her hull's sections at Rig.`;
  const wet = (after: number) => `${formatNumber(after, after < 10 ? 1 : 0)} min`;
  const without = minutesWithoutPower === null ? "" : ` Without power it is wet after ${wet(minutesWithoutPower)}.`;
  return minutes === null
    ? `${comes} They keep up while they have power.${without}`
    : `${comes} The sole is wet after ${wet(minutes)}.${outLpm > 0 ? without : ""}`;
}
