import fc from "fast-check";
import { attitudes, designs, networks } from "@/tests/arbitraries";
import { DEMO_NAMES, readDemo } from "@/tests/demoRigs";
import { addItem, changeTrap } from "@/tests/findingEdges";
import { LEVEL } from "../attitude/attitude";
import type { Design } from "../design/design";
import { applyEdit } from "../design/edit";
import type { EditOp } from "../design/editOps";
import { stripPlumbing } from "../design/stripPlumbing";
import { listWorkings } from "../workings/listWorkings";
import { evaluate } from "./evaluate";

/** Places in a result that hold a number that is none, as paths. */
function findUnfinite(value: unknown, path = ""): string[] {
  if (typeof value === "number") return Number.isFinite(value) ? [] : [`${path} ${value}`];
  if (typeof value !== "object" || value === null) return [];
  return Object.entries(value).flatMap(([key, child]) => findUnfinite(child, `${path}.${key}`));
}

function expectFinite(design: Design, attitude = LEVEL): void {
  const evaluation = evaluate(design, attitude);
  expect(findUnfinite(evaluation)).toEqual([]);
  expect(findUnfinite(listWorkings(design, evaluation))).toEqual([]);
}

function change(design: Design, ops: readonly EditOp[]): Design {
  const outcome = applyEdit(design, { code: "change", at: { kind: "rig" }, ops });
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.faults));
  return outcome.design;
}

const set = (path: (string | number)[], value: unknown): EditOp => ({ op: "set", path, value });
const kranich = readDemo("kranich");
const drain = kranich.lines.find((line) => line.kind === "drain")!;
const first = drain.kind === "drain" ? drain.bendsMm[0]! : null;
const sink = kranich.fixtures[0]!;

test.each(DEMO_NAMES)("every figure of %s is a number", (name) => expectFinite(readDemo(name)));

test("every figure of any design at any attitude is a number", () => {
  fc.assert(fc.property(fc.oneof(designs, networks), attitudes, expectFinite), { numRuns: 60 });
});

test.each<[string, readonly EditOp[]]>([
  [
    "two axles at one place",
    [
      set(
        ["rig", "axles"],
        [
          { name: "One", xMm: 900, spareKg: 500 },
          { name: "Other", xMm: 900, spareKg: 500 },
        ],
      ),
    ],
  ],
  [
    "an axle at the nose, where a coupling would be",
    [set(["rig", "axles"], [{ name: "One", xMm: kranich.rig.lengthMm, spareKg: 1 }])],
  ],
  [
    "a level arm",
    [
      set(["rig", "envelope"], { noseDownDeg: 0, noseUpDeg: 0, leftLowDeg: 0, rightLowDeg: 0 }),
      set(["rig", "standings"], []),
      set(["lines", drain.id, "bendsMm"], [{ ...first!, z: sink.outletMm.z - 90 }]),
    ],
  ],
  [
    "a leg a hair out of plumb",
    [set(["lines", drain.id, "bendsMm"], [first!, { ...first!, x: first!.x + 1e-7, z: -200 }])],
  ],
  ["two bends in one place", [set(["lines", drain.id, "bendsMm"], [first!, first!, { ...first!, z: -200 }])]],
  ["a seal of nearly nothing", [changeTrap(drain, { sealMm: 1e-9 })]],
  [
    "nothing pushes and nothing dries",
    [set(["rules", "limits", "drivingPush"], 0), set(["rules", "limits", "evaporation"], 0)],
  ],
  [
    "a night without frost",
    [
      set(["rules", "limits", "nightAir"], 5),
      addItem(drain, { kind: "runningTrap", node: "n2", sealMm: 50, hasCleanout: true }),
    ],
  ],
  ["no fixture, no line", [set(["lines"], []), set(["habits"], stripPlumbing(kranich).habits), set(["fixtures"], [])]],
])("finite: %s", (_, ops) => {
  const design = change(kranich, ops);
  expectFinite(design);
  expectFinite(design, { pitchDeg: 20, rollDeg: -20 });
});
