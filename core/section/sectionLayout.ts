import type { BranchVent, PortKind } from "../design/plumbing";
import type { Obstacle } from "../design/rig";

/** A point of the long section: station along the drain, mm, and true height over the floor at the fixture, mm. */
export type SectionPoint = { readonly s: number; readonly h: number };

export type SectionNode = SectionPoint & {
  readonly role: "weir" | "bend" | "inlet" | "freeEnd";
  /** Which bend of which drain; −1 for the ends. */
  readonly lineId: string;
  readonly bend: number;
  /** Names of the drains that come in here from elsewhere. */
  readonly joins: readonly string[];
};

export type SectionObstacle = { readonly obstacle: Obstacle; readonly corners: readonly SectionPoint[] };

/** What foam adds to a leg's outside, both sides together, and the shares of the leg between which it lies under the floor. */
export type SectionFoam = { readonly mm: number; readonly from: number; readonly to: number };

export type LongSection = {
  readonly lineId: string;
  /** Stations the drawing reaches over, mm. */
  readonly fromS: number;
  readonly toS: number;
  /** What must be seen of it: sink, drain and tank, between ground and rim. */
  readonly nearS: number;
  readonly farS: number;
  readonly lowH: number;
  readonly highH: number;
  readonly outlet: SectionPoint;
  readonly sink: readonly SectionPoint[];
  readonly nodes: readonly SectionNode[];
  /** Between the nodes: a leg of which drain, its bore, and its foam. */
  readonly legs: readonly {
    readonly lineId: string;
    readonly index: number;
    readonly boreMm: number;
    readonly foam: SectionFoam | null;
  }[];
  /** What foam adds to the trap's pipe, both sides together, mm; 0 where there is none. */
  readonly trapFoamMm: number;
  /** Centre line of the trap's pipe from the outlet to the weir; empty without a trap. */
  readonly trap: readonly SectionPoint[];
  readonly trapSurfaceH: number | null;
  readonly floorTop: readonly SectionPoint[];
  readonly floorUnder: readonly SectionPoint[];
  readonly ground: readonly SectionPoint[];
  readonly sill: readonly SectionPoint[];
  readonly waterline: number | null;
  readonly obstacles: readonly SectionObstacle[];
  readonly ponds: readonly {
    readonly fromS: number;
    readonly toS: number;
    readonly surfaceH: number;
    readonly legIndex: number;
  }[];
  /** Null where the drain ends in the open or in a vessel. */
  readonly tank: {
    readonly id: string;
    readonly inletId: string;
    readonly outline: readonly SectionPoint[];
    readonly water: readonly SectionPoint[];
    readonly waterH: number;
    readonly fullH: number;
    readonly fullAt: readonly [number, number];
    readonly ports: readonly (SectionPoint & {
      readonly id: string;
      readonly kind: PortKind;
      readonly boreMm: number;
    })[];
  } | null;
  /** What lies under its free end; null where it ends in a tank. */
  readonly freeEnd: FreeEnd | null;
  /** Where air comes to the branch near its trap; null where none does. */
  readonly branchVent: (SectionPoint & { readonly kind: BranchVent["kind"] }) | null;
  readonly vents: readonly { readonly lineId: string; readonly points: readonly SectionPoint[] }[];
};

/** Where the water of a drain without a tank goes: how low it falls, and the rim of what it falls into where that is known. */
export type FreeEnd = {
  readonly into: "ground" | "vessel" | "overboard" | "sump";
  readonly name: string | null;
  readonly lowH: number;
  readonly rimH: number | null;
};
