import { measureVentLengthMm } from "../air/ventPath";
import { ALONG_WALL_MM } from "../air/ventRoom";
import type { Design } from "../design/design";
import {
  findBranchVent,
  findJunctionBend,
  findLineTrap,
  findTrap,
  listInlinePieces,
  listPipeChanges,
} from "../design/lineItems";
import { findNode } from "../design/nodes";
import type { Drain, DumpLine, Fitting, InlinePiece, Pipe, PipeJoint, TrapKind, Vent } from "../design/plumbing";
import { buildDrainPath, findPipeOf, type Leg, sumLengthMm } from "../falls/drainPath";
import { buildNetwork, type Network } from "../falls/network";
import { listLineLegs } from "../fit/lineLegs";
import { measureLength, subtract } from "../geometry/vec";
import { MM_PER_M } from "../quantity/convert";
import { placeWayOut } from "../through/exits";
import { findBranchEnd, listPointFittings, measureIntoDeg, type PipedLine, type Turn } from "./pointFittings";

/** Something to buy. Lengths in metres, everything else by the piece. */
export type Part =
  | { readonly kind: "pipe"; readonly pipe: Pipe; readonly lengthM: number }
  | { readonly kind: "bend"; readonly angleDeg: number; readonly pipe: Pipe; readonly count: number }
  | {
      readonly kind: "junction";
      readonly fitting: Fitting;
      readonly pipe: Pipe;
      readonly branch: Pipe;
      readonly count: number;
    }
  | { readonly kind: "reducer"; readonly from: Pipe; readonly to: Pipe; readonly count: number }
  | {
      readonly kind: "joint";
      readonly joint: Exclude<PipeJoint, "reducer">;
      readonly from: Pipe;
      readonly to: Pipe;
      readonly count: number;
    }
  | { readonly kind: "ventTee"; readonly pipe: Pipe; readonly branch: Pipe; readonly count: number }
  | { readonly kind: "inline"; readonly piece: InlinePiece; readonly pipe: Pipe; readonly count: number }
  | { readonly kind: "lineTrap"; readonly pipe: Pipe; readonly count: number }
  | { readonly kind: "trap"; readonly trap: TrapKind; readonly pipe: Pipe; readonly count: number }
  | { readonly kind: "admittanceValve"; readonly pipe: Pipe; readonly count: number };

/**
 * The parts of all drains, breathers and dump lines: pipe by its size with a tenth for cutting, the bends nearest to the angles
 * drawn, fittings, traps and valves. Sorted as they are met; equal ones are counted together.
 */
export function listParts(design: Design): Part[] {
  const network = buildNetwork(design);
  const pieces = [...network.drains.values()].flatMap((drain) => listPathParts(design, network, drain));
  const vents = design.lines.flatMap((line) => (line.kind === "vent" ? listVentParts(design, line) : []));
  const dumpLines = design.lines.flatMap((line) => (line.kind === "dumpLine" ? listDumpPieces(design, line) : []));
  return gather([...pieces, ...vents, ...dumpLines]);
}

// A breather's own pipe with what is fitted along it, and the tee where it ends in another one.
function listVentParts(design: Design, vent: Vent): Part[] {
  const { pipe, to } = vent;
  const lengthMm = measureVentLengthMm(design, vent) + measureOutMm(design, vent);
  const pipeParts: Part[] = [{ kind: "pipe", pipe, lengthM: lengthMm / MM_PER_M }];
  const main = to.kind === "tee" ? design.lines.find(({ id }) => id === to.lineId) : null;
  const tee: Part[] = main ? [{ kind: "ventTee", pipe: main.pipe, branch: pipe, count: 1 }] : [];
  return [...pipeParts, ...listTurns(design, vent, listLineLegs(design, vent)), ...tee];
}

/** Through a side or a roof and on to the cowl, mm [T]. */
const THROUGH_MM = 100;

// One that ends beside a wall is led on to it and through it; where it was drawn out, it crossed it on the way.
function measureOutMm(design: Design, vent: Vent): number {
  const exit = placeWayOut(design, vent, listLineLegs(design, vent));
  const end = vent.pointsMm.at(-1);
  const onMm = exit && end ? measureLength(subtract(exit.atMm, end)) : Infinity;
  return onMm > ALONG_WALL_MM ? 0 : onMm + THROUGH_MM;
}

// A dump line's own pipe with what is fitted along it.
function listDumpPieces(design: Design, line: DumpLine): Part[] {
  const legs = listLineLegs(design, line);
  const lengthMm = sumLengthMm(legs);
  return [
    { kind: "pipe", pipe: line.pipe, lengthM: lengthMm / MM_PER_M },
    ...listTurns(design, line, legs),
    ...listDumpWye(design, line, legs),
  ];
}

function listDumpWye(design: Design, { to, pipe }: DumpLine, legs: readonly Leg[]): Part[] {
  const main = to.kind === "wye" ? design.lines.find(({ id }) => id === to.lineId) : null;
  if (!main || to.kind !== "wye") return [];
  const joined = listLineLegs(design, main).slice(findNode(main, to.node) + 1);
  return listWye("wye", main.pipe, pipe, measureIntoDeg(legs, joined));
}

// What a branch comes in by, a reducer where it is of another size, and a bend where the fitting does not turn it enough.
function listWye(fitting: Fitting, joined: Pipe, branch: Pipe, turnedDeg: number | null): Part[] {
  const parts: Part[] = [{ kind: "junction", fitting, pipe: joined, branch, count: 1 }];
  if (branch.outerMm !== joined.outerMm) parts.push({ kind: "reducer", from: branch, to: joined, count: 1 });
  return [...parts, ...toTurnPart(findBranchEnd(fitting, branch, joined, turnedDeg).turn, branch)];
}

/** The parts of a dump line alone. */
export const listDumpLineParts = (design: Design, line: DumpLine): Part[] => gather(listDumpPieces(design, line));

// The bends and sockets between the legs of a line.
const listTurns = (design: Design, line: PipedLine, legs: readonly Leg[], network?: Network): Part[] =>
  listPointFittings(design, line, legs, network).flatMap(({ turn }, i) => toTurnPart(turn, legs[i + 1]!.pipe));

function toTurnPart(turn: Turn | null, pipe: Pipe): Part[] {
  if (turn === null) return [];
  if (turn.bendDeg === null) return [{ kind: "joint", joint: "union", from: pipe, to: pipe, count: 1 }];
  return [{ kind: "bend", angleDeg: turn.bendDeg, pipe, count: 1 }];
}

/** The parts of one drain alone, counted together in the same way. */
export function listDrainParts(design: Design, drainId: string): Part[] {
  const network = buildNetwork(design);
  const drain = network.drains.get(drainId);
  return drain ? gather(listPathParts(design, network, drain)) : [];
}

/** The parts of one breather alone. */
export const listBreatherParts = (design: Design, vent: Vent): Part[] => gather(listVentParts(design, vent));

function listPathParts(design: Design, network: Network, drain: Drain): Part[] {
  const { legs, ownLegs, chain } = buildDrainPath(design, drain, network);
  const { pipe, to } = drain;
  const [trap, branchVent] = [findTrap(drain), findBranchVent(drain)];
  const lineTrap = findLineTrap(drain);
  const changes = listPipeChanges(drain);
  const parts: Part[] = ownLegs.map((leg) => ({ kind: "pipe", pipe: leg.pipe, lengthM: leg.lengthMm / MM_PER_M }));
  changes.forEach((change, i) => {
    const from = changes[i - 1]?.pipe ?? pipe;
    // two of one size are joined straight; where rigid pipe and hose meet there is a barb
    if (change.joint === "reducer") parts.push({ kind: "reducer", from, to: change.pipe, count: 1 });
    else parts.push({ kind: "joint", joint: change.joint, from, to: change.pipe, count: 1 });
  });
  for (const { bend, piece } of listInlinePieces(drain)) {
    parts.push({ kind: "inline", piece, pipe: ownLegs[bend]?.pipe ?? pipe, count: 1 });
  }
  if (lineTrap) parts.push({ kind: "lineTrap", pipe: ownLegs[lineTrap.bend]?.pipe ?? pipe, count: 1 });
  if (trap) parts.unshift({ kind: "trap", trap: trap.kind, pipe, count: 1 });
  parts.push(...listTurns(design, drain, ownLegs, network));
  // its own air comes in by a tee, whatever is on it
  if (branchVent) parts.push({ kind: "ventTee", pipe, branch: pipe, count: 1 });
  if (branchVent?.kind === "admittanceValve") parts.push({ kind: "admittanceValve", pipe, count: 1 });
  const main = chain[1];
  if (to.kind === "junction" && main) {
    const branch = ownLegs.at(-1)!.pipe;
    const turnedDeg = measureIntoDeg(ownLegs, legs.slice(ownLegs.length));
    parts.push(...listWye(to.fitting, findPipeOf(main, findJunctionBend(main, to)), branch, turnedDeg));
  }
  return parts;
}

const CUTTING = 1.1;

function gather(pieces: readonly Part[]): Part[] {
  const byKey = new Map<string, Part>();
  for (const piece of pieces) {
    const { key, amount } = split(piece);
    const known = byKey.get(key);
    byKey.set(key, known ? withAmount(known, split(known).amount + amount) : piece);
  }
  return [...byKey.values()].map((part) =>
    part.kind === "pipe" ? { ...part, lengthM: part.lengthM * CUTTING } : part,
  );
}

function split(part: Part): { readonly key: string; readonly amount: number } {
  if (part.kind !== "pipe") {
    const { count, ...what } = part;
    return { key: JSON.stringify(what), amount: count };
  }
  return { key: `pipe ${JSON.stringify(part.pipe)}`, amount: part.lengthM };
}

const withAmount = (part: Part, amount: number): Part =>
  part.kind === "pipe" ? { ...part, lengthM: amount } : { ...part, count: amount };
