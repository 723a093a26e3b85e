import type { Gear, SpecOf } from "../design/gear";
import { roundTenth } from "../design/moves";
import { USUAL_GEAR, usualSpec } from "../gear/usualGear";
import { vec } from "../geometry/vec";
import { findHalfBreadthMm } from "../hull/loft";
import type { EditChain } from "./editChain";
import { placeClear, toUsual } from "./setDown";

/** Port is 1, starboard -1. */
type Side = 1 | -1;

/** A vented loop stands so far in from the sole's edge, mm [T]. */
const LOOP_IN_MM = 110;
/** Where her sections are not known her side is so far in from the sole's edge, mm. */
const SKIN_IN_MM = 50;

/** The side a piece stands on. */
export const findSide = ({ atMm, sizeMm }: Pick<Gear, "atMm" | "sizeMm">): Side => (atMm.y + sizeMm.y / 2 < 0 ? -1 : 1);

type InSide = Pick<SpecOf<"skinFitting">, "serves" | "boreMm"> & {
  readonly key: string;
  readonly name: string;
  readonly side: Side;
  readonly xMm: number;
  readonly zMm: number;
};

/** A skin fitting with seacock set into her side, its tail's middle at a height; its id. */
export function setInSide(chain: EditChain, { key, name, side, xMm, zMm, serves, boreMm }: InSide): string {
  const { sizeMm } = USUAL_GEAR.skinFitting;
  // its tail is at its rear, half way across
  const y = side * findSideMm(chain, xMm, zMm) - sizeMm.y / 2;
  const spec = usualSpec("skinFitting", { serves, boreMm });
  return chain.addGear({ key, name, spec }, roundTenth(vec(xMm, y, zMm - sizeMm.z / 2)));
}

type Loop = Pick<InSide, "key" | "name" | "side" | "xMm" | "zMm">;

/** A vented loop by her side, its foot at a height, clear of what is there; its id. */
export function setLoop(chain: EditChain, { key, name, side, xMm, zMm }: Loop): string {
  const spec = usualSpec("ventedLoop");
  const y = side * (chain.now().rig.widthMm / 2 - LOOP_IN_MM) - USUAL_GEAR.ventedLoop.sizeMm.y / 2;
  return chain.addGear({ key, name, spec }, placeClear(chain.now(), toUsual(spec), vec(xMm, y, zMm)));
}

/** Where her side is at a place along her and a height, mm from the middle: by her sections, or by the sole where they are not known. */
export function findSideMm(chain: EditChain, xMm: number, zMm: number): number {
  const { hull, widthMm } = chain.now().rig;
  return (hull ? findHalfBreadthMm(hull, xMm, zMm) : null) ?? widthMm / 2 - SKIN_IN_MM;
}
