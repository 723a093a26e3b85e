import { GRAVITY, WATER_DENSITY } from "../air/dumping";
import type { GearSpec, SpecOf } from "../design/gear";
import type { GearLink } from "./gearGraph";
import { computeHoseLossPa } from "./hoseLoss";

/** A right angle of hose, in velocity heads [T]. */
const TURN_K = 0.75;

/** Pressure, Pa, a piece takes that drops so many kPa at so many L/min, growing with the square of the flow [C on T]. */
const computeSquarePa = (flow: number, dropKPa: number, atLpm: number): number =>
  dropKPa * 1000 * ((flow * 60_000) / atLpm) ** 2;

/** Inside a tee or another short piece: nearly nothing, so that the sums have no joint without any loss, kPa at L/min [T]. */
const SHORT = { dropKPa: 0.2, atLpm: 10 };

/** So much of its life a filter has behind it where nothing else is said: the middle. */
export const USUAL_LOAD = 0.5;

/** Pressure, Pa ≥ 0, one link takes at a flow, m³/s ≥ 0, filters loaded by a share in [0, 1]. Pumps take none here [C]. */
export function computeLinkLossPa(link: GearLink, flow: number, load = USUAL_LOAD): number {
  if (link.kind === "hose") {
    return computeHoseLossPa(flow, { boreMm: link.pipe.innerMm, lengthMm: link.lengthMm, lossK: link.turns * TURN_K });
  }
  return computeGearLossPa(link.gear.spec, flow, load);
}

function computeGearLossPa(spec: GearSpec, flow: number, load: number): number {
  switch (spec.kind) {
    case "filter": {
      // a cake of dirt: half of it grows with the flow, half with its square, taken as the square on the safe side
      const dropKPa = spec.cleanKPa + (spec.loadedKPa - spec.cleanKPa) * load;
      return computeSquarePa(flow, dropKPa, spec.atLpm);
    }
    case "pump":
      return 0;
    default:
      return "dropKPa" in spec && spec.dropKPa > 0
        ? computeSquarePa(flow, spec.dropKPa, spec.atLpm)
        : computeSquarePa(flow, SHORT.dropKPa, SHORT.atLpm);
  }
}

/**
 * Pressure, Pa, a pump gives at a flow, m³/s: H₀ − B qᶜ through its three points; below 0 past its free flow. A curve
 * that does not fall is read as a straight line to its free flow. Source: the usual three-point curve [C].
 */
export function computePumpPa({ shutOffKPa, midLpm, midKPa, freeLpm }: SpecOf<"pump">, flow: number): number {
  const lpm = flow * 60_000;
  const isCurve = midKPa < shutOffKPa && midKPa > 0 && midLpm < freeLpm;
  if (!isCurve) return 1000 * shutOffKPa * (1 - lpm / freeLpm);
  const power = Math.log(shutOffKPa / (shutOffKPa - midKPa)) / Math.log(freeLpm / midLpm);
  return 1000 * (shutOffKPa - (shutOffKPa - midKPa) * Math.max(0, lpm / midLpm) ** power);
}

/** Pressure of a height of water, Pa: ρ g z with z in mm. */
export const toPa = (headMm: number): number => (WATER_DENSITY * GRAVITY * headMm) / 1000;
