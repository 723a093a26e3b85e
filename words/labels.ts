import type { FixtureKind, PortKind } from "@/core/design/plumbing";
import type { RigKind } from "@/core/design/rig";
import type { StandingState } from "@/core/evaluate/standingMap";
import type { LoadCaseId } from "@/core/fixing/fixing";

/** Stations of the work, as they stand on the stair. */
export const STATION_NAMES = {
  rig: {
    name: "Rig",
    plain: "What you start from: floor, ground, sills and what is under them.",
    stage: "The rig from the side",
    pane: "Side",
  },
  days: {
    name: "Days",
    plain: "Who lives in it, what they do with water, and how long that lasts.",
    stage: "The days",
    pane: "Levels",
  },
  tanks: {
    name: "Tanks",
    plain: "Where the waste water waits until it is dumped.",
    stage: "The tank",
    pane: "Tank",
  },
  falls: {
    name: "Falls",
    plain: "Sink, trap and drain: does the water run, wherever you park?",
    stage: "The long section",
    pane: "Section",
  },
  air: {
    name: "Air",
    plain: "Breathers and vents, so that no trap is blown or sucked out.",
    stage: "The breather",
    pane: "Breather",
  },
  through: {
    name: "Through",
    plain: "Every hole in floor, wall and hull: how large, from which side, and what lies behind.",
    stage: "The hole",
    pane: "Hole",
  },
  heads: {
    name: "Heads",
    plain: "Toilets and black water, sumps and hoses, and on a boat what lies under the water.",
    stage: "The heads from behind",
    pane: "Heads",
  },
  loop: {
    name: "Loop",
    plain: "Pumped and valved water, and the shower that uses its water again.",
    stage: "The pumped water",
    pane: "Loop",
  },
  build: {
    name: "Build",
    plain: "What to buy, cut and do, in an order in which nothing has to come off again.",
    stage: "The building",
    pane: "Steps",
  },
  trials: {
    name: "Trials",
    plain: "Whether it holds water, and where it does not.",
    stage: "Finding the fault",
    pane: "Trial",
  },
  road: {
    name: "Road",
    plain: "How full the tanks are now, by the logbook, and what comes next.",
    stage: "Now",
    pane: "Now",
  },
} as const;

export const STATION_GROUP_NAMES = { design: "Design", build: "Build", live: "Live" } as const;

export const RIG_NAMES: Readonly<Record<RigKind, string>> = {
  van: "Van",
  bus: "Bus",
  trailer: "Trailer",
  boat: "Boat",
};

export const PORT_NAMES: Readonly<Record<PortKind, string>> = {
  inlet: "Inlet",
  vent: "Breather port",
  outlet: "Dump outlet",
  hatch: "Inspection hatch",
  sender: "Sender hole",
  plug: "Drain plug",
  draw: "Draw-off",
  fill: "Filling port",
};

export const LOAD_NAMES: Readonly<Record<LoadCaseId, string>> = {
  braking: "Braking",
  cornering: "Cornering",
  road: "Braking into a bend",
  track: "A rough track",
  crashForward: "A crash forward",
  crashSideways: "A crash from the side",
  aground: "Running aground",
  seaway: "Rolling and pitching in a seaway",
  slam: "Falling off a wave",
  knockedDown: "Lying on her side",
  turnedOver: "Lying upside down",
};

export const STANDING_NAMES: Readonly<Record<StandingState, { readonly name: string; readonly plain: string }>> = {
  runs: { name: "Runs", plain: "Every leg falls." },
  puddles: { name: "Puddles", plain: "Water stays in the pipe, air still passes." },
  blocked: { name: "Stands full", plain: "Water fills the bore: no air passes." },
  backsUp: { name: "Backs up", plain: "The tank comes up in a fixture before it is full." },
};

export const FIXTURE_NAMES: Readonly<Record<FixtureKind, string>> = {
  kitchenSink: "Kitchen sink",
  basin: "Basin",
  showerTray: "Shower tray",
  bath: "Bath",
  washingMachine: "Washing machine",
  iceboxDrain: "Icebox drain",
  urineDiverter: "Urine diverter",
  outsideShower: "Outside shower",
  gravityToilet: "Gravity toilet",
};

/** Air on the branch near its trap. */
export const BRANCH_VENT_NAMES = {
  none: "None",
  openPipe: "Open vent pipe",
  admittanceValve: "Air-admittance valve",
} as const;

/** The words of the trade, one tap away from where they are used. */
export const PLAIN_WORDS = {
  invert: "Invert: the inside bottom of a pipe, where the last drop runs.",
  fall: "Fall: how far a pipe goes down over its length.",
  fallInHand: "Fall in hand: the millimetres a drain can still lose before it stops running.",
  trapSeal: "Trap seal: the depth of water in a trap that holds the tank's gas back.",
  weir: "Weir: the edge in a trap over which the water leaves.",
  bore: "Bore: the inside diameter.",
  breather: "Breather: the tank's vent. It lets air out while filling and in while dumping.",
  sill: "Sill line: the lowest edge of the body. What hangs lower hits the ground first.",
} as const;
