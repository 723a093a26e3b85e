import type { Attitude } from "../attitude/attitude";
import { type PartRef, toPartKey } from "../design/part";
import type { Limit } from "../rules/lookUpLimit";

/** What kind of number it is; `words/` turns it into the reader's unit. */
export type Quantity =
  | "length"
  | "volume"
  | "slope"
  | "ratio"
  | "velocity"
  /** Heat through a film, W/(m² K), and through foam, W/(m K). */
  | "film"
  | "conductivity"
  /** Over the sea, m. */
  | "altitude"
  | "flow"
  | "angle"
  | "days"
  | "count"
  | "times"
  | "seconds"
  | "losses"
  | "roughness"
  | "volumePerDay"
  | "pressure"
  | "weeks"
  | "hours"
  | "weight"
  | "force"
  | "temperature"
  | "area"
  | "heatLoss"
  | "power"
  /** Of water in pipes, kPa. */
  | "waterPressure"
  | "grams"
  /** g/L. */
  | "concentration"
  /** Of ultraviolet light, mJ/cm². */
  | "dose";

export const FORMULAS = [
  "fallInHand",
  "legFall",
  "dropFall",
  "trapHeight",
  "dropsHeight",
  "drainCapacity",
  "drainVelocity",
  "floorHole",
  "panelHole",
  "trapArm",
  "trapSeal",
  "sealDriving",
  "sealDrying",
  "sealSiphon",
  "sealSuction",
  "sealPressure",
  "sealFrost",
  "pondedWater",
  "tankCapacity",
  "tankLeft",
  "tankFull",
  "tankUsable",
  "dumpSuction",
  "sealAfterDump",
  "fillPressure",
  "breakover",
  "rampEnd",
  "tankFreezing",
  "tankIce",
  "padPower",
  "boltUse",
  "heldUse",
  "rampsToRun",
  "rampsToLevel",
  "storeDays",
] as const;
export type FormulaId = (typeof FORMULAS)[number];

/** How the rig stands for a figure that is given more than once: level, as it stands now, or parked the worst. */
export const STANDS = ["level", "here", "worst"] as const;
export type Stand = (typeof STANDS)[number];

export type WorkingTerm = { readonly symbol: string; readonly value: number; readonly quantity: Quantity };

/** How a figure came about: formula, the values put in, the result, and the limit it is held against. */
export type Working = {
  readonly id: string;
  readonly formula: FormulaId;
  readonly at: PartRef;
  readonly stand: Stand | null;
  readonly attitude: Attitude | null;
  readonly terms: readonly WorkingTerm[];
  readonly result: WorkingTerm;
  readonly limit: Limit | null;
};

/** The name under which a figure's working is found. */
export const toWorkingId = (formula: FormulaId, at: PartRef, stand: Stand | null = null): string =>
  `${formula}${stand === null ? "" : `.${stand}`}@${toPartKey(at)}`;
