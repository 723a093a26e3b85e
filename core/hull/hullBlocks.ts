import type { Hull, Obstacle } from "../design/rig";
import { sectionAt } from "./loft";

/** How finely the hull is taken as blocks: places along her, and bands of height. */
const ALONG = 8;
const BANDS = 7;
/** Places at which each stretch is read; between two of them her thickness is the margin. */
const SAMPLES = 12;
/** A block reaches so far outside her, mm. */
const OUTSIDE_MM = 40;

/**
 * The hull as blocks that nothing may reach into, so that room for tanks and ways under the sole follow from its sections: of
 * each stretch and band the narrowest place counts, less her thickness, so that the blocks stand inside her skin and never
 * outside [C]. Ids begin with `hull-`; at most 120.
 */
export function listHullBlocks(hull: Hull): Obstacle[] {
  const { sections, thicknessMm } = hull;
  const [first, last] = [sections[0]!.xMm, sections.at(-1)!.xMm];
  const heights = sections.flatMap(({ pointsMm }) => pointsMm.map(({ z }) => z));
  const [low, high] = [Math.min(...heights), Math.max(...heights)];
  const beam = Math.max(...sections.flatMap(({ pointsMm }) => pointsMm.map(({ y }) => y)));
  const blocks: Obstacle[] = [];
  for (let i = 0; i < ALONG; i++) {
    const [from, to] = [first + ((last - first) * i) / ALONG, first + ((last - first) * (i + 1)) / ALONG];
    const places = [
      ...Array.from({ length: SAMPLES + 1 }, (_, k) => from + ((to - from) * k) / SAMPLES),
      ...sections.map(({ xMm }) => xMm).filter((x) => x > from && x < to),
    ];
    for (let k = 0; k < BANDS; k++) {
      const [bottom, top] = [low + ((high - low) * k) / BANDS, low + ((high - low) * (k + 1)) / BANDS];
      const free = Math.min(...places.map((x) => findNarrowestMm(hull, x, bottom, top))) - thicknessMm;
      const inner = Math.max(0, Math.floor(free));
      const widthMm = beam + OUTSIDE_MM - inner;
      if (widthMm < 1 || top - bottom < 1) continue;
      const common = {
        kind: "hull" as const,
        lengthMm: Math.round(to - from),
        widthMm: Math.round(widthMm),
        heightMm: Math.round(top - bottom),
      };
      const at = (y: number) => ({ x: Math.round(from), y: Math.round(y), z: Math.round(bottom) });
      blocks.push(
        { ...common, id: `hull-left-${i}-${k}`, name: "Hull, port", atMm: at(inner) },
        { ...common, id: `hull-right-${i}-${k}`, name: "Hull, starboard", atMm: at(-inner - widthMm) },
      );
    }
  }
  return blocks;
}

// The least half-breadth between two heights; nothing where she is not there at all.
function findNarrowestMm(hull: Hull, x: number, bottom: number, top: number): number {
  const section = sectionAt(hull, x);
  if (!section) return 0;
  const keel = section[0]!.z;
  const sheer = section.at(-1)!.z;
  // above the sheer there is no hull to run into
  if (bottom >= sheer) return Number.POSITIVE_INFINITY;
  if (top <= keel) return 0;
  let least = bottom < keel ? 0 : Number.POSITIVE_INFINITY;
  for (let i = 1; i < section.length; i++) {
    const [a, b] = [section[i - 1]!, section[i]!];
    const [lowZ, highZ] = [Math.max(bottom, Math.min(a.z, b.z)), Math.min(top, Math.max(a.z, b.z))];
    if (lowZ > highZ) continue;
    const at = (z: number) => (b.z === a.z ? Math.min(a.y, b.y) : a.y + ((z - a.z) / (b.z - a.z)) * (b.y - a.y));
    least = Math.min(least, at(lowZ), at(highZ));
  }
  return least;
}
