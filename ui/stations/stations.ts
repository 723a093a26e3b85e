import type { Severity } from "@/core/evaluate/findings";
import { countHoles } from "@/core/through/fittings";
import { STATIONS, type Station, type WorkbenchState } from "@/store/state";
import { RIG_NAMES } from "@/words/labels";
import * as WORDS from "@/words/panels/stations/stations";
import { formatLength, formatQuantity } from "@/words/units";
import { findShownResult } from "../drawing/shown";
import { toStation } from "../findings/stationOf";

/** What a station is, besides its words, its stage and its panel: which group it stands in, its key, its headline figure. */
export type StationDescriptor = {
  readonly group: StationGroup;
  readonly key: string;
  /** The one figure it comes to. */
  readonly toFigure: (state: WorkbenchState) => string;
  /** The rig has a use for it; one without is folded, one press from being fitted. */
  readonly isFitted: (state: WorkbenchState) => boolean;
};

export const STATION_GROUPS = ["design", "build", "live"] as const;
export type StationGroup = (typeof STATION_GROUPS)[number];

const always = () => true;
/** More rooms than this do not go in one line. */
const MOST_ROOMS = 2;

export const STATION_DESCRIPTORS: Readonly<Record<Station, StationDescriptor>> = {
  rig: {
    group: "design",
    key: "1",
    isFitted: always,
    toFigure: ({ history }) => (history ? RIG_NAMES[history.design.rig.kind].toLowerCase() : ""),
  },
  days: {
    group: "design",
    key: "2",
    isFitted: always,
    toFigure: ({ evaluation }) => {
      const days = evaluation?.balance.endsBy.here?.days ?? null;
      return WORDS.stay(days);
    },
  },
  tanks: {
    group: "design",
    key: "3",
    isFitted: always,
    toFigure: ({ history, evaluation, units }) => {
      const waste = history?.design.tanks.filter(({ holds }) => holds === "grey" || holds === "black") ?? [];
      if (waste.length === 0) return WORDS.noWasteTank;
      // store by store: what is not linked is never added up
      const rooms = (evaluation?.balance.stores ?? []).filter(
        ({ store, holds }) => store.tankIds.length > 0 && (holds === "grey" || holds === "black"),
      );
      if (rooms.length > MOST_ROOMS) return WORDS.wasteTanks(rooms.length);
      return WORDS.usable(rooms.map(({ roomL }) => formatQuantity(roomL.here, "volume", units)));
    },
  },
  falls: {
    group: "design",
    key: "4",
    isFitted: always,
    toFigure: (state) => {
      const worst = findShownResult(state)?.worst.inHandMm ?? null;
      if (worst === null) return WORDS.noDrain;
      const { units } = state;
      return worst < 0 ? WORDS.short(formatLength(-worst, units)) : WORDS.inHand(formatLength(worst, units));
    },
  },
  air: {
    group: "design",
    key: "5",
    isFitted: always,
    toFigure: ({ history }) => {
      const vents = history?.design.lines.filter((line) => line.kind === "vent").length ?? 0;
      return WORDS.breathers(vents);
    },
  },
  through: {
    group: "design",
    key: "6",
    isFitted: always,
    toFigure: ({ history, evaluation }) => {
      if (!history || !evaluation) return "";
      const count = countHoles(history.design, evaluation);
      return WORDS.holes(count);
    },
  },
  heads: {
    group: "design",
    key: "-",
    isFitted: ({ history }) => {
      const design = history?.design;
      if (!design) return false;
      const kinds = ["bowl", "sump", "skinFitting", "deckFitting", "ventedLoop"];
      return (
        design.tanks.some(({ holds }) => holds === "black") ||
        design.fixtures.some(({ kind }) => kind === "gravityToilet" || kind === "urineDiverter") ||
        design.gear.some(({ spec }) => kinds.includes(spec.kind))
      );
    },
    toFigure: ({ history }) => {
      const toilets =
        (history?.design.gear.filter(({ spec }) => spec.kind === "bowl").length ?? 0) +
        (history?.design.fixtures.filter(({ kind }) => kind === "gravityToilet").length ?? 0);
      return WORDS.toilets(toilets);
    },
  },
  loop: {
    group: "design",
    key: "7",
    isFitted: ({ history }) => (history?.design.gear.length ?? 0) > 0,
    toFigure: ({ history }) => {
      const pieces = history?.design.gear.length ?? 0;
      return WORDS.pieces(pieces);
    },
  },
  build: { group: "build", key: "8", isFitted: always, toFigure: () => WORDS.stepsPartsCuts },
  trials: { group: "build", key: "0", isFitted: always, toFigure: () => WORDS.doesItHold },
  road: { group: "live", key: "9", isFitted: always, toFigure: () => WORDS.nowLogbook },
};

/** The stations of a group, in the order the water meets them. */
export const listStations = (group: StationGroup): Station[] =>
  STATIONS.filter((station) => STATION_DESCRIPTORS[station].group === group);

/** The worst that is found at a station; notes are not shown on the stair. */
export const findWorst = ({ evaluation }: WorkbenchState, at: Station): Severity | null =>
  (["must", "should"] as const).find((severity) =>
    evaluation?.findings.some((f) => f.severity === severity && toStation(f) === at),
  ) ?? null;
