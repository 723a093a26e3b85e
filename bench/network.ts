import { computeUp } from "@/core/attitude/attitude";
import type { Design } from "@/core/design/design";
import { stripPlumbing } from "@/core/design/stripPlumbing";
import { computeStandingMap } from "@/core/evaluate/standingMap";
import { computePour } from "@/core/pour/pour";
import { listUsable, toUse } from "@/core/pour/usualUses";
import { findRoutes } from "@/core/routes/findRoutes";
import { computeDips, listDepths } from "@/core/tanks/dipChart";
import { findLargestTanks } from "@/core/tanks/largestTanks";
import { FURNISHED, readDemo } from "@/tests/demoRigs";
import { type Row, timeEvaluation } from "./core";

/** Attitudes along each side of the standing map. */
const MAP_SIZE = 61;

const TILT = { pitchDeg: 2.3, rollDeg: -1.1 };

/** Sums over whole networks, in Node. */
export function benchNetwork(): Row[] {
  const whole = readDemo(FURNISHED);
  const drains = whole.lines.filter((line) => line.kind === "drain");
  const slowest = Math.max(...drains.map(({ id }) => timeOnce(() => findRoutes(whole, id))));
  const uses = listUsable(whole).map(toUse);
  const evaluation = timeEvaluation(whole);
  const mapMs = timeOnce(() => computeStandingMap(whole, { size: MAP_SIZE, rangeDeg: 6 }));
  return [
    row(`standing map ${MAP_SIZE} × ${MAP_SIZE} of lesesaal furnished`, mapMs, null),
    ratio("one attitude of it, against an evaluation", mapMs / MAP_SIZE ** 2 / evaluation, 1 / 50),
    row("routes, its slowest drain", slowest, null),
    row(
      "pour, all of its fixtures at once",
      timeOnce(() => computePour(whole, TILT, uses)),
      null,
    ),
    row(
      "largest tank, lesesaal bare",
      timeOnce(() => findLargestTanks(stripPlumbing(readDemo("lesesaal")))),
      null,
    ),
    row("dip chart, 500 levels × 61 attitudes of a 24-corner prism", timeOnce(benchDips), null),
    ...benchLines(),
  ];
}

// A star of 24 corners, pushed along the rig, dipped at every 61st of a lean from −6° to 6°.
function benchDips(): number {
  const base = readDemo("kranich").tanks[0]!;
  const profileMm = Array.from({ length: 24 }, (_, i) => {
    const radius = i % 2 === 0 ? 240 : 170;
    return { u: 250 + radius * Math.cos((i * Math.PI) / 12), v: 250 + radius * Math.sin((i * Math.PI) / 12) };
  });
  const tank = { ...base, solid: { shape: "prism" as const, axis: "x" as const, lengthMm: 900, profileMm } };
  const depths = listDepths(490, 499);
  let sum = 0;
  for (let i = 0; i < 61; i++) {
    const up = computeUp({ pitchDeg: -6 + i * 0.2, rollDeg: 6 - i * 0.2 });
    for (const { litres } of computeDips(tank, up, { xMm: 450, yMm: 250 }, depths)) sum += litres;
  }
  return sum;
}

const row = (name: string, value: number, budget: number | null): Row => ({
  name,
  value,
  unit: "ms",
  budget,
  better: "less",
});

const ratio = (name: string, value: number, budget: number): Row => ({
  name,
  value,
  unit: "times",
  budget,
  better: "less",
});

function timeOnce(run: () => unknown): number {
  run();
  const began = performance.now();
  run();
  return performance.now() - began;
}

const LINES = [10, 30, 100, 300, 1000] as const;

// Least squares of log time over log lines: 1 is linear.
function benchLines(): Row[] {
  const points = LINES.map((lines) => {
    const design = spread(lines);
    return { lines, ms: timeEvaluation(design, { batches: 5 }) };
  });
  const [xs, ys] = [points.map(({ lines }) => Math.log(lines)), points.map(({ ms }) => Math.log(ms))];
  const mean = (values: readonly number[]) => values.reduce((sum, v) => sum + v, 0) / values.length;
  const [mx, my] = [mean(xs), mean(ys)];
  const slope =
    xs.reduce((sum, x, i) => sum + (x - mx) * (ys[i]! - my), 0) / xs.reduce((sum, x) => sum + (x - mx) ** 2, 0);
  return [
    ...points.map(({ lines, ms }) => row(`evaluation, ${lines} lines`, ms, null)),
    { name: "growth of it, power of the lines", value: slope, unit: "", budget: 1.05, better: "less" },
  ];
}

// Drains side by side; each is the sink's own, shifted, so that every line costs the same.
function spread(lines: number): Design {
  const base = readDemo("kranich");
  const drain = base.lines.find((line) => line.kind === "drain")!;
  const fixtures = Array.from({ length: lines }, (_, i) => ({ ...base.fixtures[0]!, id: `sink-${i}` }));
  return {
    ...base,
    fixtures,
    lines: fixtures.map(({ id }, i) => ({ ...drain, id: `drain-${i}`, fromFixture: id })),
  };
}
