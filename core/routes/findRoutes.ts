import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { Edit, EditOp } from "../design/editOps";
import { roundTenth } from "../design/moves";
import type { Drain } from "../design/plumbing";
import { reachPlace } from "../edits/drainEdits";
import { relay } from "../edits/drawnDrain";
import { listLeftBehind } from "../edits/leftBehind";
import { checkClashes } from "../evaluate/checkClashes";
import { evaluate } from "../evaluate/evaluate";
import type { Evaluation } from "../evaluate/evaluation";
import type { Finding } from "../evaluate/findings";
import { buildDrainPath } from "../falls/drainPath";
import { buildNetwork } from "../falls/network";
import { add, scale, type Vec3, vec } from "../geometry/vec";
import { listDrainParts } from "../parts/listParts";
import { layHeights } from "./layHeights";
import { listBars, listPlans, type Plan } from "./listPlans";
import { type End, listEnds, listEndsBeside, type Task, type Wall } from "./routeEnds";

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
  /** Lines it runs into, by their ids. */
  readonly meets: readonly string[];
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
  /** Ids of obstacles any one of which, out of the way, would let the drain through; none where ways were found. */
  readonly barredBy: readonly string[];
  /** Ids of pipes that the ways run into which lack no height; none where ways were found. */
  readonly crossed: readonly string[];
  /** The drain runs as it is laid, and no way was found that keeps as much in hand. */
  readonly isBestAlready: boolean;
};

const MOST_PROPOSALS = 3;
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
  const now = evaluate(design);
  const known = new Set(now.findings.map((f) => f.id));
  const keptMm = measureKept(now, drainId);
  const isRunning = keptMm > -Infinity;
  const beside = isRunning ? [] : listEndsBeside(design, drain, fixture);
  const proposals: RouteProposal[] = [];
  const changes: RouteChange[] = [];
  let shortMm: number | null = null;
  for (const [i, end] of [...ends, ...beside].entries()) {
    // a hole beside the middle of a wall is looked at where nothing led to the usual places
    if (i >= ends.length && [...proposals, ...changes].some(({ musts }) => musts === 0)) break;
    const task: Task = { design, drain, fixture, end };
    for (const plan of listPlans(task)) {
      const laid = layHeights(task, plan);
      if (laid.shortMm <= 0) {
        const tried = tryHeights(task, task, plan, [], known);
        if (tried && measureInHand(tried) >= keptMm) proposals.push(tried);
        continue;
      }
      // nothing is hung lower for a drain that runs
      if (isRunning) continue;
      shortMm = Math.min(shortMm ?? Infinity, laid.shortMm);
      changes.push(...listChanges(task, plan, laid.shortMm, known));
    }
    if (!onGoal((i + 1) / (ends.length + beside.length))) return null;
  }
  const best = pickDiffering(sortBest(proposals));
  if (best.length > 0 || isRunning) {
    return { proposals: best, shortMm: null, changes: [], barredBy: [], crossed: [], isBestAlready: best.length === 0 };
  }
  if (changes.length === 0) changes.push(...listMoves({ design, drain, fixture }, ends, known));
  const picked = pickChanges(changes);
  // what lacks where one change mends it says more than what lacks least
  const mended = picked.flatMap(({ kind, byMm }) => (kind === "lowerTank" || kind === "raiseOutlet" ? [byMm] : []));
  const barred = shortMm === null ? listBarred({ design, drain, fixture }, ends) : [];
  return {
    proposals: [],
    shortMm: mended.length > 0 ? Math.min(...mended) : shortMm,
    changes: picked,
    barredBy: barred,
    crossed: [...new Set(proposals.flatMap(({ meets }) => meets))],
    isBestAlready: false,
  };
}

// The best, and among them one that ends in another kind of place, and one in another place of its kind, where there are.
function pickDiffering(sorted: readonly RouteProposal[]): RouteProposal[] {
  const [first] = sorted;
  if (!first) return [];
  const otherKind = sorted.find(({ to }) => to.kind !== first.to.kind);
  const otherEnd = sorted.find((route) => route !== otherKind && toEnd(route) !== toEnd(first));
  const picked = new Set([first, ...(otherKind ? [otherKind] : []), ...(otherEnd ? [otherEnd] : []), ...sorted]);
  const kept = [...picked].slice(0, MOST_PROPOSALS);
  return sorted.filter((route) => kept.includes(route));
}

/** So much of the height that is left over is used, one after the other, until a way passes over or under what is there. */
const SHARES = [1, 0.5, 0] as const;

// Laid where a change before it has put the outlet or the tank, tried on the design as it is.
function tryHeights(
  task: Task,
  changed: Task,
  plan: Plan,
  before: readonly EditOp[],
  known: ReadonlySet<string>,
): RouteProposal | null {
  let first: RouteProposal | null = null;
  for (const share of SHARES) {
    const tried = tryOut(task, layHeights(changed, plan, share).bendsMm, before, known);
    if (tried?.musts === 0) return tried;
    first ??= tried;
  }
  return first;
}

const toEnd = ({ to }: RouteProposal): string => (to.kind === "inlet" ? `${to.portId} ${to.wall}` : to.lineId);

/** Fall in hand beyond this is more than anybody needs, mm [T]. */
const PLENTY_MM = 10;

const measureInHand = ({ levelMm, worstMm }: RouteProposal): number => Math.min(levelMm, worstMm);

// A way that runs already is not bought anew with the fall it has in hand.
function measureKept({ drains, findings }: Evaluation, drainId: string): number {
  const result = drains.find(({ lineId }) => lineId === drainId);
  const isBad = findings.some(
    (one) => one.severity === "must" && (("lineId" in one.at && one.at.lineId === drainId) || isOfWay(one, drainId)),
  );
  if (!result || isBad) return -Infinity;
  return Math.min(PLENTY_MM, result.level.inHandMm, result.worst.inHandMm) - 0.5;
}

// The nearest two ends say enough of what stands between.
const listBarred = (task: Omit<Task, "end">, ends: readonly End[]): string[] => [
  ...new Set(ends.slice(0, 2).flatMap((end) => listBars({ ...task, end }))),
];
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
    const there = { ...plan, points: [...plan.points.slice(0, -1), changed.end.atMm] };
    if (layHeights(changed, there).shortMm > 0) return [];
    const tried = tryHeights(task, changed, there, [op], known);
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
          const changed = { ...task, fixture: moved, end };
          return layHeights(changed, plan).shortMm <= 0
            ? (tryHeights({ ...task, end }, changed, plan, [op], known) ?? [])
            : [];
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
    const list = ["tanks", end.tank.id, "ports"];
    const path = [...list, end.port.id, "atMm"];
    if (end.isNew) {
      const insert: EditOp = { op: "insert", path: list, index: end.tank.ports.length, value: end.port };
      return { goal: { ...to, wall: end.wall }, to, ops: [insert] };
    }
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
    ops: [...before, ...ops, ...relay(drain, to, bendsMm), ...listLeftBehind(design, drain, to)],
  };
  const outcome = applyEdit(design, edit);
  if (!outcome.ok) return null;
  const meets = listMet(outcome.design, drain.id);
  // most ways run into a pipe: the rest need not be judged of them
  if (meets.length > 0) return { ...NOT_JUDGED, edit, to: goal, meets };
  const { drains, findings } = evaluate(outcome.design);
  const result = drains.find((d) => d.lineId === drain.id)!;
  const count = (severity: "must" | "should") =>
    findings.filter((f) => f.severity === severity && (isOfWay(f, drain.id) || !known.has(f.id))).length;
  return {
    edit,
    to: goal,
    // a way that is looked for ends in a tank, if only through another drain
    tankId: result.tankId ?? "",
    levelMm: result.level.inHandMm,
    worstMm: result.worst.inHandMm,
    // what is to be laid and bought: its own pipe, and the bends its list of parts counts
    lengthMm: result.legs.slice(0, result.ownLegs).reduce((sum, leg) => sum + leg.lengthMm, 0),
    bends: countBends(outcome.design, drain.id),
    musts: count("must"),
    shoulds: count("should"),
    meets,
  };
}

/** What a way that runs into a pipe is taken for: it must not be, whatever else it is. */
const NOT_JUDGED = { tankId: "", levelMm: 0, worstMm: 0, lengthMm: 0, bends: 0, musts: 1, shoulds: 0 } as const;

// Pipes a drain runs into, by their ids.
function listMet(design: Design, drainId: string): string[] {
  const network = buildNetwork(design);
  const paths = design.lines.flatMap((line) => (line.kind === "drain" ? [buildDrainPath(design, line, network)] : []));
  return checkClashes(design, paths).flatMap((f) =>
    f.code === "pipesClash" && isOfWay(f, drainId) ? [findOther(f, drainId)] : [],
  );
}

const countBends = (design: Design, drainId: string): number =>
  listDrainParts(design, drainId).reduce((sum, part) => sum + (part.kind === "bend" ? part.count : 0), 0);

// A trap that is missing was missing before; what the way is to blame for is said against its legs, against a pipe that it
// runs into, or is new.
const isOfWay = (finding: Finding, lineId: string): boolean =>
  (finding.at.kind === "leg" && finding.at.lineId === lineId) ||
  (finding.code === "pipesClash" && finding.otherId === lineId);

type Clash = Extract<Finding, { readonly code: "pipesClash" }>;

const findOther = ({ at, otherId }: Clash, lineId: string): string =>
  otherId === lineId && at.kind === "leg" ? at.lineId : otherId;

/** Two ways to one end that differ by less pipe than this are shown as one, mm. */
const ALIKE_MM = 100;

/** Moving an inlet counts as so much pipe, mm: it is only a mark on the tank yet. */
const MOVED_MM = 300;
const toLength = ({ to, lengthMm }: RouteProposal): number =>
  lengthMm + (to.kind === "inlet" && to.wall !== null ? MOVED_MM : 0);

// Steps of fall in hand that differ to a builder.
const toPlenty = (route: RouteProposal): number => Math.floor(Math.min(PLENTY_MM, measureInHand(route)) / 5);

// Without a must first, then fewer regrets, fewer bends, less pipe; the same way is kept once.
function sortBest<T extends RouteProposal>(proposals: readonly T[]): T[] {
  const seen = new Set<string>();
  return [...proposals]
    .filter(({ musts }) => musts === 0)
    .sort(
      (a, b) =>
        a.shoulds - b.shoulds ||
        // fall in hand is not given away for a bend
        toPlenty(b) - toPlenty(a) ||
        a.bends - b.bends ||
        toLength(a) - toLength(b),
    )
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
