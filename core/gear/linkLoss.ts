import { GRAVITY, WATER_DENSITY } from "../air/dumping";
import type { GearSpec, SpecOf } from "../design/gear";
import type { GearLink } from "./gearGraph";
import { computeHoseLossPa, type WaterPipe } from "./hoseLoss";

/** A right angle of hose, in velocity heads [T]. */
const TURN_K = 0.75;

/** Pressure, Pa, a piece takes that drops so many kPa at so many L/min, growing with the square of the flow [C on T]. */
const computeSquarePa = (flow: number, dropKPa: number, atLpm: number): number =>
  dropKPa * 1000 * ((flow * 60_000) / atLpm) ** 2;

/** Inside a tee or another short piece: nearly nothing, so that the sums have no joint without any loss, kPa at L/min [T]. */
const SHORT = { dropKPa: 0.2, atLpm: 10 };

/** The tap itself and the mouth of an opening, kPa at L/min [T]. */
const MOUTH = { dropKPa: 0.5, atLpm: 10 };

/** What the mouth of an end takes, Pa at (m³/s)²: a tap by its own figures, anything else as a usual one. */
export function computeMouthLoss(spec: GearSpec | undefined): number {
  const { dropKPa, atLpm } = spec?.kind === "tap" && spec.dropKPa > 0 ? spec : MOUTH;
  return computeSquarePa(1, dropKPa, atLpm);
}

/** So much of its life a filter has behind it where nothing else is said: the middle. */
export const USUAL_LOAD = 0.5;

/** Pressure, Pa ≥ 0, one link takes at a flow, m³/s ≥ 0, filters loaded by a share in [0, 1]. Pumps take none here [C]. */
export function computeLinkLossPa(link: GearLink, flow: number, load = USUAL_LOAD): number {
  return link.kind === "hose"
    ? computeHoseLossPa(flow, toWaterPipe(link))
    : computeGearLossPa(link.gear.spec, flow, load);
}

/** A hose as a full pipe: its bore, its length, and a loss for every right angle. */
export const toWaterPipe = ({ pipe, lengthMm, turns }: GearLink & { kind: "hose" }): WaterPipe => ({
  boreMm: pipe.innerMm,
  lengthMm,
  lossK: turns * TURN_K,
});

/** Pressure, Pa ≥ 0, a piece takes at a flow, m³/s ≥ 0; a pump takes none here [C on T]. */
export function computeGearLossPa(spec: GearSpec, flow: number, load = USUAL_LOAD): number {
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

/** A pump as H₀ − B (q/q₁)ᶜ: pressure with its way shut, what it loses by a flow, how that grows. Pa, m³/s. */
export type PumpLaw = {
  readonly shutOffPa: number;
  readonly dropPa: number;
  readonly atFlow: number;
  readonly power: number;
};

/** The curve through a pump's three points; one that does not fall is a straight line to its free flow. The usual one [C]. */
export function toPumpLaw({ shutOffKPa, midLpm, midKPa, freeLpm }: SpecOf<"pump">): PumpLaw {
  const shutOffPa = 1000 * shutOffKPa;
  const isCurve = midKPa < shutOffKPa && midKPa > 0 && midLpm < freeLpm;
  if (!isCurve) return { shutOffPa, dropPa: shutOffPa, atFlow: freeLpm / 60_000, power: 1 };
  const power = Math.log(shutOffKPa / (shutOffKPa - midKPa)) / Math.log(freeLpm / midLpm);
  return { shutOffPa, dropPa: 1000 * (shutOffKPa - midKPa), atFlow: midLpm / 60_000, power };
}

/** Pressure, Pa, a pump gives at a flow ≥ 0, m³/s; below 0 past its free flow. */
export function computePumpPa(spec: SpecOf<"pump">, flow: number): number {
  const { shutOffPa, dropPa, atFlow, power } = toPumpLaw(spec);
  return shutOffPa - dropPa * (Math.max(0, flow) / atFlow) ** power;
}

/** Pressure of a height of water, Pa: ρ g z with z in mm. */
export const toPa = (headMm: number): number => (WATER_DENSITY * GRAVITY * headMm) / 1000;
