import { LEVEL } from "@/core/attitude/attitude";
import { type PlanTool, STATIONS } from "@/store/state";
import { endDrag, view as look, previewEdit, redo, tilt, undo, workbench } from "@/store/workbench";
import { STATION_NAMES } from "@/words/labels";
import * as WORDS from "@/words/panels/shell/commands";
import { findShownDrain } from "../drawing/shown";
import { EXAGGERATIONS } from "../drawing/view";
import { tiltToWorst } from "../level/tiltToWorst";
import { STATION_DESCRIPTORS } from "../stations/stations";
import { session, setTheme, setUnits } from "./browserSession";

/** Something that can be done from the keyboard, from the palette, or both. */
export type Command = {
  readonly id: string;
  readonly name: string;
  /** As it is pressed: "mod+z", "w", "?". */
  readonly keys: readonly string[];
  readonly run: () => void;
};

const get = workbench.getState;

export const COMMANDS: readonly Command[] = [
  { id: "undo", name: WORDS.undo, keys: ["mod+z"], run: undo },
  { id: "redo", name: WORDS.redo, keys: ["mod+shift+z", "mod+y"], run: redo },
  {
    id: "palette",
    name: WORDS.searchCommands,
    keys: ["mod+k"],
    run: () => look({ overlay: "palette" }),
  },
  {
    id: "designs",
    name: WORDS.designsOpenDuplicateRenameDelete,
    keys: ["mod+o"],
    run: () => look({ overlay: "library" }),
  },
  {
    id: "waterway",
    name: WORDS.waterwayTheWholeRigAs,
    keys: ["y"],
    run: () => look({ overlay: "waterway" }),
  },
  {
    id: "sums",
    name: WORDS.sumsOneFigureWithoutA,
    keys: ["f"],
    run: () => look({ overlay: "sums" }),
  },
  {
    id: "handbook",
    name: WORDS.handbookWordsRulesFormulasCautions,
    keys: ["h"],
    run: () => look({ overlay: "handbook" }),
  },
  { id: "compare", name: WORDS.compareWithAnotherDesign, keys: ["c"], run: () => look({ overlay: "compare" }) },
  {
    id: "new",
    name: WORDS.newDesign,
    keys: ["n"],
    run: () => look({ overlay: "newDesign" }),
  },
  {
    id: "save",
    name: WORDS.saveToAFile,
    keys: ["mod+s"],
    run: () => session.download(),
  },
  ...STATIONS.map((station) => ({
    id: `station-${station}`,
    name: WORDS.station(STATION_NAMES[station].name),
    keys: [STATION_DESCRIPTORS[station].key],
    run: () => look({ station, pane: "section" }),
  })),
  { id: "level", name: WORDS.tiltToLevel, keys: ["l"], run: () => tilt(LEVEL) },
  { id: "worst", name: WORDS.tiltToWorstCase, keys: ["w"], run: tiltToWorst },
  { id: "standing", name: WORDS.tiltToTheNextPlace, keys: ["s"], run: tiltToNextStanding },
  {
    id: "bubble",
    name: WORDS.tiltWithTheArrowKeys,
    keys: ["t"],
    run: () => document.getElementById("bubble")?.focus(),
  },
  { id: "map", name: WORDS.standingMapFullSize, keys: ["m"], run: () => look({ overlay: "standingMap" }) },
  {
    id: "behind",
    name: WORDS.viewFromAboveOrFrom,
    keys: ["b"],
    run: () => look({ look: get().look === "above" ? "behind" : "above", pane: "plan" }),
  },
  { id: "draw", name: WORDS.drawADrainInThe, keys: ["a"], run: () => toggleTool("draw") },
  { id: "measure", name: WORDS.measureInThePlan, keys: ["r"], run: () => toggleTool("measure") },
  { id: "lock", name: WORDS.lockOrUnlockTheSelection, keys: ["k"], run: toggleLock },
  { id: "copy", name: WORDS.copyTheFixtureShownWith, keys: ["mod+d"], run: copyShown },
  { id: "stretch", name: WORDS.stretchTheHeights, keys: ["e"], run: stretch },
  { id: "pour", name: WORDS.pourWatchTheWaterRun, keys: ["p"], run: togglePour },
  {
    id: "bend",
    name: WORDS.removeTheSelectedBend,
    keys: ["delete", "backspace"],
    run: removePickedBend,
  },
  {
    id: "units",
    name: WORDS.metricOrImperial,
    keys: ["u"],
    run: () => setUnits(get().units === "metric" ? "imperial" : "metric"),
  },
  {
    id: "theme",
    name: WORDS.lightOrDark,
    keys: ["d"],
    run: () => setTheme(get().theme === "light" ? "dark" : "light"),
  },
  {
    id: "keys",
    name: WORDS.keyboardShortcuts,
    keys: ["?"],
    run: () => look({ overlay: "keys" }),
  },
  {
    id: "toilet",
    name: WORDS.toiletHangABlackTank,
    keys: [],
    run: () => look({ station: "falls", pane: "measures" }),
  },
  {
    id: "deleteFixture",
    name: WORDS.deleteAFixtureWithIts,
    keys: [],
    run: () => look({ station: "falls", pane: "measures" }),
  },
  { id: "escape", name: WORDS.cancel, keys: ["escape"], run: leave },
];

function tiltToNextStanding(): void {
  const { attitude, history } = get();
  const places = history?.design.rig.standings ?? [];
  const now = places.findIndex(
    (p) => p.attitude.pitchDeg === attitude.pitchDeg && p.attitude.rollDeg === attitude.rollDeg,
  );
  const next = places[(now + 1) % Math.max(1, places.length)];
  if (next) tilt(next.attitude);
}

const toggleTool = (tool: PlanTool): void =>
  look({ tool: get().tool === tool ? null : tool, pane: "plan", look: "above" });

// these come when they are wanted first
function toggleLock(): void {
  void import("./pickedEdits").then(({ lockPicked }) => lockPicked());
}

function removePickedBend(): void {
  void import("./pickedEdits").then(({ removeBendPicked }) => removeBendPicked());
}

function copyShown(): void {
  void import("../stations/falls/copyShownFixture").then(({ copyShownFixture }) => copyShownFixture());
}

function togglePour(): void {
  const { history, pour, drainId } = get();
  const drain = history && findShownDrain(history.design, drainId);
  if (drain) look({ pour: pour ? null : { of: drain.fromFixture, second: 0 }, pane: "section" });
}

function stretch(): void {
  const now = get().exaggeration ?? 1;
  const index = EXAGGERATIONS.indexOf(now as (typeof EXAGGERATIONS)[number]);
  look({ exaggeration: EXAGGERATIONS[(index + 1) % EXAGGERATIONS.length]! });
}

function leave(): void {
  const { preview, dragBase, tool } = get();
  if (dragBase) endDrag(null);
  else if (preview) previewEdit(null);
  else if (tool) look({ tool: null });
  else look({ selection: null, group: [], findingId: null });
}
