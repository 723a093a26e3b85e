import { computeUp, LEVEL } from "../attitude/attitude";
import type { Design } from "../design/design";
import { applyEdit, type Edit, type EditOp } from "../design/edit";
import { roundTenth } from "../design/moves";
import type { Drain, Fixture, Pipe, Port, Tank, Trap } from "../design/plumbing";
import { reachPlace } from "../edits/drainEdits";
import { relay } from "../edits/drawnDrain";
import { evaluate } from "../evaluate/evaluate";
import { listParkedStandings } from "../evaluate/parkedAttitudes";
import { buildDrainPath } from "../falls/drainPath";
import { buildNetwork, followDrain } from "../falls/network";
import { findClearance, toBlock, toTankBlock } from "../fit/obstacleGaps";
import { measureFloorMm } from "../fit/passages";
import { hindersPipes } from "../fit/roles";
import { measureExtent } from "../geometry/solid";
import { add, interpolate, measureLength, measurePlanLength, scale, subtract, type Vec3, vec } from "../geometry/vec";
import { MM_PER_M } from "../quantity/convert";
import { lookUpLimit, lookUpValue } from "../rules/lookUpLimit";
import { buildPlanGrid, findCell, findWay, type Hindrance, type PlanGrid, placeCell } from "./planGrid";

/** A way for a drain that has been tried on the design. */
export type RouteProposal = {
  readonly edit: Edit;
  /** Where it ends. */
  readonly to: RouteEnd;
  readonly tankId: string;
  readonly levelMm: number;
  readonly worstMm: number;
  readonly lengthMm: number;
  readonly bends: number;
  /** Findings the way brings that must be settled, and those one would be sorry for. */
  readonly musts: number;
  readonly shoulds: number;
};

/** An inlet of a tank, or another drain. */
export type RouteEnd =
  | {
      readonly kind: "inlet";
      readonly tankId: string;
      readonly portId: string;
      /** The wall the inlet is moved to for it; null where it stays. */
      readonly wall: Wall | null;
    }
  | { readonly kind: "line"; readonly lineId: string };

/** What single change makes a way possible, tried as well: the route comes with it. */
export type RouteChange = RouteProposal & {
  readonly kind: "lowerTank" | "raiseOutlet" | MoveKind;
  readonly byMm: number;
};

export type RouteOutcome = {
  readonly proposals: readonly RouteProposal[];
  /** Height the best way lacks, mm; null where none lacks any, or where obstacles leave no way at all. */
  readonly shortMm: number | null;
  readonly changes: readonly RouteChange[];
};

const MOST_PROPOSALS = 3;
/** From the outlet to where the pipe goes down, mm. */
const REACH_MM = 380;
/** A point this near to the outlet is under the trap itself, mm. */
const BELOW_MM = 160;
/** Kept between a pipe and a tank it passes, mm [T]. */
const TANK_ROOM_MM = 10;
/** In front of a side inlet the pipe runs straight, mm [T]. */
const STRAIGHT_MM = 120;
/** Kept in hand on each leg over what the rules ask, mm. */
const RESERVE_MM = 2;
/** Fall beyond what is asked is used up to this, m/m: more only steepens a small branch [T]. */
const MOST_EXTRA_FALL = 0.03;
/** A turn of 45° counts as so much pipe, mm; a second look puts it dearer. */
const TURN_PRICES = [150, 700] as const;
const TRODDEN_MM = 400;

/** At most so many places along other drains are tried, the nearest first. */
const MOST_JOINS = 6;
/** A run is offered as a place to join about this often, mm. */
const JOIN_EVERY_MM = 450;

/**
 * Up to three ways from a fixture to an inlet or into another drain, under the floor and clear of what is there, that keep the least fall level
 * and run wherever the rig parks; each tried by the whole evaluation. Where height lacks, by how much, and what single
 * change mends it. Bends are of 45° and 90° in plan. `onGoal` is told how many ends are done; false stops.
 * Source: least-cost way on a grid of 60 mm; heights by the fall each leg needs over all standings [C].
 */
export function findRoutes(
  design: Design,
  drainId: string,
  onGoal: (share: number) => boolean = () => true,
): RouteOutcome | null {
  const drain = design.lines.find((line): line is Drain => line.kind === "drain" && line.id === drainId)!;
  const fixture = design.fixtures.find((f) => f.id === drain.fromFixture)!;
  const ends = listEnds(design, drain, fixture);
  const known = new Set(evaluate(design).findings.map((f) => f.id));
  const proposals: RouteProposal[] = [];
  const changes: RouteChange[] = [];
  let shortMm: number | null = null;
  for (const [i, end] of ends.entries()) {
    const task: Task = { design, drain, fixture, end };
    for (const plan of listPlans(task)) {
      const laid = layHeights(task, plan);
      if (laid.shortMm <= 0) {
        const tried = tryOut(task, laid.bendsMm, [], known);
        if (tried) proposals.push(tried);
        continue;
      }
      shortMm = Math.min(shortMm ?? Infinity, laid.shortMm);
      changes.push(...listChanges(task, plan, laid.shortMm, known));
    }
    if (!onGoal((i + 1) / ends.length)) return null;
  }
  if (proposals.length === 0 && changes.length === 0)
    changes.push(...listMoves({ design, drain, fixture }, ends, known));
  const best = sortBest(proposals).slice(0, MOST_PROPOSALS);
  if (best.length > 0) return { proposals: best, shortMm: null, changes: [] };
  const picked = pickChanges(changes);
  // what lacks where one change mends it says more than what lacks least
  const mended = picked.flatMap(({ kind, byMm }) => (kind === "lowerTank" || kind === "raiseOutlet" ? [byMm] : []));
  return { proposals: [], shortMm: mended.length > 0 ? Math.min(...mended) : shortMm, changes: picked };
}

type Task = {
  readonly design: Design;
  readonly drain: Drain;
  readonly fixture: Fixture;
  readonly end: End;
};

/** Where a way may end, with the invert it comes to. */
type End =
  | {
      readonly kind: "inlet";
      readonly tank: Tank;
      readonly port: Port;
      readonly atMm: Vec3;
      /** The wall its inlet is moved to; null where it stays. */
      readonly wall: Wall | null;
    }
  | { readonly kind: "join"; readonly main: Drain; readonly atMm: Vec3 };

function listEnds(design: Design, drain: Drain, { outletMm }: Fixture): End[] {
  const network = buildNetwork(design);
  const inlets = design.tanks.flatMap((tank) =>
    tank.ports.flatMap((port): End[] =>
      port.kind === "inlet" ? placeInlets(tank, port, isFreeToMove(design, drain, tank, port)) : [],
    ),
  );
  const joins = [...network.drains.values()].flatMap((main): Extract<End, { kind: "join" }>[] =>
    followDrain(network, main).some(({ id }) => id === drain.id)
      ? []
      : listJoins(design, main).map((atMm) => ({ kind: "join", main, atMm })),
  );
  const away = ({ atMm }: End) => measurePlanLength(subtract(atMm, outletMm));
  return [...inlets, ...joins.sort((a, b) => away(a) - away(b)).slice(0, MOST_JOINS)];
}

/** The walls of a tank as a builder names them. */
export const WALLS = ["front", "rear", "left", "right"] as const;
export type Wall = (typeof WALLS)[number];

// An inlet that only this drain comes to is not drilled yet: it may as well sit in another wall.
const isFreeToMove = (design: Design, drain: Drain, tank: Tank, port: Port): boolean =>
  drain.to.kind === "inlet" &&
  drain.to.tankId === tank.id &&
  drain.to.portId === port.id &&
  !tank.locked &&
  !design.lines.some(
    (line) => line.kind === "drain" && line.id !== drain.id && line.to.kind === "inlet" && line.to.portId === port.id,
  );

function placeInlets(tank: Tank, port: Port, isFree: boolean): End[] {
  const stay: End = { kind: "inlet", tank, port, atMm: add(tank.atMm, port.atMm), wall: null };
  if (!isFree || tank.solid.shape !== "box") return [stay];
  const { min, max } = measureExtent(tank.solid);
  const [x, y, z] = [(min.x + max.x) / 2, (min.y + max.y) / 2, Math.min(port.atMm.z, max.z - port.boreMm)];
  const places = { front: vec(max.x, y, z), rear: vec(min.x, y, z), left: vec(x, max.y, z), right: vec(x, min.y, z) };
  return [
    stay,
    ...WALLS.flatMap((wall): End[] => {
      const atMm = places[wall];
      if (measureLength(subtract(atMm, port.atMm)) < STRAIGHT_MM) return [];
      const moved = { ...port, atMm };
      return [{ kind: "inlet", tank, port: moved, atMm: add(tank.atMm, atMm), wall }];
    }),
  ];
}

// Places along the runs of a drain under the floor: its bends, and points between them where the run is long.
function listJoins(design: Design, main: Drain): Vec3[] {
  const underMm = findUndersideMm(design, main.pipe);
  return buildDrainPath(design, main).ownLegs.flatMap((leg) => {
    if (leg.kind === "drop" || leg.to.z > underMm || leg.planLengthMm < 2 * STRAIGHT_MM) return [];
    const count = Math.max(1, Math.round(leg.planLengthMm / JOIN_EVERY_MM));
    return Array.from({ length: count }, (_, i) => interpolate(leg.from, leg.to, (i + 0.5) / count));
  });
}

/**
 * A way in plan: from where the pipe is under the floor to the inlet. Heights are still to come: low, they are laid from
 * the inlet upward; high, the pipe keeps right under the floor and drops before the inlet, over what is in the way lower.
 */
type Plan = { readonly points: readonly Vec3[]; readonly isHigh: boolean };

/** A pipe that keeps right under the floor falls by no more than this on its way, mm: a long one, and a short one. */
const HIGH_BANDS_MM = [90, 30] as const;

function listPlans(task: Task): Plan[] {
  const { end, design, drain } = task;
  const topMm = findUndersideMm(design, drain.pipe);
  const low = lookForWays(task, [Math.min(end.atMm.z, topMm), Math.max(end.atMm.z, topMm)]);
  const plans = low.map((points): Plan => ({ points, isHigh: false }));
  if (end.kind !== "inlet") return plans;
  for (const bandMm of HIGH_BANDS_MM) {
    if (end.atMm.z > topMm - bandMm) continue;
    const high = lookForWays(task, [topMm - bandMm, topMm]);
    plans.push(...high.map((points) => ({ points, isHigh: true })));
    // the narrow one only where the wide one is barred
    if (high.length > 0) break;
  }
  return plans;
}

function lookForWays({ design, drain, fixture, end }: Task, [lowMm, highMm]: readonly [number, number]): Vec3[][] {
  const inletMm = end.atMm;
  const axisMm = drain.pipe.innerMm / 2;
  const facing = end.kind === "inlet" ? findFacing(end.tank, end.port) : null;
  // into the top of a tank the way leads over the tank itself
  const openTank = end.kind === "inlet" && !facing ? end.tank.id : null;
  const grid = buildPlanGrid(design.rig, listHindrances(design, drain.pipe, openTank), [
    lowMm + axisMm,
    highMm + axisMm,
  ]);
  const beforeMm = facing ? add(inletMm, facing) : inletMm;
  const goal = findCell(grid, beforeMm);
  const starts = listStarts(grid, fixture.outletMm);
  const ways: Vec3[][] = [];
  const trodden = new Set<number>();
  for (const turnMm of [...TURN_PRICES, TURN_PRICES[0]]) {
    const cells = findWay(grid, starts, goal, { turnMm, extraMm: (cell) => (trodden.has(cell) ? TRODDEN_MM : 0) });
    if (!cells) return ways;
    for (const cell of cells.slice(0, -2)) trodden.add(cell);
    const corners = pickCorners(grid, cells).map((cell) => placeCell(grid, cell));
    // the last cell stands for the point before the inlet
    ways.push([...corners.slice(0, -1), ...(facing ? [beforeMm] : []), inletMm]);
  }
  return ways;
}

// Which way a side inlet looks, as long as the straight before it; null for one in the top.
function findFacing(tank: Tank, port: Port): Vec3 | null {
  const { min, max } = measureExtent(tank.solid);
  if (port.atMm.z >= max.z - 1) return null;
  const sides = [
    { gap: port.atMm.x - min.x, way: vec(-STRAIGHT_MM, 0, 0) },
    { gap: max.x - port.atMm.x, way: vec(STRAIGHT_MM, 0, 0) },
    { gap: port.atMm.y - min.y, way: vec(0, -STRAIGHT_MM, 0) },
    { gap: max.y - port.atMm.y, way: vec(0, STRAIGHT_MM, 0) },
  ];
  return sides.reduce((a, b) => (b.gap < a.gap ? b : a)).way;
}

function listHindrances(design: Design, pipe: Pipe, openTank: string | null): Hindrance[] {
  const radius = pipe.outerMm / 2;
  return [
    ...design.obstacles
      .filter(({ kind }) => hindersPipes(kind))
      .map((obstacle) => ({
        block: toBlock(obstacle),
        roomMm: radius + (findClearance(design.rules, obstacle.kind).value ?? 0),
      })),
    ...design.tanks
      .filter((tank) => tank.id !== openTank)
      .map((tank) => ({ block: toTankBlock(tank), roomMm: radius + TANK_ROOM_MM })),
  ];
}

function listStarts(grid: PlanGrid, outletMm: Vec3): number[] {
  const centre = findCell(grid, outletMm);
  const reach = Math.ceil(REACH_MM / grid.cellMm);
  const starts: number[] = [];
  for (let dy = -reach; dy <= reach; dy++) {
    for (let dx = -reach; dx <= reach; dx++) {
      const column = (centre % grid.columns) + dx;
      const row = Math.floor(centre / grid.columns) + dy;
      if (column < 0 || column >= grid.columns || row < 0 || row >= grid.rows) continue;
      const cell = row * grid.columns + column;
      if (!grid.isBlocked[cell] && Math.hypot(dx, dy) * grid.cellMm <= REACH_MM) starts.push(cell);
    }
  }
  return starts;
}

function pickCorners(grid: PlanGrid, cells: readonly number[]): number[] {
  return cells.filter((cell, i) => {
    const [before, after] = [cells[i - 1], cells[i + 1]];
    return before === undefined || after === undefined || cell - before !== after - cell || grid.columns === 1;
  });
}

// The invert of a pipe that lies right under the floor.
const findUndersideMm = (design: Design, pipe: Pipe): number => -measureFloorMm(design) - pipe.outerMm - 5;

type Laid = { readonly bendsMm: readonly Vec3[]; readonly shortMm: number };

function layHeights(task: Task, { points, isHigh }: Plan): Laid {
  const { design, drain, fixture, end } = task;
  const need = buildNeed(design, drain);
  const first = points[0]!;
  const isBelow = measurePlanLength(subtract(first, fixture.outletMm)) < BELOW_MM;
  const underMm = findUndersideMm(design, drain.pipe);
  const weir = placeWeir(fixture, drain.trap, isBelow ? (points[1] ?? first) : first);
  const way = isBelow ? [vec(weir.x, weir.y, 0), ...points.slice(1)] : points;
  const lengths = way.slice(1).map((p, i) => measurePlanLength(subtract(p, way[i]!)));
  const needs = way.slice(1).map((p, i) => need(way[i]!, p));
  const asideMm = isBelow ? 0 : need(weir, first);
  const aboveMm = weir.z - asideMm;
  const highestMm = Math.min(underMm, aboveMm - RESERVE_MM);
  const spareMm = highestMm - end.atMm.z - needs.reduce((sum, n) => sum + n, 0);
  const turn = isBelow ? [] : [roundTenth(vec(first.x, first.y, aboveMm))];
  const course = { way, needs, lengths };
  const under = isHigh ? layHigh(task, course, highestMm) : layLow(task, course, spareMm);
  return { bendsMm: [...turn, ...under], shortMm: -spareMm };
}

type Course = {
  readonly way: readonly Vec3[];
  readonly needs: readonly number[];
  readonly lengths: readonly number[];
};

// From the inlet upward each leg gets the fall it needs; what height is left over is shared out by length, up to a measure.
function layLow({ end }: Task, { way, needs, lengths }: Course, spareMm: number): Vec3[] {
  const wholeMm = lengths.reduce((sum, l) => sum + l, 0);
  const extra = Math.min(MOST_EXTRA_FALL, Math.max(0, spareMm) / Math.max(1, wholeMm));
  const heights = new Array<number>(way.length).fill(end.atMm.z);
  for (let i = way.length - 2; i >= 0; i--) heights[i] = heights[i + 1]! + needs[i]! + extra * lengths[i]!;
  return way.slice(0, -1).map((p, i) => roundTenth(vec(p.x, p.y, heights[i]!)));
}

// From the floor downward each leg gets what it needs and no more; before the inlet the rest goes in a drop.
function layHigh({ end }: Task, { way, needs }: Course, highestMm: number): Vec3[] {
  let z = highestMm;
  const run = way.slice(0, -1).map((p, i) => {
    const at = roundTenth(vec(p.x, p.y, z));
    z -= needs[i]!;
    return at;
  });
  const before = run.at(-1)!;
  const isOnTop = end.kind === "inlet" && findFacing(end.tank, end.port) === null;
  // into the top it drops right over the inlet, else one straight leg before it
  const foot = isOnTop ? vec(end.atMm.x, end.atMm.y, z) : vec(before.x, before.y, end.atMm.z + needs.at(-1)!);
  return [...run, roundTenth(foot)];
}

function placeWeir(fixture: Fixture, trap: Trap | null, toward: Vec3): Vec3 {
  const { outletMm } = fixture;
  if (!trap) return outletMm;
  const way = subtract(toward, outletMm);
  const reach = measurePlanLength(way);
  const share = reach > 0 ? Math.min(trap.spanMm, reach) / reach : 0;
  return add(outletMm, vec(way.x * share, way.y * share, -trap.dropMm));
}

// Height, mm on the rig, a straight leg needs so that it has its least fall level and runs at every standing.
function buildNeed(design: Design, drain: Drain): (from: Vec3, to: Vec3) => number {
  const boreMm = drain.pipe.innerMm;
  const vented = drain.branchVent !== null;
  const conditions = [
    { up: computeUp(LEVEL), least: lookUpLimit(design.rules, "minFall", { boreMm, vented }).value ?? 0 },
    ...listParkedStandings(design.rig).map(({ up }) => ({
      up,
      least: lookUpValue(design.rules, "parkedFall", { boreMm }),
    })),
  ];
  return (from, to) => {
    const along = subtract(from, to);
    const lengthMm = measurePlanLength(along);
    const asked = conditions.map(
      ({ up, least }) => ((lengthMm * least) / MM_PER_M - up.x * along.x - up.y * along.y) / up.z,
    );
    return Math.max(0, ...asked) + RESERVE_MM;
  };
}

function listChanges(task: Task, plan: Plan, shortMm: number, known: ReadonlySet<string>): RouteChange[] {
  const { fixture, end } = task;
  const byMm = Math.ceil(shortMm);
  const raised = { ...fixture, outletMm: roundTenth(add(fixture.outletMm, vec(0, 0, byMm))) };
  const raise: Change = {
    kind: "raiseOutlet",
    task: { ...task, fixture: raised },
    at: { kind: "fixture", id: fixture.id },
    op: { op: "set", path: ["fixtures", fixture.id, "outletMm"], value: raised.outletMm },
  };
  const candidates = end.kind === "inlet" ? [lower(task, end, byMm), raise] : [raise];
  return candidates.flatMap(({ kind, task: changed, at, op }): RouteChange[] => {
    const points = [...plan.points.slice(0, -1), changed.end.atMm];
    const laid = layHeights(changed, { ...plan, points });
    if (laid.shortMm > 0) return [];
    const tried = tryOut(task, laid.bendsMm, [op], known);
    return tried ? [{ ...tried, kind, byMm, edit: { ...tried.edit, code: kind, at } }] : [];
  });
}

/** How far off an outlet is tried where there is no way from its place, mm. */
const MOVES_MM = [150, 300, 450, 600, 900] as const;

const MOVES = {
  moveForward: vec(1, 0, 0),
  moveAft: vec(-1, 0, 0),
  moveLeft: vec(0, 1, 0),
  moveRight: vec(0, -1, 0),
} as const;
type MoveKind = keyof typeof MOVES;
const MOVE_KINDS = Object.keys(MOVES) as MoveKind[];

// The nearest other place of the outlet, along or across the rig, from which there is a way.
function listMoves(task: Omit<Task, "end">, ends: readonly End[], known: ReadonlySet<string>): RouteChange[] {
  const { design, fixture } = task;
  const { lengthMm, widthMm } = design.rig;
  for (const byMm of MOVES_MM) {
    const found = MOVE_KINDS.flatMap((kind): RouteChange[] => {
      const outletMm = roundTenth(add(fixture.outletMm, scale(MOVES[kind], byMm)));
      const isOff = outletMm.x < 0 || outletMm.x > lengthMm || Math.abs(outletMm.y) > widthMm / 2;
      if (isOff) return [];
      const moved = { ...fixture, outletMm };
      const op: EditOp = { op: "set", path: ["fixtures", fixture.id, "outletMm"], value: outletMm };
      const ways = ends.flatMap((end) =>
        listPlans({ ...task, fixture: moved, end }).flatMap((plan) => {
          const laid = layHeights({ ...task, fixture: moved, end }, plan);
          return laid.shortMm <= 0 ? (tryOut({ ...task, end }, laid.bendsMm, [op], known) ?? []) : [];
        }),
      );
      const [best] = sortBest(ways);
      return best ? [{ ...best, kind, byMm }] : [];
    });
    if (found.length > 0) return found;
  }
  return [];
}

type Change = {
  readonly kind: "lowerTank" | "raiseOutlet";
  readonly task: Task;
  readonly at: Edit["at"];
  readonly op: EditOp;
};

function lower(task: Task, end: Extract<End, { kind: "inlet" }>, byMm: number): Change {
  const { tank, port } = end;
  const down = vec(0, 0, -byMm);
  const lowered = { ...tank, atMm: roundTenth(add(tank.atMm, down)) };
  return {
    kind: "lowerTank",
    task: { ...task, end: { ...end, tank: lowered, atMm: add(lowered.atMm, port.atMm) } },
    at: { kind: "tank", id: tank.id },
    op: { op: "set", path: ["tanks", tank.id, "atMm"], value: lowered.atMm },
  };
}

type Reached = { readonly goal: RouteEnd; readonly to: Drain["to"]; readonly ops: readonly EditOp[] };

function reachEnd(design: Design, end: End): Reached {
  if (end.kind === "inlet") {
    const to = { kind: "inlet", tankId: end.tank.id, portId: end.port.id } as const;
    const path = ["tanks", end.tank.id, "ports", end.port.id, "atMm"];
    const ops: EditOp[] = end.wall === null ? [] : [{ op: "set", path, value: end.port.atMm }];
    return { goal: { ...to, wall: end.wall }, to, ops };
  }
  const { to, ops } = reachPlace(design, end.main, end.atMm);
  return { goal: { kind: "line", lineId: end.main.id }, to, ops };
}

function tryOut(
  { design, drain, end }: Task,
  bendsMm: readonly Vec3[],
  before: readonly EditOp[],
  known: ReadonlySet<string>,
): RouteProposal | null {
  const { goal, to, ops } = reachEnd(design, end);
  const edit: Edit = {
    code: "reroute",
    at: { kind: "line", id: drain.id },
    ops: [...before, ...ops, ...relay(drain.id, to, bendsMm)],
  };
  const outcome = applyEdit(design, edit);
  if (!outcome.ok) return null;
  const { drains, findings } = evaluate(outcome.design);
  const result = drains.find((d) => d.lineId === drain.id)!;
  const count = (severity: "must" | "should") =>
    findings.filter((f) => f.severity === severity && (isOfWay(f.at, drain.id) || !known.has(f.id))).length;
  return {
    edit,
    to: goal,
    tankId: result.tankId,
    levelMm: result.level.inHandMm,
    worstMm: result.worst.inHandMm,
    lengthMm: result.legs.reduce((sum, leg) => sum + leg.lengthMm, 0),
    bends: Math.max(0, result.legs.filter((leg) => leg.lengthMm > 0).length - 1),
    musts: count("must"),
    shoulds: count("should"),
  };
}

// A trap that is missing was missing before; what the way is to blame for is said against its legs, or is new.
const isOfWay = (at: Edit["at"], lineId: string): boolean => at.kind === "leg" && at.lineId === lineId;

/** Two ways to one end that differ by less pipe than this are shown as one, mm. */
const ALIKE_MM = 100;

/** Moving an inlet counts as so much pipe, mm: it is only a mark on the tank yet. */
const MOVED_MM = 300;
const toLength = ({ to, lengthMm }: RouteProposal): number =>
  lengthMm + (to.kind === "inlet" && to.wall !== null ? MOVED_MM : 0);

// Without a must first, then fewer regrets, fewer bends, less pipe; the same way is kept once.
function sortBest<T extends RouteProposal>(proposals: readonly T[]): T[] {
  const seen = new Set<string>();
  return [...proposals]
    .filter(({ musts }) => musts === 0)
    .sort((a, b) => a.shoulds - b.shoulds || a.bends - b.bends || toLength(a) - toLength(b))
    .filter((route) => {
      // two that end in one place, are as long and turn as often are one to a builder
      const key = `${JSON.stringify(route.to)} ${route.bends} ${Math.round(route.lengthMm / ALIKE_MM)}`;
      if (seen.has(key)) return false;
      seen.add(key);
      return true;
    });
}

// The smallest of each kind.
function pickChanges(changes: readonly RouteChange[]): RouteChange[] {
  return (["lowerTank", "raiseOutlet", ...MOVE_KINDS] as const).flatMap((kind) => {
    const [least] = changes.filter((c) => c.kind === kind && c.musts === 0).sort((a, b) => a.byMm - b.byMm);
    return least ? [least] : [];
  });
}
