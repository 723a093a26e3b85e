import { computeUp, LEVEL } from "../attitude/attitude";
import type { Design } from "../design/design";
import type { DumpLine, Port, Tank } from "../design/plumbing";
import type { Leg } from "../falls/drainPath";
import { computePonds, type LegPond, measureBoreVolumeL } from "../falls/ponding";
import { listDumpCourse, listLineLegs } from "../fit/lineLegs";
import { add, dot, type Vec3 } from "../geometry/vec";
import { toCodeBoreMm } from "../parts/pipes";
import { createRecall } from "../quantity/recall";
import { type Limit, lookUpLimit } from "../rules/lookUpLimit";

/** One leg of a dump line as the rig stands to dump. */
export type DumpLeg = Leg & {
  /** How much it falls along its way, mm; below 0 it rises. */
  readonly fallMm: number;
  /** Fall for each metre of its way in plan; null where it goes straight down. */
  readonly slopeMmPerM: number | null;
};

/** A dump line with everything looked up, as the rig stands to dump. */
export type DumpRun = {
  readonly line: DumpLine;
  readonly tank: Tank;
  readonly outlet: Port;
  readonly legs: readonly DumpLeg[];
  readonly lengthMm: number;
  /** How far its end lies under the outlet, mm; below 0 it lies over it. */
  readonly dropMm: number;
  /** How far its highest invert lies over the outlet, mm: so much higher the water stays in the tank. */
  readonly humpMm: number;
  /** What stays in its sags once it has run empty. */
  readonly ponds: readonly LegPond[];
  readonly staysL: number;
  /** What its bore takes when it stands full, L. */
  readonly boreL: number;
};

/** The rule for the least fall of a dump line: the one for drains of its bore. */
export const lookUpDumpFall = ({ rules }: Pick<Design, "rules">, { pipe }: Pick<DumpLine, "pipe">): Limit =>
  lookUpLimit(rules, "minFall", { boreMm: toCodeBoreMm(pipe), vented: true });

/** The dump line of an outlet; null where its water is let go at the outlet itself. */
export const findDumpLine = ({ lines }: Pick<Design, "lines">, tankId: string, portId: string): DumpLine | null =>
  lines.find((line): line is DumpLine => line.kind === "dumpLine" && isFrom(line, tankId, portId)) ?? null;

const isFrom = ({ fromTank, fromPort }: DumpLine, tankId: string, portId: string): boolean =>
  fromTank === tankId && fromPort === portId;

/**
 * A dump line from its outlet to its end for the rig's own attitude of dumping. The design has passed its check, so its tank
 * and outlet are there. Source: geometry; what stays is exact for round pipe but for the mitres at the bends [C].
 * Example: 2,000 mm level on the drawing, dumped 1° down toward its end, falls 34.9 mm.
 */
export function buildDumpRun(design: Design, line: DumpLine): DumpRun {
  const tank = design.tanks.find(({ id }) => id === line.fromTank)!;
  const outlet = tank.ports.find(({ id }) => id === line.fromPort)!;
  return recallRun(line, [tank, design.rig.dumpAttitude], () => layOut(design, line, tank, outlet));
}

const recallRun = createRecall<DumpLine, DumpRun>();

function layOut(design: Design, line: DumpLine, tank: Tank, outlet: Port): DumpRun {
  const up = computeUp(design.rig.dumpAttitude);
  const nodesMm = listDumpCourse(design, line);
  const legs = listLineLegs(design, line).map((leg): DumpLeg => {
    const fallMm = dot(up, leg.from) - dot(up, leg.to);
    return { ...leg, fallMm, slopeMmPerM: leg.planLengthMm > 0 ? (fallMm / leg.planLengthMm) * 1000 : null };
  });
  const heights = nodesMm.map((node) => dot(up, node));
  const path = { nodesMm, legs };
  const ponds = computePonds(path, up);
  return {
    line,
    tank,
    outlet,
    legs,
    lengthMm: legs.reduce((sum, leg) => sum + leg.lengthMm, 0),
    dropMm: heights[0]! - heights.at(-1)!,
    humpMm: Math.max(...heights) - heights[0]!,
    ponds,
    staysL: ponds.reduce((sum, { litres }) => sum + litres, 0),
    boreL: measureBoreVolumeL(path),
  };
}

/** What stands in a dump line when the rig is level, L: all of it before a valve at its end, else what its sags hold. */
export function measureStandingL(design: Design, line: DumpLine): number {
  const run = buildDumpRun(design, line);
  if (line.endValve) return run.boreL;
  const level = computePonds({ nodesMm: listDumpCourse(design, line), legs: run.legs }, computeUp(LEVEL));
  return Math.max(
    run.staysL,
    level.reduce((sum, { litres }) => sum + litres, 0),
  );
}

/** True height, mm, below which nothing leaves an outlet: its invert, or the highest invert of its dump line. */
export function measureSpillHeightMm(lines: Design["lines"], tank: Tank, port: Port, up: Vec3): number {
  const inverts = [add(tank.atMm, port.atMm), ...(findDumpLine({ lines }, tank.id, port.id)?.pointsMm ?? [])];
  return Math.max(...inverts.map((invert) => dot(up, invert)));
}
