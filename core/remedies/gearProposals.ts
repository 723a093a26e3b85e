import type { Design } from "../design/design";
import type { Edit } from "../design/editOps";
import type { PartRef } from "../design/part";
import type { Tank, Vent } from "../design/plumbing";
import { listBreakHose, listFitAirGap } from "../edits/airGapFill";
import { listFitMixer, listFitRelief, RELIEF_STEP_KPA } from "../edits/heaterEdits";
import { buildInsertStrainer } from "../edits/insertPiece";
import { buildPortBore } from "../edits/portEdits";
import { listFitStopValve } from "../edits/stopValve";
import { DRIPS_AT } from "../evaluate/checkReliefs";
import type { FindingCode } from "../evaluate/findings";
import { readSupplyKPa, USUAL_REDUCED_KPA } from "../gear/supply";
import { USUAL_GEAR } from "../gear/usualGear";
import { listFamily } from "../parts/pipes";
import { proposeWiderAir } from "./airRemedies";
import { proposeGearClear, proposeGearOutOfFloor, proposeGearRaised } from "./clashRemedies";
import { proposeAside, proposeBendAside, proposeLineInward } from "./clearRemedies";
import { proposeInDeck } from "./deckRemedies";
import { proposeHeel } from "./envelopeRemedies";
import {
  proposeAhead,
  proposeFiltersSwapped,
  proposeLampOff,
  proposeLampOn,
  proposeOntoSkin,
  proposePlumbed,
  proposeSecured,
  proposeTakenOut,
  proposeTurned,
} from "./gearRemedies";
import { proposeWiderHoses } from "./hoseRemedies";
import { proposeStrongerLamp, proposeUsualClarity } from "./lampRemedies";
import { proposeHigher, proposeOverTank } from "./liftRemedies";
import { proposeLoopRaised, proposeVentedLoop } from "./loopRemedy";
import { proposeHigherGap } from "./partRemedies";
import type { Propose } from "./propose";
import type { Remedy } from "./remedy";
import { proposeLargerSump, proposeLowerFloat, proposeSpec, proposeWiderFloat } from "./specRemedies";
import { proposeOpened, proposeOwnState, proposeStates } from "./stateRemedies";

/** Under where its pump starts an accumulator is charged by so much, and a pump's switch stops it at this share of all it gives [T]. */
const CHARGE_UNDER_KPA = 15;
const CUT_OUT_SHARE = 0.9;
const CUT_IN_SHARE = 0.5;
/** Heaters for campers bear no more than so much, kPa. From memory, no source [T]. */
const MOST_RELIEF_KPA = 450;
/** What reducers are set to, the hardest first, kPa [T]. */
const LESS_KPA = [300, 250, 200, 150, 100, 50] as const;
/** Reducers are set in such steps, kPa [T]. */
const REDUCER_STEP_KPA = 10;

/** What may settle what is told of pumps, valves, loops, heaters and fittings. */
export const GEAR_PROPOSALS = {
  pumpUnstrained: (design, { at }) => proposeStrainer(design, "id" in at ? at.id : ""),
  seaComesIn: (design, finding) => proposeVentedLoop(design, finding, LOOP_NAME),
  filterOrder: (design, { at, otherId }) => proposeFiltersSwapped(design, at, otherId),
  nonReturnAgainst: (design, { at }) => proposeTurned(design, at),
  lampCooks: (design, { at }) => proposeLampOff(design, at),
  waterFouled: (design, { water, otherId }) => proposeAirGap(design, water, otherId),
  joinedWithoutGap: (design, { water, otherId }) => proposeAirGap(design, water, otherId),
  blackOverboard: (design, { failure }) => proposeSecured(design, failure),
  loopUntreated: (design, { lacks }) => (lacks === "lamp" ? proposeLampOn(design) : []),
  metalsMeet: (design, { at }) =>
    proposeSpec(design, at, "skinFitting", "useComposite", () => ({ metal: "composite" })),
  tailUnfit: (design, { at, boreMm }) =>
    proposeSpec(design, at, "skinFitting", "fitTail", () => ({ tailMm: boreMm })).map((one) => ({
      ...one,
      byMm: boreMm,
    })),
  hoseComesOff: (design, _finding, { tank }) => proposeStopValve(design, tank),
  tankRunsOut: (design, _finding, { tank }) => proposeStopValve(design, tank),
  floatOverRim: (design, { at, highMm }) => proposeLowerFloat(design, at, highMm),
  loopLow: proposeLoopRaised,
  heaterUnrelieved: (design, { at }) => proposeAll(listFitRelief(design, "id" in at ? at.id : "", RELIEF_NAMES)),
  heaterUnmixed: (design, { at }) => proposeAll(listFitMixer(design, "id" in at ? at.id : "", MIXER_NAMES)),
  seacockMissing: (design, { at }) =>
    proposeSpec(design, at, "skinFitting", "fitSeacock", () => ({ hasSeacock: true })),
  backingMissing: (design, { at }) =>
    proposeSpec(design, at, "skinFitting", "fitBacking", () => ({ hasBacking: true })),
  clampsFew: (design, { at }) => proposeSpec(design, at, "skinFitting", "fitClamps", () => ({ clamps: 2 })),
  metalUnfit: (design, { at }) => proposeSpec(design, at, "skinFitting", "useBronze", () => ({ metal: "bronze" })),
  floatReversed: (design, { at }) =>
    proposeSpec(design, at, "sump", "swapMarks", ({ onMm, offMm }) =>
      onMm < offMm ? { onMm: offMm, offMm: onMm } : null,
    ),
  accumulatorHard: (design, { at, cutInKPa }) =>
    proposeSpec(design, at, "accumulator", "setCharge", () => ({
      prechargeKPa: Math.max(0, cutInKPa - CHARGE_UNDER_KPA),
    })),
  pumpNeverStops: (design, { at, shutOffKPa }) =>
    proposeSpec(design, at, "pump", "setSwitch", () => ({ cutOutKPa: Math.floor(CUT_OUT_SHARE * shutOffKPa) })),
  fittingDomestic: (design, { at }) =>
    (["composite", "bronze"] as const).flatMap((metal) =>
      proposeSpec(design, at, "skinFitting", metal === "bronze" ? "useBronze" : "useComposite", () => ({ metal })),
    ),
  gearPortOpen: (design, { at }) => [...proposePlumbed(design, at), ...proposeTakenOut(design, at)],
  intakeNearWaste: (design, { at }) => proposeAhead(design, at),
  sumpCycles: (design, { at }) => proposeWiderFloat(design, at),
  tapWeak: (design, { at }) => proposeWiderHoses(design, at),
  pumpHard: (design, { at }) =>
    proposeSpec(design, at, "pump", "setSwitch", () => {
      const usual = USUAL_GEAR.pump.spec;
      return usual.kind === "pump" ? { cutInKPa: usual.cutInKPa, cutOutKPa: usual.cutOutKPa } : null;
    }),
  pumpDeadHead: (design, { at }) =>
    proposeSpec(design, at, "pump", "setSwitch", ({ cutOutKPa, shutOffKPa }) =>
      cutOutKPa === null
        ? {
            cutInKPa: Math.floor(CUT_IN_SHARE * shutOffKPa),
            cutOutKPa: Math.floor(CUT_OUT_SHARE * shutOffKPa),
          }
        : null,
    ),
  handleBlocked: (design, { at }) => (at.kind === "gear" ? proposeAside(design, at) : []),
  partOffHull: (design, { at }) => (at.kind === "gear" || at.kind === "fixture" ? proposeAside(design, at) : []),
  fittingOffHull: (design, { at }) => proposeOntoSkin(design, at),
  loopUnderBowl: (design, { at }) => proposeHigher(design, at),
  seaInFixture: (design, { at }) => (at.kind === "fixture" ? proposeOverTank(design, at.id, []) : []),
  sumpOutrun: (design, { at }) => proposeWiderHoses(design, at),
  sumpSurges: (design, finding) => proposeLargerSump(design, finding.at, finding),
  neverUsed: (design, { at }) => proposeOwnState(design, at),
  endNarrow: (design, { at, boreMm }, { tank }) => {
    const byMm = listFamily("smoothHose").find(({ pipe }) => pipe.innerMm >= boreMm)?.pipe.innerMm ?? Math.ceil(boreMm);
    const port = tank?.ports.find(({ id }) => at.kind === "port" && id === at.id);
    if (tank && port) return [{ byMm, edit: { ...buildPortBore(tank, port, byMm), code: "widenInlet" } }];
    return proposeSpec(design, at, "skinFitting", "widenFitting", () => ({ boreMm: byMm })).map((one) => ({
      ...one,
      byMm,
    }));
  },
  fillPresses: (design, { ventId, leastBoreMm, otherId }) => {
    const vent = design.lines.find((line): line is Vent => line.kind === "vent" && line.id === ventId);
    return [
      ...(vent && leastBoreMm !== null ? proposeWiderAir(design, vent, leastBoreMm) : []),
      ...LESS_KPA.flatMap((kPa) => proposeReducer(design, { kind: "gear", id: otherId }, kPa)).map((remedy) => ({
        ...remedy,
        isByLeast: true as const,
      })),
    ];
  },
  supplyHard: (design, { at }) => proposeReducer(design, at, USUAL_REDUCED_KPA),
  supplyUnreduced: (design, { at, supplyKPa }) => proposeReducer(design, at, Math.max(USUAL_REDUCED_KPA, supplyKPa)),
  heaterPressed: (design, { otherId, by, bearsKPa, pressKPa }) => {
    const at = { kind: "gear", id: otherId } as const;
    if (by === "push")
      return [
        ...proposeSpec(design, at, "pump", "lowerSwitch", ({ shutOffKPa, cutOutKPa }) => {
          const most = Math.floor(Math.min(cutOutKPa ?? shutOffKPa, shutOffKPa) - (pressKPa - bearsKPa));
          return most > 0 ? { cutInKPa: Math.floor(CUT_IN_SHARE * most), cutOutKPa: most } : null;
        }),
        ...proposeLessSupply(design, at, pressKPa - bearsKPa),
      ];
    return proposeSpec(design, at, "relief", "setRelief", ({ setKPa: was }) => {
      const setKPa = Math.floor((was - (pressKPa - bearsKPa)) / RELIEF_STEP_KPA) * RELIEF_STEP_KPA;
      return setKPa > 0 ? { setKPa } : null;
    });
  },
  reliefRuns: (design, { at, otherId, setKPa: opensKPa, pushKPa }) => {
    const setKPa = Math.ceil(pushKPa / DRIPS_AT / RELIEF_STEP_KPA) * RELIEF_STEP_KPA;
    return [
      ...(setKPa > MOST_RELIEF_KPA ? [] : proposeSpec(design, at, "relief", "setRelief", () => ({ setKPa }))),
      ...proposeLessSupply(design, { kind: "gear", id: otherId }, pushKPa - DRIPS_AT * opensKPa),
    ];
  },
  noState: (design) => proposeStates(design),
  pumpRunsDry: (design, { otherId }) => proposeOpened(design, otherId.split("~")[1] ?? ""),
  uvBlind: (design, { at }) => proposeUsualClarity(design, at),
  uvWeak: (design, { at, doseMjPerCm2, wantedMjPerCm2 }) =>
    proposeStrongerLamp(design, at, wantedMjPerCm2 / doseMjPerCm2),
  hoseKinks: (design, { at }) => proposeBendAside(design, at),
  deckFittingBelow: (design, { at }) => proposeInDeck(design, at),
  lineOffHull: (design, { at, byMm }) => proposeLineInward(design, at, byMm),
  tanksHeel: (design, { side, heelDeg }) => proposeHeel(design, side, heelDeg),
  airGapLow: (_design, finding) => proposeHigherGap(finding),
  gearClashes: proposeGearClear,
  gearInFloor: proposeGearOutOfFloor,
  gearShutIn: proposeGearRaised,
} as const satisfies { readonly [C in FindingCode]?: Propose<C> };

const proposeReducer = (design: Design, at: PartRef, reducedToKPa: number): Remedy[] =>
  proposeSpec(design, at, "coupling", "fitReducer", () => ({ reducedToKPa }));

// A reducer at a tap outside that lets through less by so much, kPa, than comes now.
const proposeLessSupply = (design: Design, at: PartRef, lessKPa: number): Remedy[] =>
  proposeSpec(design, at, "coupling", "fitReducer", (spec) => {
    const supplyKPa = readSupplyKPa(spec);
    const reducedToKPa =
      supplyKPa === null ? 0 : Math.floor((supplyKPa - lessKPa) / REDUCER_STEP_KPA) * REDUCER_STEP_KPA;
    return reducedToKPa > 0 ? { reducedToKPa } : null;
  });

// In the hose that comes to its inlet, whichever way that was drawn.
const proposeStrainer = ({ lines, ...design }: Design, pumpId: string): Remedy[] =>
  lines.flatMap((line) => {
    if (line.kind !== "hose") return [];
    const isAt = [line.from, line.to].some((end) => end.kind === "gear" && end.gearId === pumpId && end.port === "in");
    const edit = isAt ? buildInsertStrainer({ ...design, lines }, line.id, STRAINER_NAME) : null;
    return edit ? [{ byMm: null, edit }] : [];
  });

const proposeAll = (edits: readonly Edit[]): Remedy[] => edits.map((edit) => ({ byMm: null, edit }));

const proposeStopValve = (design: Design, tank: Tank | null): Remedy[] =>
  tank
    ? proposeAll(
        design.lines.flatMap(({ id }) => listFitStopValve(design, id, tank.id, `${tank.name} stop valve`.slice(0, 80))),
      )
    : [];

// Only where it is a loop's water: what else is fouled is parted by hand.
function proposeAirGap(design: Design, water: string, otherId: string): Remedy[] {
  const [kind, tankId, portId] = otherId.split("~")[0]!.split(":");
  if (kind !== "tank" || !tankId) return [];
  return proposeAll([
    ...(water === "loop" ? listFitAirGap(design, tankId, AIR_GAP_NAME) : []),
    ...listBreakHose(design, tankId, portId ?? "", AIR_GAP_NAME),
  ]);
}

const AIR_GAP_NAME = "Air gap";
const RELIEF_NAMES = { tee: "Relief tee", piece: "Relief valve" };
const MIXER_NAMES = { tee: "Mixer tee", piece: "Mixer" };
const STRAINER_NAME = "Strainer";
const LOOP_NAME = "Vented loop";
