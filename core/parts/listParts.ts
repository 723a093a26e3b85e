import { measureVentLengthMm } from "../air/tankAir";
import type { Design } from "../design/design";
import type { Fitting, Pipe, TrapKind } from "../design/plumbing";
import { buildDrainPath, type DrainPath } from "../falls/drainPath";
import { buildNetwork } from "../falls/network";
import { measureLength, scale, subtract, type Vec3 } from "../geometry/vec";
import { MM_PER_M, radToDeg } from "../quantity/convert";

/** Angles bends are sold in, degrees [T: metric waste pipe; long bends are two of 45°]. */
export const BEND_ANGLES = [15, 30, 45, 67, 87] as const;

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
  | { readonly kind: "trap"; readonly trap: TrapKind; readonly pipe: Pipe; readonly count: number }
  | { readonly kind: "admittanceValve"; readonly pipe: Pipe; readonly count: number };

/** A bend below this is taken up by the joints, degrees [T]. */
const JOINT_GIVES_DEG = 4;

/**
 * The parts of all drains and breathers: pipe by its size with a tenth for cutting, the bends nearest to the angles
 * drawn, fittings, traps and valves. Sorted as they are met; equal ones are counted together.
 */
export function listParts(design: Design): Part[] {
  const network = buildNetwork(design);
  const paths = [...network.drains.values()].map((drain) => buildDrainPath(design, drain, network));
  const pieces = paths.flatMap(listPathParts);
  const vents = design.lines.flatMap((line): Part[] => {
    const tank = line.kind === "vent" ? network.tanks.get(line.fromTank) : undefined;
    return line.kind === "vent" && tank
      ? [{ kind: "pipe", pipe: line.pipe, lengthM: measureVentLengthMm(tank, line) / MM_PER_M }]
      : [];
  });
  return gather([...pieces, ...vents]);
}

function listPathParts({ drain, ownLegs, chain }: DrainPath): Part[] {
  const { pipe, trap, branchVent, to } = drain;
  const lengthM = ownLegs.reduce((sum, leg) => sum + leg.lengthMm, 0) / MM_PER_M;
  const parts: Part[] = [{ kind: "pipe", pipe, lengthM }];
  if (trap) parts.unshift({ kind: "trap", trap: trap.kind, pipe, count: 1 });
  for (let i = 1; i < ownLegs.length; i++) {
    const turned = measureTurnDeg(
      subtract(ownLegs[i - 1]!.to, ownLegs[i - 1]!.from),
      subtract(ownLegs[i]!.to, ownLegs[i]!.from),
    );
    if (turned === null || turned < JOINT_GIVES_DEG) continue;
    parts.push({ kind: "bend", angleDeg: findNearestBend(turned), pipe, count: 1 });
  }
  if (branchVent?.kind === "admittanceValve") parts.push({ kind: "admittanceValve", pipe, count: 1 });
  const main = chain[1];
  if (to.kind === "junction" && main) {
    parts.push({ kind: "junction", fitting: to.fitting, pipe: main.pipe, branch: pipe, count: 1 });
    if (pipe.outerMm !== main.pipe.outerMm) parts.push({ kind: "reducer", from: pipe, to: main.pipe, count: 1 });
  }
  return parts;
}

/** Degrees between two directions, [0, 180]; null where one has no length [C]. */
export function measureTurnDeg(a: Vec3, b: Vec3): number | null {
  const [la, lb] = [measureLength(a), measureLength(b)];
  if (la === 0 || lb === 0) return null;
  const [ua, ub] = [scale(a, 1 / la), scale(b, 1 / lb)];
  // half the angle by its sine and cosine keeps its accuracy near 0 and near 180
  const sum = { x: ua.x + ub.x, y: ua.y + ub.y, z: ua.z + ub.z };
  return 2 * radToDeg(Math.atan2(measureLength(subtract(ua, ub)), measureLength(sum)));
}

/** The bend as sold that comes nearest to an angle, degrees. */
export const findNearestBend = (angleDeg: number): number =>
  BEND_ANGLES.reduce((a, b) => (Math.abs(b - angleDeg) < Math.abs(a - angleDeg) ? b : a), BEND_ANGLES[0] as number);

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
