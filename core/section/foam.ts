import type { Leg } from "../falls/drainPath";
import type { SectionFoam } from "./sectionLayout";

/** The foam round a leg: it lies where the leg does under the finished floor. */
export function layOutFoam({ from, to, pipe, outsideMm }: Leg): SectionFoam | null {
  const mm = outsideMm - pipe.outerMm;
  if (mm <= 0) return null;
  const atFloor = from.z / (from.z - to.z);
  if (from.z >= 0) return { mm, from: atFloor, to: 1 };
  return { mm, from: 0, to: to.z > 0 ? atFloor : 1 };
}
