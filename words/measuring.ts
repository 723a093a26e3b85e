import type { FirstMeasures } from "@/core/design/firstMeasures";
import type { FirstObstacleKind } from "@/core/design/firstObstacles";
import type { RigKind } from "@/core/design/rig";

export type MeasureWords = { readonly label: string; readonly tape: string };

/** What is asked at the start of a design, and where to hold the tape. */
const MEASURE_WORDS: Readonly<Record<keyof FirstMeasures, MeasureWords>> = {
  floorLengthMm: {
    label: "Floor, length",
    tape: "Along the middle, from the rear edge of the finished floor to where it ends at the front.",
  },
  floorWidthMm: { label: "Floor, width", tape: "Across, from wall to wall at floor height." },
  floorThicknessMm: {
    label: "Floor, thickness",
    tape: "Finished floor to the underside of the metal. Drill 4 mm or 5/32 in where the drain will go, and measure through.",
  },
  groundBelowMm: {
    label: "Floor down to ground",
    tape: "Straight down from the finished floor at the door, tyres at their pressure, on level ground.",
  },
  sillBelowMm: {
    label: "Floor down to the sill",
    tape: "From the finished floor to the lowest edge of the body. Nothing should hang lower.",
  },
  waterlineMm: {
    label: "Floor up to the waterline",
    tape: "From the cabin sole to the waterline, laden as usual; below the sole counts as minus.",
  },
  sinkForwardMm: {
    label: "Sink, from the rear edge",
    tape: "From the rear edge of the floor forward to the middle of the sink's waste.",
  },
  sinkLeftMm: {
    label: "Sink, left of the middle",
    tape: "From the centre line of the floor to the waste; to the right counts as minus.",
  },
  sinkHeightMm: {
    label: "Waste over the floor",
    tape: "From the finished floor up to the underside of the sink's waste, where the trap screws on.",
  },
  tankLengthMm: { label: "Tank inside, length", tape: "Along the rig, inside. Outside less two walls will do." },
  tankWidthMm: { label: "Tank inside, width", tape: "Across the rig, inside." },
  tankHeightMm: { label: "Tank inside, height", tape: "Upright, inside." },
  tankForwardMm: {
    label: "Tank, from the rear edge",
    tape: "Under the rig: from below the rear edge of the floor forward to the tank's rear wall. Empty: as near to the sink as it goes.",
  },
  tankLeftMm: {
    label: "Tank's right wall, left of the middle",
    tape: "From the centre line to the tank's right wall; to the right counts as minus. Empty: as near to the sink as it goes.",
  },
  tankTopBelowMm: {
    label: "Floor down to the tank's top",
    tape: "From the finished floor down to the top of the tank.",
  },
  people: { label: "People", tape: "Who sleeps aboard." },
  sinkLPerPersonDay: {
    label: "Down the drains, each",
    tape: "Washing up and hands: 5 to 10 L, or 1.3 to 2.6 gal, a person and day is usual.",
  },
  freshL: { label: "Fresh water carried", tape: "What the fresh tank gives, or the cans you carry." },
};

/** The same on a boat, where there is a sole, a keel and a waterline, and no metal, tyres, door or ground. */
const BOAT_WORDS: Readonly<Partial<Record<keyof FirstMeasures, MeasureWords>>> = {
  floorLengthMm: {
    label: "Sole, length",
    tape: "Along the middle, from the after edge of the cabin sole to where it ends forward.",
  },
  floorWidthMm: { label: "Sole, width", tape: "Across, where it is widest, between the lockers." },
  floorThicknessMm: {
    label: "Sole, thickness",
    tape: "Lift a board and measure its edge, with the bearers it lies on.",
  },
  groundBelowMm: {
    label: "Sole down to the keel",
    tape: "From the sole to the underside of the keel: in the bilge down to the planking or plating, and what is below it.",
  },
  sinkForwardMm: {
    label: "Sink, from the after edge",
    tape: "From the after edge of the sole forward to the middle of the sink's waste.",
  },
  sinkLeftMm: {
    label: "Sink, to port of the middle",
    tape: "From the centre line to the waste; to starboard counts as minus.",
  },
  sinkHeightMm: {
    label: "Waste over the sole",
    tape: "From the cabin sole up to the underside of the sink's waste, where the trap screws on.",
  },
  tankLengthMm: { label: "Tank inside, length", tape: "Fore and aft, inside. Outside less two walls will do." },
  tankWidthMm: { label: "Tank inside, width", tape: "Athwartships, inside." },
  tankForwardMm: {
    label: "Tank, from the after edge",
    tape: "From below the after edge of the sole forward to the tank's after wall. Empty: as near to the sink as it goes.",
  },
  tankLeftMm: {
    label: "Tank's starboard wall, to port of the middle",
    tape: "From the centre line; to starboard counts as minus. Empty: as near to the sink as it goes.",
  },
  tankTopBelowMm: { label: "Sole down to the tank's top", tape: "From the cabin sole down to the top of the tank." },
};

/** What is asked, in the words of the rig. */
export const describeMeasure = (key: keyof FirstMeasures, kind: RigKind): MeasureWords =>
  (kind === "boat" ? BOAT_WORDS[key] : undefined) ?? MEASURE_WORDS[key];

/** What may be under the floor: what it is called, and the measures it takes. */
export const UNDER_WORDS: Readonly<
  Record<FirstObstacleKind, { readonly label: string; readonly fields: Readonly<Record<string, string>> }>
> = {
  rails: {
    label: "Two chassis rails along it",
    fields: { apartMm: "Outside to outside", wideMm: "Width of one", deepMm: "How far they hang down" },
  },
  axle: { label: "An axle", fields: { fromRearMm: "From the rear edge" } },
  fuelTank: {
    label: "A fuel tank",
    fields: {
      fromRearMm: "From the rear edge",
      leftMm: "Its right side, left of the middle",
      belowMm: "Floor down to its top",
      lengthMm: "Length",
      widthMm: "Width",
      heightMm: "Height",
    },
  },
  exhaust: {
    label: "An exhaust",
    fields: {
      fromRearMm: "From the rear edge",
      lengthMm: "Length",
      leftMm: "Its right side, left of the middle",
      belowMm: "Floor down to its top",
    },
  },
  ballast: {
    label: "Ballast or an engine in the bilge",
    fields: {
      fromRearMm: "From the after edge",
      leftMm: "Its starboard side, to port of the middle",
      belowMm: "Sole down to its top",
      lengthMm: "Length",
      widthMm: "Width",
      heightMm: "Height",
    },
  },
};

export type MeasureStep = {
  readonly title: string;
  readonly keys: readonly (keyof FirstMeasures)[];
  /** What bars the way is asked for instead of measures. */
  readonly isUnder?: true;
  /** What else goes aboard is asked for. */
  readonly isAboard?: true;
};

/** The order of measuring: what stands still first, what can be moved last. */
export function listMeasureSteps(kind: RigKind): readonly MeasureStep[] {
  const heights: (keyof FirstMeasures)[] =
    kind === "boat"
      ? ["floorThicknessMm", "groundBelowMm", "waterlineMm"]
      : ["floorThicknessMm", "groundBelowMm", "sillBelowMm"];
  return [
    { title: kind === "boat" ? "The sole" : "The floor", keys: ["floorLengthMm", "floorWidthMm"] },
    { title: "Heights", keys: heights },
    { title: kind === "boat" ? "In the bilge" : "Under the floor", keys: [], isUnder: true },
    { title: "The sink", keys: ["sinkForwardMm", "sinkLeftMm", "sinkHeightMm"] },
    {
      title: "The tank",
      keys: ["tankLengthMm", "tankWidthMm", "tankHeightMm", "tankForwardMm", "tankLeftMm", "tankTopBelowMm"],
    },
    { title: "Days", keys: ["people", "sinkLPerPersonDay", "freshL"] },
    { title: "What else goes aboard", keys: [], isAboard: true },
  ];
}
