import fc from "fast-check";
import { designs } from "@/tests/arbitraries";
import { readDemo } from "@/tests/demoRigs";
import type { Design } from "../design/design";
import type { Drain, Pipe } from "../design/plumbing";
import { computeDrainFlow } from "./drainFlow";
import { buildDrainPath, type DrainPath } from "./drainPath";
import { computeManningFlow } from "./manning";

const pathOf = (design: Design) => buildDrainPath(design, design.lines.find((l) => l.kind === "drain") as Drain);

test("the flattest run decides, and the drain carries what Manning says of it half full", () => {
  const path = pathOf(readDemo("kranich"));
  const flow = computeDrainFlow(path, 0.5);
  const slopes = path.legs.filter((l) => l.kind === "run").map((l) => (l.from.z - l.to.z) / l.planLengthMm);
  expect(flow.slope).toBeCloseTo(Math.min(...slopes), 9);
  const half = computeManningFlow(path.pipe.innerMm / 1000, 0.5, flow.slope!, path.pipe.manningN);
  expect(flow.capacityLps).toBeCloseTo(half.flowM3PerS * 1000, 9);
});

const withPipe = (path: DrainPath, pipe: Pipe): DrainPath => ({
  ...path,
  ownLegs: path.ownLegs.map((leg) => ({ ...leg, pipe })),
});

test("a rougher or narrower pipe never carries more, a fuller one never less", () => {
  fc.assert(
    fc.property(designs, fc.double({ min: 1, max: 3, noNaN: true }), (design, factor) => {
      const path = pathOf(design);
      const base = computeDrainFlow(path, 0.5).capacityLps;
      if (base === null) return;
      const { innerMm, manningN } = path.pipe;
      const rough = withPipe(path, { ...path.pipe, manningN: manningN * factor });
      const narrow = withPipe(path, { ...path.pipe, innerMm: innerMm / factor });
      expect(computeDrainFlow(rough, 0.5).capacityLps).toBeLessThanOrEqual(base + 1e-12);
      expect(computeDrainFlow(narrow, 0.5).capacityLps).toBeLessThanOrEqual(base + 1e-12);
      expect(computeDrainFlow(path, 0.7).capacityLps).toBeGreaterThanOrEqual(base - 1e-12);
    }),
  );
});

test("a drain that is one drop has no flattest run and no bound", () => {
  const path = pathOf(readDemo("kranich"));
  const drop = { ...path, ownLegs: path.legs.filter((leg) => leg.kind === "drop") };
  expect(computeDrainFlow(drop, 0.5)).toEqual({
    legIndex: null,
    slope: null,
    surge: null,
    inflowLps: path.fixture.inflowLps,
    capacityLps: null,
    fillRatio: 0,
    velocityMps: 0,
  });
});
