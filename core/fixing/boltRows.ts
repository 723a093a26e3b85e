import type { Fixing, Tank } from "../design/plumbing";
import { listBoltPlaces } from "./boltPlaces";

/** Bolts that stand in one row across the rig: how far forward of its rear edge, and how far left of its middle each, mm. */
export type BoltRow = { readonly xMm: number; readonly ysMm: readonly number[] };

/** Nearer than this is one mark of a pencil, mm. */
const SAME_MM = 0.5;

/** The bolts of a tank as they are marked out on the rig, row by row from the rear, each row from the left. Source: geometry [C]. */
export function listBoltRows(
  tank: Pick<Tank, "atMm" | "solid">,
  fixing: Pick<Fixing, "bolts" | "placesMm">,
): BoltRow[] {
  const places = listBoltPlaces(tank, fixing)
    .map(({ x, y }) => ({ x: tank.atMm.x + x, y: tank.atMm.y + y }))
    .sort((a, b) => a.x - b.x);
  const rows: { readonly xMm: number; readonly ysMm: number[] }[] = [];
  for (const { x, y } of places) {
    const row = rows.at(-1);
    if (row && x - row.xMm < SAME_MM) row.ysMm.push(y);
    else rows.push({ xMm: x, ysMm: [y] });
  }
  return rows.map(({ xMm, ysMm }) => ({ xMm, ysMm: ysMm.sort((a, b) => b - a) }));
}

/** Whether every row stands alike, so that it is said once [C]. */
export const areAlike = ([first, ...others]: readonly BoltRow[]): boolean =>
  others.every(
    ({ ysMm }) =>
      ysMm.length === first?.ysMm.length && ysMm.every((y, i) => Math.abs(y - (first.ysMm[i] ?? y)) < SAME_MM),
  );
