import type { Design } from "../design/design";
import { freeId } from "../design/freeId";
import type { Gear, GearSpec } from "../design/gear";
import { roundTenth } from "../design/moves";
import { GIVES_MM, measureLegIn } from "../fit/clashes";
import { listTrayRooms } from "../fit/floorRoom";
import { listOwnLegs } from "../fit/lineLegs";
import { toGearBlock } from "../gear/gearBlock";
import { USUAL_GEAR } from "../gear/usualGear";
import { areApart, measureBlockGap } from "../geometry/blocks";
import { type Vec3, vec } from "../geometry/vec";
import { isFree } from "./putPiece";

/** Between pieces, for fingers and hose tails, mm [T]. */
const ROOM_MM = 20;
const STEP_MM = 60;
/** So far from where it is wanted a place is looked for, mm. */
const FAR_MM = 1_200;

/** Places at one height from the nearest on, mm beside where a piece is wanted. */
const PLACES: readonly { readonly x: number; readonly y: number }[] = (() => {
  const steps = Array.from({ length: (2 * FAR_MM) / STEP_MM + 1 }, (_, i) => i * STEP_MM - FAR_MM);
  return steps.flatMap((x) => steps.map((y) => ({ x, y }))).sort((a, b) => Math.hypot(a.x, a.y) - Math.hypot(b.x, b.y));
})();

/**
 * Where a piece of a kind stands clear of tanks, gear, pipes, trays and what is solid, within the floor, as near as can be to where it is
 * wanted (its lowest, rearmost, rightmost corner, mm); there itself where no place is clear.
 */
export function placeClear(design: Design, { spec, sizeMm }: Pick<Gear, "spec" | "sizeMm">, wantedMm: Vec3): Vec3 {
  const { lengthMm, widthMm } = design.rig;
  const piece: Gear = { id: freeId("piece", design.gear), name: "", spec, sizeMm, openBelowMm: 0, atMm: wantedMm };
  const others = design.gear.map(toGearBlock);
  // hoses are led past by hand
  const trays = listTrayRooms(design);
  const legs = design.lines.flatMap((line) => (line.kind === "hose" ? [] : listOwnLegs(design, line)));
  let onPipe: Vec3 | null = null;
  for (const { x, y } of PLACES) {
    const atMm = roundTenth(vec(wantedMm.x + x, wantedMm.y + y, wantedMm.z));
    const isOn =
      atMm.x >= 0 && atMm.x + sizeMm.x <= lengthMm && atMm.y >= -widthMm / 2 && atMm.y + sizeMm.y <= widthMm / 2;
    if (!isOn) continue;
    const tried = { ...piece, atMm };
    const block = toGearBlock(tried);
    const isClear =
      others.every((other) => measureBlockGap(block, other) >= ROOM_MM) &&
      trays.every((tray) => areApart(block, tray)) &&
      isFree(design, tried);
    if (isClear && legs.every((leg) => measureLegIn(leg, block) <= GIVES_MM)) return atMm;
    if (isClear) onPipe ??= atMm;
  }
  return onPipe ?? wantedMm;
}

/** The usual size of a kind of gear. */
export const toUsual = (spec: GearSpec): Pick<Gear, "spec" | "sizeMm"> => ({
  spec,
  sizeMm: USUAL_GEAR[spec.kind].sizeMm,
});
