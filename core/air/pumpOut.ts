import type { Design } from "../design/design";
import type { Gear, GearKind, GearOf, HoseEnd } from "../design/gear";
import type { Hose, Tank, Vent } from "../design/plumbing";
import type { Network } from "../falls/network";
import { followHoses, isPort } from "../gear/hoseWays";
import { listComing, listLeaving } from "../gear/passing";
import { computeSealAfterMm, computeSealBreakPa } from "../traps/sealPressure";
import { computeAirwayPressurePa } from "./airPressure";
import { computeLeastBoreForFlowM } from "./dumping";
import { buildVentPath, listVents, toFreePipe, type VentStretch } from "./ventPath";
import { findWeakestSealMm } from "./weakestSeal";

/** What a pump-out station draws out of a tank, L/s [T: 1 to 2]. */
export const PUMP_OUT_LPS = 1.5;

/** What a pump does to the air of a tank it draws out of: it takes its water whatever the breather lets in. */
export type PumpDraw = {
  /** The tank's own pumps; none where it is a station on the deck fitting. */
  readonly pumps: readonly GearOf<"pump">[];
  readonly flowLps: number;
  readonly ventId: string;
  /** Its pipe from the port to the open, and those of the breathers it joins. */
  readonly stretches: readonly VentStretch[];
  readonly suctionPa: number;
  /** The shallowest water seal on the tank, mm, and what is left of it; null where no trap holds water. */
  readonly weakestSealMm: number | null;
  readonly sealAfterMm: number | null;
  readonly breaksSeal: boolean;
  /** Bore, mm, at which the suction stays within a limit, Pa. */
  readonly leastBoreMm: number;
};

/** What water does not pass on its way from a tank to the deck. */
const ENDS: ReadonlySet<GearKind> = new Set(["bowl", "skinFitting", "tap", "sump"]);
/** What a pump draws through: not another pump, which takes the water first. */
const PUMPS_TOO: ReadonlySet<GearKind> = new Set([...ENDS, "pump"]);

const SECONDS_A_MINUTE = 60;

/** Whether a hose leads from a tank to a deck fitting, through whatever gear there is between. */
export const isPumpedOut = (design: Plumbed, tankId: string): boolean =>
  design.gear.some(({ spec }) => spec.kind === "deckFitting") &&
  listPieces(design, fromTank(tankId), ENDS).some(({ piece }) => piece.spec.kind === "deckFitting");

/** The hoses, and the pumps on them, through which a tank is pumped out: all that lead from it to the deck or overboard. */
export function listPumpOutParts(
  design: Plumbed,
  tankId: string,
): { readonly hoseIds: readonly string[]; readonly pumpIds: readonly string[] } {
  const reached = listPieces(design, fromTank(tankId), ENDS);
  const pumps = reached.filter(({ piece }) => piece.spec.kind === "pump");
  return {
    hoseIds: [...new Set(reached.map(({ hoseId }) => hoseId))],
    pumpIds: [...new Set(pumps.map(({ piece }) => piece.id))],
  };
}

/** Whether one of its own pumps takes a tank's water overboard, through a skin fitting that serves for that. */
export const isPumpedOverboard = (design: Plumbed, tankId: string): boolean =>
  listPumpsOn(design, tankId).some(({ id }) =>
    listPieces(design, isPort(id, "out"), ENDS).some(
      ({ piece }) => piece.spec.kind === "skinFitting" && piece.spec.serves === "discharge",
    ),
  );

/** The pumps that draw out of a tank: those a hose leads to from it, at their inlet, with no other pump between. */
export const listPumpsOn = (design: Plumbed, tankId: string): GearOf<"pump">[] => listPumpsAt(design, tankId, "in");

/** The pumps that fill a tank, at their outlet, in the same way. */
export const listPumpsInto = (design: Plumbed, tankId: string): GearOf<"pump">[] => listPumpsAt(design, tankId, "out");

function listPumpsAt(design: Plumbed, tankId: string, at: "in" | "out"): GearOf<"pump">[] {
  const isPump = (piece: Gear): piece is GearOf<"pump"> => piece.spec.kind === "pump";
  if (!design.gear.some(isPump)) return [];
  const listOn = at === "in" ? listLeaving : listComing;
  const reached = listPieces(design, fromTank(tankId), PUMPS_TOO, listOn).flatMap(({ piece, port }) =>
    port === at && isPump(piece) ? [piece] : [],
  );
  return [...new Set(reached)];
}

/** What pumps give together running free, L/s. */
export const sumFreeLps = (pumps: readonly GearOf<"pump">[]): number =>
  pumps.reduce((sum, { spec }) => sum + spec.freeLpm / SECONDS_A_MINUTE, 0);

type Plumbed = Pick<Design, "gear" | "lines">;

const fromTank =
  (tankId: string) =>
  (end: HoseEnd): boolean =>
    end.kind === "tank" && end.tankId === tankId;

type Reached = { readonly piece: Gear; readonly port: string; readonly hoseId: string };

// The pieces that are come to, and by which of their ports.
function listPieces(
  { gear, lines }: Plumbed,
  isStart: (end: HoseEnd) => boolean,
  ends: ReadonlySet<GearKind>,
  listOn = listLeaving,
): Reached[] {
  const pieces = new Map(gear.map((piece) => [piece.id, piece]));
  const hoses = lines.filter((line): line is Hose => line.kind === "hose");
  return followHoses({ hoses, gear: pieces }, isStart, ends, listOn).flatMap(({ end, hoseId }): Reached[] => {
    const piece = end.kind === "gear" ? pieces.get(end.gearId) : undefined;
    return piece && end.kind === "gear" ? [{ piece, port: end.port, hoseId }] : [];
  });
}

/**
 * Suction in a tank, Pa, while a station pumps it out through its deck fitting at 1.5 L/s, and while its own pumps draw
 * together what each gives running free; none without a breather. Of several breathers the best is counted alone, and what
 * runs back into the tank meanwhile is not, which is on the safe side. Limit in Pa > 0. Source: Darcy and Weisbach at that
 * flow [C on T: the flow of a station]. Example: 3 m of 19 mm, ΣK 2.5 → 135 Pa.
 */
export function computePumpDraws(design: Design, tank: Tank, mostPa: number, network: Network): PumpDraw[] {
  if (design.gear.length === 0) return [];
  const vents = listVents(design, tank.id);
  if (vents.length === 0) return [];
  const pumps = listPumpsOn(design, tank.id);
  const draw = (flowLps: number, own: PumpDraw["pumps"]) =>
    computeDraw(design, tank, vents, mostPa, network, flowLps, own);
  return [
    ...(isPumpedOut(design, tank.id) ? [draw(PUMP_OUT_LPS, [])] : []),
    ...(pumps.length > 0 ? [draw(sumFreeLps(pumps), pumps)] : []),
  ];
}

function computeDraw(
  design: Design,
  tank: Tank,
  vents: readonly Vent[],
  mostPa: number,
  network: Network,
  flowLps: number,
  pumps: PumpDraw["pumps"],
): PumpDraw {
  const flowM3PerS = flowLps / 1000;
  const air = vents.map((vent) => {
    const { stretches } = buildVentPath(design, vent);
    const airway = stretches.map(({ pipe }) => pipe);
    return { vent, stretches, suctionPa: computeAirwayPressurePa(flowM3PerS, airway) };
  });
  const { vent, stretches, suctionPa } = air.reduce((a, b) => (b.suctionPa < a.suctionPa ? b : a));
  const weakestSealMm = findWeakestSealMm(network, tank.id);
  return {
    pumps,
    flowLps,
    ventId: vent.id,
    stretches,
    suctionPa,
    weakestSealMm,
    sealAfterMm: weakestSealMm === null ? null : computeSealAfterMm(weakestSealMm, suctionPa),
    breaksSeal: weakestSealMm !== null && suctionPa >= computeSealBreakPa(weakestSealMm),
    leastBoreMm: computeLeastBoreForFlowM(flowM3PerS, mostPa, stretches.map(toFreePipe)) * 1000,
  };
}
