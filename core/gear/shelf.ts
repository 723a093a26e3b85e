import type { Gear } from "../design/gear";
import type { Obstacle } from "../design/rig";
import { add, vec } from "../geometry/vec";

type Piece = Pick<Gear, "name" | "sizeMm" | "openBelowMm">;

/** What does not fit where it was to stand, by how much, mm. */
export type Lack = { readonly name: string; readonly along: "length" | "width" | "height"; readonly byMm: number };

export type Shelf = { readonly places: readonly Gear["atMm"][]; readonly lacks: readonly Lack[] };

/** Between pieces, and to the sides, so that a hand and a hose come by, mm [T]. */
const APART_MM = 40;
/** Over the floor of the cabinet, so that drips show, mm [T]. */
const FOOT_MM = 20;

/**
 * Pieces set side by side in a cabinet, row behind row, each high enough to drop its cartridge; and what does not fit by
 * how much. Source: geometry [C on T].
 */
export function fillShelf({ atMm, lengthMm, widthMm, heightMm }: Obstacle, pieces: readonly Piece[]): Shelf {
  let [x, y, deepest] = [APART_MM, APART_MM, 0];
  const lacks: Lack[] = [];
  const places = pieces.map(({ name, sizeMm, openBelowMm }) => {
    if (x > APART_MM && x + sizeMm.x + APART_MM > lengthMm) {
      x = APART_MM;
      y += deepest + APART_MM;
      deepest = 0;
    }
    const z = FOOT_MM + openBelowMm;
    const over = {
      length: x + sizeMm.x + APART_MM - lengthMm,
      width: y + sizeMm.y + APART_MM - widthMm,
      height: z + sizeMm.z - heightMm,
    } as const;
    for (const along of ["length", "width", "height"] as const) {
      if (over[along] > 0) lacks.push({ name, along, byMm: Math.ceil(over[along]) });
    }
    const place = add(atMm, vec(x, y, z));
    x += sizeMm.x + APART_MM;
    deepest = Math.max(deepest, sizeMm.y);
    return place;
  });
  return { places, lacks };
}
