import { computeUp } from "../attitude/attitude";
import type { Tank } from "../design/plumbing";
import { computeLevelForVolume } from "../geometry/levelForVolume";
import type { Vec2 } from "../geometry/polygon";
import { clipBelow } from "../geometry/polygon";
import { measureExtent, toPrism } from "../geometry/solid";
import { type Vec3, vec } from "../geometry/vec";
import { degToRad } from "../quantity/convert";
import { buildTankField } from "../tanks/tankLevels";

/**
 * A point of the rig as it is seen from behind, leaning by its roll alone: u to the right, v true height, mm.
 * At no pitch v is u·P [C].
 */
export function projectRear({ y, z }: Vec3, rollDeg: number): Vec2 {
  const r = degToRad(rollDeg);
  return { u: -y * Math.cos(r) + z * Math.sin(r), v: y * Math.sin(r) + z * Math.cos(r) };
}

/** What a pull in that view means on the rig: the projection turned back; nothing moves along the rig. */
export function unprojectRear({ u, v }: Vec2, rollDeg: number): Vec3 {
  const r = degToRad(rollDeg);
  return vec(0, -u * Math.cos(r) + v * Math.sin(r), u * Math.sin(r) + v * Math.cos(r));
}

/** A tank from behind: its inside, and its water with `litres` in it. A profile along the rig shows its steps. */
export function layOutTankRear(tank: Tank, rollDeg: number, litres: number): { outline: Vec2[]; water: Vec2[] } {
  const { min, max } = measureExtent(tank.solid);
  const prism = toPrism(tank.solid);
  const corners =
    prism.axis === "x"
      ? prism.profileMm
      : [
          { u: min.y, v: min.z },
          { u: max.y, v: min.z },
          { u: max.y, v: max.z },
          { u: min.y, v: max.z },
        ];
  const outline = corners.map(({ u, v }) => projectRear(vec(0, tank.atMm.y + u, tank.atMm.z + v), rollDeg));
  if (litres <= 0) return { outline, water: [] };
  const field = buildTankField(tank, computeUp({ pitchDeg: 0, rollDeg }));
  const level = projectRear(tank.atMm, rollDeg).v + computeLevelForVolume(field, litres);
  return { outline, water: clipBelow(outline, (p) => p.v, level) };
}
