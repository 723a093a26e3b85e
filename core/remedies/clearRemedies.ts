import type { Design } from "../design/design";
import type { EditOp } from "../design/edit";
import { buildMove, listPoints, roundTenth } from "../design/moves";
import type { Line, Vent } from "../design/plumbing";
import type { Finding } from "../evaluate/findings";
import { add, measureLength, type Vec3, vec } from "../geometry/vec";
import type { Remedy } from "./remedy";

type LegRef = { readonly lineId: string; readonly index: number };
type Clash = Extract<Finding, { code: "legHitsObstacle" | "ventEndNear" }>;

/** Room that is wanted and is not there, mm, whole and with one to spare. */
const toMissingMm = ({ gapMm, limit }: Clash): number => Math.ceil((limit?.value ?? 0) - gapMm) + 1;

const DIRECTIONS: readonly Vec3[] = [
  vec(0, 1, 0),
  vec(0, -1, 0),
  vec(1, 0, 0),
  vec(-1, 0, 0),
  vec(0, 0, -1),
  vec(0, 0, 1),
];
/** What lacks in one direction is seldom enough in another: it is tried so many times over. */
const TIMES = [1, 1.5, 2.5, 4] as const;

/** A leg moved clear of what it hits: both its bends, or one of them, by the shortest shift that is tried first. */
export function proposeLegClear(line: Line, at: LegRef, finding: Clash): Remedy[] {
  const points = listPoints(line);
  const key = line.kind === "drain" ? "bendsMm" : "pointsMm";
  const missingMm = toMissingMm(finding);
  const ends = [at.index - 1, at.index].filter((bend) => points[bend]);
  const picks = ends.length === 2 ? [ends, [ends[0]!], [ends[1]!]] : [ends];
  const shifts = DIRECTIONS.flatMap((way) => TIMES.map((times) => scaleWay(way, Math.ceil(missingMm * times))));
  return shifts
    .flatMap((by) =>
      picks.map((bends): Remedy => {
        const ops = bends.map((bend): EditOp => {
          const value = roundTenth(add(points[bend]!, by));
          return { op: "set", path: ["lines", line.id, key, bend], value };
        });
        return { byMm: measureLength(by), edit: { code: "clearLeg", at: { kind: "leg", ...at }, ops } };
      }),
    )
    .filter(({ edit }) => edit.ops.length > 0)
    .sort((a, b) => a.byMm! - b.byMm!);
}

/** The open end of a breather, taken away from a window, an intake or an exhaust; upward first. */
export function proposeVentEndClear(design: Design, vent: Vent, finding: Clash): Remedy[] {
  const index = vent.pointsMm.length - 1;
  const end = listPoints(vent)[index];
  if (!end) return [];
  const missingMm = toMissingMm(finding);
  const ways = [vec(0, 0, 1), vec(1, 0, 0), vec(-1, 0, 0), vec(0, 0, -1)];
  return ways.flatMap((way) =>
    [1, 1.5, 2].flatMap((times): Remedy[] => {
      const by = scaleWay(way, Math.ceil(missingMm * times));
      const move = buildMove(design, { kind: "bend", lineId: vent.id, index }, add(end, by));
      return move ? [{ byMm: measureLength(by), edit: { ...move, code: "moveVentEnd" } }] : [];
    }),
  );
}

const scaleWay = ({ x, y, z }: Vec3, by: number): Vec3 => vec(x * by, y * by, z * by);
