import type { Design } from "../design/design";
import type { Tank } from "../design/plumbing";
import type { Evaluation } from "../evaluate/evaluation";
import { listBoltRows } from "../fixing/boltRows";
import { measureExtent } from "../geometry/solid";
import { add, subtract, type Vec3, vec } from "../geometry/vec";
import { listHoles } from "../through/holes";
import type { BuildStep } from "./steps";

/**
 * Where a step is measured out, mm in the rig frame: the middle of a hole on the face it is drilled from; a tank's rear right
 * edge, at its top where it hangs under the floor and at its underside where it stands over it; the rear right bottom corner of
 * a piece of gear; the first of a tank's bolts. Null where nothing is measured out. Source: the drawing [C].
 */
export function findStepSpot(
  { kind, id, at }: BuildStep,
  design: Design,
  evaluation: Pick<Evaluation, "drains" | "linePassages">,
): Vec3 | null {
  switch (kind) {
    case "drillHole": {
      const hole = listHoles(design, evaluation).find((one) => id === `${kind}:${one.id}`);
      if (!hole) return null;
      // through the floor no height is measured
      return hole.through === "floor" ? { ...hole.facesMm[0], z: 0 } : hole.facesMm[0];
    }
    case "hangTank": {
      const tank = design.tanks.find((one) => at.kind === "tank" && one.id === at.id);
      if (!tank) return null;
      const { min, max } = measureBareTank(tank);
      return { ...min, z: max.z <= 0 ? max.z : min.z };
    }
    case "fitFixing":
      return listStepMarks({ kind, at }, design)[0] ?? null;
    case "mountGear":
      return design.gear.find((one) => at.kind === "gear" && one.id === at.id)?.atMm ?? null;
    default:
      return null;
  }
}

/** Every place that is marked for a step with several, mm in the rig frame: the bolts of a tank, row by row from the rear [C]. */
export function listStepMarks({ kind, at }: Pick<BuildStep, "kind" | "at">, { tanks }: Pick<Design, "tanks">): Vec3[] {
  const tank = kind === "fitFixing" ? tanks.find((one) => at.kind === "tank" && one.id === at.id) : undefined;
  if (!tank?.fixing) return [];
  return listBoltRows(tank, tank.fixing).flatMap(({ xMm, ysMm }) => ysMm.map((y) => vec(xMm, y, 0)));
}

/** A tank with its walls and without its lagging, which is put on when it hangs, mm. */
export function measureBareTank({ solid, atMm, wallMm }: Tank): { readonly min: Vec3; readonly max: Vec3 } {
  const { min, max } = measureExtent(solid);
  const wall = vec(wallMm, wallMm, wallMm);
  return { min: subtract(add(atMm, min), wall), max: add(add(atMm, max), wall) };
}
