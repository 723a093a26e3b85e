import type { PlanPoint } from "@/core/edits/drawnDrain";
import type { View } from "../drawing/view";

/** Where on the rig, mm, a pointer is over a plan, whichever way the sheet is turned. */
export function toRigPoint(
  element: SVGGraphicsElement,
  client: { clientX: number; clientY: number },
  view: View,
): PlanPoint {
  const matrix = element.getScreenCTM();
  const p = matrix
    ? new DOMPoint(client.clientX, client.clientY).matrixTransform(matrix.inverse())
    : new DOMPoint(client.clientX, client.clientY);
  return { x: Math.round((p.x - view.x(0)) / view.kx), y: Math.round((view.y(0) - p.y) / view.ky) };
}

const STEPS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

/** The point the arrow keys lead to, as they are seen on the sheet: 10 mm, with Shift 100; null for another key. */
export function stepPoint(from: PlanPoint, key: string, isFar: boolean, isTurned: boolean): PlanPoint | null {
  const step = STEPS[key];
  if (!step) return null;
  const [across, up] = step;
  const size = isFar ? 100 : 10;
  // on a turned sheet up is forward and right is to the right of the rig
  const [dx, dy] = isTurned ? [up, -across] : [across, up];
  return { x: from.x + dx * size, y: from.y + dy * size };
}
