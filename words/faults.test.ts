import type { Fault } from "@/core/design/faults";
import { parseDesign } from "@/core/design/parseDesign";
import { readDemo } from "@/tests/demoRigs";
import { describeFault, describePlace } from "./faults";

const FAULTS: readonly Fault[] = [
  { code: "notJson", path: [] },
  { code: "tooLarge", path: [], bytes: 9e6, most: 4e6 },
  { code: "tooDeep", path: ["tanks", 0], most: 24 },
  { code: "forbiddenKey", path: ["rig"], key: "__proto__" },
  { code: "notOurs", path: [] },
  { code: "newerVersion", path: ["version"], found: 9, newest: 1 },
  { code: "unknownVersion", path: ["version"] },
  { code: "missing", path: ["rig", "kind"] },
  { code: "wrongType", path: ["habits", "people"], expected: "number" },
  { code: "notOneOf", path: ["rig", "kind"], options: ["van", "bus"] },
  { code: "notOneOf", path: ["rig", "kind"], options: [] },
  { code: "tooSmall", path: ["tanks", 0, "wallMm"], least: 0.5, what: "number" },
  { code: "tooSmall", path: ["rig", "floorLayers"], least: 1, what: "list" },
  { code: "tooBig", path: ["tanks", 0, "wallMm"], most: 30, what: "number" },
  { code: "tooBig", path: ["lines"], most: 1000, what: "list" },
  { code: "badText", path: ["name"] },
  { code: "unknownKeys", path: ["rig"], keys: ["wheels"] },
  { code: "duplicateId", path: ["tanks", 1, "id"], id: "grey" },
  { code: "danglingReference", path: ["lines", 0, "to", "tankId"], id: "gone" },
  { code: "wrongPortKind", path: ["lines", 0, "to", "portId"], id: "vent", wanted: "inlet" },
  { code: "joinsNoBend", path: ["lines", 0, "to", "bend"], id: "sink-drain", bends: 2 },
  { code: "drainLoop", path: ["lines", 0, "to"], id: "sink-drain" },
  { code: "waysTooLong", path: ["lines"], legs: 40_000, most: 12_000 },
  { code: "forbiddenKey", path: ["rig"], key: "x\u202e".repeat(40_000) },
  { code: "portOutsideTank", path: ["tanks", 0, "ports", 2] },
  { code: "fittingLargerThanTank", path: ["tanks", 0, "ports", 2], boreMm: 38, roomMm: 20 },
  { code: "pipeWithoutWall", path: ["lines", 0, "pipe", "outerMm"] },
  { code: "profileCrossesItself", path: ["tanks", 0, "solid"], edges: [0, 2] },
  { code: "profileWithoutArea", path: ["tanks", 0, "solid"] },
  { code: "belowGround", path: ["lines", 0, "bendsMm", 1, "z"], zMm: -900, groundZMm: -640 },
  { code: "unknownLimit", path: ["rules", "limits"], id: "slippery" },
];

test.each(FAULTS.map((fault) => [fault.code, fault] as const))("%s reads as a sentence that ends", (_, fault) => {
  for (const units of ["metric", "imperial"] as const) {
    const sentence = describeFault(fault, units);
    expect(sentence).toMatch(/^[A-Z].*\.$/);
    expect(sentence).not.toMatch(/undefined|NaN|object Object|\u202e/);
    expect(sentence.length).toBeLessThan(400);
  }
});

test("a place is named in a builder's words, counted from one", () => {
  expect(describePlace(["tanks", 0, "solid", "heightMm"])).toBe("tank 1, shape, height");
  expect(describePlace(["tanks", 0, "ports", 2, "boreMm"], readDemo("kranich"))).toBe("“Grey tank”, dump outlet, bore");
  expect(describePlace(["lines", 1, "bendsMm", 0, "z"])).toBe("line 2, bend 1, height (z)");
});

test("bounds are told in the reader's units", () => {
  const fault: Fault = { code: "tooSmall", path: ["tanks", 0, "solid", "lengthMm"], least: 20, what: "number" };
  expect(describeFault(fault, "metric")).toContain("20\u00a0mm");
  expect(describeFault(fault, "imperial")).toContain("13/16\u00a0in");
});

// Every field of a sample rig, taken out or spoiled in turn: the sentence names the place.
test("whatever is missing or wrong in a file is named with its place", () => {
  const design = readDemo("kranich");
  for (const key of Object.keys(design)) {
    const { [key as keyof typeof design]: _, ...rest } = design;
    const outcome = parseDesign(rest);
    if (outcome.ok) throw new Error(`${key} is not needed`);
    expect(describeFault(outcome.faults[0]!)).toMatch(/\.$/);
  }
  const spoiled = parseDesign({ ...design, habits: { ...design.habits, people: "two" } });
  expect(!spoiled.ok && describeFault(spoiled.faults[0]!)).toContain("Habits, people");
});
