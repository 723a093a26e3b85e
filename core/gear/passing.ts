import type { GearKind } from "../design/gear";
import { listGearPorts } from "./gearPorts";

/** Let water through one way only, from their inlet. */
const ONE_WAY: ReadonlySet<GearKind> = new Set(["pump", "nonReturn", "airGap"]);

/** The ports by which water that has come into a piece at one of its ports may leave it, whichever way it stands. */
export function listLeaving(kind: GearKind, port: string): readonly string[] {
  if (ONE_WAY.has(kind)) return port === "in" ? ["out"] : [];
  if (kind === "diverter") return port === "common" ? ["a", "b"] : ["common"];
  if (kind === "mixer") return port === "out" ? [] : ["out"];
  return listGearPorts(kind).filter((one) => one !== port);
}

/** The ports by which it may have come, of what leaves at one of them. */
export const listComing = (kind: GearKind, port: string): readonly string[] =>
  listGearPorts(kind).filter((one) => one !== port && listLeaving(kind, one).includes(port));
