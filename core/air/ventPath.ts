import type { Design } from "../design/design";
import { findNode } from "../design/nodes";
import type { Tank, Vent } from "../design/plumbing";
import { add, measureLength, subtract, type Vec3 } from "../geometry/vec";
import { measureTurnDeg } from "../parts/turns";
import { mmToM } from "../quantity/convert";
import { createRecall } from "../quantity/recall";
import type { AirPipe } from "./airPressure";
import { readAir } from "./airState";

/** Losses in velocity heads: in at one end and out at the other; a mesh; a right angle; through the side of a tee [T]. */
const ENTRY_K = 0.5;
const EXIT_K = 1;
const MESH_K = 0.7;
const RIGHT_ANGLE_K = 0.75;
const TEE_K = 1;

/** The part of an airway that is one breather's own pipe. */
export type VentStretch = {
  readonly lineId: string;
  readonly pipe: AirPipe;
  /** What of its losses is its port's in the tank, where that is narrower than it. */
  readonly portK: number;
};

/** The stretch behind a port as wide as it: what a wider breather would have, and what is left of it for others. */
export const toFreePipe = ({ pipe, portK }: VentStretch): AirPipe =>
  portK === 0 ? pipe : { ...pipe, lossK: pipe.lossK - portK };

/**
 * What a port narrower than its breather adds, in velocity heads of the breather ≥ 0: air speeds up into it and loses that
 * behind it, 1.5 ((D/d)⁴ − 1). Bores > 0 mm. Source: losses of a short hole, as of the ends [T]. Example: 12.7 in 19 mm → 6.01.
 */
export const computePortK = (boreMm: number, portMm: number): number =>
  (ENTRY_K + EXIT_K) * Math.max(0, (boreMm / portMm) ** 4 - 1);

/** The way of the air from a tank to the open, through every breather it joins, with everything looked up. */
export type VentPath = {
  readonly vent: Vent;
  readonly tank: Tank;
  readonly chain: readonly Vent[];
  /** From the port to the open end. */
  readonly pointsMm: readonly Vec3[];
  /** Which point of which breather each of them is; −1 for the port. */
  readonly refs: readonly { readonly lineId: string; readonly point: number }[];
  readonly stretches: readonly VentStretch[];
};

/** A breather and every breather its air goes on through; the last one ends in the open. */
export function followVent(design: Design, vent: Vent): Vent[] {
  const chain = [vent];
  if (vent.to.kind === "openAir") return chain;
  const vents = recallVents(design.lines, [], () => indexVents(design.lines));
  for (let last = vent; last.to.kind === "tee"; ) {
    last = vents.get(last.to.lineId)!;
    chain.push(last);
  }
  return chain;
}

const recallVents = createRecall<Design["lines"], ReadonlyMap<string, Vent>>();

const indexVents = (lines: Design["lines"]): ReadonlyMap<string, Vent> =>
  new Map(lines.flatMap((line): [string, Vent][] => (line.kind === "vent" ? [[line.id, line]] : [])));

/** Lays out one breather in the rig frame. The design has passed its consistency check, so the references hold. */
export function buildVentPath(design: Design, vent: Vent): VentPath {
  const tank = design.tanks.find((t) => t.id === vent.fromTank)!;
  const port = tank.ports.find((p) => p.id === vent.fromPort)!;
  const chain = followVent(design, vent);
  const air = readAir(design.rules);
  const pointsMm: Vec3[] = [add(tank.atMm, port.atMm)];
  const refs = [{ lineId: vent.id, point: -1 }];
  const stretches = chain.map((line, i): VentStretch => {
    const before = chain[i - 1];
    const first = before?.to.kind === "tee" ? findNode(line, before.to.node) : 0;
    const from = pointsMm.at(-1)!;
    const own = line.pointsMm.slice(first);
    pointsMm.push(...own);
    refs.push(...own.map((_, k) => ({ lineId: line.id, point: first + k })));
    // up to the tee the pipe is the breather's own, and the tee is where the next one begins
    const { to } = line;
    const tee = to.kind === "tee" ? chain[i + 1]!.pointsMm[findNode(chain[i + 1], to.node)]! : null;
    const course = [...(i === 0 ? [from] : []), ...own, ...(tee ? [tee] : [])];
    const ends = (i === 0 ? ENTRY_K : 0) + (to.kind === "openAir" ? EXIT_K + (to.hasMesh ? MESH_K : 0) : TEE_K);
    const portK = i === 0 ? computePortK(line.pipe.innerMm, port.boreMm) : 0;
    return {
      lineId: line.id,
      portK,
      pipe: {
        boreM: mmToM(line.pipe.innerMm),
        lengthM: mmToM(measureCourse(course)),
        lossK: ends + sumBends(course) + portK,
        air,
      },
    };
  });
  return { vent, tank, chain, pointsMm, refs, stretches };
}

/** The course of a breather's own pipe: its port, its points, and the tee where it ends in another one. */
export function listOwnCourse(design: Design, vent: Vent): Vec3[] {
  const tank = design.tanks.find((t) => t.id === vent.fromTank)!;
  const port = tank.ports.find((p) => p.id === vent.fromPort)!;
  const { to } = vent;
  const main = to.kind === "tee" ? design.lines.find(({ id }) => id === to.lineId) : undefined;
  const tee = to.kind === "tee" && main?.kind === "vent" ? main.pointsMm[findNode(main, to.node)] : undefined;
  return [add(tank.atMm, port.atMm), ...vent.pointsMm, ...(tee ? [tee] : [])];
}

/** The breathers of a tank. */
export const listVents = (design: Design, tankId: string): Vent[] =>
  design.lines.filter((line): line is Vent => line.kind === "vent" && line.fromTank === tankId);

const measureCourse = (points: readonly Vec3[]): number =>
  points.slice(1).reduce((sum, p, i) => sum + measureLength(subtract(p, points[i]!)), 0);

/** Length of a breather's own pipe from its port to its end, mm [C]. */
export const measureVentLengthMm = (design: Design, vent: Vent): number =>
  buildVentPath(design, vent).stretches[0]!.pipe.lengthM * 1000;

function sumBends(points: readonly Vec3[]): number {
  let turns = 0;
  for (let i = 2; i < points.length; i++) {
    const [a, b, c] = [points[i - 2]!, points[i - 1]!, points[i]!];
    turns += (measureTurnDeg(subtract(b, a), subtract(c, b)) ?? 0) / 90;
  }
  return turns * RIGHT_ANGLE_K;
}
