import type { Attitude } from "@/core/attitude/attitude";
import type { RigKind } from "@/core/design/rig";
import { formatNumber } from "./units";

/** How a rig stands, as people say it; on a boat in a boat's words. */
export function describeAttitude({ pitchDeg, rollDeg }: Attitude, kind: RigKind): string {
  const boat = kind === "boat";
  const parts: string[] = [];
  const degrees = (value: number) => `${formatNumber(Math.abs(value), Number.isInteger(value) ? 0 : 1)}°`;
  if (pitchDeg !== 0) {
    const way = boat ? (pitchDeg > 0 ? "bow down" : "stern down") : pitchDeg > 0 ? "nose down" : "nose up";
    parts.push(`${way} ${degrees(pitchDeg)}`);
  }
  if (rollDeg !== 0) {
    const way = boat
      ? rollDeg > 0
        ? "heeled to starboard"
        : "heeled to port"
      : rollDeg > 0
        ? "right low"
        : "left low";
    parts.push(`${way} ${degrees(rollDeg)}`);
  }
  return parts.length === 0 ? "level" : parts.join(", ");
}
