import type { RigKind } from "@/core/design/rig";
import { speakFor } from "./afloat";

/** Stands wherever results are given. */
export const CAUTION =
  "Schleuse computes; it does not approve. Building codes do not govern most conversions and their figures are used here as the best-tested there are. Local rules and licensed practice come first.";

/** Beside the work itself, where it can hurt somebody. */
export const WORK_CAUTIONS = {
  underneath:
    "Before you go under the rig: level ground, chocks, axle stands. Never trust a jack. Wear glasses; hot chips fall on you.",
  drilling:
    "Before you drill the floor: look underneath for fuel, brake and electric lines, drill a small pilot first, and catch the chips.",
  drillingBoat:
    "Before you drill: look behind for fuel, gas and electric lines, drill a small pilot first. Through the hull drill only for a skin fitting made for it, ashore, and with a seacock below the waterline.",
  tankGas:
    "Tank gas can kill and deadens the nose. Air the tank out; never lean into it. Grey water carries germs: gloves, and a hose of its own.",
  dumping: "Dumping on the ground is forbidden in many places even where it is tolerated. The rule is local: ask.",
} as const;

/** What is said before a hole is drilled, on land and in a hull. */
export const sayBeforeDrilling = (kind: RigKind): string =>
  kind === "boat" ? WORK_CAUTIONS.drillingBoat : WORK_CAUTIONS.drilling;

/** The cautions of the work on a rig of a kind. */
export const listWorkCautions = (kind: RigKind): readonly string[] =>
  kind === "boat"
    ? [WORK_CAUTIONS.drillingBoat, WORK_CAUTIONS.tankGas, speakFor(kind)(WORK_CAUTIONS.dumping)]
    : [WORK_CAUTIONS.underneath, WORK_CAUTIONS.drilling, WORK_CAUTIONS.tankGas, WORK_CAUTIONS.dumping];
