import type { Design } from "../design/design";
import type { Edit } from "../design/editOps";
import type { FixtureKind, HeldWater } from "../design/plumbing";
import { tryChain } from "../edits/editChain";
import { listFitHotWater } from "../edits/fitHotWater";
import type { Lack } from "../gear/shelf";
import { fitBest, type OnStep } from "./fitBest";
import { buildFitFixture } from "./fitFixture";
import { planLoop, type WantedLoop } from "./fitLoop";
import { buildFitTank } from "./fitTank";
import { buildFitToilet, type WantedToilet } from "./fitToilet";
import { buildLaySupply } from "./laySupply";
import { planSump, type WantedSump } from "./planSump";

/** What a builder can have fitted whole. */
export type Wanted =
  | { readonly what: "fixture"; readonly kind: FixtureKind; readonly name: string }
  | { readonly what: "tank"; readonly holds: HeldWater; readonly name: string }
  | ({ readonly what: "toilet" } & WantedToilet)
  | ({ readonly what: "loop" } & WantedLoop)
  | ({ readonly what: "sump" } & WantedSump)
  | { readonly what: "supply" }
  | { readonly what: "hotWater" };

export type Fitted = {
  /** Null where it cannot be fitted at all. */
  readonly edit: Edit | null;
  /** What does not fit into its cabinet. */
  readonly lacks: readonly Lack[];
};

/** Fits what is wanted with all that belongs to it, where that brings the least to be settled. It takes up to a second. */
export function fitWanted(design: Design, wanted: Wanted, onStep?: OnStep): Fitted {
  switch (wanted.what) {
    case "fixture":
      return { edit: buildFitFixture(design, wanted, onStep), lacks: [] };
    case "tank":
      return { edit: buildFitTank(design, wanted, onStep), lacks: [] };
    case "toilet":
      return { edit: buildFitToilet(design, wanted, onStep), lacks: [] };
    case "sump":
      return { edit: planSump(design, wanted, onStep), lacks: [] };
    case "supply":
      return { edit: buildLaySupply(design, onStep), lacks: [] };
    case "hotWater": {
      const ways = listFitHotWater(design).map((build) => () => tryChain(build));
      return { edit: fitBest(design, ways, onStep), lacks: [] };
    }
    case "loop": {
      const plan = planLoop(design, wanted, onStep);
      return { edit: plan?.edit ?? null, lacks: plan?.lacks ?? [] };
    }
  }
}
