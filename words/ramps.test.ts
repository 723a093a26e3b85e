import { computeRamps } from "@/core/attitude/ramps";
import { readDemo } from "@/tests/demoRigs";
import { describeRamps } from "./ramps";

test("ramps are told wheel by wheel, highest first, in the reader's units", () => {
  const { rig } = readDemo("kranich");
  const ramps = computeRamps(rig, { pitchDeg: 1, rollDeg: -2 });
  expect(describeRamps(ramps, rig, "metric")).toMatch(
    /^\d+\u00a0mm under the front left wheel, \d+\u00a0mm under the \w+ \w+ wheel, \d+\u00a0mm under the \w+ \w+ wheel$/,
  );
  expect(describeRamps(ramps, rig, "imperial")).toMatch(/\u00a0in under the front left wheel/);
  expect(describeRamps(computeRamps(rig, { pitchDeg: 0, rollDeg: 0 }), rig, "metric")).toBe("nothing under the wheels");
});

test("a trailer's two wheels need no axle's name", () => {
  const { rig } = readDemo("puppenwagen");
  expect(describeRamps(computeRamps(rig, { pitchDeg: 0, rollDeg: 2 }), rig, "metric")).toMatch(
    /under the right wheel$/,
  );
});
