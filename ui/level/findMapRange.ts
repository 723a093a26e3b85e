import type { Rig } from "@/core/design/rig";

/** How far the standing map reaches, degrees: well past where the rig is parked, so that the edge is seen. */
export function findMapRange({ envelope, standings }: Rig): number {
  const angles = [
    ...Object.values(envelope),
    ...standings.flatMap(({ attitude }) => [Math.abs(attitude.pitchDeg), Math.abs(attitude.rollDeg)]),
  ];
  return Math.min(20, Math.max(4, Math.ceil(Math.max(...angles) * 1.6)));
}
