import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { Edit } from "../design/editOps";
import { buildMove, roundTenth } from "../design/moves";
import { buildPlumbToilet, type ToiletSchool } from "../edits/plumbToilet";
import { placeClear } from "../edits/setDown";
import { buildAddToilet, type ToiletNames } from "../edits/toiletEdits";
import { evaluate } from "../evaluate/evaluate";
import { vec } from "../geometry/vec";
import { TOILETS, type ToiletKind } from "../heads/toiletKinds";

/** Room a toilet takes, and between it and the wall, mm [T]. */
const LONG_MM = 450;
const WIDE_MM = 380;
const FROM_WALL_MM = 60;
const STEP_MM = 300;
/** Each place costs a whole evaluation; so many are tried at most. */
const MOST_TRIED = 24;

export type WantedToilet = {
  readonly kind: ToiletKind;
  readonly names: ToiletNames;
  readonly school: ToiletSchool;
};

/**
 * Edit that fits a toilet of a kind with all that belongs to it, where that brings the least to be settled: places along both
 * walls are tried one after the other, from the rear on, each with its tank, hoses and water. One that is carried has no place
 * to be looked for.
 */
export function buildFitToilet(
  design: Design,
  { kind, names, school }: WantedToilet,
  onProgress: (share: number) => void = () => undefined,
): Edit {
  const alone = buildAddToilet(design, kind, names);
  const outcome = applyEdit(design, alone);
  if (TOILETS[kind].fit.as === "vessel" || !outcome.ok) return alone;
  const known = new Set(evaluate(design).findings.map(({ id }) => id));
  let best: { readonly edit: Edit; readonly cost: number } | null = null;
  const moves = listMoves(outcome.design, alone);
  for (const [i, move] of moves.entries()) {
    onProgress((i + 1) / moves.length);
    const placed = move ? applyEdit(outcome.design, move) : outcome;
    const plumb = placed.ok ? buildPlumbToilet(placed.design, alone.at, school) : null;
    const tried = placed.ok && plumb ? applyEdit(placed.design, plumb) : null;
    if (!tried?.ok || !plumb) continue;
    const fresh = evaluate(tried.design).findings.filter(({ id }) => !known.has(id));
    const count = (severity: string) => fresh.filter((one) => one.severity === severity).length;
    const cost = 100 * count("must") + count("should");
    if (!best || cost < best.cost) {
      best = { edit: { ...alone, ops: [...alone.ops, ...(move?.ops ?? []), ...plumb.ops] }, cost };
    }
  }
  return best?.edit ?? alone;
}

// The toilet along the left and the right wall, from the rear on.
function listMoves(design: Design, { at }: Edit): (Edit | null)[] {
  if (at.kind !== "gear" && at.kind !== "fixture") return [null];
  const { lengthMm, widthMm } = design.rig;
  const places: (Edit | null)[] = [];
  for (let x = FROM_WALL_MM; x + LONG_MM + FROM_WALL_MM <= lengthMm && places.length < MOST_TRIED; x += STEP_MM) {
    for (const side of [1, -1]) {
      const y = side > 0 ? widthMm / 2 - WIDE_MM - FROM_WALL_MM : -widthMm / 2 + FROM_WALL_MM;
      const z =
        at.kind === "gear"
          ? design.gear.find(({ id }) => id === at.id)!.atMm.z
          : design.fixtures.find(({ id }) => id === at.id)!.outletMm.z;
      const to = at.kind === "gear" ? vec(x, y, 0) : vec(x + LONG_MM / 2, y + WIDE_MM / 2, z);
      places.push(buildMove(design, at, roundTenth(to)));
    }
  }
  return places;
}
