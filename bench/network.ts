import type { Design } from "@/core/design/design";
import { applyEdit, type Edit } from "@/core/design/edit";
import { FIXTURE_KINDS } from "@/core/design/plumbing";
import { buildRedirect } from "@/core/edits/drainEdits";
import { buildAddFixture } from "@/core/edits/fixtureEdits";
import { evaluate } from "@/core/evaluate/evaluate";
import { computeStandingMap } from "@/core/evaluate/standingMap";
import { computePour } from "@/core/pour/pour";
import { listUsable, toUse } from "@/core/pour/usualUses";
import { findRoutes } from "@/core/routes/findRoutes";
import { type Row, readDemo, time } from "./core";

const TILT = { pitchDeg: 2.3, rollDeg: -1.1 };

/** Lesesaal with twelve fixtures, set and joined by the edits of the interface: every other one runs into the drain before. */
export function growLesesaal(fixtures = 12): Design {
  let design = readDemo("lesesaal");
  for (let n = design.fixtures.length; n < fixtures; n++) {
    design = apply(design, buildAddFixture(design, FIXTURE_KINDS[n % FIXTURE_KINDS.length]!, `Fixture ${n}`));
    const drains = design.lines.filter((line) => line.kind === "drain");
    const [before, last] = [drains.at(-2), drains.at(-1)];
    if (n % 2 === 1 && before && last) {
      design = apply(design, buildRedirect(design, last.id, { kind: "line", lineId: before.id }));
    }
  }
  return design;
}

function apply(design: Design, edit: Edit | null): Design {
  const outcome = edit ? applyEdit(design, edit) : null;
  if (!outcome?.ok) throw new Error(`an edit was refused: ${JSON.stringify(outcome?.faults)}`);
  return outcome.design;
}

/** Sums over whole networks, in Node. */
export function benchNetwork(): Row[] {
  const whole = growLesesaal();
  const drains = whole.lines.filter((line) => line.kind === "drain");
  const slowest = Math.max(...drains.map(({ id }) => timeOnce(() => findRoutes(whole, id))));
  const uses = listUsable(whole).map(toUse);
  return [
    row(
      `evaluation of lesesaal, ${whole.fixtures.length} fixtures`,
      time(() => evaluate(whole, TILT)),
      4,
    ),
    row(
      "standing map 61 × 61 of it",
      timeOnce(() => computeStandingMap(whole, { size: 61, rangeDeg: 6 })),
      300,
    ),
    row("routes, its slowest drain", slowest, 2000),
    row(
      "pour, all of its fixtures at once",
      timeOnce(() => computePour(whole, TILT, uses)),
      null,
    ),
    ...benchLines(),
  ];
}

const row = (name: string, value: number, budget: number | null): Row => ({
  name,
  value,
  unit: "ms",
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
    return { lines, ms: time(() => evaluate(design, TILT), { batches: 5 }) };
  });
  const [xs, ys] = [points.map(({ lines }) => Math.log(lines)), points.map(({ ms }) => Math.log(ms))];
  const mean = (values: readonly number[]) => values.reduce((sum, v) => sum + v, 0) / values.length;
  const [mx, my] = [mean(xs), mean(ys)];
  const slope =
    xs.reduce((sum, x, i) => sum + (x - mx) * (ys[i]! - my), 0) / xs.reduce((sum, x) => sum + (x - mx) ** 2, 0);
  return [
    ...points.map(({ lines, ms }) => row(`evaluation, ${lines} lines`, ms, null)),
    { name: "growth of it, power of the lines", value: slope, unit: "", budget: 1.1, better: "less" },
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
