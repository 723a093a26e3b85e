import type { Attitude } from "../attitude/attitude";
import type { Design } from "../design/design";
import { measureFloorMm } from "../design/floor";
import { toLegKey } from "../design/nodes";
import type { Evaluation } from "../evaluate/evaluation";
import { computeWallHole } from "../fit/holeSize";
import type { Passage } from "../fit/passages";
import type { RigSide } from "../fit/rigSides";
import { placeGearPort } from "../gear/gearPorts";
import { type Vec3, vec } from "../geometry/vec";
import { measureOverWater, measureWorstOverWater } from "../hull/overWater";
import { createRecall } from "../quantity/recall";
import { lookUpValue } from "../rules/lookUpLimit";
import { type Exit, listExits } from "./exits";
import { type Fitting, listFittings } from "./fittings";
import { computeFloodLps } from "./openHole";
import { findSaw, type Saw } from "./saws";
import { listTrapTails, type TrapTail } from "./trapTails";

export type HoleEntry = {
  readonly id: string;
  readonly through: "floor" | "panel" | "side" | "roof" | "hull";
  /** Which of the rig's sides; null through all else. */
  readonly side: RigSide | null;
  /** The line it is for, or the skin fitting itself. */
  readonly lineId: string | null;
  readonly gearId: string | null;
  readonly panelName: string | null;
  /** Where its middle is on each face; the side to drill from is the first. */
  readonly facesMm: readonly [Vec3, Vec3];
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly thicknessMm: number;
  readonly angleRad: number;
  readonly drillFrom: Passage["drillFrom"];
  readonly behind: { readonly name: string; readonly clearMm: number } | null;
  readonly saw: Saw;
  /** Lies below the waterline where she floats or heels the worst. */
  readonly isUnderWater: boolean;
};

/** The id of a hole of a line: it goes with the point its leg begins at. */
export const toHoleId = (
  { lines }: Pick<Design, "lines">,
  { lineId, legIndex, nth }: Pick<Passage, "lineId" | "legIndex" | "nth">,
): string => {
  const key = toLegKey(
    lines.find(({ id }) => id === lineId),
    legIndex,
  );
  return `${lineId}-${key}-${nth}`;
};

/** The id of the hole a trap's tailpiece goes through. */
export const toTailHoleId = (lineId: string | null): string => `${lineId}-trap`;

/** Every hole of a rig in one list: floor, walls and bulkheads, its own sides and roof, hull. Sizes with the room to seal that is set. */
export const listHoles = (
  design: Design,
  { drains, linePassages }: Pick<Evaluation, "drains" | "linePassages">,
): readonly HoleEntry[] =>
  // each step of the building asks for its own among them
  recallHoles(design.rig, [design, drains, linePassages], () => collectHoles(design, drains, linePassages));

const recallHoles = createRecall<Design["rig"], readonly HoleEntry[]>();

function collectHoles(
  design: Design,
  drains: Evaluation["drains"],
  linePassages: Evaluation["linePassages"],
): readonly HoleEntry[] {
  const passages = [...drains.flatMap((drain) => drain.passages), ...linePassages];
  return [
    ...passages.map((passage): HoleEntry => {
      const { lineId, through, panel, facesMm, hole, thicknessMm, angleRad, drillFrom, behind } = passage;
      return {
        id: toHoleId(design, passage),
        through,
        side: null,
        lineId,
        gearId: null,
        panelName: panel?.name ?? null,
        facesMm,
        lengthMm: hole.lengthMm,
        widthMm: hole.widthMm,
        thicknessMm,
        angleRad,
        drillFrom,
        behind: behind && { name: behind.obstacle.name, clearMm: behind.clearMm },
        saw: findSaw(hole.lengthMm),
        isUnderWater: false,
      };
    }),
    ...listTrapTails(design, drains).map((tail) => toTailHole(design, tail)),
    ...listExits(design, { drains, linePassages }).map((exit) => toExitHole(design, exit)),
    ...listFittings(design).map((piece): HoleEntry => {
      const at = placeGearPort(piece, "in");
      // the thread goes through with a millimetre to bed it
      const widthMm = piece.spec.boreMm + FITTING_WALL_MM;
      return {
        id: piece.id,
        through: "hull",
        side: null,
        lineId: null,
        gearId: piece.id,
        panelName: null,
        facesMm: [at, at],
        lengthMm: widthMm,
        widthMm,
        thicknessMm: design.rig.hull?.thicknessMm ?? 0,
        angleRad: Math.PI / 2,
        drillFrom: "either",
        behind: null,
        saw: findSaw(widthMm),
        isUnderWater: measureFitting(design, piece).worstOverMm < 0,
      };
    }),
  ];
}

// A round hole under the outlet, through the floor at right angles.
function toTailHole(design: Design, { drain, outletMm: { x, y } }: TrapTail): HoleEntry {
  const thicknessMm = measureFloorMm(design);
  const widthMm = drain.pipe.outerMm + 2 * Math.max(0, lookUpValue(design.rules, "holeClearance"));
  return {
    id: toTailHoleId(drain.id),
    through: "floor",
    side: null,
    lineId: drain.id,
    gearId: null,
    panelName: null,
    facesMm: [vec(x, y, 0), vec(x, y, -thicknessMm)],
    lengthMm: widthMm,
    widthMm,
    thicknessMm,
    angleRad: Math.PI / 2,
    drillFrom: "either",
    behind: null,
    saw: findSaw(widthMm),
    isUnderWater: false,
  };
}

// Straight through, with room to seal; how thick a side or a roof is, is not asked for.
function toExitHole(design: Design, { line, through, side, atMm, pipe, slantRad }: Exit): HoleEntry {
  const clearanceMm = Math.max(0, lookUpValue(design.rules, "holeClearance"));
  const { lengthMm, widthMm } = computeWallHole(pipe.outerMm, slantRad, 0, clearanceMm);
  return {
    id: `${line.id}-out`,
    through,
    side,
    lineId: line.id,
    gearId: null,
    panelName: null,
    facesMm: [atMm, atMm],
    lengthMm,
    widthMm,
    thicknessMm: 0,
    angleRad: slantRad,
    drillFrom: "either",
    behind: null,
    saw: findSaw(lengthMm),
    isUnderWater: design.rig.waterlineZMm !== null && measureWorstOverWater(design, atMm).overMm < 0,
  };
}

/** A skin fitting is so much thicker than its bore, thread and bedding together, mm [T]. */
const FITTING_WALL_MM = 12;

export type FittingFigures = {
  /** Over the water at rest, and at the worst heel and trim with her tanks full, mm; below 0 it lies under. */
  readonly restOverMm: number;
  readonly worstOverMm: number;
  readonly worstAt: Attitude;
  /** If its hose comes off, at rest and at the worst, L/s; discharge on the safe side. */
  readonly restLps: number;
  readonly worstLps: number;
};

/** Discharge of an open hole where much water hurts [T]. */
const FLOOD_CD = 0.8;

/** How high a skin fitting lies, and what comes in through it if its hose comes off. */
export function measureFitting(design: Design, piece: Fitting): FittingFigures {
  const at = placeGearPort(piece, "in");
  const restOverMm = measureOverWater(design, at, { pitchDeg: 0, rollDeg: 0 }) ?? Infinity;
  const worst = measureWorstOverWater(design, at);
  const flood = (overMm: number) => computeFloodLps(piece.spec.boreMm, Math.max(0, -overMm), FLOOD_CD);
  return {
    restOverMm,
    worstOverMm: worst.overMm,
    worstAt: worst.at,
    restLps: flood(restOverMm),
    worstLps: flood(worst.overMm),
  };
}
