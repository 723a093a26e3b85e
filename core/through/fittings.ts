import type { Design } from "../design/design";
import type { GearOf } from "../design/gear";
import type { Evaluation } from "../evaluate/evaluation";
import { listVentExits } from "./ventExits";

export type Fitting = GearOf<"skinFitting">;

/** The fittings in a boat's skin. */
export const listFittings = ({ gear }: Pick<Design, "gear">): Fitting[] =>
  gear.filter((piece): piece is Fitting => piece.spec.kind === "skinFitting");

/** How many holes a rig has, in floor, walls, sides, roof and hull: as many as `listHoles` tells of, without a size worked out. */
export const countHoles = (
  design: Design,
  { drains, linePassages }: Pick<Evaluation, "drains" | "linePassages">,
): number =>
  drains.reduce((sum, { passages }) => sum + passages.length, linePassages.length) +
  listVentExits(design, linePassages).length +
  listFittings(design).length;
