import type { Design } from "../design/design";
import { findJunctionBend, findLastPipe, findLineTrap, listInlinePieces, listPipeChanges } from "../design/lineItems";
import { findNode } from "../design/nodes";
import type { Drain, DumpLine, Fitting, InlinePiece, Pipe, PipeJoint, Vent } from "../design/plumbing";
import { BEND_DEG, measureLegTurnDeg } from "../falls/bends";
import { type Leg, measureLineTrapSpanMm } from "../falls/drainPath";
import type { Network } from "../falls/network";
import { degToRad } from "../quantity/convert";
import { isHose } from "./pipes";
import { computeTakeOffMm, TAKE_OFF } from "./takeOff";
import { findNearestBend } from "./turns";

/** How a line turns at a point: by a bend as sold, or in a socket that gives a little; and what of the drawn angle is left over. */
export type Turn = { readonly bendDeg: number | null; readonly leftDeg: number };

/** What else stands at a point: what another line comes in by, a piece in the line, or where it goes on in another pipe. */
export type Body =
  | { readonly kind: Fitting; readonly branch: Pipe }
  | { readonly kind: InlinePiece }
  | { readonly kind: "runningTrap"; readonly spanMm: number }
  | { readonly kind: PipeJoint };

/** What is fitted at one point of a line; the pipe goes through whole where there is neither. */
export type PointFitting = { readonly turn: Turn | null; readonly bodies: readonly Body[] };

/** A bend below this is taken up by the pipe itself, degrees [T]. */
const PIPE_GIVES_DEG = 4;

/** From the middle of a wye to the foot of its far sockets and of its near one, as shares of the outside [T, from memory]. */
const WYE_FAR = 1.2;
const WYE_NEAR = 0.3;

/** What a wye and a tee turn the water by, degrees [T: metric waste fittings]. */
const BRANCH_DEG = { wye: 45, tee: 87 } as const satisfies Record<Fitting, number>;

/** A line that is laid in pieces of pipe with fittings between; water hoses go from tail to tail. */
export type PipedLine = Drain | Vent | DumpLine;

/**
 * What is fitted at each point between the ends of a line, in their order, one fewer than its legs. The design has passed its
 * check. Source: geometry [C]; what a pipe and a socket give [T].
 */
export function listPointFittings(
  design: Design,
  line: PipedLine,
  legs: readonly Leg[],
  { branches }: Pick<Network, "branches"> = NOTHING_JOINS,
): PointFitting[] {
  return legs.slice(1).map((_, i) => {
    const bodies = listBodies(design, line, i, branches.get(line.id) ?? []);
    return { turn: findTurn(legs, i, bodies.length > 0), bodies };
  });
}

/** Only drains have branches that a network knows. */
const NOTHING_JOINS: Pick<Network, "branches"> = { branches: new Map() };

/** Whether pipe or hose goes through a point in one piece. */
export const isWhole = ({ turn, bodies }: PointFitting): boolean => turn === null && bodies.length === 0;

// Points in one place turn once, at the first of them. A socket is only put in where nothing else stands that has some.
function findTurn(legs: readonly Leg[], i: number, hasSockets: boolean): Turn | null {
  const [before, after] = [legs[i]!, legs.slice(i + 1).find(({ lengthMm }) => lengthMm > 0)];
  if (before.lengthMm === 0 || !after || isHose(before.pipe) || isHose(after.pipe)) return null;
  const turned = measureLegTurnDeg(before, after);
  if (turned < PIPE_GIVES_DEG) return null;
  if (turned <= BEND_DEG) return hasSockets ? null : { bendDeg: null, leftDeg: turned };
  return toBend(turned);
}

function toBend(turned: number): Turn {
  const bendDeg = findNearestBend(turned);
  return { bendDeg, leftDeg: turned - bendDeg };
}

function listBodies({ lines }: Design, line: PipedLine, point: number, joining: readonly Drain[]): Body[] {
  if (line.kind !== "drain") {
    return lines.flatMap((other): Body[] => {
      const joins =
        (other.kind === "vent" && other.to.kind === "tee") || (other.kind === "dumpLine" && other.to.kind === "wye")
          ? other.to
          : null;
      if (joins?.lineId !== line.id || findNode(line, joins.node) !== point) return [];
      return [{ kind: joins.kind, branch: other.pipe }];
    });
  }
  const trap = findLineTrap(line);
  return [
    ...joining.flatMap((branch): Body[] => {
      const { to } = branch;
      if (to.kind !== "junction" || findJunctionBend(line, to) !== point) return [];
      return [{ kind: to.fitting, branch: findLastPipe(branch) }];
    }),
    ...listInlinePieces(line).flatMap(({ bend, piece }): Body[] => (bend === point ? [{ kind: piece }] : [])),
    ...(trap?.bend === point ? [{ kind: "runningTrap", spanMm: measureLineTrapSpanMm(line, point) } as const] : []),
    ...listPipeChanges(line).flatMap(({ bend, joint }): Body[] => (bend === point ? [{ kind: joint }] : [])),
  ];
}

/** What the fittings of a point take of the straight pipe before it and after it, mm, never below 0 [C on T]. */
export function computePointTakeOffs({ turn, bodies }: PointFitting, pipe: Pipe): readonly [number, number] {
  const bend = computeTakeOffMm(pipe.outerMm, turn?.bendDeg ?? 0);
  return bodies.reduce<readonly [number, number]>(
    ([before, after], body) => {
      const [b, a] = takeOffBody(body, pipe);
      return [before + b, after + a];
    },
    [bend, bend],
  );
}

function takeOffBody(body: Body, { outerMm }: Pipe): readonly [number, number] {
  switch (body.kind) {
    case "wye": {
      // both far sockets of a wye look upstream
      const middleMm = (outerMm + body.branch.outerMm) / 2;
      return [WYE_FAR * middleMm, WYE_NEAR * outerMm];
    }
    case "tee":
      return [TAKE_OFF * body.branch.outerMm, TAKE_OFF * body.branch.outerMm];
    case "cleanout":
    case "shutOff":
    case "nonReturn":
      return [TAKE_OFF * outerMm, TAKE_OFF * outerMm];
    case "runningTrap":
      return [body.spanMm / 2, body.spanMm / 2];
    case "union":
    case "reducer":
    case "hoseBarb":
      return [0, 0];
  }
}

/** How a branch comes into the line it joins: the bend it needs before its wye or tee, and what both take of its last piece, mm. */
export type BranchEnd = { readonly turn: Turn | null; readonly takeOffMm: number };

/**
 * The end of a branch of the given pipe in a line of another, turning by so many degrees [0, 180] into it: a wye gives 45°, a
 * tee 87°, and a bend the rest. Null turn where fitting and joints do, or where the turn is not known. Never below 0. Source: geometry [C on T].
 * Example: 40 mm into 40 mm at 45° by a wye → 48 mm.
 */
export function findBranchEnd(fitting: Fitting, branch: Pipe, main: Pipe, turnedDeg: number | null): BranchEnd {
  const own = BRANCH_DEG[fitting];
  const bodyMm = fitting === "wye" ? (WYE_FAR * (branch.outerMm + main.outerMm)) / 2 : TAKE_OFF * main.outerMm;
  const restDeg = turnedDeg === null ? 0 : Math.abs(turnedDeg - own);
  if (turnedDeg === null || isHose(branch) || restDeg <= BEND_DEG) return { turn: null, takeOffMm: bodyMm };
  const turn = toBend(restDeg);
  const bendMm = computeTakeOffMm(branch.outerMm, turn.bendDeg!);
  // the bend stands off the crossing drawn: by the sine rule, over a turn of 15 degrees at least
  const sine = Math.max(Math.sin(degToRad(15)), Math.sin(degToRad(turnedDeg)));
  return { turn, takeOffMm: ((bodyMm + bendMm) * Math.sin(degToRad(own))) / sine + bendMm };
}

/** By how much the last of some legs turns into the first of those it goes on in, degrees; null where one side has no length [C]. */
export function measureIntoDeg(own: readonly Leg[], joined: readonly Leg[]): number | null {
  const hasLength = ({ lengthMm }: Leg) => lengthMm > 0;
  const [last, next] = [own.findLast(hasLength), joined.find(hasLength)];
  return last && next ? measureLegTurnDeg(last, next) : null;
}
