import { computeUp, LEVEL } from "../attitude/attitude";
import type { Design } from "../design/design";
import type { DumpLine, Port, Tank, Valve } from "../design/plumbing";
import type { Leg } from "../falls/drainPath";
import { computePonds, type LegPond, measureBoreVolumeL } from "../falls/ponding";
import { listDumpCourse, listLineLegs } from "../fit/lineLegs";
import { dot, type Vec3 } from "../geometry/vec";
import { toCodeBoreMm } from "../parts/pipes";
import { createRecall } from "../quantity/recall";
import { type Limit, lookUpLimit } from "../rules/lookUpLimit";
import { followDumpLine } from "./dumpWays";

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
  /** Its own, to its end or to the one it joins. */
  readonly legs: readonly DumpLeg[];
  /** All that its water goes through to the coupling: its own first, then those it joins. */
  readonly wayLegs: readonly DumpLeg[];
  /** How long its own legs are. */
  readonly lengthMm: number;
  /** How far the coupling lies under the outlet, mm; below 0 it lies over it. */
  readonly dropMm: number;
  /** How far the highest invert of the way lies over the outlet, mm: so much higher the water stays in the tank. */
  readonly humpMm: number;
  /** What stays in the sags of its own legs once it has run empty. */
  readonly ponds: readonly LegPond[];
  readonly staysL: number;
  /** What its own bore takes when it stands full, L. */
  readonly boreL: number;
  /** The valves after the outlet's own, in the order the water meets them. */
  readonly valves: readonly Valve[];
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
 * A dump line from its outlet to its end, and on through those it joins to the coupling, for the rig's own attitude of
 * dumping. The design has passed its check, so its tank and outlet are there, and it does not run in a circle. Source:
 * geometry; what stays is exact for round pipe but for the mitres at the bends [C].
 * Example: 2,000 mm level on the drawing, dumped 1° down toward its end, falls 34.9 mm.
 */
export function buildDumpRun(design: Design, line: DumpLine): DumpRun {
  const tank = design.tanks.find(({ id }) => id === line.fromTank)!;
  const outlet = tank.ports.find(({ id }) => id === line.fromPort)!;
  const { tanks, rig } = design;
  const way = followDumpLine(design, line);
  const made = [tank, rig.dumpAttitude, ...(way.length > 1 ? [tanks, ...way.map((one) => one.line)] : [])];
  return recallRun(line, made, () => layOut(design, line, tank, outlet));
}

const recallRun = createRecall<DumpLine, DumpRun>();

function layOut(design: Design, line: DumpLine, tank: Tank, outlet: Port): DumpRun {
  const up = computeUp(design.rig.dumpAttitude);
  const way = followDumpLine(design, line);
  const wayLegs = way.flatMap((one) => listLineLegs(design, one.line).slice(one.first).map(withFall(up)));
  const legs = wayLegs.slice(0, listLineLegs(design, line).length);
  const nodesMm = listWayCourse(design, line);
  const heights = nodesMm.map((node) => dot(up, node));
  const ponds = computePonds({ nodesMm, legs: wayLegs }, up).filter(({ legIndex }) => legIndex < legs.length);
  return {
    line,
    tank,
    outlet,
    legs,
    wayLegs,
    lengthMm: legs.reduce((sum, leg) => sum + leg.lengthMm, 0),
    dropMm: heights[0]! - heights.at(-1)!,
    humpMm: Math.max(...heights) - heights[0]!,
    ponds,
    staysL: sumLitres(ponds),
    boreL: measureBoreVolumeL({ legs }),
    valves: way.flatMap((one) => one.line.endValve ?? []),
  };
}

const withFall =
  (up: Vec3) =>
  (leg: Leg): DumpLeg => {
    const fallMm = dot(up, leg.from) - dot(up, leg.to);
    return { ...leg, fallMm, slopeMmPerM: leg.planLengthMm > 0 ? (fallMm / leg.planLengthMm) * 1000 : null };
  };

const sumLitres = (ponds: readonly LegPond[]): number => ponds.reduce((sum, { litres }) => sum + litres, 0);

// The inverts from the outlet to the coupling.
const listWayCourse = (design: Pick<Design, "tanks" | "lines">, line: DumpLine): Vec3[] =>
  followDumpLine(design, line).flatMap((one) =>
    listDumpCourse(design, one.line).slice(one.first === 0 ? 0 : one.first + 1),
  );

/** What stands in a dump line when the rig is level, L: all of it before a valve after it, else what its sags hold. */
export function measureStandingL(design: Design, line: DumpLine): number {
  const run = buildDumpRun(design, line);
  if (run.valves.length > 0) return run.boreL;
  const level = computePonds({ nodesMm: listWayCourse(design, line), legs: run.wayLegs }, computeUp(LEVEL));
  return Math.max(run.staysL, sumLitres(level.filter(({ legIndex }) => legIndex < run.legs.length)));
}

/** True height, mm, below which nothing leaves an outlet: its invert, or the highest invert of its way to the coupling. */
export function measureSpillHeightMm(lines: Design["lines"], tank: Tank, port: Port, up: Vec3): number {
  const line = findDumpLine({ lines }, tank.id, port.id);
  const outlet = dot(up, tank.atMm) + dot(up, port.atMm);
  const course = line ? followDumpLine({ lines }, line).flatMap((one) => one.line.pointsMm.slice(first(one))) : [];
  return Math.max(outlet, ...course.map((invert) => dot(up, invert)));
}

const first = ({ first }: { readonly first: number }): number => Math.max(0, first - 1);
