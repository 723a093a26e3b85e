import type { Pipe } from "../design/plumbing";
import { isHose } from "../parts/pipes";

/** Young's modulus of a pipe with warm waste water in it, GPa [T: PP and PE drop to a quarter when warm]. */
const WARM_GPA = 0.3;
/** Water and the pipe's own weight, kg/m³ [P: standard tables, from memory, 95 %]. */
const WATER_KG_M3 = 1_000;
const PLASTIC_KG_M3 = 950;
const GRAVITY = 9.80665;
/** Further apart nobody clips a pipe that shakes, mm; and hose lies in its clips, mm [T]. */
const MOST_MM = 900;
const HOSE_MM = 400;
const LEAST_MM = 250;

/**
 * Furthest distance of clips, mm, at which a full warm pipe does not belly below its fall: w L³/(24 E I) ≤ slope, with w its
 * weight a length and I = π (D⁴ − d⁴)/64. Slope > 0 as a ratio, at the worst standing; E > 0 GPa. Without a limit for
 * building. Source: a beam on two clips [C on T]. Example: 40 × 1.8 mm at 2 %, 1.3 GPa → 1.267 m; 0.3 GPa → 0.777 m.
 */
export function computeBellySpanMm({ innerMm, outerMm }: Pipe, slope: number, youngGPa = WARM_GPA): number {
  const [d, D] = [innerMm / 1000, outerMm / 1000];
  const area = Math.PI / 4;
  const newtonPerM = GRAVITY * (area * d ** 2 * WATER_KG_M3 + area * (D ** 2 - d ** 2) * PLASTIC_KG_M3);
  const inertia = (Math.PI * (D ** 4 - d ** 4)) / 64;
  return 1000 * Math.cbrt((24 * youngGPa * 1e9 * inertia * slope) / newtonPerM);
}

/** Where clips go on a leg, mm apart: by its belly, never further than is usual; hose lies in more of them [C on T]. */
export function findClipSpacingMm(pipe: Pipe, slope: number): number {
  if (isHose(pipe)) return HOSE_MM;
  return Math.max(LEAST_MM, Math.min(MOST_MM, computeBellySpanMm(pipe, Math.max(0.001, slope))));
}

/** Clips of a run, so many that none is further apart, with one near either end; length ≥ 0 mm. */
export const countClips = (lengthMm: number, spacingMm: number): number =>
  lengthMm < 100 ? 0 : Math.ceil(lengthMm / spacingMm) + 1;
