import type { Attitude } from "@/core/attitude/attitude";
import type { Design } from "@/core/design/design";
import type { Edit } from "@/core/design/editOps";
import type { Movable } from "@/core/design/moves";
import type { Evaluation } from "@/core/evaluate/evaluation";
import type { Failure } from "@/core/gear/settings";
import type { Turn } from "@/core/gear/turns";
import type { Units } from "@/words/units";
import type { History } from "./history";
import type { BinEntry, LibraryEntry } from "./library";

export const STATIONS = [
  "rig",
  "days",
  "tanks",
  "falls",
  "air",
  "through",
  "heads",
  "loop",
  "build",
  "trials",
  "road",
] as const;
export type Station = (typeof STATIONS)[number];

/** Drawings and lists the phone shows one at a time. */
export const PANES = ["section", "plan", "level", "findings", "measures"] as const;
export type Pane = (typeof PANES)[number];

/** Regions of the screen that may follow a pull one after the other. */
export const REGIONS = ["level", "section", "strip", "plan", "findings", "measures"] as const;
export type Region = (typeof REGIONS)[number];

/** From where the second drawing looks at the rig. */
export const LOOKS = ["above", "behind"] as const;
export type Look = (typeof LOOKS)[number];

/** What lies over the drawings; one thing at a time. */
export const OVERLAYS = [
  "library",
  "newDesign",
  "palette",
  "keys",
  "standingMap",
  "compare",
  "waterway",
  "sums",
  "handbook",
] as const;
export type Overlay = (typeof OVERLAYS)[number];

/** Tools of the plan: draw a drain by its bends, measure between two points. */
export type PlanTool = "draw" | "measure";

export type Theme = "light" | "dark";

/** Where the open design stands against the browser's store. */
export type SaveState =
  | "saved"
  | "saving"
  | "unsaved"
  | "full"
  | "failed"
  | "conflict"
  /** Another tab has put it into the bin. */
  | "deleted"
  /** There is no store to keep it in. */
  | "away";

/** Something to tell, with what can be done about it. */
export type Notice = {
  readonly id: number;
  readonly text: string;
  readonly tone: "plain" | "warning";
  readonly action: { readonly label: string; readonly run: () => void } | null;
};

/** A remedy or another edit tried on a copy, drawn beside the design until it is taken or dropped. */
export type Preview = { readonly edit: Edit; readonly design: Design; readonly evaluation: Evaluation };

/** Pours every fixture's use together. */
export const ALL_AT_ONCE = "*";

/** How the tanks stand now, the stops of a journey, or what is due. */
export const ROAD_VIEWS = ["now", "journey", "care"] as const;
export type RoadView = (typeof ROAD_VIEWS)[number];

/** Water in motion: of which fixture, and where in time it is shown, s. */
export type ShownPour = { readonly of: string; readonly second: number };

/** A way for water to where it must not come: what is turned and what fails for it, and the links it goes along. */
export type ShownWay = {
  readonly turns: readonly Turn[];
  readonly failure: Failure | null;
  readonly links: readonly string[];
  readonly text: string;
};

export type WorkbenchState = {
  readonly phase: "loading" | "ready" | "failed";
  readonly history: History | null;
  readonly evaluation: Evaluation | null;
  readonly attitude: Attitude;
  /** How full the tank is drawn, as a share of what it holds here. */
  readonly fillShare: number;
  readonly selection: Movable | null;
  /** Parts picked together, to be moved and lined up as one; the selection is one of them. */
  readonly group: readonly Movable[];
  /** What a hand in the plan does besides pulling. */
  readonly tool: PlanTool | null;
  /** The fall a drain is drawn at, mm/m; null takes what the rules ask for and a tenth over. */
  readonly drawFallMmPerM: number | null;
  /** For how many days the stay is wished to last; null while nothing was wished. */
  readonly wantedDays: number | null;
  /** The working state on the stage of the loop, null the first; and the way that is lit there. */
  readonly loopView: { readonly stateId: string | null; readonly way: ShownWay | null };
  /** What the station Road shows. */
  readonly roadView: RoadView;
  /** The finding that is open to be read and mended. */
  readonly findingId: string | null;
  /** The drain in the long section; null shows the first. */
  readonly drainId: string | null;
  /** The tank on the stage; null follows the drain shown. */
  readonly tankId: string | null;
  /** The breather on the stage; null shows the first. */
  readonly ventId: string | null;
  /** A fixture that is looked at by itself, because it has no drain; null follows the drain shown. */
  readonly fixtureId: string | null;
  /** Heights are drawn this many times as tall as lengths; null takes what fits. */
  readonly exaggeration: number | null;
  readonly overlay: Overlay | null;
  readonly preview: Preview | null;
  readonly station: Station;
  readonly pane: Pane;
  readonly look: Look;
  /** The use of a fixture that is replayed on the section; null when none is. */
  readonly pour: ShownPour | null;
  readonly units: Units;
  readonly theme: Theme;
  readonly save: SaveState;
  readonly library: readonly LibraryEntry[];
  readonly bin: readonly BinEntry[];
  readonly notice: Notice | null;
  /** The last thing said to a screen reader. */
  readonly said: string;
  /** The design before a drag began; null when nothing is dragged. */
  readonly dragBase: Design | null;
  /** The region under a hand that pulls; the others follow one after the other. Null when nothing is pulled. */
  readonly dragFrom: Region | null;
};
