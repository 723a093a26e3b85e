import type { Design } from "../design/design";
import type { Gear } from "../design/gear";
import { findLineTrap, findTrap } from "../design/lineItems";
import type { Evaluation } from "../evaluate/evaluation";
import { findPipeOf } from "../falls/drainPath";
import { measureHeldL } from "../gear/heldWater";
import { listHoseRuns } from "../heads/hoseRun";
import { buildDumpRun } from "../tanks/dumpRun";
import { measureTrapL } from "../traps/trapVolume";

/** One step of emptying the rig before frost. */
export type DrainDownStep =
  | { readonly kind: "openOutlet"; readonly tankId: string }
  | { readonly kind: "pumpOver"; readonly tankId: string; readonly toTank: string }
  | { readonly kind: "mopTank"; readonly tankId: string; readonly litres: number }
  /** Litres of antifreeze that push the water out of it. */
  | { readonly kind: "treatTrap"; readonly lineId: string; readonly inLine: boolean; readonly litres: number }
  | { readonly kind: "emptySag"; readonly lineId: string; readonly leg: number; readonly litres: number }
  /** Taps, hot and cold, so that air comes in and none holds water. */
  | { readonly kind: "openTaps"; readonly gearIds: readonly string[] }
  | { readonly kind: "drainGear"; readonly gearId: string; readonly litres: number }
  | { readonly kind: "emptyHose"; readonly lineId: string; readonly litres: number }
  /** Heaters and lamps: dry they burn out, hot they scald. */
  | { readonly kind: "heatOff"; readonly gearIds: readonly string[] }
  /** Valves that keep water in their ball, turned half way. */
  | { readonly kind: "halfTurn"; readonly gearIds: readonly string[] }
  | { readonly kind: "emptySeacock"; readonly gearId: string }
  | { readonly kind: "fuseOut"; readonly gearIds: readonly string[] }
  | { readonly kind: "leaveOpen" };

/** What is poured in mixes with what it pushes out: so many times the trap's own water [T]. */
const PUSH_OUT = 2;

/** Less than this does no harm when it freezes: it has room to grow, L [T]. */
const NO_HARM_L = 0.05;

/**
 * What to empty before frost, in the order it is done: heat off, pump over, open the outlets and the taps, empty the gear, take out what stays behind at the
 * dumping attitude, then what lies in sags as the rig stands, then what must stay in traps is made safe; valves are left
 * open. From the evaluation of the same design [C].
 */
export function listDrainDown(design: Design, evaluation: Evaluation): DrainDownStep[] {
  const { tanks } = design;
  const taps = listTaps(design);
  const outlets = tanks.filter(({ ports }) => ports.some(({ kind }) => kind === "outlet"));
  const { heated, turned, driven, seacocks } = sortGear(design);
  return [
    ...(heated.length > 0 ? [{ kind: "heatOff", gearIds: heated } as const] : []),
    ...tanks.flatMap(({ id, link }): DrainDownStep[] =>
      link?.kind === "pumped" ? [{ kind: "pumpOver", tankId: id, toTank: link.toTank }] : [],
    ),
    ...outlets.map(({ id }): DrainDownStep => ({ kind: "openOutlet", tankId: id })),
    ...(taps.length > 0 ? [{ kind: "openTaps", gearIds: taps } as const] : []),
    ...design.gear.flatMap((piece): DrainDownStep[] => {
      const litres = measureHeldL(piece);
      return litres === null ? [] : [{ kind: "drainGear", gearId: piece.id, litres }];
    }),
    ...seacocks.map((gearId): DrainDownStep => ({ kind: "emptySeacock", gearId })),
    ...(turned.length > 0 ? [{ kind: "halfTurn", gearIds: turned } as const] : []),
    ...(driven.length > 0 ? [{ kind: "fuseOut", gearIds: driven } as const] : []),
    ...listHoseRuns(design).flatMap(({ lineId, sagL }): DrainDownStep[] =>
      sagL > NO_HARM_L ? [{ kind: "emptyHose", lineId, litres: sagL }] : [],
    ),
    ...evaluation.tanks.flatMap(({ tankId, leftL, level }): DrainDownStep[] => {
      const litres = leftL ?? level.litres;
      return litres > NO_HARM_L ? [{ kind: "mopTank", tankId, litres }] : [];
    }),
    ...evaluation.drains.flatMap(({ lineId, ponds, ownLegs }) =>
      ponds
        .filter(({ legIndex, litres }) => legIndex < ownLegs && litres > NO_HARM_L)
        .map(({ legIndex, litres }): DrainDownStep => ({ kind: "emptySag", lineId, leg: legIndex, litres })),
    ),
    ...design.lines.flatMap((line): DrainDownStep[] => {
      const ponds = line.kind === "dumpLine" ? buildDumpRun(design, line).ponds : [];
      return ponds
        .filter(({ litres }) => litres > NO_HARM_L)
        .map(({ legIndex, litres }) => ({ kind: "emptySag", lineId: line.id, leg: legIndex, litres }));
    }),
    ...listTrapWaters(design, evaluation).map(
      ({ lineId, inLine, litres }): DrainDownStep => ({ kind: "treatTrap", lineId, inLine, litres: litres * PUSH_OUT }),
    ),
    ...(outlets.length > 0 ? [{ kind: "leaveOpen" } as const] : []),
  ];
}

/** What is switched, turned or shut before frost and after it, by the ids of the gear. */
export function sortGear({ gear }: Pick<Design, "gear">): {
  readonly heated: readonly string[];
  readonly turned: readonly string[];
  /** What a fuse starts. */
  readonly driven: readonly string[];
  readonly seacocks: readonly string[];
} {
  const list = (is: (spec: Gear["spec"]) => boolean) => gear.flatMap(({ id, spec }) => (is(spec) ? [id] : []));
  return {
    heated: list(({ kind }) => kind === "heater" || kind === "uvLamp"),
    turned: list(({ kind }) => kind === "valve" || kind === "diverter"),
    driven: list(
      (spec) => spec.kind === "sump" || (spec.kind === "pump" && spec.pump !== "hand") || isDrivenBowl(spec),
    ),
    seacocks: list((spec) => spec.kind === "skinFitting" && spec.hasSeacock),
  };
}

const isDrivenBowl = (spec: Gear["spec"]): boolean =>
  spec.kind === "bowl" && (spec.bowl === "macerating" || spec.bowl === "vacuum");

/** Every trap that holds water, with how much. */
export function listTrapWaters(
  { lines }: Pick<Design, "lines">,
  { drains }: Pick<Evaluation, "drains">,
): { readonly lineId: string; readonly inLine: boolean; readonly litres: number }[] {
  const judged = new Map(drains.map((drain) => [drain.lineId, drain]));
  const own = lines.flatMap((line) => {
    const risks = judged.get(line.id)?.trapRisks;
    const trap = line.kind === "drain" ? findTrap(line) : null;
    if (!trap || !risks) return [];
    return [{ lineId: line.id, inLine: false, litres: measureTrapL(trap, line.pipe.innerMm) }];
  });
  const inLine = lines.flatMap((line) => {
    const risks = judged.get(line.id)?.lineTrapRisks;
    const own = line.kind === "drain" ? findLineTrap(line) : null;
    if (line.kind !== "drain" || !own || !risks) return [];
    const { innerMm } = findPipeOf(line, own.bend);
    // two turns of its own bore apart, as it is judged
    const trap = { sealMm: own.sealMm, spanMm: 3 * innerMm };
    return [{ lineId: line.id, inLine: true, litres: measureTrapL(trap, innerMm) }];
  });
  // a waterless valve holds none
  return [...own, ...inLine].filter(({ litres }) => litres > 0);
}

/** Taps and mixers, by their ids. */
export const listTaps = ({ gear }: Pick<Design, "gear">): string[] =>
  gear.filter(({ spec }) => spec.kind === "tap" || spec.kind === "mixer").map(({ id }) => id);

/** What of a rig was emptied and has to be closed again, by its id. */
export const listDrainedGear = ({ gear }: Pick<Design, "gear">): string[] =>
  gear.filter((piece) => measureHeldL(piece) !== null).map(({ id }) => id);
