import type { Design } from "@/core/design/design";
import { MOST_BYTES, parseDesignText } from "@/core/design/parseDesign";
import type { Drain } from "@/core/design/plumbing";
import { FURNISHED, readDemo } from "@/tests/demoRigs";
import { type Row, time, timeEvaluation } from "./core";

/** What a design may cost per line, against the furnished sample. */
const MOST_TIMES = 3;

/** Opening and judging the largest designs a file may hold, per line, against the furnished sample in the same run. */
export function benchLargest(): Row[] {
  const usual = costPerLine(readDemo(FURNISHED));
  return [
    ["side by side", spread()],
    ["joined in a chain", chain()],
  ].map(([name, design]) => ({
    name: `largest design, ${(design as Design).lines.length} lines ${name}, per line`,
    value: costPerLine(design as Design) / usual,
    unit: "times",
    budget: MOST_TIMES,
    better: "less",
  }));
}

// Reading its text and judging it once, ms a line.
function costPerLine(design: Design): number {
  const text = JSON.stringify(design);
  const opening = time(() => parseDesignText(text), { batches: 5 });
  return (opening + timeEvaluation(design, { batches: 5 })) / design.lines.length;
}

const base = readDemo("kranich");
const own = base.lines.find((line): line is Drain => line.kind === "drain")!;

/** As many as a file takes, whatever bounds it. */
function grow(build: (count: number) => Design): Design {
  let [least, most] = [1, 1_000];
  while (least < most) {
    const count = Math.ceil((least + most) / 2);
    const text = JSON.stringify(build(count));
    if (text.length <= MOST_BYTES && parseDesignText(text).ok) least = count;
    else most = count - 1;
  }
  return build(least);
}

const spread = (): Design =>
  grow((count) => ({ ...base, lines: Array.from({ length: count }, (_, i) => ({ ...own, id: `drain-${i}` })) }));

const chain = (): Design =>
  grow((count) => ({
    ...base,
    lines: Array.from(
      { length: count },
      (_, i): Drain => ({
        ...own,
        id: `drain-${i}`,
        to: i === 0 ? own.to : { kind: "junction", lineId: `drain-${i - 1}`, node: own.bendsMm[1]!.id, fitting: "wye" },
      }),
    ),
  }));
