import type { Design } from "../design/design";
import type { Hose } from "../design/plumbing";
import { listHoseCourse } from "../fit/lineLegs";
import { add, dot, measureLength, scale, subtract, type Vec3 } from "../geometry/vec";
import { measureTurnDeg } from "../parts/turns";
import { degToRad, MM3_PER_L } from "../quantity/convert";

/** A hose as it lies: what it holds, how it rises and sags, and how sharply it must bend. */
export type HoseRun = {
  readonly lineId: string;
  readonly lengthMm: number;
  readonly volumeL: number;
  /** Highest point over its beginning, and over its end, mm ≥ 0. */
  readonly riseMm: number;
  readonly dropMm: number;
  /** Water that stands in its low places between two higher ones, L, and how deep the deepest is, mm. */
  readonly sagL: number;
  readonly sagMm: number;
  /** Which bend is the tightest, the radius there is room for and the least its hose takes, mm; null where it has no bend. */
  readonly tightest: { readonly point: number; readonly radiusMm: number; readonly leastMm: number } | null;
};

/** Sanitation and drain hose bends to about four times its bore before it kinks: 150 mm for 38 mm [T]. */
const LEAST_RADIUS_BORES = 4;

/** The hoses of a design as they lie, standing level. Source: geometry [C; the radius hose takes: T]. */
export const listHoseRuns = (design: Design): HoseRun[] =>
  design.lines.flatMap((line) => (line.kind === "hose" ? [measureHoseRun(design, line)] : []));

/** One of them. Example: 38 mm hose holds 1.134 L a metre. */
export function measureHoseRun(design: Design, hose: Hose): HoseRun {
  const course = listHoseCourse(design, hose);
  const { innerMm } = hose.pipe;
  const areaMm2 = (Math.PI / 4) * innerMm ** 2;
  const lengths = course.slice(1).map((p, i) => measureLength(subtract(p, course[i]!)));
  const lengthMm = lengths.reduce((sum, length) => sum + length, 0);
  const top = Math.max(...course.map(({ z }) => z));
  const { sagMm, standingMm } = measureSags(course, lengths, innerMm);
  return {
    lineId: hose.id,
    lengthMm,
    volumeL: (areaMm2 * lengthMm) / MM3_PER_L,
    riseMm: top - course[0]!.z,
    dropMm: top - course.at(-1)!.z,
    sagL: (areaMm2 * standingMm) / MM3_PER_L,
    sagMm,
    tightest: findTightest(course, innerMm),
  };
}

/**
 * Radius, mm, a bend of a turn in (0, 180)° has room for between legs of two lengths, mm: the shorter over tan(turn/2), each
 * leg shared with the bend at its other end by half [C]. Example: legs of 300 mm, 90°, shared → 150 mm.
 */
export const computeBendRadiusMm = (roomMm: number, turnDeg: number): number =>
  roomMm / Math.tan(degToRad(Math.min(179, turnDeg) / 2));

function findTightest(course: readonly Vec3[], innerMm: number): HoseRun["tightest"] {
  const kept = listCorners(course);
  let tightest: HoseRun["tightest"] = null;
  for (let i = 1; i < kept.length - 1; i++) {
    const [a, b, c] = [course[kept[i - 1]!]!, course[kept[i]!]!, course[kept[i + 1]!]!];
    const [comes, goes] = [subtract(b, a), subtract(c, b)];
    const turnDeg = measureTurnDeg(comes, goes) ?? 0;
    if (turnDeg < 5) continue;
    // the ends are whole the bend's own; what lies between two bends is shared
    const before = measureLength(comes) * (i === 1 ? 1 : 0.5);
    const after = measureLength(goes) * (i === kept.length - 2 ? 1 : 0.5);
    const radiusMm = computeBendRadiusMm(Math.min(before, after), turnDeg);
    if (!tightest || radiusMm < tightest.radiusMm)
      tightest = { point: kept[i]! - 1, radiusMm, leastMm: LEAST_RADIUS_BORES * innerMm };
  }
  return tightest;
}

/** A point that lies so near the straight way past it is no bend, mm. */
const STRAIGHT_MM = 1;

// The points at which a hose really turns: a point in a straight length is none, and many small turns are one.
function listCorners(course: readonly Vec3[]): number[] {
  const kept = [0];
  for (let next = 2; next < course.length; next++) {
    const from = kept.at(-1)!;
    const between = course.slice(from + 1, next);
    if (between.some((p) => measureOffMm(p, course[from]!, course[next]!) > STRAIGHT_MM)) kept.push(next - 1);
  }
  return [...kept, course.length - 1];
}

// How far a point lies off the way between two others.
function measureOffMm(p: Vec3, a: Vec3, b: Vec3): number {
  const along = subtract(b, a);
  const whole = dot(along, along);
  const share = whole === 0 ? 0 : Math.min(1, Math.max(0, dot(subtract(p, a), along) / whole));
  return measureLength(subtract(p, add(a, scale(along, share))));
}

// Water stands wherever it would have to rise to run on, whichever way: below the lower of the highest points on both sides.
function measureSags(
  course: readonly Vec3[],
  lengths: readonly number[],
  innerMm: number,
): { readonly sagMm: number; readonly standingMm: number } {
  const zs = course.map(({ z }) => z);
  let sagMm = 0;
  let standingMm = 0;
  for (let i = 0; i < lengths.length; i++) {
    const left = Math.max(...zs.slice(0, i + 1));
    const right = Math.max(...zs.slice(i + 1));
    const level = Math.min(left, right);
    const [a, b] = [zs[i]!, zs[i + 1]!];
    const low = Math.min(a, b);
    const deep = level - low;
    if (deep <= innerMm / 2) continue;
    sagMm = Math.max(sagMm, deep);
    // the part of the leg that lies below the level
    const share = a === b ? 1 : Math.min(1, deep / Math.abs(a - b));
    standingMm += lengths[i]! * share;
  }
  return { sagMm, standingMm };
}

/** Flushes that move what is in a line all the way: its volume over what a flush moves, L > 0; rounded up [C]. */
export const countFlushes = (volumeL: number, flushL: number): number => Math.ceil(volumeL / flushL - 1e-9);
