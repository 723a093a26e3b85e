import type { Gear, GearKind } from "../design/gear";
import { add, type Vec3, vec } from "../geometry/vec";

/** Ports of each kind of gear, by name. What lets water through one way has it come in at `in`. */
export const GEAR_PORTS = {
  strainer: ["in", "out"],
  pump: ["in", "out"],
  accumulator: ["in"],
  filter: ["in", "out"],
  uvLamp: ["in", "out"],
  nonReturn: ["in", "out"],
  valve: ["in", "out"],
  diverter: ["common", "a", "b"],
  mixer: ["hot", "cold", "out"],
  heater: ["in", "out"],
  coupling: ["out"],
  flowMeter: ["in", "out"],
  gauge: ["in"],
  airGap: ["in", "out"],
  ventedLoop: ["in", "out"],
  relief: ["in"],
  tap: ["in"],
  tee: ["a", "b", "c"],
  skinFitting: ["in"],
  bowl: ["flush", "waste"],
  sump: ["out"],
  deckFitting: ["out"],
} as const satisfies Readonly<Record<GearKind, readonly string[]>>;

export const listGearPorts = (kind: GearKind): readonly string[] => GEAR_PORTS[kind];

/** Where each port sits on the piece, as shares of its size: in at the rear, out at the front, a third one on top. */
const PLACES: Readonly<Record<string, Vec3>> = {
  in: vec(0, 0.5, 0.5),
  out: vec(1, 0.5, 0.5),
  common: vec(0, 0.5, 0.5),
  a: vec(0, 0.5, 0.5),
  b: vec(1, 0.5, 0.5),
  c: vec(0.5, 0.5, 1),
  hot: vec(0, 0, 0.5),
  cold: vec(0, 1, 0.5),
  flush: vec(0, 0.5, 0.8),
  waste: vec(1, 0.5, 0.1),
};
const DIVERTER_PLACES: Readonly<Record<string, Vec3>> = {
  common: vec(0, 0.5, 0.5),
  a: vec(1, 0.5, 0.5),
  b: vec(0.5, 0.5, 1),
};

/** Where a drain comes into a piece of gear: a skin fitting at its tail, a sump through its lid. */
export const placeDrainEnd = (piece: Gear): Vec3 => placeGearPort(piece, piece.spec.kind === "sump" ? "c" : "in");

/** Place of a port of a piece of gear in the rig frame, mm. */
export function placeGearPort({ atMm, sizeMm, spec }: Gear, port: string): Vec3 {
  const at = (spec.kind === "diverter" ? DIVERTER_PLACES[port] : PLACES[port]) ?? vec(0.5, 0.5, 0.5);
  return add(atMm, vec(at.x * sizeMm.x, at.y * sizeMm.y, at.z * sizeMm.z));
}
