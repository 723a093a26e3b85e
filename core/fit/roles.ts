import type { ObstacleKind } from "../design/rig";

/**
 * What a thing on the rig means to a pipe or tank: a solid must be kept clear of; a panel is drilled through by pipes
 * and kept clear of by tanks; a cabinet may hold anything and only its sides are drilled; an opening is nothing to
 * either, but a breather must not end beside it.
 */
export type Role = "solid" | "panel" | "cabinet" | "opening";

const ROLES: Readonly<Partial<Record<ObstacleKind, Role>>> = {
  bulkhead: "panel",
  cabinet: "cabinet",
  window: "opening",
  airIntake: "opening",
};

export const findRole = (kind: ObstacleKind): Role => ROLES[kind] ?? "solid";

export const hindersPipes = (kind: ObstacleKind): boolean => findRole(kind) === "solid";
export const hindersTanks = (kind: ObstacleKind): boolean => findRole(kind) === "solid" || findRole(kind) === "panel";
