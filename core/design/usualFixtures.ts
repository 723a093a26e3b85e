import type { Fixture, FixtureKind, Trap } from "./plumbing";
import { USUAL_TRAPS } from "./usualTraps";

/** What a fixture of a kind is like before it is measured: common practice, no source [T]. */
export type UsualFixture = Pick<Fixture, "boreMm" | "rimMm" | "inflowLps" | "volumePerUseL" | "hasPlug"> & {
  /** Underside of its waste over the finished floor, mm. */
  readonly heightMm: number;
  /** Half its width where it is cut by a section, mm. */
  readonly halfMm: number;
  /** Null where a flap of its own shuts it. */
  readonly trap: Trap | null;
};

const DEEP = USUAL_TRAPS.pTrap;
/** Trays sit on the floor: a low trap saves height [T]. */
const LOW = USUAL_TRAPS.running;

export const USUAL_FIXTURES: Readonly<Record<FixtureKind, UsualFixture>> = {
  kitchenSink: {
    heightMm: 640,
    halfMm: 190,
    boreMm: 36.4,
    rimMm: 160,
    inflowLps: 0.1,
    volumePerUseL: 8,
    hasPlug: true,
    trap: DEEP,
  },
  basin: {
    heightMm: 660,
    halfMm: 170,
    boreMm: 28.4,
    rimMm: 110,
    inflowLps: 0.07,
    volumePerUseL: 2,
    hasPlug: true,
    trap: DEEP,
  },
  showerTray: {
    heightMm: 40,
    halfMm: 360,
    boreMm: 36.4,
    rimMm: 70,
    inflowLps: 0.05,
    volumePerUseL: 11,
    hasPlug: false,
    trap: LOW,
  },
  bath: {
    heightMm: 60,
    halfMm: 500,
    boreMm: 36.4,
    rimMm: 330,
    inflowLps: 0.15,
    volumePerUseL: 60,
    hasPlug: true,
    trap: LOW,
  },
  washingMachine: {
    heightMm: 500,
    halfMm: 60,
    boreMm: 36.4,
    rimMm: 300,
    inflowLps: 0.25,
    volumePerUseL: 15,
    hasPlug: false,
    trap: DEEP,
  },
  iceboxDrain: {
    heightMm: 300,
    halfMm: 60,
    boreMm: 16,
    rimMm: 30,
    inflowLps: 0.01,
    volumePerUseL: 0.5,
    hasPlug: false,
    trap: DEEP,
  },
  urineDiverter: {
    heightMm: 300,
    halfMm: 110,
    boreMm: 25,
    rimMm: 80,
    inflowLps: 0.03,
    volumePerUseL: 0.4,
    hasPlug: false,
    trap: DEEP,
  },
  // gravity over a tank: a bowl with a flap on a straight drop
  gravityToilet: {
    heightMm: 20,
    halfMm: 190,
    boreMm: 71.2,
    rimMm: 250,
    inflowLps: 0.15,
    volumePerUseL: 1,
    hasPlug: true,
    trap: null,
  },
  outsideShower: {
    heightMm: 40,
    halfMm: 300,
    boreMm: 36.4,
    rimMm: 30,
    inflowLps: 0.05,
    volumePerUseL: 8,
    hasPlug: false,
    trap: LOW,
  },
};

/** Share of the square it stands in that a bowl takes [T]. */
const BOWL_SHARE = 0.8;

/** Surface of the water in a usual fixture of a kind, mm²: a bowl as wide as it is drawn [C on T]. */
export const measureBowlMm2 = (kind: FixtureKind): number => BOWL_SHARE * (2 * USUAL_FIXTURES[kind].halfMm) ** 2;
