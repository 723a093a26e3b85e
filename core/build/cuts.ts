import type { Design } from "../design/design";
import { findBranchVent, findJunctionBend, findTrap } from "../design/lineItems";
import { findNode } from "../design/nodes";
import type { InlinePiece, Line, Pipe, PipeJoint, Tank } from "../design/plumbing";
import { buildDrainPath, findPipeOf, type Leg, sumLengthMm } from "../falls/drainPath";
import { buildNetwork, type Network } from "../falls/network";
import { listLineLegs } from "../fit/lineLegs";
import { measureLength, subtract } from "../geometry/vec";
import { listLinePieces } from "../parts/linePieces";
import { isHose } from "../parts/pipes";
import {
  computePointTakeOffs,
  findBranchEnd,
  listPointFittings,
  measureIntoDeg,
  type PipedLine,
  type PointFitting,
  type Turn,
} from "../parts/pointFittings";
import { radToDeg } from "../quantity/convert";

/** One piece to cut: as drawn from middle to middle, and what is sawn of it. */
export type Cut = {
  readonly mark: string;
  readonly lineId: string;
  /** The first leg it lies on. */
  readonly leg: number;
  readonly pipe: Pipe;
  readonly centreMm: number;
  /** Null where the fittings at its ends leave no pipe between them: one goes into the other. */
  readonly cutMm: number | null;
  /** What it goes into at either end; null for hose, which bends by itself. */
  readonly ends: readonly [CutEnd, CutEnd] | null;
};

/** One end of a piece: what stands there, and by how much it ends before the middle drawn, mm; below 0 it goes in beyond it. */
export type CutEnd = { readonly things: readonly EndThing[]; readonly takeOffMm: number };

export type EndThing =
  /** The bend it goes into and what of the drawn angle is left over, which the two joints must take up by half each. */
  | { readonly kind: "bend"; readonly bendDeg: number; readonly leftDeg: number }
  /** Nearly straight on: a socket, turned a little. */
  | { readonly kind: "socket"; readonly leftDeg: number }
  | { readonly kind: "wye" | "tee" | "runningTrap" | InlinePiece | PipeJoint }
  | { readonly kind: "trap" | "waste" | "tank" | "gear" | "coupling" }
  /** The branch's own air comes in by a tee so far along it, which is no point of the line. */
  | { readonly kind: "airTee"; readonly alongMm: number }
  /** It ends in the open: sawn square, or at this angle against the pipe so that it lies level, degrees. */
  | { readonly kind: "open"; readonly sawDeg: number };

/** Pipe goes into a socket by so much, as a share of its outside, 25 mm at least [T]. */
const INSERTION = 0.8;
const LEAST_INSERTION_MM = 25;
/** Hose is cut to its run, with so much to spare [T]. */
const HOSE_SPARE_MM = 30;

const insert = ({ outerMm }: Pipe): number => Math.max(LEAST_INSERTION_MM, INSERTION * outerMm);

/**
 * Every piece of pipe and hose, numbered as it stands on the drawing: middle to middle, less what the fittings take to the
 * foot of their sockets, and with what goes into the wall of a tank. Where a maker's figure is not known the piece is rather
 * too long. Hose runs through its bends in one piece, from fitting to fitting. Source: geometry [C on T].
 */
export function listCuts(design: Design): Cut[] {
  const network = buildNetwork(design);
  const cuts = design.lines.flatMap((line) =>
    line.kind === "hose"
      ? listSoft(line, sumLengthMm(listLineLegs(design, line)))
      : listPieces(design, network, line).flatMap((piece) => toCut(line, piece)),
  );
  // pipe first, then what comes off a roll
  const rigid = cuts.filter(({ ends }) => ends !== null);
  const soft = cuts.filter(({ ends }) => ends === null);
  return [...rigid, ...soft].map((cut, i) => ({ ...cut, mark: `P${i + 1}` }));
}

type Unmarked = Omit<Cut, "mark">;
type Piece = { readonly legs: readonly Leg[]; readonly ends: readonly [CutEnd, CutEnd] };

function listSoft({ id, pipe }: Pick<Line, "id" | "pipe">, centreMm: number, leg = 0): Unmarked[] {
  return centreMm > 0 ? [{ lineId: id, leg, pipe, centreMm, cutMm: centreMm + HOSE_SPARE_MM, ends: null }] : [];
}

function toCut({ id }: Line, { legs, ends }: Piece): Unmarked[] {
  const [{ pipe, index: leg }, centreMm] = [legs[0]!, sumLengthMm(legs)];
  if (isHose(pipe)) return listSoft({ id, pipe }, centreMm, leg);
  if (centreMm === 0) return [];
  const left = centreMm - ends[0].takeOffMm - ends[1].takeOffMm;
  // a piece must fill the sockets at its ends
  const least = ends.filter(hasSocket).length * insert(pipe);
  return [{ lineId: id, leg, pipe, centreMm, cutMm: left >= least && left > 0 ? left : null, ends }];
}

const hasSocket = ({ things }: CutEnd): boolean => things.every(({ kind }) => kind !== "open" && kind !== "coupling");

function listPieces(design: Design, network: Network, line: PipedLine): Piece[] {
  const path = line.kind === "drain" ? buildDrainPath(design, line, network) : null;
  const legs = path?.ownLegs ?? listLineLegs(design, line);
  const points = listPointFittings(design, line, legs, network);
  return listLinePieces(legs, points).map(({ legs: own, before, after }): Piece => {
    const { pipe } = own[0]!;
    const first = before ? toEnd(before, pipe, 1) : findFirst(design, line);
    const joined = path ? path.legs.slice(legs.length) : listJoinedLegs(design, line);
    return { legs: own, ends: [first, after ? toEnd(after, pipe, 0) : findLast(design, network, line, own, joined)] };
  });
}

function listJoinedLegs(design: Design, { to }: PipedLine): readonly Leg[] {
  if (to.kind !== "wye" && to.kind !== "tee") return [];
  const main = design.lines.find(({ id }) => id === to.lineId);
  return main ? listLineLegs(design, main).slice(findNode(main, to.node) + 1) : [];
}

function toEnd(point: PointFitting, pipe: Pipe, side: 0 | 1): CutEnd {
  const bodies = point.bodies.map(({ kind }): EndThing => ({ kind }));
  return { things: [...bodies, ...toTurnThings(point.turn)], takeOffMm: computePointTakeOffs(point, pipe)[side] };
}

function toTurnThings(turn: Turn | null): EndThing[] {
  if (turn === null) return [];
  const { bendDeg, leftDeg } = turn;
  return [bendDeg === null ? { kind: "socket", leftDeg } : { kind: "bend", bendDeg, leftDeg }];
}

function findFirst({ tanks }: Design, line: PipedLine): CutEnd {
  // the trap's outlet stands beyond its weir, so that the piece is rather too long
  if (line.kind === "drain") {
    const air = findBranchVent(line);
    const tee: EndThing[] = air ? [{ kind: "airTee", alongMm: air.fromWeirMm }] : [];
    return { things: [{ kind: findTrap(line) ? "trap" : "waste" }, ...tee], takeOffMm: 0 };
  }
  return findTankEnd(tanks, line.fromTank, line.fromPort);
}

// From the inside of the wall as drawn: through a plain wall and in, or into the socket of what is screwed in there.
function findTankEnd(tanks: readonly Tank[], tankId: string, portId: string): CutEnd {
  const tank = tanks.find(({ id }) => id === tankId)!;
  const port = tank.ports.find(({ id }) => id === portId)!;
  const takeOffMm =
    port.thread === null ? -LEAST_INSERTION_MM : tank.wallMm + Math.max(0, port.fittingMm - LEAST_INSERTION_MM);
  return { things: [{ kind: "tank" }], takeOffMm };
}

function findLast(
  { tanks }: Design,
  { drains }: Pick<Network, "drains">,
  line: PipedLine,
  legs: readonly Leg[],
  joined: readonly Leg[],
): CutEnd {
  const { to } = line;
  const { pipe, from, to: at } = legs.at(-1)!;
  switch (to.kind) {
    case "junction": {
      const main = drains.get(to.lineId)!;
      return toBranchEnd(to.fitting, pipe, findPipeOf(main, findJunctionBend(main, to)), measureIntoDeg(legs, joined));
    }
    case "wye":
      return toBranchEnd("wye", pipe, joined[0]?.pipe ?? pipe, measureIntoDeg(legs, joined));
    case "tee":
      // a breather's tee is turned as it comes
      return toBranchEnd("tee", pipe, joined[0]?.pipe ?? pipe, null);
    case "inlet":
      return findTankEnd(tanks, to.tankId, to.portId);
    case "sump":
    case "overboard":
      return { things: [{ kind: "gear" }], takeOffMm: -LEAST_INSERTION_MM };
    case "coupling":
      return { things: [{ kind: "coupling" }], takeOffMm: 0 };
    case "openAir":
      return { things: [{ kind: "open", sawDeg: 90 }], takeOffMm: 0 };
    case "ground":
    case "vessel": {
      const along = subtract(at, from);
      const steepDeg = radToDeg(Math.atan2(Math.abs(along.z), measureLength({ ...along, z: 0 })));
      // a pipe that comes down steeply is sawn level, one that lies is sawn square
      return { things: [{ kind: "open", sawDeg: steepDeg > 45 ? steepDeg : 90 }], takeOffMm: 0 };
    }
  }
}

function toBranchEnd(fitting: "wye" | "tee", pipe: Pipe, main: Pipe, turnedDeg: number | null): CutEnd {
  const { turn, takeOffMm } = findBranchEnd(fitting, pipe, main, turnedDeg);
  return { things: [{ kind: fitting }, ...toTurnThings(turn)], takeOffMm };
}
