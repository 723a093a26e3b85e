import type { Hull } from "../design/rig";
import { dot, type Vec3, vec } from "../geometry/vec";
import { type HeightField, measureVolumeBelowL } from "../geometry/volumeBelow";
import { MM3_PER_L } from "../quantity/convert";
import { findHalfBreadthMm, type HalfPoint, listRings } from "./loft";

/** Sea water, kg/L [P: standard tables, from memory, 98 %]. */
export const SEA_KG_PER_L = 1.025;
/** Places along her at which her waterplane is read. */
const STATIONS = 120;

type Triangle = readonly [Vec3, Vec3, Vec3];

/** The hull as a closed skin of triangles, outside, deck and ends shut; both sides. */
export function listSkin(hull: Pick<Hull, "sections">): Triangle[] {
  const rings = listRings(hull).map(({ xMm, half }) => ({ x: xMm, half }));
  const toPoint = (x: number, { y, z }: HalfPoint, side: 1 | -1) => vec(x, side * y, z);
  const skin: Triangle[] = [];
  // seen from outside against the clock
  const quad = (a: Vec3, b: Vec3, c: Vec3, d: Vec3) => skin.push([a, b, c], [a, c, d]);
  for (let i = 1; i < rings.length; i++) {
    const [stern, bow] = [rings[i - 1]!, rings[i]!];
    for (let k = 1; k < stern.half.length; k++) {
      const left = (ring: typeof stern, at: number) => toPoint(ring.x, ring.half[at]!, 1);
      const right = (ring: typeof stern, at: number) => toPoint(ring.x, ring.half[at]!, -1);
      quad(left(stern, k - 1), left(stern, k), left(bow, k), left(bow, k - 1));
      // the same triangles in the mirror, so that port and starboard are alike to the last digit
      const mirror = [right(stern, k - 1), right(stern, k), right(bow, k), right(bow, k - 1)] as const;
      skin.push([mirror[0], mirror[2], mirror[1]], [mirror[0], mirror[3], mirror[2]]);
    }
    const [keelS, keelB, deckS, deckB] = [stern.half[0]!, bow.half[0]!, stern.half.at(-1)!, bow.half.at(-1)!];
    quad(toPoint(stern.x, keelS, -1), toPoint(stern.x, keelS, 1), toPoint(bow.x, keelB, 1), toPoint(bow.x, keelB, -1));
    quad(toPoint(stern.x, deckS, 1), toPoint(stern.x, deckS, -1), toPoint(bow.x, deckB, -1), toPoint(bow.x, deckB, 1));
  }
  for (const [ring, isStern] of [
    [rings[0]!, true],
    [rings.at(-1)!, false],
  ] as const) {
    for (let k = 1; k < ring.half.length; k++) {
      const [low, high] = [ring.half[k - 1]!, ring.half[k]!];
      const corners = [
        toPoint(ring.x, low, -1),
        toPoint(ring.x, low, 1),
        toPoint(ring.x, high, 1),
        toPoint(ring.x, high, -1),
      ] as const;
      if (isStern) quad(corners[3], corners[2], corners[1], corners[0]);
      else quad(...corners);
    }
  }
  return skin;
}

/** Heights of the hull's corners for an up direction, so that any waterline can be asked: exact for the skin as it is [C]. */
export function buildHullField(hull: Pick<Hull, "sections">, up: Vec3): HeightField {
  const skin = listSkin(hull);
  const apex = skin[0]![0];
  const heights = new Float64Array(skin.length * 4);
  const volumes = new Float64Array(skin.length);
  let total = 0;
  skin.forEach(([a, b, c], i) => {
    const sorted = [apex, a, b, c].map((p) => dot(up, p)).sort((p, q) => p - q);
    heights.set(sorted, i * 4);
    volumes[i] = measureTetra(apex, a, b, c);
    total += volumes[i]!;
  });
  // stern to bow with port to the left turns the skin one way or the other; what is inside counts as more than nothing
  const sense = total < 0 ? -1 : 1;
  for (let i = 0; i < volumes.length; i++) volumes[i]! *= sense;
  const all = skin.flat().map((p) => dot(up, p));
  return {
    heights,
    volumes,
    lowestMm: Math.min(...all),
    highestMm: Math.max(...all),
    capacityL: (sense * total) / MM3_PER_L,
  };
}

function measureTetra(o: Vec3, a: Vec3, b: Vec3, c: Vec3): number {
  const [ax, ay, az] = [a.x - o.x, a.y - o.y, a.z - o.z];
  const [bx, by, bz] = [b.x - o.x, b.y - o.y, b.z - o.z];
  const [cx, cy, cz] = [c.x - o.x, c.y - o.y, c.z - o.z];
  return (ax * (by * cz - bz * cy) - ay * (bx * cz - bz * cx) + az * (bx * cy - by * cx)) / 6;
}

export type Hydrostatics = {
  /** What she weighs when she floats at this line, kg of sea water. */
  readonly displacementKg: number;
  /** Area of her waterplane, mm², and the middle of it along her, mm. */
  readonly planeMm2: number;
  readonly middleXMm: number;
  /** Metacentre over the middle of what is under water, athwart and along, mm. */
  readonly bmMm: number;
  readonly bmAlongMm: number;
  /** She sinks by a centimetre for so many kg more. */
  readonly kgPerCm: number;
};

/**
 * How she floats upright at a waterline, mm: volume of the skin below it, waterplane by half-breadths at many places, BM =
 * I/V about her middle line and about the middle of the plane. Null where the line does not cut her. Source: hydrostatics
 * [P]. Example: box of 4 × 2 m, 0.5 m deep: 4,100 kg, BM 667 mm.
 */
export function computeHydrostatics(hull: Pick<Hull, "sections">, waterlineMm: number): Hydrostatics | null {
  const before = known.get(hull.sections) ?? new Map<number, Hydrostatics | null>();
  known.set(hull.sections, before);
  const told = before.get(waterlineMm);
  if (told !== undefined) return told;
  // a waterline that is pulled leaves one behind for every move
  if (before.size > MOST_KNOWN) before.clear();
  const worked = workHydrostatics(hull, waterlineMm);
  before.set(waterlineMm, worked);
  return worked;
}

/** Sections are shared by every design that does not change them, so what they come to is worked out once. */
const known = new WeakMap<Hull["sections"], Map<number, Hydrostatics | null>>();
const MOST_KNOWN = 64;

function workHydrostatics(hull: Pick<Hull, "sections">, waterlineMm: number): Hydrostatics | null {
  const { sections } = hull;
  const [first, last] = [sections[0]!.xMm, sections.at(-1)!.xMm];
  const step = (last - first) / STATIONS;
  let [area, moment, athwart] = [0, 0, 0];
  const breadths = Array.from({ length: STATIONS + 1 }, (_, i) => {
    const x = i === STATIONS ? last : first + i * step;
    return { x, half: findHalfBreadthMm(hull, x, waterlineMm) ?? 0, weight: i === 0 || i === STATIONS ? 0.5 : 1 };
  });
  for (const { x, half, weight } of breadths) {
    area += weight * 2 * half * step;
    moment += weight * 2 * half * x * step;
    athwart += ((weight * 2) / 3) * half ** 3 * step;
  }
  if (area <= 0) return null;
  const middleXMm = moment / area;
  const along = breadths.reduce((sum, { x, half, weight }) => sum + weight * 2 * half * (x - middleXMm) ** 2 * step, 0);
  const litres = measureVolumeBelowL(buildHullField(hull, vec(0, 0, 1)), waterlineMm);
  if (litres <= 0) return null;
  const mm3 = litres * MM3_PER_L;
  return {
    displacementKg: litres * SEA_KG_PER_L,
    planeMm2: area,
    middleXMm,
    bmMm: athwart / mm3,
    bmAlongMm: along / mm3,
    kgPerCm: ((area * 10) / MM3_PER_L) * SEA_KG_PER_L,
  };
}

/** The lowest place of her sheer, mm: water above it comes over the deck. */
export const findLowestSheerMm = ({ sections }: Pick<Hull, "sections">): number =>
  Math.min(...sections.map(({ pointsMm }) => pointsMm.at(-1)!.z));
