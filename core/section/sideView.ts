import { computeUp } from "../attitude/attitude";
import type { Tank } from "../design/plumbing";
import type { Rig } from "../design/rig";
import type { RampAngle } from "../fit/rampAngles";
import { computeLevelForVolume } from "../geometry/levelForVolume";
import { clipBelow, type Vec2 } from "../geometry/polygon";
import { measureExtent, toPrism } from "../geometry/solid";
import { type Vec3, vec } from "../geometry/vec";
import { buildTankField } from "../tanks/tankLevels";

/**
 * A point of the rig as it is seen from its right side, leaning by its pitch alone: u toward the nose, v true height, mm.
 * At no roll v is u·P [C].
 */
export function projectSide({ x, z }: Vec3, pitchDeg: number): Vec2 {
  const up = computeUp({ pitchDeg, rollDeg: 0 });
  return { u: up.z * x - up.x * z, v: up.x * x + up.z * z };
}

/** What a pull in that view means on the rig: the projection turned back; nothing moves across the rig. */
export function unprojectSide({ u, v }: Vec2, pitchDeg: number): Vec3 {
  const up = computeUp({ pitchDeg, rollDeg: 0 });
  return vec(up.z * u + up.x * v, 0, up.z * v - up.x * u);
}

/** A tank from the side: its inside, and its water with `litres` in it. A profile across the rig shows its steps. */
export function layOutTankSide(tank: Tank, pitchDeg: number, litres: number): { outline: Vec2[]; water: Vec2[] } {
  const { min, max } = measureExtent(tank.solid);
  const prism = toPrism(tank.solid);
  const corners =
    prism.axis === "y"
      ? prism.profileMm
      : [
          { u: min.x, v: min.z },
          { u: max.x, v: min.z },
          { u: max.x, v: max.z },
          { u: min.x, v: max.z },
        ];
  const outline = corners.map(({ u, v }) => projectSide(vec(tank.atMm.x + u, 0, tank.atMm.z + v), pitchDeg));
  if (litres <= 0) return { outline, water: [] };
  const field = buildTankField(tank, computeUp({ pitchDeg, rollDeg: 0 }));
  const level = projectSide(vec(tank.atMm.x, 0, tank.atMm.z), pitchDeg).v + computeLevelForVolume(field, litres);
  return { outline, water: clipBelow(outline, (p) => p.v, level) };
}

/** A ridge or ramp as it is drawn: the ground it leaves, the point that touches, and the ground beyond; rig frame, mm. */
export type RampLine = { readonly ramp: RampAngle; readonly pointsMm: readonly Vec3[] };

/** How far a ramp is drawn on past what touches it, as a share of the way to it. */
const PAST = 1.35;

/** The ridge between the axles and the ramps beyond them, each from its wheels through what touches first [C]. */
export function layOutRamps({ axles, groundZMm }: Rig, ramps: readonly RampAngle[]): RampLine[] {
  const wheels = axles.map(({ xMm }) => xMm).sort((a, b) => a - b);
  return ramps.flatMap((ramp): RampLine[] => {
    const tip = vec(ramp.xMm, 0, groundZMm + ramp.overGroundMm);
    const behind = wheels.findLast((wheel) => wheel <= ramp.xMm);
    const before = wheels.find((wheel) => wheel >= ramp.xMm);
    const foot = (xMm: number) => vec(xMm, 0, groundZMm);
    if (ramp.where === "between") {
      if (behind === undefined || before === undefined) return [];
      return [{ ramp, pointsMm: [foot(behind), tip, foot(before)] }];
    }
    const from = ramp.where === "behind" ? before : behind;
    if (from === undefined) return [];
    const past = vec(from + (tip.x - from) * PAST, 0, groundZMm + (tip.z - groundZMm) * PAST);
    return [{ ramp, pointsMm: [foot(from), tip, past] }];
  });
}
