import type { Tank } from "../design/plumbing";
import { findFace } from "../templates/tankFaces";

/** One step of hanging a tank; ports by their ids. */
export type AssemblyStep =
  | { readonly kind: "dryFit" }
  | { readonly kind: "drillPorts"; readonly ports: readonly string[] }
  | { readonly kind: "fitBefore"; readonly ports: readonly string[] }
  | { readonly kind: "leakTrial" }
  | { readonly kind: "foam" }
  | { readonly kind: "hang"; readonly isInside: boolean }
  | { readonly kind: "tighten" }
  | { readonly kind: "fitAfter"; readonly ports: readonly string[] }
  | { readonly kind: "look" };

/** Nearer to what is over it than this no hand reaches a port, mm [T]. */
const HAND_MM = 90;

/** Ports that must be fitted before the tank goes up: those in its top where no hand gets in any more [C on T]. */
export const listPortsBefore = (tank: Tank, roomOverMm: number): string[] =>
  tank.ports.filter((port) => findFace(tank.solid, port).face === "top" && roomOverMm < HAND_MM).map(({ id }) => id);

/** The order of hanging a tank with so much room over it, mm; a tank that stands on the floor is let down, not lifted [C on common practice]. */
export function listAssembly(tank: Tank, roomOverMm: number): AssemblyStep[] {
  const before = listPortsBefore(tank, roomOverMm);
  const after = tank.ports.map(({ id }) => id).filter((id) => !before.includes(id));
  return [
    { kind: "dryFit" },
    { kind: "drillPorts", ports: tank.ports.map(({ id }) => id) },
    ...(before.length > 0 ? [{ kind: "fitBefore", ports: before } as const] : []),
    { kind: "leakTrial" },
    ...(tank.fixing && tank.fixing.kind !== "brackets" ? [{ kind: "foam" } as const] : []),
    { kind: "hang", isInside: tank.atMm.z >= 0 },
    { kind: "tighten" },
    ...(after.length > 0 ? [{ kind: "fitAfter", ports: after } as const] : []),
    { kind: "look" },
  ];
}
