import type { Pipe } from "../design/plumbing";
import { inToMm } from "../quantity/convert";

/** How far a size can be trusted, as with limits: published, common in the trade. */
export type PipeStanding = "P" | "T";

export type PipeSize = {
  readonly id: string;
  /** What it is asked for by at the counter. */
  readonly call: string;
  readonly family: "metricWaste" | "schedule40" | "smoothHose" | "ribbedHose";
  readonly pipe: Pipe;
  /** The size codes mean when they name it, mm; only where it is not told by the inside. */
  readonly nominalMm: number | null;
  readonly standing: PipeStanding;
};

const SMOOTH_N = 0.009;
const RIBBED_N = 0.02;

const size = (
  family: PipeSize["family"],
  call: string,
  [innerMm, outerMm]: readonly [number, number],
  standing: PipeStanding,
  nominalIn: number | null = null,
): PipeSize => ({
  id: `${family}-${call}`,
  call,
  family,
  pipe: { innerMm, outerMm, manningN: family === "ribbedHose" ? RIBBED_N : SMOOTH_N },
  nominalMm: nominalIn === null ? null : inToMm(nominalIn),
  standing,
});

/**
 * Pipe and hose as sold, mm inside and outside, narrow to wide within each family. Metric waste pipe of polypropylene
 * with 1.8 mm of wall [T]; schedule 40 after ASTM D1785 [P, from memory, 90 %]; hoses differ from maker to maker [T].
 * Manning's n: plastic 0.009, ribbed hose about 0.02 [T].
 */
export const PIPE_SIZES: readonly PipeSize[] = [
  size("metricWaste", "32", [28.4, 32], "T"),
  size("metricWaste", "40", [36.4, 40], "T"),
  size("metricWaste", "50", [46.4, 50], "T"),
  size("metricWaste", "75", [71.2, 75], "T"),
  size("schedule40", "1¼ in", [35.05, 42.16], "P", 1.25),
  size("schedule40", "1½ in", [40.89, 48.26], "P", 1.5),
  size("schedule40", "2 in", [52.5, 60.33], "P", 2),
  size("schedule40", "3 in", [77.93, 88.9], "P", 3),
  size("smoothHose", "13", [13, 19], "T"),
  size("smoothHose", "16", [16, 22], "T"),
  size("smoothHose", "19", [19, 25], "T"),
  size("smoothHose", "25", [25, 32], "T"),
  size("smoothHose", "32", [32, 40], "T"),
  size("smoothHose", "38", [38, 46], "T"),
  size("smoothHose", "50", [50, 60], "T"),
  size("ribbedHose", "25", [25, 29.5], "T"),
  size("ribbedHose", "32", [32, 37], "T"),
  size("ribbedHose", "40", [40, 46], "T"),
];

export const listFamily = (family: PipeSize["family"]): readonly PipeSize[] =>
  PIPE_SIZES.filter((entry) => entry.family === family);

/** The size a pipe is, whatever its roughness was set to; null for one of the builder's own measure. */
export const findPipeSize = ({ innerMm, outerMm }: Pipe): PipeSize | null =>
  PIPE_SIZES.find(({ pipe }) => pipe.innerMm === innerMm && pipe.outerMm === outerMm) ?? null;

/** Whether a pipe is hose: it bends by itself, is pushed on barbs and comes off a roll. */
export const isHose = (pipe: Pipe): boolean => findPipeSize(pipe)?.family.endsWith("Hose") ?? false;

/**
 * The bore by which a code's table is read, mm: the nominal size of a pipe that has one, which is narrower than the
 * inside of schedule 40; else the inside.
 */
export const toCodeBoreMm = (pipe: Pipe): number => findPipeSize(pipe)?.nominalMm ?? pipe.innerMm;

/** The narrowest metric waste pipe that does not narrow a fixture's bore, mm; the widest where none does. */
export function findWastePipe(boreMm: number): Pipe {
  const sizes = listFamily("metricWaste");
  return (sizes.find(({ pipe }) => pipe.innerMm >= boreMm) ?? sizes.at(-1)!).pipe;
}
