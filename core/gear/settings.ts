import type { Gear, Position, WorkingState } from "../design/gear";
import type { GearLink } from "./gearGraph";

/** One thing that fails: stuck the other way, leaking back, left on, left open, or off. */
export type Failure =
  | { readonly kind: "stuck"; readonly gearId: string; readonly at: Position }
  | { readonly kind: "halfWay"; readonly gearId: string }
  | { readonly kind: "leaksBack"; readonly gearId: string }
  /** The air hole of a vented loop is crusted shut: what runs over it is not broken any more. */
  | { readonly kind: "airShut"; readonly gearId: string }
  | { readonly kind: "leftOn"; readonly gearId: string }
  | { readonly kind: "leftOpen"; readonly gearId: string }
  | { readonly kind: "powerLost" }
  /** A hose slips off at either of its ends. */
  | { readonly kind: "hoseOff"; readonly lineId: string };

/** How everything stands: from a working state, with at most one failure. */
export type Setting = {
  readonly isOn: (gearId: string) => boolean;
  /** Of a two-way valve "open" or "shut", of a diverter "a" or "b". */
  readonly positionOf: (gear: Gear) => Position;
  readonly isTapOpen: (gearId: string) => boolean;
  readonly leaksBack: (gearId: string) => boolean;
  readonly isAirShut: (gearId: string) => boolean;
  /** A three-way valve between its ways: all three are one water. */
  readonly isHalfWay: (gearId: string) => boolean;
};

/** A valve that nobody speaks of is shut, a diverter stands at its first way. */
export const RESTING = { valve: "shut", diverter: "a" } as const;
const WITHOUT_POWER = { opens: "open", shuts: "shut" } as const;

/** Puts a working state and a failure together. */
export function toSetting(state: WorkingState | null, failure: Failure | null = null): Setting {
  const on = new Set(state?.on ?? []);
  const taps = new Set(state?.openTaps ?? []);
  const positions = new Map(state?.positions.map(({ gearId, at }) => [gearId, at]) ?? []);
  const isPowerLost = failure?.kind === "powerLost";
  return {
    isOn: (id) => !isPowerLost && (on.has(id) || (failure?.kind === "leftOn" && failure.gearId === id)),
    isTapOpen: (id) => taps.has(id) || (failure?.kind === "leftOpen" && failure.gearId === id),
    isHalfWay: (id) => failure?.kind === "halfWay" && failure.gearId === id,
    leaksBack: (id) => failure?.kind === "leaksBack" && failure.gearId === id,
    isAirShut: (id) => failure?.kind === "airShut" && failure.gearId === id,
    positionOf: ({ id, spec }) => {
      if (failure?.kind === "stuck" && failure.gearId === id) return failure.at;
      if (spec.kind === "diverter") {
        if (isPowerLost && spec.drive === "motor" && spec.atRest !== "stays") return spec.atRest;
        return positions.get(id) ?? RESTING.diverter;
      }
      if (spec.kind === "valve" && isPowerLost && spec.drive === "motor" && spec.atRest !== "stays") {
        return WITHOUT_POWER[spec.atRest];
      }
      return positions.get(id) ?? RESTING.valve;
    },
  };
}

/** Everything open at once and every pump on: what no position of any part could let through, is shut for good. */
export const ALL_OPEN: Setting = {
  isOn: () => true,
  isTapOpen: () => true,
  isHalfWay: () => true,
  leaksBack: () => false,
  isAirShut: () => false,
  positionOf: () => "open",
};

/** Every single failure of a piece of gear that there can be. */
export function listFailures(gear: readonly Gear[]): Failure[] {
  const hasMotor = gear.some(({ spec }) => "drive" in spec && spec.drive === "motor");
  return [
    ...gear.flatMap(({ id, spec }): Failure[] => {
      switch (spec.kind) {
        case "valve":
          return (["open", "shut"] as const).map((at) => ({ kind: "stuck", gearId: id, at }));
        case "diverter":
          return [
            ...(["a", "b"] as const).map((at): Failure => ({ kind: "stuck", gearId: id, at })),
            { kind: "halfWay", gearId: id },
          ];
        case "nonReturn":
          return [{ kind: "leaksBack", gearId: id }];
        case "ventedLoop":
          return [{ kind: "airShut", gearId: id }];
        case "pump":
          // a timer stops what somebody forgot
          return [...(spec.timerS ? [] : [{ kind: "leftOn", gearId: id } as const]), { kind: "leaksBack", gearId: id }];
        case "coupling":
        case "tap":
          return [{ kind: "leftOpen", gearId: id }];
        default:
          return [];
      }
    }),
    ...(hasMotor ? ([{ kind: "powerLost" }] as const) : []),
  ];
}

/** What one link lets through in a setting: forward, back, and whether a pump drives it. */
export type Passing = { readonly forward: boolean; readonly back: boolean; readonly isDriven: boolean };

const BOTH: Passing = { forward: true, back: true, isDriven: false };
const NONE: Passing = { forward: false, back: false, isDriven: false };

export function findPassing(link: GearLink, setting: Setting): Passing {
  if (link.kind === "hose") return BOTH;
  const { gear, branch } = link;
  const { spec } = gear;
  switch (spec.kind) {
    case "pump": {
      const isDriven = setting.isOn(gear.id);
      // a pump that stands lets water through the way it pumps, and a centrifugal one both ways
      return { forward: true, back: spec.pump === "centrifugal" || setting.leaksBack(gear.id), isDriven };
    }
    case "nonReturn":
      return { forward: true, back: setting.leaksBack(gear.id), isDriven: false };
    case "airGap":
      return { forward: true, back: false, isDriven: false };
    case "valve":
      return setting.positionOf(gear) === "open" ? BOTH : NONE;
    case "diverter":
      return setting.isHalfWay(gear.id) || setting.positionOf(gear) === branch ? BOTH : NONE;
    default:
      return BOTH;
  }
}
