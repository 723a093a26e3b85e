import Papa from "papaparse";
import type { HullSection } from "@/core/design/rig";

export type OffsetsOutcome =
  | { readonly ok: true; readonly sections: readonly HullSection[] }
  | { readonly ok: false; readonly sentence: string };

const MOST_LINES = 1_600;

/**
 * Half-sections out of a table of offsets as CSV: a line a point with the columns `x`, `y`, `z` in mm, y the half-breadth.
 * Points of one x are one section, from the keel up in the order of the lines; sections may come in any order.
 */
export function readOffsets(text: string): OffsetsOutcome {
  const { data, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, "").replace(/\r\n?/g, "\n"), {
    skipEmptyLines: true,
  });
  const broken = errors.find(({ type }) => type === "Quotes");
  if (broken) return fail(`Not readable at line ${(broken.row ?? 0) + 1}: ${broken.message}`);
  const [head = [], ...lines] = data;
  const names = head.map((name) =>
    name
      .trim()
      .toLowerCase()
      .replace(/[ _(]*mm\)?$/, ""),
  );
  const [x, y, z] = ["x", "y", "z"].map((name) => names.indexOf(name)) as [number, number, number];
  if (x < 0 || y < 0 || z < 0)
    return fail(`The first line must name the columns x, y and z, in mm; it has ${names.join(", ") || "nothing"}.`);
  if (lines.length > MOST_LINES) return fail("More than 1,600 points: 40 sections of 40 are plenty.");
  const byX = new Map<number, { y: number; z: number }[]>();
  for (const [i, line] of lines.entries()) {
    const values = [x, y, z].map((column) => Number((line[column] ?? "").trim().replace(",", ".") || Number.NaN));
    const wrong = values.findIndex((value) => !Number.isFinite(value));
    if (wrong >= 0)
      return fail(`Line ${i + 2}, column ${["x", "y", "z"][wrong]}: “${line[[x, y, z][wrong]!] ?? ""}” is no number.`);
    const [at, half, height] = values as [number, number, number];
    if (half < 0) return fail(`Line ${i + 2}: y is the half-breadth to one side, so not below 0.`);
    byX.set(at, [...(byX.get(at) ?? []), { y: half, z: height }]);
  }
  const sections = [...byX].sort(([a], [b]) => a - b).map(([xMm, pointsMm]) => ({ xMm, pointsMm }));
  if (sections.length < 3)
    return fail(`Three sections at least; there ${sections.length === 1 ? "is one" : `are ${sections.length}`}.`);
  const short = sections.find(({ pointsMm }) => pointsMm.length < 2);
  if (short) return fail(`The section at x ${short.xMm} has one point only; give its keel and its sheer at least.`);
  return { ok: true, sections };
}

const fail = (sentence: string): OffsetsOutcome => ({ ok: false, sentence });
