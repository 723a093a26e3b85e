import type { FirstMeasures } from "@/core/design/createDesign";
import type { RigKind } from "@/core/design/rig";

export type MeasureWords = { readonly label: string; readonly tape: string };

/** What is asked at the start of a design, and where to hold the tape. */
export const MEASURE_WORDS: Readonly<Record<keyof FirstMeasures, MeasureWords>> = {
  floorLengthMm: {
    label: "Floor, length",
    tape: "Along the middle, from the rear edge of the finished floor to where it ends at the front.",
  },
  floorWidthMm: { label: "Floor, width", tape: "Across, from wall to wall at floor height." },
  floorThicknessMm: {
    label: "Floor, thickness",
    tape: "Finished floor to the underside of the metal. Drill 4 mm where the drain will go, and measure through.",
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
    tape: "Under the rig: from below the rear edge of the floor forward to the tank's rear wall.",
  },
  tankLeftMm: {
    label: "Tank's right wall, left of the middle",
    tape: "From the centre line to the tank's right wall; to the right counts as minus.",
  },
  tankTopBelowMm: {
    label: "Floor down to the tank's top",
    tape: "From the finished floor down to the top of the tank.",
  },
  people: { label: "People", tape: "Who sleeps aboard." },
  sinkLPerPersonDay: {
    label: "Down the drains, each",
    tape: "Washing up and hands: 5 to 10 L a person and day is usual.",
  },
  freshL: { label: "Fresh water carried", tape: "What the fresh tank gives, or the cans you carry." },
};

export type MeasureStep = { readonly title: string; readonly keys: readonly (keyof FirstMeasures)[] };

/** The order of measuring: what stands still first, what can be moved last. */
export function listMeasureSteps(kind: RigKind): readonly MeasureStep[] {
  const heights: (keyof FirstMeasures)[] =
    kind === "boat"
      ? ["floorThicknessMm", "groundBelowMm", "waterlineMm"]
      : ["floorThicknessMm", "groundBelowMm", "sillBelowMm"];
  return [
    { title: "The floor", keys: ["floorLengthMm", "floorWidthMm"] },
    { title: "Heights", keys: heights },
    { title: "The sink", keys: ["sinkForwardMm", "sinkLeftMm", "sinkHeightMm"] },
    {
      title: "The tank",
      keys: ["tankLengthMm", "tankWidthMm", "tankHeightMm", "tankForwardMm", "tankLeftMm", "tankTopBelowMm"],
    },
    { title: "Habits", keys: ["people", "sinkLPerPersonDay", "freshL"] },
  ];
}
