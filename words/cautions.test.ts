import type { BuildStep } from "@/core/build/steps";
import { RIG_KINDS } from "@/core/design/rig";
import { USUAL_GEAR } from "@/core/gear/usualGear";
import { readDemo } from "@/tests/demoRigs";
import { tellStep } from "./build";
import { sayBeforeDrilling } from "./cautions";

test("what is said before drilling speaks of brakes on land and of seacocks in a hull", () => {
  for (const kind of RIG_KINDS) {
    const isBoat = kind === "boat";
    expect(sayBeforeDrilling(kind).includes("seacock")).toBe(isBoat);
    expect(sayBeforeDrilling(kind).includes("brake")).toBe(!isBoat);
    expect(sayBeforeDrilling(kind)).toContain("pilot");
  }
});

test("beside its screws a heater, its relief valve and its mixer are mounted with what may hurt in mind", () => {
  const { gear, ...loop } = readDemo("kranich-loop");
  const told = (spec: "heater" | "relief" | "mixer" | "strainer", rigKind: "van" | "boat") => {
    const piece = { ...gear[0]!, id: "piece", ...USUAL_GEAR[spec] };
    const design = { ...loop, gear: [piece], rig: { ...loop.rig, kind: rigKind } };
    return tellStep({ kind: "mountGear", at: { kind: "gear", id: "piece" } } as BuildStep, design).caution;
  };
  for (const kind of ["van", "boat"] as const) {
    expect(told("strainer", kind)).toMatch(/^Screws shorter/);
    expect(told("heater", kind)).toMatch(/^Screws shorter.*licensed/);
    expect(told("relief", kind)).toMatch(/^Screws shorter.*shuts between/);
    expect(told("mixer", kind)).toMatch(/^Screws shorter.*thermometer/);
  }
  expect(told("heater", "boat")).toContain("never into her skin");
});
