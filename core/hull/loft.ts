import type { Hull, HullSection } from "../design/rig";

/** A place on a section, mm: half-breadth and height. */
export type HalfPoint = { readonly y: number; readonly z: number };

type Lofted = Pick<Hull, "sections">;
type Ring = { readonly xMm: number; readonly half: readonly HalfPoint[] };

/** A section of very many points is read at even steps of its girth, so many. */
const EVEN_STEPS = 120;

const known = new WeakMap<Lofted["sections"], readonly Ring[]>();

/** Every section read at the same shares of its girth, keel first, so that any two can be joined; every corner of each is among them. */
export function listRings({ sections }: Lofted): readonly Ring[] {
  const before = known.get(sections);
  if (before) return before;
  const corners = new Set(
    sections.flatMap((section) => listShares(section).map((share) => Math.round(share * 1e7) / 1e7)),
  );
  const shares =
    corners.size <= EVEN_STEPS
      ? [...corners].sort((a, b) => a - b)
      : Array.from({ length: EVEN_STEPS + 1 }, (_, i) => i / EVEN_STEPS);
  const rings = sections.map((section) => ({ xMm: section.xMm, half: walkGirth(section, shares) }));
  known.set(sections, rings);
  return rings;
}

const listLegs = ({ pointsMm }: HullSection): number[] =>
  pointsMm.slice(1).map((p, i) => Math.hypot(p.y - pointsMm[i]!.y, p.z - pointsMm[i]!.z));

// Where the corners lie along the girth, from 0 at the keel to 1 at the sheer.
function listShares(section: HullSection): number[] {
  const legs = listLegs(section);
  const girth = legs.reduce((sum, leg) => sum + leg, 0);
  return [0, ...legs.map((_, i) => legs.slice(0, i + 1).reduce((sum, leg) => sum + leg, 0) / girth)];
}

function walkGirth(section: HullSection, shares: readonly number[]): HalfPoint[] {
  const { pointsMm } = section;
  const own = listShares(section);
  let leg = 0;
  return shares.map((share) => {
    while (leg < own.length - 2 && own[leg + 1]! < share) leg += 1;
    const [from, to] = [own[leg]!, own[leg + 1]!];
    const [a, b] = [pointsMm[leg]!, pointsMm[leg + 1]!];
    const part = to > from ? Math.min(1, Math.max(0, (share - from) / (to - from))) : 0;
    return { y: a.y + part * (b.y - a.y), z: a.z + part * (b.z - a.z) };
  });
}

/** The section at any place along her, mm; null before the first and behind the last. Straight between two [C on what was measured]. */
export function sectionAt(hull: Lofted, xMm: number): readonly HalfPoint[] | null {
  const rings = listRings(hull);
  const after = rings.findIndex((ring) => ring.xMm >= xMm);
  if (after < 0 || xMm < rings[0]!.xMm) return null;
  const [a, b] = [rings[Math.max(0, after - 1)]!, rings[after]!];
  if (a === b || b.xMm === xMm) return b.half;
  const share = (xMm - a.xMm) / (b.xMm - a.xMm);
  return a.half.map((p, i) => ({
    y: p.y + share * (b.half[i]!.y - p.y),
    z: p.z + share * (b.half[i]!.z - p.z),
  }));
}

/** Half-breadth, mm, outside, at a place along her and a height; null where she is not: off her ends, under the keel, over the sheer. */
export function findHalfBreadthMm(hull: Lofted, xMm: number, zMm: number): number | null {
  const section = sectionAt(hull, xMm);
  if (!section) return null;
  let widest: number | null = null;
  for (let i = 1; i < section.length; i++) {
    const [a, b] = [section[i - 1]!, section[i]!];
    const [low, high] = [Math.min(a.z, b.z), Math.max(a.z, b.z)];
    if (zMm < low - 1e-9 || zMm > high + 1e-9) continue;
    const share = b.z === a.z ? 1 : (zMm - a.z) / (b.z - a.z);
    const y = a.z === b.z ? Math.max(a.y, b.y) : a.y + share * (b.y - a.y);
    widest = Math.max(widest ?? 0, y);
  }
  return widest;
}
