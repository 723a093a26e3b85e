import type { Design } from "../design/design";
import type { Drain } from "../design/plumbing";
import { buildDrainPath, type Leg } from "../falls/drainPath";
import { buildNetwork } from "../falls/network";
import { toAxis } from "../fit/clashes";
import { listLineLegs } from "../fit/lineLegs";
import { interpolate } from "../geometry/vec";
import { type PlanGrid, placeCell } from "./planGrid";

/** Beside a pipe that is there a second one keeps so much, mm [T]. */
const BESIDE_MM = 10;
/** Places along a pipe are looked at so far apart, mm: half a cell. */
const STEP_MM = 30;

/**
 * The cells in which the pipe of a drain would meet one that is there already, at heights from low to high, mm: of drains,
 * breathers and dump lines, but its own. A way may lead through them, over or under, and is dearer for it.
 */
export function findPipedCells(
  grid: PlanGrid,
  design: Design,
  drain: Drain,
  [lowMm, highMm]: readonly [number, number],
): Uint8Array {
  const isPiped = new Uint8Array(grid.columns * grid.rows);
  for (const leg of listOtherLegs(design, drain)) {
    const roomMm = (leg.outsideMm + drain.pipe.outerMm) / 2 + (drain.insulationMm ?? 0) + BESIDE_MM;
    const { from, to } = toAxis(leg);
    const steps = Math.max(1, Math.ceil(leg.lengthMm / STEP_MM));
    for (let i = 0; i <= steps; i++) {
      const p = interpolate(from, to, i / steps);
      if (p.z + roomMm <= lowMm || p.z - roomMm >= highMm) continue;
      markRound(grid, isPiped, p, roomMm);
    }
  }
  return isPiped;
}

function listOtherLegs(design: Design, drain: Drain): Leg[] {
  const network = buildNetwork(design);
  return design.lines.flatMap((line): readonly Leg[] => {
    if (line.id === drain.id || line.kind === "hose") return [];
    return line.kind === "drain" ? buildDrainPath(design, line, network).ownLegs : listLineLegs(design, line);
  });
}

function markRound(grid: PlanGrid, isPiped: Uint8Array, at: { x: number; y: number }, roomMm: number): void {
  const { columns, rows, cellMm, originMm } = grid;
  const reach = Math.ceil(roomMm / cellMm);
  const column = Math.round((at.x - originMm.x) / cellMm);
  const row = Math.round((at.y - originMm.y) / cellMm);
  for (let r = Math.max(0, row - reach); r <= Math.min(rows - 1, row + reach); r++) {
    for (let c = Math.max(0, column - reach); c <= Math.min(columns - 1, column + reach); c++) {
      const { x, y } = placeCell(grid, r * columns + c);
      if (Math.hypot(x - at.x, y - at.y) <= roomMm) isPiped[r * columns + c] = 1;
    }
  }
}
