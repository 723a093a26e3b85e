import { listOwnCourse, measureVentLengthMm } from "../air/ventPath";
import type { Design } from "../design/design";
import {
  findBranchVent,
  findJunctionBend,
  findLineTrap,
  findTrap,
  listInlinePieces,
  listPipeChanges,
} from "../design/lineItems";
import type { DumpLine, Fitting, InlinePiece, Pipe, PipeJoint, TrapKind, Vent } from "../design/plumbing";
import { buildDrainPath, type DrainPath, findPipeOf } from "../falls/drainPath";
import { buildNetwork } from "../falls/network";
import { listLineLegs } from "../fit/lineLegs";
import { subtract, type Vec3 } from "../geometry/vec";
import { MM_PER_M } from "../quantity/convert";
import { isHose } from "./pipes";
import { findNearestBend, measureTurnDeg } from "./turns";

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

/** A bend below this is taken up by the joints, degrees [T]. */
const JOINT_GIVES_DEG = 4;

/**
 * The parts of all drains, breathers and dump lines: pipe by its size with a tenth for cutting, the bends nearest to the angles
 * drawn, fittings, traps and valves. Sorted as they are met; equal ones are counted together.
 */
export function listParts(design: Design): Part[] {
  const network = buildNetwork(design);
  const paths = [...network.drains.values()].map((drain) => buildDrainPath(design, drain, network));
  const pieces = paths.flatMap(listPathParts);
  const vents = design.lines.flatMap((line) => (line.kind === "vent" ? listVentParts(design, line) : []));
  const dumpLines = design.lines.flatMap((line) => (line.kind === "dumpLine" ? listDumpPieces(design, line) : []));
  return gather([...pieces, ...vents, ...dumpLines]);
}

// A breather's own pipe with its bends, and the tee where it ends in another one.
function listVentParts(design: Design, vent: Vent): Part[] {
  const { pipe, to } = vent;
  const course = listOwnCourse(design, vent);
  const legs = course.slice(1).map((p, i) => subtract(p, course[i]!));
  const parts: Part[] = [{ kind: "pipe", pipe, lengthM: measureVentLengthMm(design, vent) / MM_PER_M }];
  for (let i = 1; i < legs.length; i++) parts.push(...listTurn(legs[i - 1]!, legs[i]!, pipe));
  if (to.kind === "tee") {
    const main = design.lines.find(({ id }) => id === to.lineId)!;
    parts.push({ kind: "ventTee", pipe: main.pipe, branch: pipe, count: 1 });
  }
  return parts;
}

// A dump line's own pipe with its bends.
function listDumpPieces(design: Design, line: DumpLine): Part[] {
  const legs = listLineLegs(design, line);
  const lengthMm = legs.reduce((sum, leg) => sum + leg.lengthMm, 0);
  const bends = legs.slice(1).flatMap((leg, i) => {
    const before = legs[i]!;
    return listTurn(subtract(before.to, before.from), subtract(leg.to, leg.from), line.pipe);
  });
  return [{ kind: "pipe", pipe: line.pipe, lengthM: lengthMm / MM_PER_M }, ...bends, ...listDumpWye(design, line)];
}

function listDumpWye({ lines }: Design, { to, pipe }: DumpLine): Part[] {
  const main = to.kind === "wye" ? lines.find(({ id }) => id === to.lineId) : null;
  if (!main) return [];
  return listWye("wye", main.pipe, pipe);
}

// What a branch comes in by, and a reducer where it is of another size.
function listWye(fitting: Fitting, joined: Pipe, branch: Pipe): Part[] {
  const parts: Part[] = [{ kind: "junction", fitting, pipe: joined, branch, count: 1 }];
  if (branch.outerMm !== joined.outerMm) parts.push({ kind: "reducer", from: branch, to: joined, count: 1 });
  return parts;
}

/** The parts of a dump line alone. */
export const listDumpLineParts = (design: Design, line: DumpLine): Part[] => gather(listDumpPieces(design, line));

// The bend between two legs, unless the joints take it up or a hose bends by itself.
function listTurn(before: Vec3, after: Vec3, pipe: Pipe): Part[] {
  const turned = measureTurnDeg(before, after);
  if (turned === null || turned < JOINT_GIVES_DEG || isHose(pipe)) return [];
  return [{ kind: "bend", angleDeg: findNearestBend(turned), pipe, count: 1 }];
}

/** The parts of one drain alone, counted together in the same way. */
export function listDrainParts(design: Design, drainId: string): Part[] {
  const network = buildNetwork(design);
  const drain = network.drains.get(drainId);
  return drain ? gather(listPathParts(buildDrainPath(design, drain, network))) : [];
}

/** The parts of one breather alone. */
export const listBreatherParts = (design: Design, vent: Vent): Part[] => gather(listVentParts(design, vent));

function listPathParts({ drain, ownLegs, chain }: DrainPath): Part[] {
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
  for (let i = 1; i < ownLegs.length; i++) {
    const [before, after] = [ownLegs[i - 1]!, ownLegs[i]!];
    parts.push(...listTurn(subtract(before.to, before.from), subtract(after.to, after.from), after.pipe));
  }
  if (branchVent?.kind === "admittanceValve") parts.push({ kind: "admittanceValve", pipe, count: 1 });
  const main = chain[1];
  if (to.kind === "junction" && main) {
    const branch = ownLegs.at(-1)!.pipe;
    parts.push(...listWye(to.fitting, findPipeOf(main, findJunctionBend(main, to)), branch));
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
