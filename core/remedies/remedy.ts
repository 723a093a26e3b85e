import type { Edit } from "../design/editOps";

/** Which way something is moved, as the rig lies. */
export type MoveWay = "left" | "right" | "forward" | "aft" | "up" | "down";

/** Which way the bolts of a tank are moved: all of them out from its middle or in, along the rig or across it. */
export type BoltWay = "outAlong" | "inAlong" | "outAcross" | "inAcross";

/** At which end of a leg it is taken straight down. */
type DropEnd = "lowerEnd" | "upperEnd";

export type Way = MoveWay | BoltWay | DropEnd;

/** An edit that would settle a finding, with what it costs in its own measure. */
export type Remedy = {
  readonly edit: Edit;
  /** How far something moves, mm; null where nothing does. */
  readonly byMm: number | null;
  /** Which way, where there is a choice of them. */
  readonly way?: Way;
  /** Tried by more and more: of its kind on its part one is enough, the first that holds and brings nothing new. */
  readonly isByLeast?: true;
};

/** A remedy that has been tried on a copy of the design. */
export type ProvenRemedy = Remedy & {
  /** Fall in hand of the drain it concerns, before and after, level and where the rig is parked the worst, mm. */
  readonly before: RemedyFigures;
  readonly after: RemedyFigures;
  readonly newFindings: number;
};

export type RemedyFigures = {
  readonly levelMm: number | null;
  readonly worstMm: number | null;
  /** Each tank by itself: what can be used of it where the rig is parked the worst. */
  readonly rooms: readonly { readonly tankId: string; readonly usableL: number }[];
  /** Until the first store is full or gone, level; null where none ever is. */
  readonly days: number | null;
  readonly findings: number;
};
