import type { ObstacleKind } from "@/core/design/rig";

export const RAMP_NAMES = {
  between: "Ridge between the axles",
  behind: "Ramp behind the last axle",
  before: "Ramp before the first axle",
} as const;

export const OBSTACLE_NAMES: Readonly<Record<ObstacleKind, string>> = {
  chassisRail: "Chassis rail",
  crossMember: "Cross-member",
  fuelTank: "Fuel tank",
  exhaust: "Exhaust",
  axle: "Axle and its travel",
  shaft: "Shaft",
  spareWheel: "Spare wheel",
  wheelArch: "Wheel arch",
  hull: "Hull",
  ballast: "Ballast",
  seat: "Seat",
  cabinet: "Cabinet",
  bulkhead: "Wall or bulkhead",
  window: "Window or door",
  airIntake: "Air intake",
};
