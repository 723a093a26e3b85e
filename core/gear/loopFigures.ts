import type { Design } from "../design/design";
import type { Gear, GearKind, GearOf, WorkingState } from "../design/gear";
import { measureCapacityL } from "../geometry/solid";
import { MM3_PER_L } from "../quantity/convert";
import { computeAccumulatorDrawL } from "./accumulator";
import type { GearGraph } from "./gearGraph";
import { findLoopShower, type LoopShower } from "./loopShower";
import type { FlowResult } from "./solveFlows";
import {
  computeBuildUp,
  computeRenewedShare,
  computeUvDose,
  findLogSteps,
  type Germ,
  LOOP_RENEWED_SHARE,
  MOST_BUILD_UP,
  SHED_G,
  type UvDose,
} from "./waterQuality";

/** Heat of water, J/(L K) [P: standard tables, from memory]. */
const HEAT_J_PER_L_K = 4_186;
/** Water that falls as a shower and runs back is so much cooler, K a turn [T]. */
const LOST_K = 4;
/** Cold water in the tank against a warm shower, K [T]. */
const WARMING_K = 27;
/** Of that, what strainer and filters hold: hair, skin, lint, g a shower [T]. */
export const DIRT_G = 1.5;
/** Warm water is let go after so many days, however few have showered [T]. */
const MOST_DAYS_WARM = 2;
/** Of shower water behind a 1 µm filter, 10 mm at 254 nm, where it was not measured [T]. */
export const USUAL_TRANSMITTANCE = 0.6;

/** What is counted by showers until the loop is changed. */
export type ChangeReason = "buildUp" | "filter" | "lamp";

export type LoopFigures = {
  readonly stateId: string;
  readonly tapId: string;
  /** Out of the shower's head, L/min, and the pressure at it, kPa. */
  readonly lpm: number;
  readonly kPa: number | null;
  readonly loopL: number;
  /** What takes most of the pressure on the way: a link's id, and its share. */
  readonly throttle: { readonly linkId: string; readonly share: number; readonly kPa: number } | null;
  readonly pumpWh: number;
  readonly lampWh: number;
  /** To keep the loop warm against warming as much fresh water, W. */
  readonly keepWarmW: number;
  readonly freshW: number;
  /** Water one shower of so many minutes would take fresh, and takes from the loop, L. */
  readonly freshL: number;
  readonly lostL: number;
  /** Share of the loop's own water that one shower renews. */
  readonly renewedShare: number;
  readonly dose:
    | (UvDose & {
        readonly lampId: string;
        readonly steps: Readonly<Record<Germ, number>>;
        readonly isMeasured: boolean;
      })
    | null;
  /** Showers until the water or a filter is changed, and what decides it; after so many days it is changed in any case. */
  readonly showers: number;
  readonly because: ChangeReason;
  readonly mostDays: number;
  readonly buildUpGPerL: number;
  /** Seconds the pump runs and rests at half the flow; null where its loop has no accumulator or it no switch. */
  readonly cycle: { readonly onS: number; readonly offS: number } | null;
};

/** A shower lasts so many minutes where nothing else is said [T]. */
export const USUAL_MINUTES = 8;

const hasKind = <K extends GearKind>(piece: Gear, kind: K): piece is GearOf<K> => piece.spec.kind === kind;

/**
 * What the loop comes to, in the state in which one showers from it; null without one. Minutes > 0 a shower; what it sheds
 * against the usual, as tests of the water have it, > 0.
 */
export function computeLoopFigures(design: Design, minutes = USUAL_MINUTES, shedShare = 1): LoopFigures | null {
  const shower = findLoopShower(design);
  if (!shower) return null;
  const { state, tap, graph, flows, lpm, onWay } = shower;
  const loopL = measureLoopL(design, graph);
  const hours = minutes / 60;
  const pumpW = sumWatts(onWay, state, "pump");
  const renewedShare = computeRenewedShare(lpm * minutes, loopL);
  const change = findChange(onWay, { loopL, renewedShare, minutes, lpm, shedG: SHED_G * shedShare });
  return {
    stateId: state.id,
    tapId: tap.id,
    lpm,
    kPa: flows.nodes.find(({ id }) => id === `${tap.id}:in`)?.kPa ?? null,
    loopL,
    throttle: findThrottle(flows, graph),
    pumpWh: pumpW * hours,
    lampWh: sumWatts(onWay, state, "uvLamp") * hours,
    keepWarmW: (lpm / 60) * HEAT_J_PER_L_K * LOST_K,
    freshW: (lpm / 60) * HEAT_J_PER_L_K * WARMING_K,
    freshL: lpm * minutes,
    lostL: lpm * minutes * LOOP_RENEWED_SHARE,
    renewedShare,
    dose: findBestDose(shower),
    ...change,
    cycle: findCycle(shower),
  };
}

const sumWatts = (gear: readonly Gear[], { on }: WorkingState, kind: "pump" | "uvLamp"): number =>
  gear.reduce((sum, { id, spec }) => sum + (spec.kind === kind && on.includes(id) ? spec.watts : 0), 0);

/**
 * The dose of the lamp on the way that gives the most, as if all the water went past it; of those that are lit then, where any is.
 * Null without one.
 */
export function findBestDose({ onWay, state, lpm }: LoopShower): LoopFigures["dose"] {
  const lamps = onWay.filter((piece): piece is GearOf<"uvLamp"> => hasKind(piece, "uvLamp"));
  const lit = lamps.filter(({ id }) => state.on.includes(id));
  return (lit.length > 0 ? lit : lamps)
    .map((lamp) => findDose(lamp, Math.max(lpm, LEAST_LPM)))
    .reduce<LoopFigures["dose"]>((best, one) => (best && best.leastMjPerCm2 >= one.leastMjPerCm2 ? best : one), null);
}

/** A dose is reckoned for so much at least, L/min. */
const LEAST_LPM = 0.1;

function findDose({ id, spec }: GearOf<"uvLamp">, lpm: number): NonNullable<LoopFigures["dose"]> {
  const dose = computeUvDose({ ...spec, transmittance: spec.transmittance ?? USUAL_TRANSMITTANCE }, lpm / 60);
  const steps = (germ: Germ) => findLogSteps(germ, dose.leastMjPerCm2);
  return {
    ...dose,
    lampId: id,
    steps: { cryptosporidium: steps("cryptosporidium"), giardia: steps("giardia"), virus: steps("virus") },
    isMeasured: spec.transmittance !== null,
  };
}

/** What tanks of the loop hold four fifths full, and the hoses on them, L. */
function measureLoopL(design: Design, graph: GearGraph): number {
  const tanks = design.tanks.filter(({ holds }) => holds === "loop");
  const ids = new Set(tanks.map(({ id }) => id));
  const touches = (node: string) => node.startsWith("tank:") && ids.has(node.split(":")[1]!);
  const hoses = graph.links.reduce(
    (sum, link) =>
      link.kind === "hose" && (touches(link.from) || touches(link.to))
        ? sum + ((Math.PI / 4) * link.pipe.innerMm ** 2 * link.lengthMm) / MM3_PER_L
        : sum,
    0,
  );
  return Math.max(1, tanks.reduce((sum, tank) => sum + measureCapacityL(tank.solid) * 0.8, 0) + hoses);
}

// Pumps give and do not take; of all that take, the one that takes the most. A hose may have been drawn against the water.
function findThrottle(flows: FlowResult, graph: GearGraph): LoopFigures["throttle"] {
  const takers = flows.links.flatMap(({ id, lossKPa, lpm }) => {
    const takenKPa = lossKPa * Math.sign(lpm);
    return takenKPa > 0 && Math.abs(lpm) > 1e-6 ? [{ id, takenKPa }] : [];
  });
  const whole = takers.reduce((sum, { takenKPa }) => sum + takenKPa, 0);
  const most = takers.reduce<(typeof takers)[number] | null>((a, b) => (a && a.takenKPa >= b.takenKPa ? a : b), null);
  if (!most || whole <= 0 || !graph.links.some(({ id }) => id === most.id)) return null;
  return { linkId: most.id, share: most.takenKPa / whole, kPa: most.takenKPa };
}

// So many showers until the first of all reasons to change water or filter.
function findChange(
  onWay: readonly Gear[],
  {
    loopL,
    renewedShare,
    minutes,
    lpm,
    shedG,
  }: Readonly<Record<"loopL" | "renewedShare" | "minutes" | "lpm" | "shedG", number>>,
): Pick<LoopFigures, "showers" | "because" | "mostDays" | "buildUpGPerL"> {
  let showers = 0;
  while (showers < 500 && computeBuildUp(shedG, loopL, renewedShare, showers + 1) <= MOST_BUILD_UP) showers += 1;
  const reasons: { readonly because: ChangeReason; readonly showers: number }[] = [{ because: "buildUp", showers }];
  const shower = Math.max(0.1, lpm * minutes);
  for (const { spec } of onWay) {
    if (spec.kind === "filter") {
      if (spec.lifeL !== null) reasons.push({ because: "filter", showers: Math.floor(spec.lifeL / shower) });
      if (spec.holdsG !== null) reasons.push({ because: "filter", showers: Math.floor(spec.holdsG / DIRT_G) });
    }
    if (spec.kind === "uvLamp") reasons.push({ because: "lamp", showers: Math.floor((spec.lifeHours * 60) / minutes) });
  }
  const first = reasons.reduce((a, b) => (b.showers < a.showers ? b : a));
  const buildUpGPerL = computeBuildUp(shedG, loopL, renewedShare, first.showers);
  return { ...first, mostDays: MOST_DAYS_WARM, buildUpGPerL };
}

// At a demand the pump could outrun: it fills the accumulators, rests while they give, and starts again.
function findCycle({ onWay, state, accumulators, lpm }: LoopShower): LoopFigures["cycle"] {
  const demandLpm = lpm / 2;
  const pump = onWay.find((piece): piece is GearOf<"pump"> => hasKind(piece, "pump") && state.on.includes(piece.id));
  if (!pump || accumulators.length === 0 || demandLpm <= 0) return null;
  const { cutInKPa, cutOutKPa, freeLpm, shutOffKPa } = pump.spec;
  if (cutInKPa === null || cutOutKPa === null) return null;
  const drawL = accumulators.reduce(
    (sum, { spec }) => sum + computeAccumulatorDrawL(spec.litres, spec.prechargeKPa, cutInKPa, cutOutKPa),
    0,
  );
  const middleLpm = freeLpm * (1 - (cutInKPa + cutOutKPa) / 2 / Math.max(shutOffKPa, cutOutKPa + 1));
  if (middleLpm <= demandLpm) return null;
  return { onS: (drawL / (middleLpm - demandLpm)) * 60, offS: (drawL / demandLpm) * 60 };
}
