import type { Design } from "../design/design";
import type { GearOf } from "../design/gear";
import type { Evaluation } from "../evaluate/evaluation";
import { listExits } from "./exits";
import { listTrapTails } from "./trapTails";

export type Fitting = GearOf<"skinFitting">;

/** The fittings in a boat's skin. */
export const listFittings = ({ gear }: Pick<Design, "gear">): Fitting[] =>
  gear.filter((piece): piece is Fitting => piece.spec.kind === "skinFitting");

/** How many holes a rig has, in floor, walls, sides, roof and hull: as many as `listHoles` tells of, without a size worked out. */
export const countHoles = (design: Design, judged: Pick<Evaluation, "drains" | "linePassages">): number =>
  judged.drains.reduce((sum, { passages }) => sum + passages.length, judged.linePassages.length) +
  listExits(design, judged).length +
  listTrapTails(design, judged.drains).length +
  listFittings(design).length;
