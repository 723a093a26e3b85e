import type { BowlKind } from "../design/gear";

/** Every kind of toilet there is: bowls that are pumped or flushed away, and those that are carried. */
export const TOILET_KINDS = ["handPump", "macerating", "vacuum", "gravity", "cassette", "diverting", "bucket"] as const;
export type ToiletKind = (typeof TOILET_KINDS)[number];

/** What is done on it once a flush, in litres of one time: water, and all that goes into the vessel. */
type Carried = { readonly holds: "black"; readonly litres: number };

export type ToiletFigures = {
  /** How it is fitted: gear with hoses, a fixture over its tank, or a vessel that is carried. */
  readonly fit:
    | { readonly as: "gear"; readonly bowl: BowlKind }
    | { readonly as: "fixture" }
    | { readonly as: "vessel" };
  /** Water for one flush, L; 0 for dry ones. */
  readonly flushL: number;
  /** Whether it may flush with sea water, too. */
  readonly maySea: boolean;
  /** Height of the seat over what it stands on, mm. */
  readonly seatMm: number;
  /** Bores of what comes in and goes out, mm; null where there is none. */
  readonly inMm: number | null;
  readonly outMm: number | null;
  /** What is carried: sewage or urine, and for the diverting kind what stays dry. */
  readonly urine: Carried | null;
  readonly rest: Carried | null;
};

/** Usual figures, each to be read off the toilet that is bought: common practice, no source [T]. */
export const TOILETS: Readonly<Record<ToiletKind, ToiletFigures>> = {
  handPump: {
    fit: { as: "gear", bowl: "handPump" },
    flushL: 2,
    maySea: true,
    seatMm: 360,
    inMm: 19,
    outMm: 38,
    urine: null,
    rest: null,
  },
  macerating: {
    fit: { as: "gear", bowl: "macerating" },
    flushL: 2.5,
    maySea: true,
    seatMm: 380,
    inMm: 19,
    outMm: 25,
    urine: null,
    rest: null,
  },
  vacuum: {
    fit: { as: "gear", bowl: "vacuum" },
    flushL: 0.5,
    maySea: false,
    seatMm: 420,
    inMm: 13,
    outMm: 38,
    urine: null,
    rest: null,
  },
  gravity: {
    fit: { as: "fixture" },
    flushL: 1,
    maySea: false,
    seatMm: 460,
    inMm: 13,
    outMm: 71.2,
    urine: null,
    rest: null,
  },
  cassette: {
    fit: { as: "vessel" },
    flushL: 0.3,
    maySea: false,
    seatMm: 460,
    inMm: 13,
    outMm: null,
    urine: null,
    rest: { holds: "black", litres: 18 },
  },
  diverting: {
    fit: { as: "vessel" },
    flushL: 0,
    maySea: false,
    seatMm: 430,
    inMm: null,
    outMm: 25,
    urine: { holds: "black", litres: 10 },
    rest: { holds: "black", litres: 12 },
  },
  bucket: {
    fit: { as: "vessel" },
    flushL: 0,
    maySea: false,
    seatMm: 400,
    inMm: null,
    outMm: null,
    urine: null,
    rest: { holds: "black", litres: 15 },
  },
};

/** Urine at one time, L [P: Rose et al. 2015: 1.42 L a person and day in five goes, from memory, 95 %]. */
export const URINE_L = 0.284;
/** The rest of it once a day with paper and, where it is kept dry, what covers it, L [T]. */
export const REST_L = 0.3;
