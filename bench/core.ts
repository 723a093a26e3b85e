import { readFileSync } from "node:fs";
import { computeUp } from "@/core/attitude/attitude";
import type { Design } from "@/core/design/design";
import { applyEdit } from "@/core/design/edit";
import { buildMove, findPlaceMm } from "@/core/design/moves";
import { parseDesignText } from "@/core/design/parseDesign";
import { evaluate } from "@/core/evaluate/evaluate";
import { computeLevelForVolume } from "@/core/geometry/levelForVolume";
import { measureExtent, type PrismSolid, toPrism } from "@/core/geometry/solid";
import { add, dot, vec } from "@/core/geometry/vec";
import { buildHeightField, measureVolumeBelowL } from "@/core/geometry/volumeBelow";
import { FURNISHED } from "@/tests/demoRigs";

/** One measured figure. `budget` is what it may be at most, or at least where `better` is "more". */
export type Row = {
  readonly name: string;
  readonly value: number;
  readonly unit: string;
  readonly budget: number | null;
  readonly better: "less" | "more";
};

function readText(text: string): Design {
  const outcome = parseDesignText(text);
  if (!outcome.ok) throw new Error("the design does not open");
  return outcome.design;
}

export const readDemo = (name: string): Design => readText(readFileSync(`demo/${name}.json`, "utf8"));

/** Median time of one call, ms, over batches, after a warm-up. */
export function time(run: () => unknown, { batches = 15, batchMs = 30, warmMs = 0 } = {}): number {
  for (const began = performance.now(); performance.now() - began < warmMs; ) run();
  let calls = 1;
  for (let took = 0; took < batchMs; calls *= 2) {
    const began = performance.now();
    for (let i = 0; i < calls; i++) run();
    took = performance.now() - began;
  }
  const times = Array.from({ length: batches }, () => {
    const began = performance.now();
    for (let i = 0; i < calls; i++) run();
    return (performance.now() - began) / calls;
  });
  return findMedian(times);
}

const findMedian = (times: readonly number[]): number =>
  [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)]!;

const TILT = { pitchDeg: 2.3, rollDeg: -1.1 };

/** The engine has seen enough of the sums by then to have made them as fast as it will, ms. */
const WARM_UP_MS = 400;

/** Median time of an evaluation of which nothing is remembered, ms: each is of a copy that was read anew beforehand. */
export function timeEvaluation(design: Design, { batches = 15, batchMs = 30, warmMs = WARM_UP_MS } = {}): number {
  const text = JSON.stringify(design);
  // with a thousand lines it is larger than a file may be
  const copy = parseDesignText(text).ok ? () => readText(text) : () => structuredClone(design);
  const run = (calls: number): number => {
    const copies = Array.from({ length: calls }, copy);
    const began = performance.now();
    for (const copy of copies) evaluate(copy, TILT);
    return performance.now() - began;
  };
  let calls = 1;
  for (let warm = 0, took = 0; warm < warmMs; warm += took) {
    took = run(calls);
    if (took < batchMs) calls *= 2;
  }
  const times = Array.from({ length: batches }, () => run(calls) / calls);
  return findMedian(times);
}

/** Sums in Node: evaluation, and the exact tilted volume beside a count of 5 mm cubes of the same tank in the same run. */
export function benchCore(): Row[] {
  const rows: Row[] = [];
  for (const name of ["kranich", "lesesaal", FURNISHED]) rows.push(...benchEvaluation(name));
  const tank = readDemo("kranich").tanks[0]!;
  const prism = toPrism(tank.solid);
  const up = computeUp(TILT);
  const exact = time(() => {
    const field = buildHeightField(tank.solid, up);
    return measureVolumeBelowL(field, field.lowestMm + 0.3 * (field.highestMm - field.lowestMm));
  });
  const field = buildHeightField(tank.solid, up);
  const level = field.lowestMm + 0.3 * (field.highestMm - field.lowestMm);
  const voxel = time(() => countVoxelsL(prism, up, level, 5), { batches: 5 });
  const exactL = measureVolumeBelowL(field, level);
  const voxelL = countVoxelsL(prism, up, level, 5);
  rows.push({ name: "exact tilted volume, one level", value: exact * 1000, unit: "µs", budget: null, better: "less" });
  rows.push({
    name: "5 mm voxel count, same tank and level",
    value: voxel * 1000,
    unit: "µs",
    budget: null,
    better: "less",
  });
  rows.push({
    name: "exact volume against voxel count",
    value: voxel / exact,
    unit: "times",
    budget: 1000,
    better: "more",
  });
  rows.push({
    name: "they differ by",
    value: Math.abs(exactL - voxelL) / exactL,
    unit: "share",
    budget: 0.01,
    better: "less",
  });
  const inverse = time(() => computeLevelForVolume(field, 30));
  rows.push({ name: "level for a volume", value: inverse * 1000, unit: "µs", budget: null, better: "less" });
  return rows;
}

// A host slows down and speeds up within seconds: what is held against one another is timed in turn, and each turn has its ratio.
const TURNS = 11;

// Judging a design anew and after one edit, against reading the same file in the same run.
function benchEvaluation(name: string): Row[] {
  const design = readDemo(name);
  const text = JSON.stringify(design);
  // what a hand does most: a bend pulled, by another tenth each time
  const drain = design.lines.find((line) => line.kind === "drain")!;
  const bend = { kind: "bend", lineId: drain.id, index: 0 } as const;
  const from = findPlaceMm(design, bend)!;
  const steps = Array.from({ length: 40 }, (_, i) => {
    const outcome = applyEdit(design, buildMove(design, bend, add(from, vec(0, 0, -(i + 1) / 10)))!);
    if (!outcome.ok) throw new Error("the bend does not move");
    return outcome.design;
  });
  let at = 0;
  const turns = Array.from({ length: TURNS }, (_, i) => {
    // what is remembered is gone through other ways than what is new, and each is as strange to the engine at first
    const how = { batches: 3, warmMs: i === 0 ? WARM_UP_MS : 40 };
    const reading = time(() => parseDesignText(text), how);
    const anew = timeEvaluation(design, how);
    const edited = time(() => evaluate(steps[at++ % steps.length]!, TILT), how);
    return { anew, anewShare: anew / reading, editedShare: edited / reading };
  });
  const ratio = (what: string, value: number, budget: number): Row => ({
    name: what,
    value,
    unit: "times",
    budget,
    better: "less",
  });
  return [
    {
      name: `evaluation of ${name}`,
      value: findMedian(turns.map(({ anew }) => anew)),
      unit: "ms",
      budget: null,
      better: "less",
    },
    ratio(`${name} judged anew, against reading its file`, findMedian(turns.map(({ anewShare }) => anewShare)), 5),
    ratio(
      `${name} after one edit, against reading its file`,
      findMedian(turns.map(({ editedShare }) => editedShare)),
      1,
    ),
  ];
}

// The baseline: cubes of a side in mm whose middle lies in the profile and below the plane.
function countVoxelsL(
  { axis, lengthMm, profileMm }: PrismSolid,
  up: ReturnType<typeof computeUp>,
  level: number,
  side: number,
): number {
  const { min, max } = measureExtent({ shape: "prism", axis, lengthMm, profileMm });
  let count = 0;
  for (let x = min.x + side / 2; x < max.x; x += side) {
    for (let y = min.y + side / 2; y < max.y; y += side) {
      for (let z = min.z + side / 2; z < max.z; z += side) {
        const p = vec(x, y, z);
        if (dot(up, p) > level) continue;
        const [u, v] = axis === "x" ? [y, z] : axis === "y" ? [x, z] : [x, y];
        if (isInside(profileMm, u, v)) count += 1;
      }
    }
  }
  return (count * side ** 3) / 1e6;
}

function isInside(corners: PrismSolid["profileMm"], u: number, v: number): boolean {
  let inside = false;
  for (let i = 0, j = corners.length - 1; i < corners.length; j = i++) {
    const a = corners[i]!;
    const b = corners[j]!;
    if (a.v > v !== b.v > v && u < ((b.u - a.u) * (v - a.v)) / (b.v - a.v) + a.u) inside = !inside;
  }
  return inside;
}
