import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { Edit } from "../design/editOps";
import { buildMove, roundTenth } from "../design/moves";
import { tryChain } from "../edits/editChain";
import { buildPlumbToilet, type ToiletSchool } from "../edits/plumbToilet";
import { buildAddToilet, type ToiletNames } from "../edits/toiletEdits";
import { isRoomFree } from "../fit/floorRoom";
import { measureExtent } from "../geometry/solid";
import { add, type Vec3, vec } from "../geometry/vec";
import { TOILETS, type ToiletKind } from "../heads/toiletKinds";
import { fitBest, type OnStep } from "./fitBest";
import { listWallPlaces } from "./wallPlaces";

/** Room a toilet takes, mm [T]. */
const SIZE = { longMm: 450, wideMm: 380 } as const;
const ROOM = vec(SIZE.longMm, SIZE.wideMm, 900);

export type WantedToilet = {
  readonly kind: ToiletKind;
  readonly names: ToiletNames;
  readonly school: ToiletSchool;
};

/**
 * Edit that fits a toilet of a kind with all that belongs to it, where that brings the least to be settled: places along both
 * walls and over a black tank that is there are tried, each with its tank, hoses and water. One that is carried has no place to be looked for.
 */
export function buildFitToilet(design: Design, { kind, names, school }: WantedToilet, onStep?: OnStep): Edit {
  // one over its tank comes without a drain, which is laid at each place anew
  const isOver = TOILETS[kind].fit.as === "fixture";
  const tanks = isOver ? design.tanks.filter(({ holds }) => holds !== "black") : design.tanks;
  const alone = buildAddToilet({ ...design, tanks }, kind, names);
  const outcome = applyEdit(design, alone);
  if (TOILETS[kind].fit.as === "vessel" || !outcome.ok) return alone;
  const places = [...listWallPlaces(design, SIZE), ...(isOver ? listOverBlack(design) : [])];
  const free = places.filter((at) => isRoomFree(design, { min: at, max: add(at, ROOM) }, false));
  const ways = (free.length > 0 ? free : places).map((placeMm) => (): Edit | null => {
    const move = buildMove(outcome.design, alone.at, toPlace(outcome.design, alone, placeMm));
    const placed = move ? applyEdit(outcome.design, move) : outcome;
    const plumb = placed.ok ? tryChain(() => buildPlumbToilet(placed.design, alone.at, school)) : null;
    return plumb && { ...alone, ops: [...alone.ops, ...(move?.ops ?? []), ...plumb.ops] };
  });
  return fitBest(design, ways, onStep) ?? alone;
}

/** Places over a tank are tried so far apart, mm. */
const STEP_MM = 150;

// Lowest, rearmost, rightmost corners from which the middle of the seat stands over a black tank.
function listOverBlack({ tanks, rig: { lengthMm, widthMm } }: Design): Vec3[] {
  const half = vec(SIZE.longMm / 2, SIZE.wideMm / 2, 0);
  return tanks.flatMap(({ holds, atMm, solid }) => {
    if (holds !== "black") return [];
    const { min, max } = measureExtent(solid);
    const places: Vec3[] = [];
    for (let x = min.x + STEP_MM / 2; x < max.x; x += STEP_MM) {
      for (let y = min.y + STEP_MM / 2; y < max.y; y += STEP_MM) {
        const at = vec(atMm.x + x - half.x, atMm.y + y - half.y, 0);
        const isIn = at.x >= 0 && at.x + SIZE.longMm <= lengthMm && Math.abs(at.y + half.y) + half.y <= widthMm / 2;
        if (isIn) places.push(at);
      }
    }
    return places;
  });
}

// A bowl stands on the floor by its corner; of one over its tank the outlet keeps its height.
function toPlace(design: Design, { at }: Edit, { x, y }: Vec3): Vec3 {
  if (at.kind === "gear") return roundTenth(vec(x, y, 0));
  const z = design.fixtures.find(({ id }) => "id" in at && id === at.id)?.outletMm.z ?? 0;
  return roundTenth(vec(x + SIZE.longMm / 2, y + SIZE.wideMm / 2, z));
}
