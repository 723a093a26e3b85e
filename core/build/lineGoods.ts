import type { Design } from "../design/design";
import { findLastPipe, listPipeChanges } from "../design/lineItems";
import type { Drain, DumpLine, Hose, Line, Pipe, Vent } from "../design/plumbing";
import type { Evaluation } from "../evaluate/evaluation";
import { buildDrainPath, type Leg, sumLengthMm } from "../falls/drainPath";
import { buildNetwork, type Network } from "../falls/network";
import { listLineLegs } from "../fit/lineLegs";
import { type HoseDuty, listHoseDuties } from "../gear/hoseDuty";
import { type LinePiece, listLinePieces } from "../parts/linePieces";
import { listBreatherParts, listDrainParts, listDumpLineParts, type Part } from "../parts/listParts";
import { findPipeSize, isHose } from "../parts/pipes";
import { listPointFittings, type PipedLine } from "../parts/pointFittings";
import { buildDumpRun } from "../tanks/dumpRun";
import { countClips, findClipSpacingMm } from "./clipSpacing";
import type { BoughtFor, Counter, Good, Ware } from "./goods";
import { listLagging } from "./lagging";

/** Clips of hoses and breathers, mm apart [T]. */
const SOFT_CLIPS_MM = 400;
const VENT_CLIPS_MM = 800;
/** Spare of hose and lagging, a share [T]. */
const SPARE = 1.1;
/** Clamps at one end of a hose: two where something is below the water, is let go, or one sleeps above it; else one [T]. */
const CLAMPS = { drain: 1, vent: 1, dumpLine: 2, hose: 2 } as const satisfies Record<Line["kind"], number>;

/** All that the lines take: pipe and hose with their fittings, clips, clamps, what their joints want, and how they go on a thread. */
export function listLineGoods(design: Design, evaluation: Evaluation): Good[] {
  const network = buildNetwork(design);
  const duties = listHoseDuties(design);
  return [
    ...design.lines.flatMap((line) => [
      ...(line.kind === "hose"
        ? listHoseGoods(design, line, duties.get(line.id))
        : listOneLine(design, evaluation, network, line)),
      ...listLagging(design, network, line).map(({ thickMm, outerMm, lengthMm }) =>
        toGood(line, { kind: "pipeLagging", thickMm, outerMm }, (lengthMm * SPARE) / 1000, "pipe"),
      ),
    ]),
    ...listAdaptors(design),
  ];
}

function listOneLine(design: Design, evaluation: Evaluation, network: Network, line: Exclude<Line, Hose>): Good[] {
  switch (line.kind) {
    case "drain":
      return listDrainGoods(design, evaluation, network, line);
    case "vent":
      return listVentGoods(design, line);
    case "dumpLine":
      return listDumpLineGoods(design, line);
  }
}

const toGood = (line: Line, ware: Ware, amount: number, counter: Counter): Good => ({
  ware,
  amount,
  assembly: { kind: "line", id: line.id },
  counter,
});

// Pipe with its bends, clips at the fall it is dumped with, the valve at its end, and the cap that stays on on the road.
function listDumpLineGoods(design: Design, line: DumpLine): Good[] {
  const { legs } = buildDumpRun(design, line);
  const clips = legs.reduce((sum, { lengthMm, fallMm, pipe }) => {
    return sum + countClips(lengthMm, findClipSpacingMm(pipe, lengthMm > 0 ? fallMm / lengthMm : 0));
  }, 0);
  const { boreMm, kind: drive } = line.endValve ?? { boreMm: 0, kind: "manual" };
  return [
    ...listDumpLineParts(design, line).map((part) => toPartGood(line, part)),
    toGood(line, { kind: "clip", pipe: line.pipe }, clips, "fixings"),
    ...listJointGoods(design, line, legs),
    ...listUnion(line, line.pipe),
    ...(line.endValve ? [toGood(line, { kind: "dumpValve", drive, boreMm }, 1, "tank")] : []),
    ...(line.to.kind === "coupling" ? [toGood(line, { kind: "dumpCap", pipe: line.pipe }, 1, "tank")] : []),
  ];
}

function listDrainGoods(design: Design, evaluation: Evaluation, network: Network, drain: Drain): Good[] {
  const worst = evaluation.drains.find(({ lineId }) => lineId === drain.id);
  const { ownLegs } = buildDrainPath(design, drain, network);
  const clips = ownLegs.map((leg) => {
    // the fall it has where the rig leans the worst way
    const fallMm = worst?.worst.legs[leg.index]?.fallMm ?? leg.from.z - leg.to.z;
    const slope = leg.lengthMm > 0 ? fallMm / leg.lengthMm : 0;
    const count = countClips(leg.lengthMm, findClipSpacingMm(leg.pipe, slope));
    return toGood(drain, { kind: "clip", pipe: leg.pipe }, count, "fixings");
  });
  const hasUnion = listPipeChanges(drain).some(({ joint }) => joint === "union");
  const last = ownLegs.at(-1);
  return [
    ...listDrainParts(design, drain.id).map((part) => toPartGood(drain, part)),
    ...clips,
    ...listJointGoods(design, drain, ownLegs, network),
    ...(drain.to.kind === "inlet" && last && !hasUnion ? listUnion(drain, last.pipe) : []),
  ];
}

function listVentGoods(design: Design, vent: Vent): Good[] {
  const legs = listLineLegs(design, vent);
  const clips = countClips(sumLengthMm(legs), isHose(vent.pipe) ? SOFT_CLIPS_MM : VENT_CLIPS_MM);
  return [
    ...listBreatherParts(design, vent).map((part) => toPartGood(vent, part)),
    toGood(vent, { kind: "clip", pipe: vent.pipe }, clips, "fixings"),
    ...listJointGoods(design, vent, legs),
    ...(vent.to.kind === "openAir" && vent.to.hasMesh ? [toGood(vent, { kind: "mesh" }, 1, "tank")] : []),
  ];
}

/** Hoses are told apart by the pressure they bear in such steps, kPa [T]. */
const PRESSURE_STEP_KPA = 50;

function toBoughtFor({ pressed, isDrawn, isHot, isDrunk, isSewage, flushedBy }: HoseDuty): BoughtFor | null {
  const asked = {
    ...(pressed && { bearsKPa: Math.ceil(pressed.kPa / PRESSURE_STEP_KPA) * PRESSURE_STEP_KPA }),
    ...(isDrawn && { isDrawn }),
    ...(isHot && { isHot }),
    ...(isDrunk && { isDrunk }),
    ...(isSewage && { isSewage }),
    ...(flushedBy !== null && { isFlushed: true as const }),
  };
  return Object.keys(asked).length > 0 ? asked : null;
}

function listHoseGoods(design: Design, hose: Hose, asked: HoseDuty | undefined): Good[] {
  const duty = asked && toBoughtFor(asked);
  const lengthMm = sumLengthMm(listLineLegs(design, hose));
  const { pipe, wall } = hose;
  return [
    toGood(hose, { kind: "hose", pipe, wall, ...(duty && { duty }) }, (lengthMm * SPARE) / 1000, "pipe"),
    toGood(hose, { kind: "hoseClamp", pipe }, 2 * CLAMPS.hose, "fixings"),
    toGood(hose, { kind: "clip", pipe }, countClips(lengthMm, SOFT_CLIPS_MM), "fixings"),
  ];
}

// What seals the joints of its pipes, and clamps at both ends of every piece of hose.
function listJointGoods(design: Design, line: PipedLine, legs: readonly Leg[], network?: Network): Good[] {
  const families = new Set(legs.map(({ pipe }) => findPipeSize(pipe)?.family));
  const pieces = listLinePieces(legs, listPointFittings(design, line, legs, network));
  return [
    ...(families.has("metricWaste") ? [toGood(line, { kind: "ringGrease" }, 1, "sealing")] : []),
    ...(families.has("schedule40") ? [toGood(line, { kind: "cement" }, 1, "sealing")] : []),
    ...pieces.flatMap((piece) => listClamps(line, piece)),
  ];
}

// A barb between pipe and hose comes with its clamp.
function listClamps(line: PipedLine, { legs, before, after }: LinePiece): Good[] {
  const { pipe } = legs[0]!;
  if (!isHose(pipe) || sumLengthMm(legs) === 0) return [];
  const ends = [before, after].filter((end) => !end?.bodies.some(({ kind }) => kind === "hoseBarb")).length;
  return [toGood(line, { kind: "hoseClamp", pipe }, ends * CLAMPS[line.kind], "fixings")];
}

// What is cemented comes apart nowhere, so the tank could not be dropped.
const listUnion = (line: PipedLine, pipe: Pipe): Good[] =>
  findPipeSize(pipe)?.family === "schedule40" ? [toGood(line, { kind: "union", pipe }, 1, "pipe")] : [];

const toPartGood = (line: Line, part: Part): Good =>
  toGood(line, { kind: "part", part }, part.kind === "pipe" ? part.lengthM : part.count, "pipe");

// A thread never takes a pipe by itself; where a drain has changed its pipe the last one comes to the tank.
function listAdaptors({ tanks, lines }: Design): Good[] {
  const threadOf = (tankId: string, portId: string) =>
    tanks.find(({ id }) => id === tankId)?.ports.find(({ id }) => id === portId)?.thread ?? null;
  return lines.flatMap((line): Good[] =>
    listTankEnds(line).flatMap(([tankId, portId]): Good[] => {
      const thread = threadOf(tankId, portId);
      if (thread === null) return [];
      return [toGood(line, { kind: "adaptor", thread, pipe: findLastPipe(line) }, 1, "pipe")];
    }),
  );
}

function listTankEnds(line: Line): (readonly [string, string])[] {
  switch (line.kind) {
    case "drain":
      return line.to.kind === "inlet" ? [[line.to.tankId, line.to.portId]] : [];
    case "vent":
    case "dumpLine":
      return [[line.fromTank, line.fromPort]];
    case "hose":
      return [line.from, line.to].flatMap((end): (readonly [string, string])[] =>
        end.kind === "tank" ? [[end.tankId, end.portId]] : [],
      );
  }
}
