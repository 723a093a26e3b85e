import type { Ramp } from "@/core/attitude/ramps";
import type { Rig } from "@/core/design/rig";
import { formatLength, type Units } from "./units";

/** Lower than this, mm, a wheel may stay where it is. */
const WORTH_MM = 3;

/** What to put under which wheel, highest first: "70 mm under the front left wheel, 35 mm under the rear left". */
export function describeRamps(ramps: readonly Ramp[], rig: Rig, units: Units): string {
  const worth = ramps.filter((ramp) => ramp.heightMm >= WORTH_MM).sort((a, b) => b.heightMm - a.heightMm);
  if (worth.length === 0) return "nothing under the wheels";
  return worth
    .map(({ axle, side, heightMm }) => {
      const wheel = `${nameAxle(rig, axle)}${side} wheel`;
      return `${formatLength(Math.ceil(heightMm), units)} under the ${wheel}`;
    })
    .join(", ");
}

// The rearmost axle is the rear one; a single one needs no name.
function nameAxle({ axles }: Rig, axle: number): string {
  if (axles.length === 1) return "";
  const order = [...axles].sort((a, b) => a.xMm - b.xMm);
  const place = order.indexOf(axles[axle]!);
  if (place === 0) return "rear ";
  return place === order.length - 1 ? "front " : "middle ";
}
