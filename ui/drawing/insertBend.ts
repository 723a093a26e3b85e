import type { Edit } from "@/core/design/editOps";
import type { Leg } from "@/core/falls/drainPath";
import { interpolate } from "@/core/geometry/vec";
import { change, view as look } from "@/store/workbench";

/** Puts a bend into a leg, so far along it as the share says, without changing its course, and picks it. */
export function insertBend(leg: Leg, share: number): void {
  const part = { kind: "bend", lineId: leg.lineId, index: leg.index } as const;
  const edit: Edit = {
    code: "addBend",
    at: part,
    ops: [
      {
        op: "insert",
        path: ["lines", leg.lineId, "bendsMm"],
        index: leg.index,
        value: interpolate(leg.from, leg.to, Math.min(0.95, Math.max(0.05, share))),
      },
    ],
  };
  if (change(edit).ok) look({ selection: part });
}

/** The leg a place in plan lies on, and how far along it: the nearest one. */
export function findLegAt(legs: readonly Leg[], { x, y }: { readonly x: number; readonly y: number }) {
  let best: { readonly leg: Leg; readonly share: number; readonly away: number } | null = null;
  for (const leg of legs) {
    const [dx, dy] = [leg.to.x - leg.from.x, leg.to.y - leg.from.y];
    const whole = dx * dx + dy * dy;
    // a drop is a point in plan and has no place between its ends
    if (whole < 1) continue;
    const share = Math.min(1, Math.max(0, ((x - leg.from.x) * dx + (y - leg.from.y) * dy) / whole));
    const away = Math.hypot(leg.from.x + dx * share - x, leg.from.y + dy * share - y);
    if (!best || away < best.away) best = { leg, share, away };
  }
  return best;
}
