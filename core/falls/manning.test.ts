import fc from "fast-check";
import { computeFillRatio, computeManningFlow, FILL_AT_MOST_FLOW } from "./manning";

// Computed from Manning's formula; anyone can recompute them. Roughness as in sewer manuals.
test.each([
  { d: 0.04, n: 0.009, s: 0.02, fill: 1, v: 0.7294, lps: 0.9165 },
  { d: 0.04, n: 0.009, s: 0.02, fill: 0.5, v: 0.7294, lps: 0.4583 },
  { d: 0.025, n: 0.01, s: 1 / 48, fill: 0.5, v: 0.4897, lps: 0.1202 },
  { d: 0.1, n: 0.013, s: 0.01, fill: 1, v: 0.6577, lps: 5.165 },
])("D $d m, n $n, S $s at y/D $fill: $v m/s, $lps L/s", ({ d, n, s, fill, v, lps }) => {
  const flow = computeManningFlow(d, fill, s, n);
  expect(flow.velocityMps).toBeCloseTo(v, 4);
  expect(flow.flowM3PerS * 1000).toBeCloseTo(lps, 3);
});

// Published: Chow, Open-Channel Hydraulics, 1959 (from memory): most flow at 0.938 D, 1.076 × full; most velocity at 0.81 D, 1.14 ×.
test("Chow's greatest flow and greatest velocity", () => {
  const full = computeManningFlow(0.04, 1, 0.02, 0.009);
  const fills = Array.from({ length: 1001 }, (_, i) => i / 1000);
  const at = (pick: "flowM3PerS" | "velocityMps") =>
    fills.reduce((best, fill) =>
      computeManningFlow(0.04, fill, 0.02, 0.009)[pick] > computeManningFlow(0.04, best, 0.02, 0.009)[pick]
        ? fill
        : best,
    );
  expect(at("flowM3PerS")).toBeCloseTo(FILL_AT_MOST_FLOW, 2);
  expect(at("velocityMps")).toBeCloseTo(0.81, 2);
  expect(computeManningFlow(0.04, 0.938, 0.02, 0.009).flowM3PerS / full.flowM3PerS).toBeCloseTo(1.076, 3);
  expect(computeManningFlow(0.04, 0.81, 0.02, 0.009).velocityMps / full.velocityMps).toBeCloseTo(1.14, 2);
});

test("the fill found for a flow carries that flow; none is found for more than the pipe can", () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.001, max: 0.2, noNaN: true }),
      fc.double({ min: 0.05, max: 2, noNaN: true }),
      (s, lps) => {
        const fill = computeFillRatio(0.04, lps / 1000, s, 0.009);
        const most = computeManningFlow(0.04, FILL_AT_MOST_FLOW, s, 0.009).flowM3PerS * 1000;
        if (fill === null) expect(lps).toBeGreaterThan(most);
        else expect(computeManningFlow(0.04, fill, s, 0.009).flowM3PerS * 1000).toBeCloseTo(lps, 6);
      },
    ),
  );
});

test("no slope, no flow", () => {
  expect(computeManningFlow(0.04, 0.5, 0, 0.009).flowM3PerS).toBe(0);
  expect(computeManningFlow(0.04, 0.5, -0.02, 0.009).flowM3PerS).toBe(0);
  expect(computeFillRatio(0.04, 0.0001, -0.02, 0.009)).toBeNull();
});
